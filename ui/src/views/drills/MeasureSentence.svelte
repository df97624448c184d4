<script lang="ts">
  import type { DrillDocument, Measure, Report, Vocabulary } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import { countedIn } from './measures'

  /** What is tried in one measure, as a sentence with choices in it. */
  interface Props {
    draft: Draft<DrillDocument>
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
  const said = $derived(report.measures[nth])
  const id = $props.id()
  const ladders = $derived(vocabulary.sports.find((each) => each.sport === document.sport)?.ladders ?? [])
  /** Whether the movement counts, so that it can be said what makes it right. */
  const moves = $derived((measure?.counts?.by ?? 'landing') !== 'landing')
  type Criterion = NonNullable<NonNullable<Measure['counts']>['criteria']>[number]
  let criterion = $state<Criterion['kind']>('met before a line')
  // The court of a drill stays the same for as long as the bench is open on it.
  // svelte-ignore state_referenced_locally
  let line = $state(report.court.lines[0]?.id ?? '')
  // svelte-ignore state_referenced_locally
  let box = $state(
    (report.court.boxes.find((each) => each.id.startsWith('near')) ?? report.court.boxes[0])?.id ?? '',
  )

  function addCriterion() {
    const added: Criterion = { kind: criterion }
    if (criterion === 'met before a line') added.line = line
    if (criterion === 'feet in a box') added.box = box
    change((own) => (own.counts = { ...own.counts, criteria: [...(own.counts?.criteria ?? []), added] }))
  }
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
    <select
      class="select select-sm"
      aria-label="Who counts"
      value={measure.who ?? 'each player'}
      onchange={(event) => {
        const who = event.currentTarget.value as NonNullable<Measure['who']>
        change((own) => (own.who = who === 'each player' ? undefined : who))
      }}
    >
      {#each vocabulary.who as who (who)}<option>{who}</option>{/each}
    </select>
    <span>tries</span>
    <select
      class="select select-sm"
      aria-label="What is tried"
      value={measure.what}
      onchange={(event) => {
        const what = event.currentTarget.value as Measure['what']
        change((own) => Object.assign(own, countedIn($state.snapshot(own), what, vocabulary)))
      }}
    >
      {#each units as unit (unit)}<option value={unit}>{plural[unit]}</option>{/each}
    </select>
    {#if tasks.length > 1}
      <span>of</span>
      <fieldset class="tasks">
        <legend class="sr-only">Which tasks belong to it</legend>
        {#each tasks as task, i (i)}
          <label
            class="task"
            class:on={all || measure.tasks?.includes(i)}
            title="{task.kind ?? 'ball'} {i + 1}, {task.stroke}"
          >
            <input
              type="checkbox"
              class="sr-only"
              checked={all || measure.tasks?.includes(i)}
              onchange={(event) => toggle(i, event.currentTarget.checked)}
            /><span class="sr-only">task</span>
            {i + 1}
          </label>
        {/each}
      </fieldset>
    {/if}
    <span>, made for</span>
    <select
      class="select select-sm"
      aria-label="Made for"
      value={measure.counts?.by ?? 'landing'}
      onchange={(event) => {
        const by = event.currentTarget.value as NonNullable<NonNullable<Measure['counts']>['by']>
        change((own) => {
          own.counts = { ...own.counts, by }
          if (by === 'landing') delete own.counts.criteria
        })
      }}
    >
      <option value="landing">where it lands</option>
      <option value="movement">how the player moved</option>
      <option value="both">both together</option>
    </select>
    <span>, as</span>
    <select
      class="select select-sm"
      aria-label="How near to play"
      value={measure.realism ?? ''}
      onchange={(event) => {
        const realism = event.currentTarget.value as Measure['realism'] | ''
        change((own) => (own.realism = realism || undefined))
      }}
    >
      <option value="">its balls come</option>
      {#each vocabulary.realisms as realism (realism)}<option>{realism}</option>{/each}
    </select>
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
    <select
      class="select select-sm"
      aria-label="Whose ladder it counts on"
      value={measure.stroke ?? ''}
      onchange={(event) => {
        const stroke = event.currentTarget.value as Measure['stroke'] | ''
        change((own) => (own.stroke = stroke || undefined))
      }}
    >
      <option value="">{document.stroke}, as the drill</option>
      {#each ladders as stroke (stroke)}<option>{stroke}</option>{/each}
    </select>
    <span>and its</span>
    <select
      class="select select-sm"
      aria-label="The rung it counts on"
      value={measure.rung ?? ''}
      onchange={(event) => {
        const rung = event.currentTarget.value as Measure['rung'] | ''
        change((own) => (own.rung = rung || undefined))
      }}
    >
      <option value="">{document.rung}, as the drill</option>
      {#each vocabulary.rungs as rung (rung)}<option>{rung}</option>{/each}
    </select>
    <span>.</span>
  </div>
  {#if wrong.length}<p class="text-error mt-1 text-sm" role="alert">{wrong.join(' ')}</p>{/if}
  {#if moves}
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <label for="{id}-criterion" class="text-sm">Right when</label>
      <select id="{id}-criterion" class="select select-sm w-auto" bind:value={criterion}>
        {#each vocabulary.criteria as kind (kind)}<option>{kind}</option>{/each}
      </select>
      {#if criterion === 'met before a line'}
        <select class="select select-sm w-auto" aria-label="Which line" bind:value={line}>
          {#each report.court.lines as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
        </select>
      {:else if criterion === 'feet in a box'}
        <select class="select select-sm w-auto" aria-label="Which box" bind:value={box}>
          {#each report.court.boxes as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
        </select>
      {/if}
      <button
        class="btn btn-sm"
        disabled={(measure.counts?.criteria?.length ?? 0) >= 4}
        onclick={addCriterion}>Add</button
      >
    </div>
    {#if said?.criteria.length}
      <ul class="mt-1 text-sm" aria-label="What makes it right">
        {#each said.criteria as each, i (i)}
          <li>
            {each.text}
            <button class="link" onclick={() => change((own) => own.counts?.criteria?.splice(i, 1))}
              >take it out<span class="sr-only">: {each.text}</span></button
            >
          </li>
        {/each}
      </ul>
    {/if}
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
  </details>
{/if}

<style>
  .sentence {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.35rem 0.3rem;
  }
  .sentence .select {
    width: auto;
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
