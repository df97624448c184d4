<script lang="ts">
  import type { MeasuredDraft } from '../versions/versionMeasures'
  import type { Measure, Report, Vocabulary } from '../../../lib/api/client'
  import Choice from '../pattern/Choice.svelte'
  import Criteria from './Criteria.svelte'
  import { countedIn } from './measures'

  /** What is tried in one measure, as a sentence with choices in it. */
  interface Props {
    draft: MeasuredDraft
    /** Which measure it is, from 0. */
    nth: number
    report: Report
    vocabulary: Vocabulary
    errors: Record<string, string>
  }
  let { draft, nth, report, vocabulary, errors }: Props = $props()
  const document = $derived(draft.document)
  const measure = $derived(document.measures[nth])
  const path = $derived(`measures.${nth}`)
  const ladders = $derived(vocabulary.sports.find((each) => each.sport === document.sport)?.ladders ?? [])
  const change = (alter: (measure: Measure) => void) =>
    draft.change((d) => {
      const own = d.measures[nth]
      if (own) alter(own)
    })
  const tasks = $derived(document.pattern.rally ? [] : document.pattern.tasks)
  const all = $derived(!measure?.tasks?.length)
  const plural = {
    ball: 'balls',
    sequence: 'whole sequences',
    repetition: 'repetitions',
    rally: 'rallies',
    point: 'points',
    time: 'tries on the clock',
  }
  /** What can be tried: rallies only where each reply is the next feed. */
  const units = $derived(vocabulary.units.filter((unit) => unit !== 'rally' || document.pattern.rally))

  function toggle(task: number, on: boolean) {
    change((own) => {
      const was = own.tasks?.length ? own.tasks : tasks.map((_, i) => i)
      const now = on ? [...was, task].sort((a, b) => a - b) : was.filter((each) => each !== task)
      own.tasks = now.length === tasks.length || now.length === 0 ? undefined : now
    })
  }
  const marks = [
    { key: 'noCount', label: 'a bad feed or a let is played again' },
    { key: 'misses', label: 'misses are marked net, long or wide' },
    { key: 'choices', label: 'right or wrong choice is marked as well' },
  ] as const
  const wrong = $derived(
    Object.entries(errors)
      .filter(
        ([at]) =>
          [path, `${path}.name`, `${path}.what`, `${path}.number`, `${path}.who`].includes(at) ||
          at.startsWith(`${path}.counts`) ||
          at.startsWith(`${path}.tasks`),
      )
      .map(([, text]) => text),
  )
</script>

