<script lang="ts">
  import { tick } from 'svelte'
  import type {
    DrillDocument,
    MeasureFit,
    Simulation,
    Report,
    Task,
    Derivation,
    Vocabulary,
  } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import DerivationDialog from '../../lib/DerivationDialog.svelte'
  import { moveTasks, wrongAt } from './measures'
  import TaskMore from './TaskMore.svelte'
  import VerdictSign from './VerdictSign.svelte'

  /** The tasks of a sequence as rows to be edited, each with what the turn makes of it. */
  interface Props {
    draft: Draft<DrillDocument>
    simulation: Simulation | undefined
    /** What whoever it is tried on makes of each measure. */
    fit: MeasureFit[]
    vocabulary: Vocabulary | undefined
    report: Report | undefined
    builtIn: boolean
    /** A variation is being tried: rows show it and cannot be changed. */
    tried: DrillDocument | undefined
    errors: Record<string, string>
  }
  let { draft, simulation, fit, vocabulary, report, builtIn, tried, errors }: Props = $props()
  const pattern = $derived((tried ?? draft.document).pattern)
  const fixed = $derived(builtIn || Boolean(tried))
  let derivation = $state<Derivation | null>(null)
  let table = $state<HTMLTableElement>()
  /** The strokes of the sport, and the one that is there where it is of another. */
  const strokesFor = (own: string) => {
    const words = vocabulary?.sports.find((each) => each.sport === draft.document.sport)
    return [...new Set([...(words?.strokes ?? []), own])]
  }
  const spinsFor = (own: string | undefined) => {
    const words = vocabulary?.sports.find((each) => each.sport === draft.document.sport)
    return [...new Set([...(words?.spins ?? []), ...(own ? [own] : [])])]
  }
  const most = 60

  /** The balls of a task in the first measure that it belongs to. */
  const ballsOf = (task: number) =>
    fit.find((m) => m.balls.some((b) => b.task === task))?.balls.filter((b) => b.task === task) ?? []
  /** How many of ten balls of a task are made; undefined where that is not known. */
  function made(task: number) {
    const balls = ballsOf(task)
    if (!balls.length) return undefined
    return (10 * balls.reduce((sum, b) => sum + b.chance, 0)) / balls.length
  }
  const explained = (task: number) => simulation?.tasks.find((each) => each.met.task === task)
  const set = (i: number, change: Partial<Task>) =>
    draft.change((d) => d.pattern.tasks[i] && Object.assign(d.pattern.tasks[i], change))

  /** The fields of a row, without those behind its "more". */
  const fieldsOf = (i: number) =>
    [...(table?.tBodies[0]?.rows[i]?.querySelectorAll<HTMLElement>('select, input') ?? [])].filter(
      (field) => !field.closest('details'),
    )

  async function focusRow(i: number, column = 0) {
    await tick()
    fieldsOf(i)[column]?.focus()
  }

  function add(after: number) {
    if (pattern.tasks.length >= most) return
    draft.change((d) =>
      moveTasks(d, (tasks) => {
        const like = tasks[after]
        if (like) tasks.splice(after + 1, 0, structuredClone(like))
      }),
    )
    void focusRow(after + 1)
  }

  function remove(i: number) {
    if (pattern.tasks.length < 2) return
    draft.change((d) => moveTasks(d, (tasks) => tasks.splice(i, 1)))
    void focusRow(Math.min(i, pattern.tasks.length - 1))
  }

  function shift(i: number, by: number) {
    const to = i + by
    if (to < 0 || to >= pattern.tasks.length) return
    draft.change((d) =>
      moveTasks(d, (tasks) => {
        const [moved] = tasks.splice(i, 1)
        if (moved) tasks.splice(to, 0, moved)
      }),
    )
    void focusRow(to)
  }

  /** Enter adds a row below, up and down go from row to row, with Alt they take the row along. */
  function key(event: KeyboardEvent, i: number) {
    if (fixed) return
    const field = event.target as HTMLElement
    if (field.closest('details, button')) return
    const column = Math.max(0, fieldsOf(i).indexOf(field))
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0
    if (event.key === 'Enter') add(i)
    else if (by && event.altKey) shift(i, by)
    else if (by && !event.shiftKey) void focusRow(i + by, column)
    else if (event.key === 'Delete' && event.ctrlKey) remove(i)
    else return
    event.preventDefault()
  }

  const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')))
  const wrong = (i: number) => wrongAt(errors, `pattern.tasks.${i}`)
</script>

