<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { onMount } from 'svelte'
  import { push } from 'svelte-spa-router'
  import type { Courtside } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import { onDevice } from '../../lib/page/kept'
  import { minutes } from '../../lib/words/words'
  import { notices } from '../../lib/parts/notice.svelte'
  import Part from '../../lib/parts/Part.svelte'
  import Road from '../../road/Road.svelte'
  import BlockGames from './BlockGames.svelte'
  import CannotKeep from './CannotKeep.svelte'
  import Counting from './Counting.svelte'
  import CourtsideFoot from './CourtsideFoot.svelte'
  import MoreDialog from './MoreDialog.svelte'
  import NotTold from './NotTold.svelte'
  import NowAndNext from './NowAndNext.svelte'
  import TimeLeft from './TimeLeft.svelte'
  import { Run, type Device } from './courtside.svelte'
  import { callsBetween, goalsMet, limitsNear, type Moment } from './aloud'
  import { Gear } from './gear.svelte'
  import GearStrip from './GearStrip.svelte'
  import Said from './Said.svelte'
  import { keepAwake } from './signals'
  import StandPicture from './StandPicture.svelte'
  import { turns } from './counting'
  import { played } from './played'
  import { Voice } from './voice.svelte'
  import WhoIsHere from './WhoIsHere.svelte'

  interface Props {
    first: Courtside
    device: Device
  }
  let { first, device }: Props = $props()
  const client = useQueryClient()
  // One run for as long as the view is open.
  // svelte-ignore state_referenced_locally
  const run = new Run(first, device)
  /** Seconds late from which it is offered to shorten what is left. */
  const worthCatchingUp = 15
  const voice = new Voice()
  let more = $state<MoreDialog>()
  /** Whose turn it is: it stays theirs when the drill is changed. */
  let turn = $state('')
  let quiet = $state(onDevice.get('hodometer.quiet') === 'on')

  const scheduled = $derived(run.scheduled)
  const blockCounters = $derived(run.counters.filter((counter) => counter.block === scheduled?.block))
  const over = $derived(run.over)
  /**
   * Of whom a device would count balls, whoever's turn it is first: at the measure whose turn it is, where this device
   * counts them.
   */
  const inTurn = $derived.by(() => {
    const all = turns(blockCounters).flatMap(({ student }) =>
      blockCounters.filter((each) => each.student === student && each.on).slice(0, 1),
    )
    const at = Math.max(
      0,
      all.findIndex((each) => each.student === turn),
    )
    return [...all.slice(at), ...all.slice(0, at)]
  })
  const aimed = $derived(inTurn.some((each) => each.aim != null && each.unit === 'ball'))
  const onNow = $derived.by(() => {
    const block = run.data.lesson.document.blocks.find(({ id }) => id === scheduled?.block)
    if (!block || !scheduled || over) return undefined
    const planned = scheduled.load?.balls ?? 0
    return {
      block,
      title: scheduled.title,
      played: played(block, run.roles?.roles ?? []),
      running: run.running,
      planned,
      counters: inTurn,
    }
  })
  const gear = new Gear({
    lesson: run.data.lesson.id,
    on: () => onNow,
    mine: (to) => {
      const counter = run.counters.find(
        (each) => each.block === to.block && each.student === to.student && each.measure === to.measure,
      )
      return counter !== undefined && !run.elsewhere(counter)
    },
    count: (block, whose, tap) => void run.tap(block, whose, tap),
    turn: (student) => (turn = student),
    tell: (text) => {
      notices.wrong(new Error(text))
      voice.call([{ text, sign: 'call' }])
    },
  })
  /** Another text as soon as something else is on. */
  const isOn = $derived(JSON.stringify([onNow?.block.id, onNow?.played, onNow?.running]))
  // A machine that this page started hears of it at once.
  $effect(() => {
    void isOn
    void gear.watch()
  })
  $effect(() => gear.turnIs(turn))

  onMount(() => {
    const letGo = keepAwake()
    // So that the browser does not clear away what is not answered yet; where it is refused, it may.
    void navigator.storage?.persist().catch(() => undefined)
    return () => {
      letGo()
      run.stop()
      gear.stop()
      voice.leave()
    }
  })

  let called: Moment | undefined
  $effect(() => {
    const { cue, roles, running } = run
    const block = over ? undefined : scheduled
    const left = (scheduled?.end ?? 0) - run.second
    const now = {
      running,
      cue,
      roles,
      block,
      left,
      met: new Map([...goalsMet(run.counters), ...limitsNear(run.counters)]),
    }
    if (called) voice.call(callsBetween(called, now))
    called = now
  })

  async function finish() {
    await run.set(run.second, false, true)
    await renew(client, keys.lessons, keys.students)
    await push(`/lessons/${run.data.lesson.id}/afterwards`)
  }
