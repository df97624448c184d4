<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import Court from '../court/Court.svelte'
  import type { Drawing, Frame } from '../court/view'
  import {
    answer,
    api,
    Refusal,
    why,
    type AnglesAsked,
    type Court as CourtShape,
    type Point,
    type Settings,
  } from '../lib/api/client'
  import { keys, vocabularyQuery } from '../lib/page/data'
  import LengthField from '../lib/fields/LengthField.svelte'
  import SelectField from '../lib/fields/SelectField.svelte'
  import SectorLayer from './SectorLayer.svelte'
  import { sign } from './sign'
  import { hasNet } from '../court/kind'

  /** How wide a ball can be played from two places, which can be moved. */
  interface Props {
    read: Settings
    courts: CourtShape[]
    asked: AnglesAsked
  }
  let { read, courts, asked }: Props = $props()
  const vocabulary = vocabularyQuery()
  const netted = $derived(courts.filter((each) => hasNet(each)))
  const court = $derived(netted.find((each) => each.id === asked.court) ?? netted[0])
  const query = createQuery(() => ({
    queryKey: keys.angles($state.snapshot(asked)),
    queryFn: () => answer(api.POST('/api/reckoner/angles', { body: $state.snapshot(asked) })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  }))
  const errors = $derived(query.error instanceof Refusal ? query.error.fields : {})
  const place = $derived(Object.entries(errors).find(([path]) => path.endsWith('.at'))?.[1])
  const high = $derived(Object.entries(errors).find(([path]) => path.endsWith('.high'))?.[1])
  const told = $derived(query.error ? undefined : query.data)
  const drawing = $derived.by(
    (): Drawing | undefined =>
      court && {
        court,
        feeds: [],
        noGo: [],
        noGoLines: [],
        measures: [],
        spots: asked.places.map((each, i) =>
          sign(String(i), i === 0 ? 'A' : 'B', each.at, 'a ball is struck here; can be moved'),
        ),
      },
  )

  /** On another court the places and the contact are where they were in proportion. */
  function choose(id: string) {
    const [was, chosen] = [court, netted.find((each) => each.id === id)]
    if (!was || !chosen) return
    const [along, across] = [chosen.length / was.length, chosen.singles / was.singles]
    const high: Record<string, number> = { badminton: 1.4, 'table-tennis': 0.2, pickleball: 0.7 }
    asked.court = id
    asked.spin = 'flat'
    asked.places = asked.places.map((each) => ({
      ...each,
      high: high[id] ?? 0.9,
      at: { x: each.at.x * across, y: each.at.y * along },
    }))
  }

  function move(handle: string, to: Point) {
    const moved = asked.places[Number(handle)]
    if (moved) moved.at = to
  }
</script>

{#snippet layer(frame: Frame, px: number)}
  {#if told}<SectorLayer sectors={told.sectors} {frame} {px} />{/if}
{/snippet}
<div class="angles">
  <div>
    <div class="grid grid-cols-2 gap-3">
      <SelectField
        label="Court"
        value={asked.court}
        options={netted.map((each) => ({ value: each.id, label: each.name }))}
        error={errors.court}
        onchange={choose}
      />
      <SelectField
        label="Pace"
        value={asked.pace}
        options={vocabulary.data?.paces ?? [asked.pace]}
        error={errors.pace}
        onchange={(pace) => (asked.pace = pace)}
      />
      <SelectField
        label="Spin"
        value={asked.spin ?? 'flat'}
        options={vocabulary.data?.sports.find((each) => each.sport === court?.sport)?.spins ?? ['flat']}
        onchange={(spin) => (asked.spin = spin)}
      />
      <LengthField
        label="Met, above the court"
        metres={asked.places[0]?.high ?? 1}
        error={high}
        onchange={(metres) => asked.places.forEach((each) => (each.high = metres))}
      />
      <LengthField
        label="Over the net, at least"
        metres={asked.over}
        error={errors.over}
        onchange={(metres) => (asked.over = metres)}
      />
      <LengthField
        label="Inside the lines, at least"
        metres={asked.inside}
        error={errors.inside}
        onchange={(metres) => (asked.inside = metres)}
      />
    </div>
    {#if query.error && (place || !Object.keys(errors).length)}
      <p class="text-error mt-3" role="alert">{place ?? why(query.error)}</p>
    {:else if told}
      <p class="mt-3 text-lg" role="status" aria-label="The answer">{told.change}</p>
      {#each told.said as said, i (i)}<p class="mt-2">{said}</p>{/each}
    {/if}
  </div>
  {#if drawing}
    <div class="drawn">
      <Court
        report={drawing}
        label="Angles on {court?.name}"
        under={layer}
        nudge={read.nudge}
        nudgeFine={read.nudgeFine}
        onmove={(handle, to) => move(handle, to.to)}
      />
      <p class="hint mt-1 text-sm">
        Move A and B: the widest balls of A are drawn through, those of B broken; a and b are where the other
        one waits between them.
      </p>
    </div>
  {/if}
</div>

<style>
  .angles {
    display: grid;
    gap: 1.5rem;
    grid-template-columns: minmax(0, 1fr) minmax(0, 22rem);
    align-items: start;
  }
  .drawn :global(svg) {
    width: min(100%, (100dvh - 14rem) * var(--shape));
    min-width: 0;
    max-width: none;
  }
  @media (max-width: 900px) {
    .angles {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
