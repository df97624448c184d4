<script lang="ts">
  import type { DrillDocument, Place, Report } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import TextField from '../../lib/TextField.svelte'
  import PassBy from './PassBy.svelte'

  /** People and things to be added to the court, and what an obstacle is like. */
  interface Props {
    draft: Draft<DrillDocument>
    report: Report
    errors: Record<string, string>
    ontype: (path: string, text: string) => void
  }
  let { draft, report, errors, ontype }: Props = $props()
  const kinds: Place['kind'][] = [
    'cone',
    'obstacle',
    'basket',
    'on deck',
    'queue',
    'opponent',
    'partner',
    'recovery',
    'start',
  ]
  let kind = $state<Place['kind']>('cone')
  const obstacles = $derived(
    draft.document.places.flatMap((place, i) => (place.kind === 'obstacle' ? [i] : [])),
  )

  function add(event: SubmitEvent) {
    event.preventDefault()
    const far = kind === 'opponent' || kind === 'partner'
    const place: Place = { kind, mark: { place: { x: 2, y: far ? 2.5 : -2.5 } } }
    draft.change((d) =>
      d.places.push(kind === 'obstacle' ? { ...place, size: 0.6, around: 'either' } : place),
    )
  }
</script>

<form class="flex flex-wrap items-center gap-2" onsubmit={add}>
  <select class="select select-sm w-40" aria-label="Somebody or something to add" bind:value={kind}>
    {#each kinds as each (each)}<option>{each}</option>{/each}
  </select>
  <button class="btn btn-sm" type="submit">Put it on court</button>
</form>
{#each obstacles as i, n (i)}
  <div class="mt-2 grid max-w-md grid-cols-2 gap-3">
    <TextField
      label="Obstacle {n + 1}: wide"
      value={report.sizes.find((size) => size.path === `places.${i}.size`)?.text ?? ''}
      error={errors[`places.${i}.size`]}
      onchange={(text) => ontype(`places.${i}.size`, text)}
    />
    <PassBy {draft} place={i} />
  </div>
{/each}
