<script lang="ts">
  import { measureOf } from '../../device/measure'
  import type { Counter, Entry, Point } from '../../lib/api/client'
  import type { Tap, Whose } from '../../device/runs'
  import BallAnswers from './BallAnswers.svelte'
  import { done, keyOf, provisional, stillAt, timesUp, turns, whose } from './counting'
  import CountShown from './CountShown.svelte'
  import type { Waiting } from './courtside.svelte'
  import Elsewhere from './Elsewhere.svelte'
  import FaceClock from './FaceClock.svelte'
  import FaultsSeen from './FaultsSeen.svelte'
  import GoalMet from './GoalMet.svelte'
  import LesserActs from './LesserActs.svelte'
  import RallyCount from './RallyCount.svelte'
  import { Strokes } from './strokes.svelte'
  import TimeCount from './TimeCount.svelte'
  import TurnAnswers from './TurnAnswers.svelte'
  import WhereItLanded from './WhereItLanded.svelte'
  import WhoCounts from './WhoCounts.svelte'

  interface Props {
    lesson: string
    /** One for each student, in the order of their turns, and measure. */
    counters: Counter[]
    /** What was counted and not answered yet. */
    waiting: Waiting[]
    /** Whose count was the last one; undefined where none was taken in this tab. */
    last: Whose | undefined
    /** Whether a count is kept on another device. */
    elsewhere: (counter: Counter) => boolean
    ontakeover: (counter: Counter) => void
    ontap: (whose: Whose, tap: Tap) => void
    onundo: (whose: Whose) => number
    /** The clock of a measure calls something; it is over. */
    oncall: (text: string, over: boolean) => void
    /** The version that is harder; empty where there is none. */
    harder: string
    onharder: () => void
    ongoon: () => void
    /** Of the lesson, and whether its clock goes on: clocks of measures hang on it. */
    second: number
    running: boolean
    /** The total is kept small, for players who would look at it. */
    quiet: boolean
    /** The student whose turn it is. */
    turn: string
  }
  let {
    lesson,
    counters,
    waiting,
    last,
    elsewhere,
    ontakeover,
    ontap,
    onundo,
    oncall,
    harder,
    onharder,
    ongoon,
    quiet,
    second,
    running,
    turn = $bindable(),
  }: Props = $props()
  /** Each student who keeps a count of their own at some measure. */
  const people = $derived(turns(counters))
  /**
   * Whose turn it is stands by who it is: others may come and go. Where they are not there themselves it is the first
   * one's.
   */
  const chosen = $derived(
    Math.max(
      0,
      people.findIndex((each) => each.student === turn),
    ),
  )
  const student = $derived(people[chosen]?.student)
  $effect(() => {
    turn = student ?? ''
  })
  const choose = (each: Counter | undefined) => (turn = each?.student ?? turn)
  const own = $derived(counters.filter((each) => each.student === student))
  const on = $derived(own.find((each) => each.on)?.measure)
  /** A measure that was chosen instead of the one whose turn it is, until the turn goes on. */
  let instead = $state<number>()
  /** The measure that stays chosen when the student changes with it. */
  let kept: number | undefined
  $effect(() => {
    void [student, on]
    instead = kept
    kept = undefined
  })
  const measure = $derived(instead ?? on)
  const counter = $derived(own.find((each) => each.measure === measure) ?? own[0])
  const count = $derived(counter && provisional(counter, waiting))
  /** Undo belongs to the last act, whoever's it was. */
  const undone = $derived(
    counters.find((each) => each.student === last?.student && each.measure === measureOf(last)) ?? counter,
  )
  // svelte-ignore state_referenced_locally
  const inHand = new Strokes(counters[0]?.counted ?? '')
  /** Whose count is on the pad. */
  const whom = $derived<Whose>(counter ? whose(counter) : { student: '' })
  const strokes = $derived(counter?.unit === 'rally' ? inHand.of(whom) : 0)
  let way = $state<'ball' | 'turn'>('ball')
  const away = $derived(counter !== undefined && elsewhere(counter))
  const canUndo = $derived(
    !away && ((strokes > 0 && way === 'ball') || last !== undefined || (count?.taps ?? 0) > 0),
  )

  function undo() {
    if (strokes > 0 && way === 'ball') return inHand.set(whom, strokes - 1)
    const of = last ?? whom
    choose(people.find((each) => each.student === of.student))
    instead = kept = measureOf(of)
    // Of a rally that is taken back the strokes are on the pad again: it was not over.
    const was = onundo(of)
    if (was && way === 'ball') inHand.set(of, was)
  }

  /** A fault is of one student alone, also where several are on one count. */
  function see(fault: string) {
    if (counter) ontap({ student: counter.student, measure: counter.measure }, { kind: 'fault', fault })
  }

  /** Goals that were met and told, or were met before this block was opened. */
  let told = $state<string[]>([])
  // svelte-ignore state_referenced_locally
  told = counters.filter(done).map(keyOf)
  const met = $derived(counter !== undefined && done(counter) && !told.includes(keyOf(counter)))
  /** Who is still at the measure whose goal this student has met. */
  const still = $derived(counter && stillAt(counter.measure, people, chosen, counters))
  const tell = () => counter && (told = [...told, keyOf(counter)])

  let noting = $state(false)
  /** Where the ball landed that is counted next. */
  let landing = $state<Point>()
  /** Or the zone, where nobody has time for the place. */
  let zone = $state<Entry['zone']>()

  const tap = (tap: Tap) => ontap(whom, tap)

  function timeIsUp() {
    if (!counter) return
    for (const each of timesUp(counter, counters, waiting))
      if (!elsewhere(each)) ontap(whose(each), { kind: 'time is up' })
  }

  function ball(kind: 'made' | 'missed', miss: Entry['miss'], choice: Entry['choice']) {
    tap({ kind, choice, miss, landing: $state.snapshot(landing), zone: $state.snapshot(zone) })
    landing = zone = undefined
  }

  function afterTheTurn(made: number, of: number) {
    tap({ kind: 'turn', made, of })
    choose(people[(chosen + 1) % people.length])
  }
