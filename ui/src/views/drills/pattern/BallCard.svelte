<script lang="ts">
  import type { Derivation, Task, Vocabulary } from '../../../lib/api/client'
  import DerivationDialog from '../../../lib/parts/DerivationDialog.svelte'
  import LengthField from '../../../lib/fields/LengthField.svelte'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'
  import type { Bench } from '../bench/bench.svelte'
  import { ballsOf, madeOf, mostTasks } from '../measures/measures'
  import TaskMore from './TaskMore.svelte'
  import { ownPlace } from './tasks'
  import VerdictSign from '../play/VerdictSign.svelte'
  import { hasNet } from '../../../court/kind'

  /** One task of a sequence: its few choices, what becomes of it, and the rest on opening. */
  interface Props {
    bench: Bench
    index: number
    vocabulary: Vocabulary
  }
  let { bench, index, vocabulary }: Props = $props()
  let derivation = $state<Derivation | null>(null)
  const draft = $derived(bench.draft)
  const report = $derived(bench.report)
  const task = $derived(bench.pattern.tasks[index])
  const name = $derived(`Task ${index + 1}`)
  const explained = $derived(bench.simulation?.tasks.find((each) => each.met.task === index))
  const met = $derived(explained?.met)
  const tens = $derived(madeOf(bench.fits, index))
  const speed = $derived(ballsOf(bench.fits, index)[0]?.speed)
  const words = $derived(vocabulary.sports.find((each) => each.sport === draft.document.sport))
  const comes = $derived((task?.kind ?? 'ball') === 'ball' || task?.kind === 'catch')
  /** The words of the sport, and the one that is there where it is of another. */
  const known = (list: readonly string[] | undefined, own: string | undefined) => [
    ...new Set([...(list ?? []), ...(own ? [own] : [])]),
  ]
  const set = (change: Partial<Task>) =>
    draft.change((d) => d.pattern.tasks[index] && Object.assign(d.pattern.tasks[index], change))
  const own = (like: 'target' | 'start') => report && ownPlace(report, like)
  /** Where the reply goes: to the target, to a place of its own, or to one in words. */
  function replyTo(where: string) {
    const place = words?.replies.find((each) => each.place === where)?.place
    if (place) bench.edit({ reply: { task: index, place } })
    else set({ reply: where ? own('target') : undefined })
  }
  const error = (part: string) => bench.errors[`pattern.tasks.${index}.${part}`]
  const usual = (label: string) => ({ value: '', label })
</script>

