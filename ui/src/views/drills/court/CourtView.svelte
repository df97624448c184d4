<script lang="ts">
  import type { Snippet } from 'svelte'
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import {
    answer,
    api,
    over,
    type Aimed,
    type Point,
    type Simulation,
    type Report,
    type Settings,
  } from '../../../lib/api/client'
  import Court from '../../../court/Court.svelte'
  import SimulationLayer from '../../../court/SimulationLayer.svelte'
  import ScatterLayer from '../../../court/ScatterLayer.svelte'
  import type { Moment } from '../../../court/simulation'
  import type { Crop, Frame, Snapped } from '../../../court/view'
  import { keys, renew } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import { hasNet, hasFrontWall } from '../../../court/kind'

  /** The court of the bench with what can be chosen about the way it is shown. */
  interface Props {
    report: Report
    label: string
    settings: Settings | undefined
    onmove?: (handle: string, place: Snapped, how: 'dragged' | 'dropped' | 'nudged') => void
    /** A sign was pressed, and not moved. */
    onpress?: (handle: string) => void
    /** A place on the court was pressed. */
    onpoint?: (place: Point) => void
    /** The turn that is played, and the moment of it that is shown. */
    simulation?: Simulation
    moment?: Moment | null
    /** Where balls aimed at the target land. */
    aimed?: Aimed
    /** The court is drawn with its length across the page. */
    lying: boolean
    /** What stands right below the court, before how it is shown. */
    controls?: Snippet
    /** What stands below them. */
    tray?: Snippet
    /** What stands over the foot of the court while a place is dragged. */
    readout?: Snippet
  }
  let {
    report,
    label,
    settings,
    onmove,
    onpress,
    onpoint,
    simulation,
    moment = null,
    aimed,
    lying = $bindable(),
    controls,
    tray,
    readout,
  }: Props = $props()
  const client = useQueryClient()

  /** The place under a pixel of the screen; undefined beside the court. */
  export const placeUnder = (x: number, y: number) => court?.placeUnder(x, y)

  // A band on a wall can only be seen where the walls are.
  // svelte-ignore state_referenced_locally
  let shown = $state(report.measures.some((m) => m.target?.kind === 'wall band') ? 'walls' : 'all')
  const crop = $derived<Crop>(
    shown === 'all' || shown === 'walls' || shown === 'near half' || shown === 'far half'
      ? shown
      : { box: shown },
  )
  let turned = $state(false)
  let court = $state<Court>()
  let menu = $state<HTMLDetailsElement>()
  const ahead = $derived(lying ? (turned ? 'left' : 'right') : turned ? 'down' : 'up')
  let scheme = $state('')
  const id = $props.id()

  const query = createQuery(() => ({
    queryKey: keys.regions(report.court.id),
    queryFn: () => answer(api.GET('/api/courts/{id}/regions', { params: { path: { id: report.court.id } } })),
  }))
  const regions = $derived(query.data?.find((each) => each.name === scheme))

  /** Where each ball is met, to be dragged along its way. */
  const contacts = $derived<Report['spots']>(
    (simulation?.tasks ?? []).flatMap((task) => {
      if (!task.met.where || simulation?.timeline.runners.length !== 1) return []
      const { x, y } = task.met.where
      const label = `ball ${task.met.task + 1} is met`
      const handle = `pattern.tasks.${task.met.task}.contact`
      const place = { at: { x, y }, mark: {}, parts: [], removable: false, size: 0 }
      return [{ handle, label, description: task.sentence, ...place }]
    }),
  )

  async function number(numbering: Settings['settings']['numbering']) {
    if (!settings) return
    try {
      const body = { ...settings.settings, numbering }
      const stored = await answer(
        api.PUT('/api/settings', { params: { header: over(settings.revision) }, body }),
      )
      client.setQueryData(keys.settings, stored)
      await renew(client, ['regions'])
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

{#snippet under(frame: Frame, px: number)}
  {#if aimed && crop !== 'walls'}<ScatterLayer {aimed} {frame} {px} />{/if}
  {#if simulation}<SimulationLayer {simulation} {frame} {px} {moment} />{/if}
{/snippet}
<div class="view" class:lying>
  <div class="relative court-of">
    <Court
      bind:this={court}
      {report}
      {label}
      {crop}
      {ahead}
      {regions}
      nudge={settings?.nudge}
      nudgeFine={settings?.nudgeFine}
      {onmove}
      {onpress}
      {onpoint}
      {under}
      more={contacts}
    />
    {@render readout?.()}
  </div>
  <div class="below no-print">
    {@render controls?.()}
    <details class="dropdown dropdown-top dropdown-end" bind:this={menu}>
      <summary class="btn btn-sm">View</summary>
      <div class="choices dropdown-content bg-base-100 border-base-300 rounded-box border p-3 shadow-lg">
        <label for="{id}-way">The court</label>
        <select
          id="{id}-way"
          class="select select-sm"
          value={lying ? 'lies' : 'stands'}
          onchange={(event) => (lying = event.currentTarget.value === 'lies')}
        >
          <option>stands</option><option>lies</option>
        </select>
        <label for="{id}-end">Nearest end</label>
        <select
          id="{id}-end"
          class="select select-sm"
          value={turned ? 'far' : 'near'}
          onchange={(event) => (turned = event.currentTarget.value === 'far')}
        >
          <option value="near">the student's</option><option value="far">the feeder's</option>
        </select>
        <label for="{id}-crop">Show</label>
        <select id="{id}-crop" class="select select-sm" bind:value={shown}>
          <option value="all">the whole court</option>
          {#if hasFrontWall(report.court)}<option value="walls">the floor and the walls laid flat</option
            >{/if}
          {#if hasNet(report.court)}<option value="near half">the near half</option><option value="far half"
              >the far half</option
            >{/if}
          {#each report.court.boxes.filter((box) => !box.id.endsWith('-half') || !hasNet(report.court)) as box (box.id)}<option
              value={box.id}>{box.name}</option
            >{/each}
        </select>
        <label for="{id}-regions">Regions</label>
        <select id="{id}-regions" class="select select-sm" bind:value={scheme}>
          <option value="">none</option>
          {#each query.data ?? [] as each, i (i)}<option value={each.name}
              >{each.name}{each.own ? ' (your own)' : ''}</option
            >{/each}
        </select>
        {#if regions && settings}
          <label for="{id}-numbering">Numbered</label>
          <select
            id="{id}-numbering"
            class="select select-sm"
            value={settings.settings.numbering}
            onchange={(event) => void number(event.currentTarget.value as Settings['settings']['numbering'])}
          >
            <option>from the net out</option><option>from the baseline in</option>
          </select>
        {/if}
        {#if regions}
          <ol class="mt-1 text-sm" aria-label="Depth regions, from the net out">
            {#each regions.bands as band, i (i)}<li>
                <span class="drum-digits">{band.number}</span>
                {band.name}{band.purpose ? `: ${band.purpose}` : ''}
              </li>{/each}
          </ol>
        {/if}
      </div>
    </details>
  </div>
  {#if tray}<div class="tray-of no-print">{@render tray()}</div>{/if}
</div>

<style>
  .view {
    display: grid;
    gap: 0 0.5rem;
    grid-template: 'court' auto 'below' auto 'tray' auto / auto;
  }
  .court-of {
    grid-area: court;
  }
  .below {
    grid-area: below;
  }
  .tray-of {
    grid-area: tray;
    margin-top: 0.35rem;
    width: 0;
    min-width: 100%;
  }
  /* Beside a court that stands there is room for a column. */
  @media (min-width: 701px) {
    .view:not(.lying) {
      grid-template: 'court tray' auto 'below below' auto / auto 5.8rem;
    }
    .view:not(.lying) .tray-of {
      margin: 0;
    }
    .view:not(.lying) .tray-of > :global(.tray) {
      flex-direction: column;
    }
  }
  .below {
    display: flex;
    gap: 0.35rem;
    margin-top: 0.35rem;
    /* No wider than the court above it. */
    width: 0;
    min-width: 100%;
  }
  .choices {
    z-index: 7;
    width: min(20rem, 85vw);
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0.25rem 0.5rem;
    align-items: center;
    font-size: 0.9375rem;
  }
</style>
