<script lang="ts">
  import type { DrillDocument, Report, Target } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import SelectField from '../../lib/SelectField.svelte'
  import TextField from '../../lib/TextField.svelte'
  import Measured from './Measured.svelte'

  interface Props {
    draft: Draft<DrillDocument>
    report: Report
    errors: Record<string, string>
    ontype: (path: string, text: string) => void
  }
  let { draft, report, errors, ontype }: Props = $props()
  const target = $derived(draft.document.target)
  const squash = $derived(report.court.walls.length > 0)
  const kinds = $derived<Target['kind'][]>([
    'circle',
    'strip',
    'box',
    'polygon',
    'gate',
    'object',
    squash ? 'wall band' : 'window',
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
  function choose(kind: Target['kind']) {
    const c = report.target.centre
    const here = target.mark ?? { place: { x: c.x, y: c.y } }
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
    draft.change((d) => (d.target = { kind, ...structuredClone($state.snapshot(fresh[kind])) }))
  }
</script>

<div class="grid grid-cols-2 gap-3 md:grid-cols-4">
  <div class="col-span-2">
    <SelectField
      label="Target"
      value={target.kind}
      options={kinds.map((value) => ({ value, label: names[value] }))}
      onchange={choose}
    />
  </div>
  {#if target.kind === 'strip'}
    <SelectField
      label="Along the"
      value={target.line ?? ''}
      options={lines.map((l) => ({ value: l.id, label: l.name }))}
      error={errors['target.line']}
      onchange={(line) => draft.change((d) => (d.target.line = line))}
    />
  {/if}
  {#if target.box}
    <SelectField
      label="Which"
      value={target.box}
      options={report.court.boxes.map((b) => ({ value: b.id, label: b.name }))}
      error={errors['target.box']}
      onchange={(box) => draft.change((d) => (d.target.box = box))}
    />
  {/if}
  {#each report.sizes as size (size.path)}
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
{#if target.kind === 'polygon'}
  <div class="mt-2 flex gap-2">
    <button
      class="btn btn-sm"
      onclick={() =>
        draft.change((d) =>
          d.target.points?.push({ place: { x: report.target.centre.x, y: report.target.centre.y + 1.5 } }),
        )}>Add a corner</button
    >
    <button
      class="btn btn-sm"
      disabled={(target.points?.length ?? 0) <= 3}
      onclick={() => draft.change((d) => d.target.points?.pop())}>Drop the last corner</button
    >
  </div>
{/if}
{#if errors['target.points']}<p class="text-error mt-1" role="alert">{errors['target.points']}</p>{/if}
<Measured shape={report.measured} />
