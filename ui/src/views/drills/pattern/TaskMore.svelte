<script lang="ts">
  import { noNumber, readNumber } from '../../../lib/fields/numbers'
  import type { DrillDocument, Report, Task, Vocabulary } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import LengthField from '../../../lib/fields/LengthField.svelte'
  import NumberField from '../../../lib/fields/NumberField.svelte'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'
  import { ownPlace } from './tasks'
  import { hasFrontWall } from '../../../court/kind'

  /** What else can be said of one task: its flight in figures, how it is fed, and where it comes. */
  interface Props {
    draft: Draft<DrillDocument>
    task: Task
    index: number
    report: Report
    vocabulary: Vocabulary
    errors: Record<string, string>
  }
  let { draft, task, index, report, vocabulary, errors }: Props = $props()
  const path = $derived(`pattern.tasks.${index}`)
  const error = (part: string) => errors[`${path}.${part}`]
  const set = (change: Partial<Task>) =>
    draft.change((d) => d.pattern.tasks[index] && Object.assign(d.pattern.tasks[index], change))
  /** The area in which a ball lands; none where it is no wider and no deeper than its place. */
  function around(change: Partial<NonNullable<Task['area']>>) {
    const area = { wide: 0, deep: 0, ...$state.snapshot(task.area), ...change }
    set({ area: area.wide > 0 || area.deep > 0 ? area : undefined })
  }
  const spins = $derived(vocabulary.sports.find((each) => each.sport === draft.document.sport)?.spins ?? [])
  const players = $derived(draft.document.places.filter((place) => place.kind === 'start').length)
  /** What was typed for the gap cannot be read: why. */
  let noGap = $state('')
  const some = (value: number) => (value > 0 ? value : undefined)
  const givens = {
    height: 'its highest point',
    clearance: 'over the net',
    speed: 'as it leaves',
    time: 'until it lands',
    wall: 'on the front wall',
  }
  const units = { height: 'm', clearance: 'm', speed: 'm/s', time: 's', wall: 'm' }
  const usual = { height: 3, clearance: 1, speed: 15, time: 1.2, wall: 2.4 }
  type By = keyof typeof givens
</script>

<details class="no-print mt-1">
  <summary class="cursor-pointer text-sm">more <span class="sr-only">about task {index + 1}</span></summary>
  <div class="mt-2 grid max-w-md grid-cols-2 gap-x-3 gap-y-1.5">
    <SelectField
      label="Kind"
      value={task.kind ?? 'ball'}
      options={vocabulary.kinds}
      onchange={(kind) => set({ kind })}
    />
    <TextField
      label="Gap after it, s"
      value={task.gap === undefined ? '' : String(task.gap)}
      error={noGap || error('gap')}
      onchange={(text) => {
        const gap = readNumber(text)
        noGap = text.trim() && gap === undefined ? noNumber(text) : ''
        if (!noGap) set({ gap })
      }}
    />
    <SelectField
      label="Flight chosen by"
      value={task.by ?? ''}
      options={[
        { value: '', label: 'its pace' },
        ...(Object.keys(givens) as By[]).filter((by) => by !== 'wall' || hasFrontWall(report.court)),
      ]}
      onchange={(by) =>
        set({ by: by === '' ? undefined : by, value: by === '' ? undefined : usual[by], pace: undefined })}
    />
    {#if task.by}
      {#if units[task.by] === 'm'}
        <LengthField
          label={givens[task.by]}
          metres={task.value ?? 0}
          error={error('value')}
          onchange={(value) => set({ value })}
        />
      {:else}
        <NumberField
          label={givens[task.by]}
          unit={units[task.by]}
          step={0.1}
          value={task.value ?? 0}
          error={error('value')}
          onchange={(value) => set({ value })}
        />
      {/if}
    {/if}
    <LengthField
      label="Leaves at (0: usual)"
      metres={task.height ?? 0}
      error={error('height')}
      onchange={(v) => set({ height: some(v) })}
    />
    <NumberField
      label="Spin (0: the word)"
      unit="rpm"
      step={100}
      value={task.rpm ?? 0}
      error={error('rpm')}
      onchange={(v) => set({ rpm: v || undefined })}
    />
    <SelectField
      label="Fed by"
      value={task.method ?? ''}
      options={[
        { value: '', label: 'as the pattern' },
        ...vocabulary.methods.map((method) => ({
          value: method,
          label: method === 'answer' ? 'the stroke before it' : method,
        })),
      ]}
      onchange={(method) => set({ method: method === '' ? undefined : method })}
    />
    <SelectField
      label="Reply: pace"
      value={task.replyPace ?? ''}
      options={[
        { value: '', label: task.stroke === 'serve' ? 'a second serve' : 'any' },
        ...vocabulary.paces.map((pace) => ({
          value: pace,
          label: task.stroke === 'serve' && pace === 'game pace' ? 'game pace: a first serve' : pace,
        })),
      ]}
      onchange={(pace) => set({ replyPace: pace === '' ? undefined : pace })}
    />
    <SelectField
      label="Reply: spin"
      value={task.replySpin ?? ''}
      options={[{ value: '', label: 'any' }, ...spins]}
      onchange={(spin) => set({ replySpin: spin === '' ? undefined : spin })}
    />
    <SelectField
      label="Comes to"
      value={task.toward ?? ''}
      options={[{ value: '', label: 'its place' }, ...vocabulary.bodies]}
      onchange={(toward) => set({ toward: toward === '' ? undefined : toward })}
    />
    <LengthField
      label="Anywhere, across (0: its place)"
      metres={task.area?.wide ?? 0}
      error={error('area.wide')}
      onchange={(wide) => around({ wide })}
    />
    <LengthField
      label="Anywhere, along (0: its place)"
      metres={task.area?.deep ?? 0}
      error={error('area.deep')}
      onchange={(deep) => around({ deep })}
    />
    {#if players > 1}
      <NumberField
        label="Whose, from 1"
        value={(task.player ?? 0) + 1}
        min={1}
        error={error('player')}
        onchange={(n) => set({ player: some(Math.round(n) - 1) })}
      />
    {/if}
    {#if draft.document.pattern.order === 'drawn by weight'}
      <NumberField
        label="How often, against the others"
        step={0.5}
        value={task.weight ?? 1}
        error={error('weight')}
        onchange={(weight) => set({ weight })}
      />
    {/if}
  </div>
  <label class="mt-2 flex items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="checkbox checkbox-xs"
      checked={task.meant ?? false}
      onchange={(event) => set({ meant: event.currentTarget.checked || undefined })}
    />
    overload on purpose<span class="sr-only">, task {index + 1}</span>
  </label>
  <label class="mt-1 flex items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="checkbox checkbox-xs"
      checked={Boolean(task.from)}
      onchange={(event) =>
        set({ from: event.currentTarget.checked ? ownPlace(report, 'feeder') : undefined })}
    />
    a feeder’s place of its own<span class="sr-only">, task {index + 1}</span>
  </label>
</details>
