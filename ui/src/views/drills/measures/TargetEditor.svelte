<script lang="ts">
  import type { MeasuredDraft } from '../versions/versionMeasures'
  import type { Report, Target } from '../../../lib/api/client'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'
  import Measured from './Measured.svelte'
  import { hasFrontWall } from '../../../court/kind'

  interface Props {
    draft: MeasuredDraft
    /** Which measure it is, from 0. */
    nth: number
    report: Report
    errors: Record<string, string>
    ontype: (path: string, text: string) => void
  }
  let { draft, nth, report, errors, ontype }: Props = $props()
  const target = $derived(draft.document.measures[nth]?.target)
  const said = $derived(report.measures[nth])
  const centre = $derived(said?.target?.centre ?? { x: 0, y: report.court.length / 4 })
  const path = $derived(`measures.${nth}.target`)
  const change = (alter: (target: Target) => void) =>
    draft.change((d) => {
      const own = d.measures[nth]?.target
      if (own) alter(own)
    })
  /** The sizes of this target, and of obstacles. */
  const sizes = $derived(
    report.sizes.filter((size) => !size.path.startsWith('measures.') || size.path.startsWith(`${path}.`)),
  )
  const walls = $derived(hasFrontWall(report.court))
  const kinds = $derived<Target['kind'][]>([
    'circle',
    'strip',
    'box',
    'polygon',
    'gate',
    'object',
    walls ? 'wall band' : 'window',
    'double bounce',
  ])
  const names = {
    circle: 'circle round a mark',
    strip: 'strip along a line',
    box: 'box',
    polygon: 'area with corners',
    gate: 'gate between two marks',
    object: 'cone or can',
    window: 'window above the net',
    'wall band': 'band on the front wall',
    'double bounce': 'two bounces in a box',
  }
  const labels: Record<string, string> = {
    radius: 'Within',
    across: 'Across',
    width: 'Wide (0 for all along)',
    depth: 'Deep',
    low: 'From',
    high: 'Up to',
  }
  const lines = $derived(
    report.court.lines.filter((line) => line.from.x !== 0 || line.from.y !== 0 || line.to.x !== 0),
  )

  /** A new shape starts where the old one is, with a size that can be seen. */
  function choose(kind: Target['kind'] | 'none') {
    if (kind === 'none') {
      draft.change((d) => d.measures[nth] && (d.measures[nth].target = undefined))
      return
    }
    const c = centre
    const here = target?.mark ?? { place: { x: c.x, y: c.y } }
    const beside = (dx: number, dy: number) => ({ place: { x: c.x + dx, y: c.y + dy } })
    const box = report.court.boxes.find((b) => b.id.startsWith('far')) ?? report.court.boxes[0]
    const line = lines.find((l) => l.id.startsWith('far') || l.id === 'short-line') ?? lines[0]
    const fresh: Record<Target['kind'], Partial<Target>> = {
      circle: { mark: here, radius: 1.2 },
      strip: { line: line?.id, depth: 1.2 },
      box: { box: box?.id },
      polygon: { points: [beside(-1, -1), beside(1, -1), beside(0, 1)] },
      gate: { mark: beside(-0.75, 0), other: beside(0.75, 0) },
      object: { mark: here, radius: 0.15 },
      window: { low: 0.3, high: 1.2 },
      'wall band': { low: 1.78, high: 3 },
      'double bounce': { box: box?.id },
    }
    const after = { kind, ...structuredClone($state.snapshot(fresh[kind])) }
    draft.change((d) => d.measures[nth] && (d.measures[nth].target = after))
  }
</script>

<div class="fields">
  <div>
    <SelectField
      label="Target"
      value={target?.kind ?? 'none'}
      options={[
        { value: 'none' as const, label: 'none: in is enough' },
        ...kinds.map((value) => ({ value, label: names[value] })),
      ]}
      onchange={choose}
    />
  </div>
  {#if target?.kind === 'strip'}
    <SelectField
      label="Along the"
      value={target.line ?? ''}
      options={lines.map((l) => ({ value: l.id, label: l.name }))}
      error={errors[`${path}.line`]}
      onchange={(line) => change((own) => (own.line = line))}
    />
  {/if}
  {#if target?.box}
    <SelectField
      label="Which"
      value={target.box}
      options={report.court.boxes.map((b) => ({ value: b.id, label: b.name }))}
      error={errors[`${path}.box`]}
      onchange={(box) => change((own) => (own.box = box))}
    />
  {/if}
  {#each sizes as size (size.path)}
    <TextField
      label={labels[size.label] ?? size.label}
      value={size.text}
      error={errors[size.path]}
      onchange={(text) => ontype(size.path, text)}
    />
  {/each}
  <SelectField
    label="Played by"
    value={draft.document.format ?? 'singles'}
    options={[
      { value: 'singles', label: 'one against one' },
      { value: 'doubles', label: 'pairs' },
    ]}
    onchange={(format) => draft.change((d) => (d.format = format))}
  />
</div>
{#if target?.kind === 'polygon'}
  <div class="mt-2 flex gap-2">
    <button
      class="btn btn-sm"
      onclick={() => change((own) => own.points?.push({ place: { x: centre.x, y: centre.y + 1.5 } }))}
      >Add a corner</button
    >
    <button
      class="btn btn-sm"
      disabled={(target.points?.length ?? 0) <= 3}
      onclick={() => change((own) => own.points?.pop())}>Drop the last corner</button
    >
  </div>
{/if}
{#if errors[`${path}.points`]}<p class="text-error mt-1" role="alert">{errors[`${path}.points`]}</p>{/if}
{#if said?.target}<Measured shape={said.measured} />{/if}
