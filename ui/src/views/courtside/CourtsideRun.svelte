<script lang="ts">
  import Pause from '@lucide/svelte/icons/pause'
  import Play from '@lucide/svelte/icons/play'
  import SkipBack from '@lucide/svelte/icons/skip-back'
  import SkipForward from '@lucide/svelte/icons/skip-forward'
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { onMount } from 'svelte'
  import { push } from 'svelte-spa-router'
  import { beginningIn } from '../../device/beginning'
  import Begin from '../../game/Begin.svelte'
  import { answer, api, type Courtside } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import { onDevice } from '../../lib/page/kept'
  import Rolling from '../../lib/parts/Rolling.svelte'
  import { minutes, thingsKept } from '../../lib/words/words'
  import HoldButton from '../../lib/parts/HoldButton.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import Part from '../../lib/parts/Part.svelte'
  import Road from '../../road/Road.svelte'
  import Counting from './Counting.svelte'
  import { Run, type Device } from './courtside.svelte'
  import { callsBetween, goalsMet, limitsNear, type Moment } from './aloud'
  import { Gear } from './gear.svelte'
  import GearJoin from './GearJoin.svelte'
  import GearStrip from './GearStrip.svelte'
  import LateBegin from './LateBegin.svelte'
  import OnTheSpot from './OnTheSpot.svelte'
  import Said from './Said.svelte'
  import { keepAwake } from './signals'
  import Sounds from './Sounds.svelte'
  import StandPicture from './StandPicture.svelte'
  import { turns } from './counting'
  import { played } from './played'
  import VersionChoice from './VersionChoice.svelte'
  import { Voice } from './voice.svelte'
  import Whereabouts from './Whereabouts.svelte'
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
  /** Seconds for which a role swap stands out. */
  const swapShown = 15
  /** Seconds late from which it is offered to shorten what is left. */
  const worthCatchingUp = 15
  const voice = new Voice()
  let more = $state<HTMLDialogElement>()
  /** What joins devices is open in it. */
  let joining = $state(false)
  /** Whose turn it is: it stays theirs when the drill is changed. */
  let turn = $state('')
  let quiet = $state(onDevice.get('hodometer.quiet') === 'on')

  function keepQuiet(on: boolean) {
    quiet = on
    onDevice.set('hodometer.quiet', on ? 'on' : 'off')
  }

  const scheduled = $derived(run.scheduled)
  const blockCounters = $derived(run.counters.filter((counter) => counter.block === scheduled?.block))
  /** Games of this lesson that were begun. */
  const games = createQuery(() => ({
    queryKey: keys.played,
    queryFn: () => answer(api.GET('/api/played')),
    enabled: Boolean(scheduled?.game),
    refetchInterval: 5000,
    select: (page) => page.played.filter((each) => each.document.lesson === run.data.lesson.id),
  }))
  /** The same, as far as this device knows of them, where the program does not answer. */
  const gamesHere = createQuery(() => ({
    queryKey: [...keys.played, 'here', run.data.lesson.id],
    queryFn: () => device.games.ofLesson(run.data.lesson.id),
    enabled: Boolean(scheduled?.game) && !run.delivery.reached,
    networkMode: 'always' as const,
    gcTime: 0,
  }))
  const begunGames = $derived(
    run.delivery.reached
      ? (games.data ?? []).map((each) => ({
          id: each.id,
          title: each.document.title,
          score: each.state?.points.join(' : ') ?? '',
        }))
      : (gamesHere.data ?? []).map(({ game, kit }) => ({ id: game, title: kit.document.title, score: '' })),
  )
  const over = $derived(run.second >= run.data.lesson.plan.planned)
  /** Of whom a device would count balls, whoever's turn it is first: at the measure whose turn it is, where this device counts them. */
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
  // A machine that this page started hears at once that something else is on.
  $effect(() => {
    void [onNow?.block.id, onNow?.played, onNow?.running]
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

  function jump(by: -1 | 1) {
    if (run.begun) return void (by === 1 ? run.skip() : run.back())
    // Before it is begun one looks at its blocks, and begins where one is.
    const { blocks, planned } = run.data.lesson.plan
    const here = blocks.findIndex((s) => s.block === scheduled?.block)
    void run.set(by === 1 ? (scheduled?.end ?? planned) : (blocks[Math.max(0, here - 1)]?.start ?? 0), true)
  }

  async function harder() {
    await run.version(run.versions.harder)
  }

  async function finish() {
    more?.close()
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
    <button class="btn btn-ghost head" onclick={() => more?.showModal()}>More</button>
  </header>

  <!-- What scrolls is reached by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="above" role="region" aria-label="The lesson as it runs" tabindex="0">
    <section class="clock" aria-label="Time">
      <p class="title">
        {over ? 'The road is travelled' : scheduled?.title}
        <span class="state">{over ? 'over' : run.begun && !run.running ? 'held' : 'left of this block'}</span>
      </p>
      <p class="drum">
        <Rolling
          still
          text={minutes(
            over ? run.second - run.data.lesson.plan.planned : (scheduled?.end ?? 0) - run.second,
          )}
        />
      </p>
      {#if run.versions.names.length && !over}
        <VersionChoice {run} />
      {/if}
    </section>

    {#if run.delivery.wrong}
      <p class="bg-base-200 text-error px-4 text-sm" role="status">{run.delivery.wrong}</p>
    {/if}
    {#if run.delivery.open.length > 0 && (run.delivery.slow || run.delivery.wrong || !run.delivery.reached)}
      <p class="bg-base-200 px-4 text-sm" role="status">
        {thingsKept(
          run.delivery.open.length,
          run.delivery.storageError ? 'on this page' : 'on this device',
        )}{run.delivery.reached ? '' : ' until Hodometer answers'}{run.delivery.wrong
          ? ' and sent again'
          : ''}.
      </p>
    {/if}
    {#if !over}
      <GearStrip
        {gear}
        title={blockCounters[0] ? (scheduled?.title ?? '') : ''}
        planned={scheduled?.machine ?? false}
        running={run.running}
        {aimed}
        onjoin={() => ((joining = true), more?.showModal())}
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

    <section class="cue" aria-live="polite" aria-label="Now">
      <p class="now">{run.cue?.text ?? 'Ready when you are'}</p>
      {#if run.roles}
        {#if run.roles.kind === 'swap' && run.second - run.roles.second < swapShown}<p class="swap">
            {run.roles.text}
          </p>{/if}
        <div class="who">
          <ul class="roles" aria-label={run.roles.text}>
            {#each run.roles.roles.filter((r) => r.role !== 'as drawn') as role, i (i)}
              <li><strong>{role.name}</strong> {role.role}</li>
            {/each}
          </ul>
          <Whereabouts
            court={run.data.court}
            now={run.roles.roles}
            next={run.nextRoles}
            second={run.second}
          />
        </div>
      {/if}
    </section>
    {#if run.next && !over}
      <p class="next"><span>Next, in {minutes(run.next.second - run.second)}:</span> {run.next.text}</p>
    {/if}

    {#if scheduled?.game && !over}
      <div class="flex flex-wrap gap-2 px-4">
        <Begin
          id={scheduled.game.id}
          name={scheduled.game.name}
          among={run.data.lesson.people.filter(({ id }) => scheduled.people.includes(id))}
          here={beginningIn(run.data.lesson.id, device)}
          lesson={run.data.lesson.id}
          version={scheduled.version ?? ''}
          court={run.data.lesson.document.space.court}
          label="Score it"
        />
        {#each begunGames as each (each.id)}
          <a class="btn btn-sm" href="#/games/played/{each.id}"
            >{each.title} <span class="drum-digits">{each.score}</span></a
          >
        {/each}
      </div>
    {/if}
    {#if blockCounters[0] && !over}<StandPicture court={blockCounters[0].court} />{/if}

    {#if run.delivery.storageError}
      <p class="text-error px-4 text-sm" role="alert">
        This device cannot keep anything: leave this page open until Hodometer has answered.
      </p>
    {/if}
    {#if run.delivery.refused.length}
      <p class="text-error px-4 text-sm" role="alert">
        {run.delivery.refused.length} could not be counted and are kept on this device: {run.delivery
          .refused[0]}
      </p>
    {/if}
  </div>

  {#if blockCounters.length && !over}
    {#key scheduled?.block}<Part name="Counting"
        ><Counting
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
          onharder={() => void harder()}
          ongoon={() => void run.skip()}
          onundo={(whose) => run.undo(scheduled?.block ?? '', whose)}
        /></Part
      >{/key}
  {/if}

  <footer class:over>
    {#if over}
      <button class="btn" onclick={() => void run.longer(1)}>One more minute</button>
      <HoldButton class="btn-primary" hint="Hold it down to finish" onheld={() => void finish()}
        >Finish</HoldButton
      >
    {:else}
      <button class="btn" onclick={() => jump(-1)} aria-label="Block before"
        ><SkipBack aria-hidden="true" /></button
      >
      {#if run.running}
        <button class="btn" onclick={() => void run.hold()}><Pause aria-hidden="true" /> Hold</button>
        <button class="btn" onclick={() => void run.longer(1)} aria-label="One more minute">+1 min</button>
      {:else if run.begun}
        <button class="btn btn-primary wide" onclick={() => void run.goOn()}
          ><Play aria-hidden="true" /> Go on</button
        >
      {:else}
        <LateBegin {run} />
      {/if}
      <button class="btn" onclick={() => jump(1)} aria-label="Next block"
        ><SkipForward aria-hidden="true" /></button
      >
    {/if}
  </footer>
</div>

<dialog bind:this={more} class="modal" aria-label="Changes, calls, and the end of the lesson">
  <div class="modal-box">
    <GearJoin {gear} bind:open={joining} />
    {#if blockCounters[0] && !over}
      <OnTheSpot can={blockCounters[0].can} onadjust={(change) => (more?.close(), void run.adjust(change))} />
    {/if}
    <label class="mb-3 flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        class="checkbox"
        checked={quiet}
        onchange={(event) => keepQuiet(event.currentTarget.checked)}
      /> Keep the count small
    </label>
    <Sounds {voice} />
    {#if run.begun}
      <h2 class="mt-6 text-lg">End of the lesson</h2>
      <p class="text-sm">
        {over
          ? 'The road is travelled.'
          : `${minutes(run.data.lesson.plan.planned - run.second)} min of it are left.`} What was counted is kept,
        and it can be taken up again.
      </p>
      <HoldButton class="big btn-outline btn-error mt-2 w-full" onheld={() => void finish()}
        >Hold to finish the lesson</HoldButton
      >
    {/if}
    <form method="dialog" class="modal-action"><button class="btn big">Back to the lesson</button></form>
  </div>
</dialog>

<style>
  .big,
  :global(.hold.big) {
    min-height: 64px;
  }
  .head {
    min-height: 44px;
    padding-inline: 0.6rem;
  }
  /* For a thumb, also in what opens over it. */
  .courtside :global(:where(.btn, .link, .select, summary)),
  dialog :global(:where(.btn, .link, .select, summary)) {
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
  .clock {
    position: relative;
    background: var(--drum);
    color: var(--on-drum);
    text-align: center;
    padding: 0.25rem 4.75rem;
  }
  .title {
    font-weight: 600;
    line-height: 1.2;
  }
  .state {
    font-size: 0.875rem;
    font-weight: 400;
    white-space: nowrap;
  }
  .drum {
    font-size: clamp(2.9rem, 9.5dvh, 5.2rem);
    line-height: 1;
  }
  .cue {
    padding: 0 1rem;
  }
  .now {
    font-size: clamp(1.15rem, 2.7dvh, 1.5rem);
    line-height: 1.25;
    font-weight: 600;
  }
  .swap {
    display: inline-block;
    background: var(--color-primary);
    color: var(--color-primary-content);
    font-weight: 700;
    padding: 0.1rem 0.6rem;
    border-radius: var(--radius-field);
  }
  /* Who is where, in words and drawn, side by side. */
  .who {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.75rem;
    margin-top: 0.25rem;
  }
  .roles {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
    align-content: start;
    gap: 0.3rem 0.75rem;
  }
  .next {
    padding: 0.35rem 1rem;
    background: var(--color-base-200);
  }
  .next span {
    font-variant-numeric: tabular-nums;
    font-weight: 600;
  }
  footer {
    grid-area: footer;
    border-top: 1px solid var(--color-base-300);
    display: grid;
    grid-template-columns: auto 1fr auto auto;
    gap: 0.5rem;
    padding: 0.4rem 0.5rem;
  }
  footer.over {
    grid-template-columns: auto 1fr;
  }
  footer :global(.wide) {
    grid-column: span 2;
  }
  footer :global(.btn) {
    min-height: 56px;
    min-width: 64px;
    font-size: 1.1rem;
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
    .drum {
      font-size: clamp(2.9rem, 15dvh, 8rem);
    }
    footer {
      border-top: 0;
    }
  }
</style>
