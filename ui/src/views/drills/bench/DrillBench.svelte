<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import type { Snapped } from '../../../court/view'
  import { answer, api, isNew, type Drill, type DrillDocument, type Settings } from '../../../lib/api/client'
  import { keys, renew, vocabularyQuery } from '../../../lib/page/data'
  import { drafts } from '../../../lib/drafts/drafts.svelte'
  import Drums from '../../../lib/parts/Drums.svelte'
  import { inTab, onDevice } from '../../../lib/page/kept'
  import { notices } from '../../../lib/parts/notice.svelte'
  import PassOn from './PassOn.svelte'
  import SaveState from '../../../lib/drafts/SaveState.svelte'
  import { Bench, type Tab } from './bench.svelte'
  import BenchSide from './BenchSide.svelte'
  import CourtView from '../court/CourtView.svelte'
  import { Playback } from '../play/playback.svelte'
  import PlayControls from '../play/PlayControls.svelte'
  import ReadOff from '../court/ReadOff.svelte'
  import Tray from '../court/Tray.svelte'

  /** The court is the desk: it stands in full view, what is edited beside it, the counts at the foot. */
  interface Props {
    drill: Drill
    settings: Settings | undefined
  }
  let { drill, settings }: Props = $props()
  const client = useQueryClient()
  // The bench is made anew for every drill.
  // svelte-ignore state_referenced_locally
  const { id, builtIn } = drill
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('drill', id, drill)
  $effect(() => draft.offer(drill))
  const bench = new Bench(id, draft, builtIn)
  const report = $derived(bench.report)
  const simulation = $derived(bench.simulation)
  const vocabulary = vocabularyQuery()
  let view = $state<CourtView>()
  const playback = new Playback(() => simulation)
  /**
   * The height of the figures below: they take more than one row where the window is narrow, or their names are long.
   */
  let foot = $state(0)
  const way = 'hodometer.court'
  let lying = $state(onDevice.get(way) === 'lies')
  $effect(() => onDevice.set(way, lying ? 'lies' : 'stands'))
  // What is open outlives a reload of this drill, and begins with the balls on any other.
  const opened = `hodometer.bench.${id}`
  bench.tab = (inTab.get(opened) as Tab | null) ?? bench.tab
  $effect(() => inTab.set(opened, bench.tab))

  $effect(() => {
    void [bench.people, bench.hand, bench.student, bench.level, bench.steps]
    bench.ask()
  })

  /** Only a drag that has ended is a change, and only what did not snap is rounded. */
  function move(handle: string, place: Snapped, how: 'dragged' | 'dropped' | 'nudged') {
    if (how === 'dragged') bench.drag(handle, place)
    else bench.move(handle, place, how === 'dropped')
  }

  async function keepCopy(body: DrillDocument) {
    try {
      const path = { id: v7() }
      const copy = await answer(api.PUT('/api/drills/{id}', { params: { path, header: isNew }, body }))
      draft.settle('theirs') // what is here is in the copy now
      await renew(client, keys.drills)
      await push(`/drills/${copy.id}`)
      notices.done('Kept as a drill of its own.')
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function duplicate() {
    try {
      const copy = await answer(
        api.POST('/api/drills/{id}/duplicate', { params: { path: { id } }, body: { id: v7() } }),
      )
      await renew(client, keys.drills)
      await push(`/drills/${copy.id}`)
    } catch (error) {
      notices.wrong(error)
    }
  }

  function keyboard(event: KeyboardEvent) {
    if (
      builtIn ||
      !(event.ctrlKey || event.metaKey) ||
      event.target instanceof HTMLInputElement ||
      event.target instanceof HTMLTextAreaElement
    )
      return
    if (event.key === 'z' && !event.shiftKey) draft.undo()
    else if (event.key === 'y' || (event.key.toLowerCase() === 'z' && event.shiftKey)) draft.redo()
    else return
    event.preventDefault()
  }
</script>

<svelte:window onkeydown={keyboard} />
<div class="bench" class:lying style:--foot="{foot}px">
  <div class="head">
    <a class="link link-hover text-sm" href="#/drills">Drills</a>
    <h1>{draft.document.name}</h1>
    {#if builtIn}
      <span class="badge">built in</span>
    {:else}
      <SaveState
        {draft}
        busy={bench.asking.editing}
        onkeep={() => void keepCopy($state.snapshot(draft.document))}
      />
    {/if}
    <div class="ml-auto flex items-center gap-2">
      {#if !builtIn}
        <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => draft.undo()}>Undo</button>
        <button class="btn btn-sm" disabled={!draft.canRedo} onclick={() => draft.redo()}>Redo</button>
      {/if}
      <PassOn {id} name={draft.document.name} />
      <button class="btn btn-sm" class:btn-primary={builtIn} onclick={duplicate}
        >{builtIn ? 'Duplicate to change it' : 'Duplicate'}</button
      >
    </div>
  </div>
  <!-- What would be pressed stays where it is: nothing is shown before the court is there, unless it cannot be. -->
  {#if report || bench.asking.refusal}
    <div class="drawing">
      {#if report}
        <CourtView
          {report}
          label="{draft.document.name} on {report.court.name}"
          {settings}
          onmove={bench.fixed ? undefined : move}
          onpress={(handle) => bench.choose(handle)}
          onpoint={bench.fixed ? undefined : (at) => bench.press(at)}
          {simulation}
          aimed={bench.aimed}
          moment={playback.moment}
          bind:lying
          bind:this={view}
        >
          {#snippet readout()}<ReadOff moved={bench.moved} />{/snippet}
          {#snippet controls()}<PlayControls {playback} />{/snippet}
          {#snippet tray()}
            {#if !bench.fixed}
              <Tray
                court={report.court}
                armed={bench.armed}
                onarm={(kind) => (bench.armed = kind)}
                ondrop={(kind, x, y) => {
                  const at = view?.placeUnder(x, y)
                  if (at) bench.put(kind, at)
                }}
                onput={(kind, at) => bench.put(kind, at)}
              />
            {/if}
          {/snippet}
        </CourtView>
      {/if}
      {#if bench.asking.refusal && draft.status !== 'refused'}
        <p class="text-error text-sm" class:refused={report} role="alert">{bench.asking.refusal}</p>
      {/if}
      {#if !report}<button class="btn btn-sm mt-2" onclick={() => bench.ask()}>Try again</button>{/if}
    </div>
    <BenchSide {bench} vocabulary={vocabulary.data} />
    {#if report && simulation}<div class="foot" bind:offsetHeight={foot}>
        <Drums
          of="{bench.id} for {report.load.people}"
          metrics={[...report.metrics, ...simulation.metrics, ...(bench.worked?.playerFit.metrics ?? [])]}
        />
      </div>{/if}
  {:else}
    <p class="drawing" role="status">Loading…</p>
  {/if}
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.25rem 0.75rem;
    min-width: 0;
  }
  .drawing {
    position: relative;
  }
  /* No wider than the court above it. */
  .refused {
    width: 0;
    min-width: 100%;
  }
  .bench :global(.side) {
    grid-area: side;
  }
  .head {
    grid-area: head;
  }
  .drawing {
    grid-area: drawing;
  }
  .foot {
    grid-area: foot;
    min-width: 0;
  }
  @media screen and (min-width: 701px) {
    .bench {
      /* What is above and below the court: the head, the row of controls, the figures and the gaps. */
      --court-height: calc(max(100dvh, 35rem) - 7.2rem - max(var(--foot), 4.3rem));
      --court-width: calc(100vw - 4.5rem - 1.5rem - 1rem - 5.8rem - 21rem);
      display: grid;
      grid-template: 'head head' auto 'drawing side' minmax(0, 1fr) 'foot foot' auto / auto minmax(0, 1fr);
      gap: 0.4rem 1rem;
      height: max(calc(100dvh - 1rem), 34rem);
    }
    /* The tray lies below it, too. */
    .lying {
      --court-height: calc(max(100dvh, 35rem) - 10.1rem - max(var(--foot), 4.3rem));
      --court-width: calc(100vw - 4.5rem - 1.5rem - 1rem - 16.3rem);
    }
  }
  /* What needs putting right lies over the court, which stays where it is. */
  @media screen and (min-width: 701px) {
    .bench .head {
      position: relative;
      padding-block: 0;
    }
    .head :global(.trouble) {
      position: absolute;
      inset: 100% auto auto 0;
      width: max-content;
      max-width: min(30rem, 100%);
      z-index: 8;
      padding: 0.5rem 0.75rem;
      border: 1px solid var(--color-error);
      border-radius: var(--radius-box);
      background: var(--color-base-100);
    }
  }
  /* Beside a court that lies there is little room: what is opened lies over its edge. */
  @media screen and (min-width: 1101px) {
    .lying :global(.side.drawer) {
      justify-self: end;
      width: 32rem;
      z-index: 6;
      padding-left: 1rem;
      background: var(--color-base-100);
      border-left: 1px solid var(--color-base-300);
    }
  }
  /* A court that lies on a page that stands has the sequence below it. */
  @media screen and (min-width: 701px) and (max-width: 1100px) {
    .lying {
      --court-width: calc(100vw - 6rem);
      --court-height: 31dvh;
      grid-template: 'head' auto 'drawing' auto 'side' minmax(0, 1fr) 'foot' auto / minmax(0, 1fr);
    }
  }
  @media (max-width: 700px) {
    .bench {
      display: flex;
      flex-direction: column;
      gap: 0.5rem;
    }
    .head,
    .drawing {
      order: -2;
    }
    h1 {
      font-size: 1.15rem;
    }
  }
  @media print {
    .drawing {
      width: 7.5cm;
    }
  }
</style>