</script>

<div class="courtside">
  <header>
    <a class="btn btn-ghost head" href="#/lessons/{run.data.lesson.id}" aria-label="Back to the plan">Plan</a>
    <h1 class="truncate text-base font-semibold">{run.data.lesson.document.title}</h1>
    <WhoIsHere {run} />
    <button class="btn btn-ghost head" onclick={() => more?.open()}>More</button>
  </header>

  <!-- What scrolls is reached by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="above" role="region" aria-label="The lesson as it runs" tabindex="0">
    <TimeLeft {run} />
    <NotTold delivery={run.delivery} />
    {#if !over}
      <GearStrip
        {gear}
        title={blockCounters[0] ? (scheduled?.title ?? '') : ''}
        planned={scheduled?.machine ?? false}
        running={run.running}
        {aimed}
        onjoin={() => more?.open(true)}
      />
    {/if}
    {#if run.running && !over && run.data.late >= worthCatchingUp}
      <p class="flex flex-wrap items-center gap-x-3 px-4" role="status">
        The lesson ends {minutes(run.data.late)} min after its booking.
        <button class="btn" onclick={() => void run.catchUp()}>Shorten what is left</button>
      </p>
    {/if}
    {#if run.said}
      <Said {run} />
    {:else}
      <div class="road px-3">
        <Road plan={run.data.lesson.plan} at={run.second} selected={scheduled?.block} height={74} />
      </div>
    {/if}

    <NowAndNext {run} />
    {#if scheduled?.game && !over}<BlockGames {run} {device} {scheduled} game={scheduled.game} />{/if}
    {#if blockCounters[0] && !over}<StandPicture court={blockCounters[0].court} />{/if}

    <CannotKeep delivery={run.delivery} />
  </div>

  {#if blockCounters.length && !over}
    {#key scheduled?.block}<Part name="Counting"
        ><Counting
          lesson={run.data.lesson.id}
          counters={blockCounters}
          waiting={run.waiting}
          last={run.lastIn(scheduled?.block ?? '')}
          elsewhere={(counter) => run.elsewhere(counter)}
          ontakeover={(counter) => run.takeOver(counter)}
          {quiet}
          second={run.second}
          running={run.running}
          bind:turn
          ontap={(whose, tap) => void run.tap(scheduled?.block ?? '', whose, tap)}
          oncall={(text, end) => voice.call([{ text, sign: end ? 'end' : 'call' }])}
          harder={run.versions.harder}
          onharder={() => void run.version(run.versions.harder)}
          ongoon={() => void run.skip()}
          onundo={(whose) => run.undo(scheduled?.block ?? '', whose)}
        /></Part
      >{/key}
  {/if}

  <CourtsideFoot {run} onfinish={() => void finish()} />
</div>

<MoreDialog
  bind:this={more}
  {run}
  {gear}
  {voice}
  can={over ? undefined : blockCounters[0]?.can}
  bind:quiet
  onfinish={() => void finish()}
/>

<style>
  .head {
    min-height: 44px;
    padding-inline: 0.6rem;
  }
  /* For a thumb. */
  .courtside :global(:where(.btn, .link, .select, summary)) {
    min-height: 44px;
  }
  .courtside {
    height: 100dvh;
    min-height: 20rem;
    display: grid;
    grid-template: auto minmax(11rem, 1fr) minmax(0, auto) auto / minmax(0, 1fr);
    grid-template-areas: 'header' 'above' 'counting' 'footer';
    gap: 0.4rem;
    max-width: 34rem;
    margin: 0 auto;
  }
  .courtside > :global(.counting) {
    grid-area: counting;
  }
  /* The clock and the calls may scroll; counting and the foot stay in sight. */
  .above {
    grid-area: above;
    overflow-y: auto;
    display: flex;
    flex-direction: column;
    gap: 0.4rem;
    min-height: 0;
  }
  .above > :global(*) {
    flex: none;
  }
  header {
    grid-area: header;
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 0.25rem;
    min-width: 0;
  }
  /* On a low screen the call is worth more than the road. */
  @media (max-height: 720px) {
    .road {
      display: none;
    }
  }
  /* Lying, and on a desk: what runs on one side, what is counted on the other. */
  @media (min-width: 700px) {
    .courtside {
      grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) minmax(0, 1fr);
      grid-template-areas: 'header header' 'above counting' 'footer counting';
      max-width: 76rem;
    }
    /* Where nothing is counted, all of it is for what runs. */
    .courtside:not(:has(> :global(.counting))) {
      grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
      grid-template-areas: 'header' 'above' 'footer';
      max-width: 40rem;
    }
  }
</style>