{#if measure}
  <div class="sentence">
    <input
      class="input input-sm w-44"
      aria-label="What measure {measure.number} is called"
      placeholder="a name, or none"
      maxlength="40"
      value={measure.name ?? ''}
      onchange={(event) => {
        const name = event.currentTarget.value.trim()
        change((own) => (own.name = name || undefined))
      }}
    />
    <span>:</span>
    <Choice
      label="Who counts"
      value={measure.who ?? 'each player'}
      options={vocabulary.who}
      onchange={(who) =>
        change((own) => {
          own.who = who === 'each player' ? undefined : who
          // On one count, what is made together is what is made in all.
          if (own.who) for (const goal of own.goals) if (goal.kind === 'together') goal.kind = 'total'
        })}
    />
    <span>tries</span>
    <Choice
      label="What is tried"
      value={measure.what}
      options={units.map((value) => ({ value, label: plural[value] }))}
      onchange={(what) =>
        what && change((own) => Object.assign(own, countedIn($state.snapshot(own), what, vocabulary)))}
    />
    {#if tasks.length > 1}
      <span>of</span>
      <fieldset class="tasks">
        <legend class="sr-only">Which tasks belong to it</legend>
        {#each tasks as task, i (i)}
          <label
            class="task"
            class:on={all || measure.tasks?.includes(i)}
            title="{task.kind ?? 'ball'} {i + 1}, {task.stroke}{measure.tasks?.length === 1 &&
            measure.tasks[0] === i
              ? ': a measure counts one task at least'
              : ''}"
          >
            <input
              type="checkbox"
              class="sr-only"
              checked={all || measure.tasks?.includes(i)}
              disabled={measure.tasks?.length === 1 && measure.tasks[0] === i}
              onchange={(event) => toggle(i, event.currentTarget.checked)}
            /><span class="sr-only">task</span>
            {i + 1}
          </label>
        {/each}
      </fieldset>
    {/if}
    <span>, made for</span>
    <Choice
      label="Made for"
      value={measure.counts?.by ?? 'landing'}
      options={[
        { value: 'landing', label: 'where it lands' },
        { value: 'movement', label: 'how the player moved' },
        { value: 'both', label: 'both together' },
      ]}
      onchange={(by) =>
        change((own) => {
          own.counts = { ...own.counts, by }
          if (by === 'landing') delete own.counts.criteria
        })}
    />
    <span>, as</span>
    <Choice
      label="How near to play"
      value={measure.realism}
      usual="its balls come"
      options={vocabulary.realisms}
      onchange={(realism) => change((own) => (own.realism = realism))}
    />
    <span>, with</span>
    <input
      class="input input-sm w-40"
      aria-label="Constraint"
      placeholder="no constraint"
      maxlength="60"
      value={measure.constraint ?? ''}
      onchange={(event) => {
        const constraint = event.currentTarget.value.trim()
        change((own) => (own.constraint = constraint || undefined))
      }}
    />
    <span>. It counts for the</span>
    <Choice
      label="Whose ladder it counts on"
      value={measure.stroke}
      usual="{document.stroke}, as the drill"
      options={ladders}
      onchange={(stroke) => change((own) => (own.stroke = stroke))}
    />
    <span>and its</span>
    <Choice
      label="The rung it counts on"
      value={measure.rung}
      usual="{document.rung}, as the drill"
      options={vocabulary.rungs}
      onchange={(rung) => change((own) => (own.rung = rung))}
    />
    <span>.</span>
  </div>
  {#if wrong.length}<p class="text-error mt-1 text-sm" role="alert">{wrong.join(' ')}</p>{/if}
  {#if (measure.counts?.by ?? 'landing') !== 'landing'}
    <Criteria {draft} {nth} {report} {vocabulary} />
  {/if}
  <details class="mt-1 text-sm">
    <summary class="cursor-pointer">What else is marked</summary>
    {#each marks as mark (mark.key)}
      <label class="mt-1 flex items-center gap-2">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={measure.counts?.[mark.key] ?? false}
          onchange={(event) => {
            const on = event.currentTarget.checked
            change((own) => (own.counts = { ...own.counts, [mark.key]: on }))
          }}
        />
        {mark.label}
      </label>
    {/each}
    <label class="mt-1 flex flex-wrap items-center gap-2">
      after a miss, for whoever wants:
      <input
        class="input input-sm w-56"
        aria-label="Forfeit of measure {measure.number}"
        placeholder="nothing"
        maxlength="60"
        value={measure.counts?.forfeit ?? ''}
        onchange={(event) => {
          const forfeit = event.currentTarget.value.trim() || undefined
          change((own) => (own.counts = { ...own.counts, forfeit }))
        }}
      />
    </label>
  </details>
{/if}

<style>
  .sentence {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.35rem 0.3rem;
  }
  .tasks {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem;
  }
  .task {
    display: grid;
    place-items: center;
    min-width: 2rem;
    height: 2rem;
    border: 1px dashed var(--color-base-content);
    border-radius: var(--radius-field);
    cursor: pointer;
    opacity: 0.75;
  }
  .task.on {
    border-style: solid;
    background: var(--color-primary);
    color: var(--color-primary-content);
    opacity: 1;
  }
  .task:focus-within {
    outline: 3px solid var(--color-info);
    outline-offset: 2px;
  }
</style>