{#snippet choice(
  label: string,
  value: string | undefined,
  usual: string,
  options: readonly string[],
  onchange: (value: string) => void,
)}
  <select
    class="select select-xs w-auto max-w-36"
    aria-label={label}
    value={value ?? ''}
    disabled={fixed}
    onchange={(event) => onchange(event.currentTarget.value)}
  >
    {#if usual}<option value="">{usual}</option>{/if}
    {#each options as option (option)}<option>{option}</option>{/each}
  </select>
{/snippet}

<div class="overflow-x-auto">
  <table class="table-sm table" bind:this={table}>
    <caption class="sr-only">The tasks of one sequence, in order</caption>
    <thead>
      <tr>
        <th scope="col">#</th><th scope="col">Task</th><th scope="col">What becomes of it</th>
        <th scope="col"><span class="sr-only">Row</span></th>
      </tr>
    </thead>
    <tbody>
      {#each pattern.tasks as task, i (i)}
        {@const interception = explained(i)?.met}
        {@const name = `Task ${i + 1}`}
        <tr onkeydown={(event) => key(event, i)}>
          <th scope="row" class="drum-digits align-top text-xl">{i + 1}</th>
          <td class="align-top">
            <div class="flex flex-wrap gap-1">
              {@render choice(`${name}: kind`, task.kind ?? 'ball', '', vocabulary?.kinds ?? [], (v) =>
                set(i, { kind: v as Task['kind'] }),
              )}
              {@render choice(`${name}: stroke`, task.stroke, '', strokesFor(task.stroke), (v) =>
                set(i, { stroke: v as Task['stroke'] }),
              )}
              {#if (task.kind ?? 'ball') === 'ball' || task.kind === 'catch'}
                {@render choice(
                  `${name}: pace`,
                  task.by ? '' : task.pace,
                  task.by ? `by ${task.by}` : 'usual pace',
                  vocabulary?.paces ?? [],
                  (v) => set(i, { pace: (v || undefined) as Task['pace'], by: undefined, value: undefined }),
                )}
                {@render choice(
                  `${name}: spin`,
                  task.spin,
                  'no spin',
                  spinsFor(task.spin).filter((s) => s !== 'flat'),
                  (v) => set(i, { spin: (v || undefined) as Task['spin'] }),
                )}
                {@render choice(
                  `${name}: met`,
                  task.contact,
                  'met as usual',
                  vocabulary?.moments ?? [],
                  (v) =>
                    set(i, {
                      contact: (v || undefined) as Task['contact'],
                      at: v === 'at a height' ? (task.at ?? 0.8) : undefined,
                    }),
                )}
              {/if}
              <label class="flex items-center gap-1 text-sm">
                <span class="sr-only">{name}: gap after it, seconds</span>
                <input
                  class="input input-xs w-14"
                  inputmode="decimal"
                  placeholder={String(pattern.gap)}
                  value={task.gap ?? ''}
                  disabled={fixed}
                  onchange={(event) => set(i, { gap: number(event.currentTarget.value) })}
                /> s
              </label>
              <label class="flex items-center gap-1 text-sm">
                <input
                  type="checkbox"
                  class="checkbox checkbox-xs"
                  checked={task.meant ?? false}
                  disabled={fixed}
                  onchange={(event) => set(i, { meant: event.currentTarget.checked || undefined })}
                />
                overload on purpose<span class="sr-only">, {name}</span>
              </label>
            </div>
            {#if !fixed && vocabulary && report}<TaskMore
                {draft}
                {task}
                index={i}
                {report}
                {vocabulary}
                players={draft.document.places.filter((place) => place.kind === 'start').length}
              />{/if}
            {#if task.stance}<p class="hint text-sm">Feet: {task.stance}</p>{/if}
            {#if wrong(i)}<p class="text-error text-sm" role="alert">{wrong(i)}</p>{/if}
          </td>
          <td class="align-top text-sm">
            {#if interception?.problem}
              <p class="text-error" role="alert">{interception.problem}</p>
            {:else if interception}
              <VerdictSign verdict={interception.verdict} />{interception.meant ? ', as you mean it' : ''}
              {#if interception.late}<p>met later than wanted, for want of time</p>{/if}
              {#if interception.slower}<p>slower than its pace, to clear the net</p>{/if}
              {@const tens = made(i)}
              {@const speed = ballsOf(i)[0]?.speed}
              <dl class="flex flex-wrap gap-x-3">
                {#if tens !== undefined}
                  <div class="flex gap-1">
                    <dt>made</dt>
                    <dd class="font-medium">{tens.toFixed(1)} of 10</dd>
                  </div>
                {/if}
                {#if speed}
                  <div class="flex gap-1">
                    <dt>{interception.served ? 'served' : 'answered'} at</dt>
                    <dd class="font-medium">{speed.toFixed(1)} m/s</dd>
                  </div>
                {/if}
                {#each explained(i)?.facts ?? [] as fact, n (n)}
                  <div class="flex gap-1">
                    <dt>{fact.name}</dt>
                    <dd class="font-medium">{fact.value}</dd>
                  </div>
                {/each}
              </dl>
              <span class="no-print flex gap-3">
                <button class="link" onclick={() => (derivation = explained(i)?.flight ?? null)}
                  >flight<span class="sr-only"> of {name}</span></button
                >
                <button class="link" onclick={() => (derivation = explained(i)?.running ?? null)}
                  >run<span class="sr-only"> of {name}</span></button
                >
              </span>
            {/if}
          </td>
          <td class="no-print align-top whitespace-nowrap">
            {#if !fixed}
              <button
                class="btn btn-xs"
                disabled={i === 0}
                onclick={() => shift(i, -1)}
                aria-label="{name} earlier">↑</button
              >
              <button
                class="btn btn-xs"
                disabled={pattern.tasks.length < 2}
                onclick={() => remove(i)}
                aria-label="Drop {name}">−</button
              >
              <button
                class="btn btn-xs"
                disabled={pattern.tasks.length >= most}
                onclick={() => add(i)}
                aria-label="Add one after {name}">+</button
              >
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if !fixed}<p class="hint no-print text-sm">
    Enter adds one below; ↑ and ↓ go from row to row, with Alt they take it along; Ctrl and Delete drop it.
  </p>{/if}
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