</script>

{#if counter && count}
  <section class="counting" aria-label="Counting">
    <div class="upper">
      <WhoCounts {people} {chosen} onchoose={choose} {own} {counter} onmeasure={(m) => (instead = m)} />
      <CountShown {lesson} {counter} {count} {quiet} />
      {#if counter.faults.length}<FaultsSeen {counter} {waiting} onsee={see} />{/if}
      {#if way === 'ball' && noting && counter.aim && counter.unit === 'ball'}
        <WhereItLanded {counter} bind:landing bind:zone />
      {/if}
    </div>
    {#if counter.face}
      {#key `${counter.counted} ${counter.measure}`}
        <FaceClock
          face={counter.face}
          name="{counter.counted}.{counter.measure}"
          {second}
          {running}
          oncall={(text, over) => (oncall(text, over), over && timeIsUp())}
        />
      {/key}
    {/if}
    {#if away}
      <Elsewhere who={counter.shared || counter.short} ontakeover={() => ontakeover(counter)} />
    {/if}
    {#if met && !away}
      <GoalMet
        who={counter.shared || counter.short}
        harder={still ? '' : harder}
        next={still?.shared || still?.short || ''}
        onharder={() => (tell(), onharder())}
        onnext={() => (tell(), choose(still))}
        ongoon={() => (tell(), ongoon())}
        oncounton={tell}
      />
    {/if}
    {#if away}
      <!-- What another device counts is only watched. -->
    {:else if counter.timed && counter.over}
      <p class="away" role="status">
        The time of {counter.shared || counter.short} is up. Undo goes on with it.
      </p>
    {:else if counter.unit === 'rally'}
      {#key `${counter.counted} ${counter.measure} ${counter.party}`}
        <RallyCount
          tooLong={counter.tooLong}
          byNumber={way === 'turn'}
          {strokes}
          onstrokes={(n) => inHand.set(whom, n)}
          ontap={tap}
        />
      {/key}
    {:else if counter.unit === 'time'}
      <TimeCount byNumber={way === 'turn'} {running} ontap={tap} />
    {:else if way === 'ball'}
      <BallAnswers {counter} onball={ball} />
    {:else}
      <TurnAnswers planned={counter.turn} onturn={afterTheTurn} />
    {/if}
    <LesserActs
      {counter}
      {away}
      bind:way
      bind:noting
      strokes={way === 'ball' ? strokes : 0}
      whose={people.length > 1 && last !== undefined ? undone?.shared || undone?.short : ''}
      onundo={canUndo ? undo : undefined}
      ontap={tap}
      onstrokes={(n) => inHand.set(whom, n)}
      onnoting={() => (landing = zone = undefined)}
    />
  </section>
{/if}

<style>
  .counting {
    display: flex;
    flex-direction: column;
    gap: 0.5rem;
    padding: 0 0.75rem;
    min-height: 0;
  }
  @media (min-width: 700px) {
    .counting {
      justify-content: flex-end;
      padding-bottom: 0.4rem;
    }
  }
  @media (min-width: 700px) and (min-height: 600px) {
    .counting {
      justify-content: flex-start;
    }
  }
  /* Everything but the answers may scroll; the answers stay under the thumb. */
  .upper {
    display: flex;
    flex-direction: column;
    gap: 0.5rem;
    min-height: 0;
    overflow-y: auto;
  }
  .away {
    display: grid;
    align-items: center;
    min-height: clamp(64px, 12dvh, 96px);
    padding-inline: 0.25rem;
  }
</style>