{#if task && report}
  <section class="card-of bg-base-100 border-base-300 rounded-box border p-3" aria-label={name}>
    <div class="flex items-baseline gap-2">
      <h3 class="font-semibold">
        <span class="drum-digits text-2xl">{index + 1}</span>
        {task.stroke}
      </h3>
      <span class="no-print ml-auto flex gap-1">
        {#if !bench.fixed}
          <button
            class="btn btn-xs"
            disabled={index === 0}
            onclick={() => bench.shift(index, -1)}
            aria-label="{name} earlier">↑</button
          >
          <button
            class="btn btn-xs"
            disabled={bench.pattern.tasks.length < 2}
            onclick={() => bench.drop(index)}
            aria-label="Drop {name}">−</button
          >
          <button
            class="btn btn-xs"
            disabled={bench.pattern.tasks.length >= mostTasks}
            onclick={() => bench.open(bench.addAfter(index))}
            aria-label="Add one after {name}">+</button
          >
        {/if}
        <button class="btn btn-xs" onclick={() => bench.open(undefined)} aria-label="Close {name}">×</button>
      </span>
    </div>
    <div class="becomes text-sm">
      {#if met?.problem}
        <p class="text-error" role="alert">{met.problem}</p>
      {:else if met}
        <p class="flex flex-wrap items-center">
          <VerdictSign verdict={met.verdict} />{met.meant ? ', as you mean it' : ''}{tens === undefined
            ? ''
            : `; made ${tens.toFixed(1)} of 10`}
        </p>
        {#if met.late}<p>met later than wanted, for want of time</p>{/if}
        {#each explained?.notes ?? [] as note, i (i)}<p role="note">{note}</p>{/each}
        {#if met.slower}<p>slower than its pace, to clear the net</p>{/if}
      {/if}
    </div>
    <fieldset class="mt-2 grid grid-cols-2 gap-x-3 gap-y-1.5" disabled={bench.fixed}>
      <legend class="sr-only">Choices of {name}</legend>
      <SelectField
        label="Stroke"
        value={task.stroke as string}
        options={known(words?.strokes, task.stroke)}
        onchange={(stroke) => bench.edit({ stroke: { task: index, stroke: stroke as Task['stroke'] } })}
      />
      {#if comes}
        <SelectField
          label="Pace"
          value={(task.by ? '' : (task.pace ?? '')) as string}
          options={[usual(task.by ? `by ${task.by}` : 'usual'), ...vocabulary.paces]}
          onchange={(pace) =>
            set({ pace: (pace || undefined) as Task['pace'], by: undefined, value: undefined })}
        />
        <SelectField
          label="Spin"
          value={(task.spin ?? '') as string}
          options={[usual('none'), ...known(words?.spins, task.spin).filter((spin) => spin !== 'flat')]}
          onchange={(spin) => set({ spin: (spin || undefined) as Task['spin'] })}
        />
        {#if hasNet(report.court)}
          <LengthField
            label="Over the net"
            metres={task.by === 'clearance'
              ? (task.value ?? 0)
              : Math.round((met?.clearance ?? 0) * 100) / 100}
            error={task.by === 'clearance' ? error('value') : undefined}
            onchange={(value) =>
              set(
                value > 0 ? { by: 'clearance', value, pace: undefined } : { by: undefined, value: undefined },
              )}
          />
        {/if}
        <SelectField
          label="Met"
          value={(task.contact ?? '') as string}
          options={[usual('as usual'), ...vocabulary.moments]}
          onchange={(contact) =>
            set({
              contact: (contact || undefined) as Task['contact'],
              at: contact === 'at a height' ? (task.at ?? 0.8) : undefined,
            })}
        />
        {#if task.contact === 'at a height'}
          <LengthField
            label="Met at"
            metres={task.at ?? 0}
            error={error('at')}
            onchange={(at) => set({ at })}
          />
        {/if}
      {/if}
      <TextField
        label="Feet"
        value={task.stance ?? ''}
        error={error('stance')}
        onchange={(stance) => set({ stance: stance || undefined })}
      />
      {#if comes && bench.pattern.tasks[index + 1]?.method !== 'answer'}
        <SelectField
          label="The reply goes"
          wide
          value={task.reply
            ? (bench.worked?.replies.find((each) => each.task === index)?.place ?? 'own')
            : ''}
          options={[
            usual('to the target'),
            ...(words?.replies ?? []).map((each) => ({ value: each.place as string, label: each.words })),
            { value: 'own', label: 'its own place' },
          ]}
          error={error('reply')}
          onchange={replyTo}
        />
      {/if}
      <SelectField
        label="Then back"
        wide
        value={task.recover ? 'own' : ''}
        options={[usual('as always'), { value: 'own', label: 'its own place' }]}
        onchange={(where) => set({ recover: where ? own('start') : undefined })}
      />
    </fieldset>
    {#if task.reply || task.recover}<p class="hint text-sm">Drag its sign on the court.</p>{/if}
    {#if !bench.fixed}<TaskMore {draft} {task} {index} {report} {vocabulary} errors={bench.errors} />{/if}
    {#if met && !met.problem}
      <details class="mt-1">
        <summary class="cursor-pointer text-sm">its figures</summary>
        <dl class="mt-1 flex flex-wrap gap-x-3 text-sm">
          {#if speed}
            <div class="flex gap-1">
              <dt>{met.served ? 'served' : 'answered'} at</dt>
              <dd class="font-medium">{speed.toFixed(1)} m/s</dd>
            </div>
          {/if}
          {#each explained?.facts ?? [] as fact, n (n)}
            <div class="flex gap-1">
              <dt>{fact.name}</dt>
              <dd class="font-medium">{fact.value}</dd>
            </div>
          {/each}
        </dl>
      </details>
      <span class="no-print mt-1 flex gap-4">
        <button class="link min-h-6 min-w-6" onclick={() => (derivation = explained?.flight ?? null)}
          >flight <span class="sr-only">of {name}</span></button
        >
        <button class="link min-h-6 min-w-6" onclick={() => (derivation = explained?.running ?? null)}
          >run <span class="sr-only">of {name}</span></button
        >
      </span>
    {/if}
  </section>
  <DerivationDialog {derivation} onclose={() => (derivation = null)} />
{/if}

<style>
  .becomes {
    min-height: 1.4rem;
  }
</style>
