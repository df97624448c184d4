<script lang="ts">
  import type { Counter, Entry, Point } from '../../lib/api/client'
  import { onDevice } from '../../lib/page/kept'
  import { counted } from '../../lib/words/words'
  import type { Tap, Whose } from '../../device/runs'
  import type { Waiting } from './courtside.svelte'
  import { withoutUndone, withWaiting } from './waiting'
  import FaceClock from './FaceClock.svelte'
  import GoalMet from './GoalMet.svelte'
  import Landing from './Landing.svelte'
  import NumberGrid from './NumberGrid.svelte'
  import RallyCount from './RallyCount.svelte'
  import TimeCount from './TimeCount.svelte'
  import { Strokes } from './strokes.svelte'
  import { turns } from './turns'
  import Zones from './Zones.svelte'

  interface Props {
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
    turn: whose = $bindable(),
  }: Props = $props()
  /** Each student who keeps a count of their own at some measure. */
  const people = $derived(turns(counters))
  /** Whose turn it is stands by who it is: others may come and go. Where they are not there themselves it is the first one's. */
  const chosen = $derived(
    Math.max(
      0,
      people.findIndex((each) => each.student === whose),
    ),
  )
  const student = $derived(people[chosen]?.student)
  $effect(() => {
    whose = student ?? ''
  })
  const choose = (each: Counter | undefined) => (whose = each?.student ?? whose)
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
  const count = $derived(
    counter &&
      withWaiting(
        counter.count,
        waiting
          .filter(
            (tap) =>
              [counter.block, counter.counted].includes(tap.block) &&
              tap.student === counter.party &&
              (tap.measure ?? 1) === counter.measure,
          )
          .map((tap) => tap.entry),
      ),
  )
  /** Undo belongs to the last act, whoever's it was. */
  const undone = $derived(
    counters.find((each) => each.student === last?.student && each.measure === (last.measure ?? 1)) ??
      counter,
  )
  const inRallies = $derived(counter?.unit === 'rally')
  // svelte-ignore state_referenced_locally
  const inHand = new Strokes(counters[0]?.counted ?? '')
  /** Whose count is on the pad. */
  const whom = $derived<Whose>({ student: counter?.party ?? '', measure: counter?.measure })
  const strokes = $derived(inRallies ? inHand.of(whom) : 0)
  let way = $state<'ball' | 'turn'>('ball')
  const away = $derived(counter !== undefined && elsewhere(counter))
  const canUndo = $derived(
    !away && ((strokes > 0 && way === 'ball') || last !== undefined || (count?.taps ?? 0) > 0),
  )

  function undo() {
    if (strokes > 0 && way === 'ball') return inHand.set(whom, strokes - 1)
    const whose = last ?? whom
    choose(people.find((each) => each.student === whose.student))
    instead = kept = whose.measure ?? 1
    // Of a rally that is taken back the strokes are on the pad again: it was not over.
    const was = onundo(whose)
    if (was && way === 'ball') inHand.set(whose, was)
  }

  /** A fault is of one student alone, also where several are on one count. */
  function see(fault: string) {
    if (counter) ontap({ student: counter.student, measure: counter.measure }, { kind: 'fault', fault })
  }
  /** How often a fault was seen that is not answered yet. */
  function unanswered(fault: string) {
    const own = waiting.filter((tap) => tap.student === counter?.student).map((tap) => tap.entry)
    return withoutUndone(own).filter((entry) => entry.kind === 'fault' && entry.fault === fault).length
  }
  const answers = $derived.by(() => {
    if (counter?.against) return [`Point to ${counter.short}`, `Point to ${counter.against}`]
    return counter?.unit === 'point' ? ['Point won', 'Point lost'] : ['Made', 'Missed']
  })
  const [number, what] = $derived(counter && count ? counted(counter.unit, count) : ['', ''])
  /** What the two ways of counting are called: one by one, and afterwards. */
  const ways = $derived(
    {
      ball: ['Count ball by ball', 'Count after the turn'],
      sequence: ['Count one by one', 'Count after the turn'],
      repetition: ['Count one by one', 'Count after the turn'],
      point: ['Count point by point', 'Count after the game'],
      rally: ['Count stroke by stroke', 'Count after the rally'],
      time: ['Use the stopwatch', 'Type the time'],
    }[counter?.unit ?? 'ball'],
  )
  /** How many this turn had, where that is another number than planned. */
  let had = $state<number>()
  const most = 60
  const turn = $derived(Math.min(had ?? (counter?.turn || 1), most))

  /** A goal is met, and nothing counts towards it any more: as many as possible goes on until its time is up. */
  const done = ({ standing, over }: Counter) => standing.met && over
  const keyOf = (each: Counter) => `${each.counted} ${each.measure} ${each.party}`
  /** Goals that were met and told, or were met before this block was opened. */
  let told = $state<string[]>([])
  // svelte-ignore state_referenced_locally
  told = counters.filter(done).map(keyOf)
  const met = $derived(counter !== undefined && done(counter) && !told.includes(keyOf(counter)))
  /** Who is still at the measure whose goal this student has met, the next one in turn first. */
  const still = $derived.by(() => {
    const after = [...people.slice(chosen + 1), ...people.slice(0, chosen)]
    const open = (each: Counter) =>
      counters.some((c) => c.student === each.student && c.measure === counter?.measure && !c.over)
    return after.find(open)
  })
  const tell = () => counter && (told = [...told, keyOf(counter)])

  let noting = $state(false)
  /** Where the ball landed that is counted next. */
  let landing = $state<Point>()

  /** Or the zone, where nobody has time for the place. */
  let zone = $state<Entry['zone']>()
  let byZone = $state(onDevice.get('hodometer.zones') === 'on')

  function setByZone() {
    byZone = !byZone
    onDevice.set('hodometer.zones', byZone ? 'on' : 'off')
    landing = zone = undefined
  }

  /** Whether the ball that is counted next was the right idea. */
  let choice = $state<Entry['choice']>()

  function tap(tap: Tap) {
    ontap(whom, tap)
  }

  /** The time of this measure is up for whoever has begun with it here. */
  function timeIsUp() {
    for (const each of counters) {
      const whose = { student: each.party, measure: each.measure }
      const begun =
        each === counter ||
        each.count.taps > 0 ||
        waiting.some((tap) => tap.student === each.party && (tap.measure ?? 1) === each.measure)
      if (each.party !== each.student || each.measure !== counter?.measure || !begun) continue
      if (each.timed && !each.over && !elsewhere(each)) ontap(whose, { kind: 'time is up' })
    }
  }

  function ball(kind: 'made' | 'missed', miss?: Entry['miss']) {
    tap({ kind, choice, miss, landing: $state.snapshot(landing), zone: $state.snapshot(zone) })
    landing = zone = choice = undefined
  }

  function afterTheTurn(made: number) {
    if (!counter) return
    tap({ kind: 'turn', made, of: turn })
    had = undefined
    choose(people[(chosen + 1) % people.length])
  }
</script>

{#if counter && count}
  <section class="counting" aria-label="Counting">
    <div class="upper">
      {#if people.length > 1}
        <div class="people" class:many={people.length > 5} role="group" aria-label="Whose turn">
          {#each people as each, i (each.student)}
            <button
              class="btn"
              class:btn-primary={i === chosen}
              aria-pressed={i === chosen}
              onclick={() => choose(each)}>{each.shared || each.short}</button
            >
          {/each}
        </div>
      {/if}
      {#if own.length > 1}
        <div class="people" role="group" aria-label="Which measure">
          {#each own as each (each.measure)}
            <button
              class="btn measure"
              class:btn-primary={each === counter}
              aria-pressed={each === counter}
              onclick={() => (instead = each.measure)}
              ><span class="drum-digits">{each.measure}</span>{each.standing.met ? ' ✓' : ''}<span
                class="sr-only">&nbsp;{each.called}</span
              ></button
            >
          {/each}
        </div>
        <p class="px-1 font-semibold first-letter:uppercase">{counter.called}</p>
      {/if}
      <p class="count" class:quiet aria-live="polite">
        <span
          ><strong class="drum-digits">{number}</strong>{what && ` ${what}`}{count.unsure
            ? ', undoing…'
            : ''}</span
        >
        {#if count.waiting}
          <span>{count.waiting} not answered</span>
        {:else if inRallies}
          <span>longest <strong class="drum-digits">{counter.count.longest}</strong></span>
        {:else if counter.unit === 'time' && counter.count.fastest}
          <span>best <strong class="drum-digits">{counter.count.fastest}</strong> s</span>
        {:else if counter.unit !== 'point' && counter.unit !== 'time'}
          <span>in a row <strong class="drum-digits">{counter.count.streak}</strong></span>
          <span
            >best {counter.count.atLeast ? '≥' : ''}<strong class="drum-digits">{counter.count.best}</strong
            ></span
          >
        {/if}
      </p>
      <p class="px-1 text-sm">
        {counter.shared || counter.name}: {counter.goal}. {#if !done(counter)}Now {counter.standing
            .sentence}.{#if counter.hope}&nbsp;{counter.hope[0]?.toUpperCase()}{counter.hope.slice(
              1,
            )}.{/if}{:else}<strong>Met ✓</strong>{/if}
      </p>
      {#if counter.rests}<p class="px-1 text-sm font-semibold">
          {counter.short} rests {counter.rests}. Pain means stop.
        </p>{/if}
      {#if counter.near}<p class="px-1 text-sm font-semibold" class:text-error={counter.near.reached}>
          {counter.short}: {counter.near.text}{counter.near.reached ? '. Let it be enough' : ''}.
        </p>{/if}
      {#if counter.detail}<p class="px-1 text-sm">{counter.detail}</p>{/if}
      {#if counter.faults.length}
        <div class="faults" role="group" aria-label="Faults to watch in {counter.short}">
          {#each counter.faults as { fault, times } (fault)}
            <button class="btn" onclick={() => see(fault)}
              >{fault}
              <span class="drum-digits">{times + unanswered(fault)}</span><span class="sr-only">times</span
              ></button
            >
          {/each}
        </div>
      {/if}
      {#if way === 'ball'}
        {#if noting && counter.aim && counter.unit === 'ball'}
          {#if byZone && counter.zones.length}
            <Zones zones={counter.zones} chosen={zone} onzone={(z) => (zone = z)} />
          {:else}
            <Landing
              court={counter.court}
              aim={counter.aim}
              at={landing}
              onpoint={(place) => (landing = place)}
            />
          {/if}
          {#if counter.zones.length}
            <button class="btn big" aria-pressed={byZone} onclick={setByZone}
              >{byZone ? 'Note places instead' : 'Note zones instead'}</button
            >
          {/if}
        {/if}
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
      <div class="away" role="status">
        <p>{counter.shared || counter.short}: counted on another device now.</p>
        <button class="btn big" onclick={() => ontakeover(counter)}>Count here</button>
      </div>
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
    {:else if inRallies}
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
      {#if counter.choices}
        <div class="two" role="group" aria-label="The idea, before made or missed">
          {#each ['right', 'wrong'] as const as idea (idea)}
            <button
              class="btn big"
              class:btn-primary={choice === idea}
              aria-pressed={choice === idea}
              onclick={() => (choice = choice === idea ? undefined : idea)}>{idea} idea</button
            >
          {/each}
        </div>
      {/if}
      <div class="two" class:kinds={counter.misses && counter.unit === 'ball'}>
        <button class="answer made" onclick={() => ball('made')}>{answers[0]}</button>
        {#if counter.misses && counter.unit === 'ball'}
          <div class="misses" role="group" aria-label="Missed">
            {#each ['net', 'long', 'wide'] as const as miss (miss)}
              <button class="answer missed" onclick={() => ball('missed', miss)}
                >{miss[0]?.toUpperCase()}{miss.slice(1)}</button
              >
            {/each}
          </div>
        {:else}
          <button class="answer missed" onclick={() => ball('missed')}>{answers[1]}</button>
        {/if}
      </div>
    {:else}
      <div class="had">
        <span>Made of</span>
        <button
          class="btn"
          disabled={turn <= 1}
          aria-label="One fewer in this turn"
          onclick={() => (had = turn - 1)}>−</button
        >
        <strong class="drum-digits">{turn}</strong>
        <button
          class="btn"
          disabled={turn >= most}
          aria-label="One more in this turn"
          onclick={() => (had = turn + 1)}>+</button
        >
        <span>in this turn:</span>
      </div>
      <div class="grid-of-numbers"><NumberGrid most={turn} of="of {turn}" onpick={afterTheTurn} /></div>
    {/if}
    <div class="less">
      <button class="btn big" disabled={!canUndo} onclick={undo}
        >Undo{#if people.length > 1 && last !== undefined}<span class="block text-sm"
            >{undone?.shared || undone?.short}</span
          >{/if}</button
      >
      {#if counter.timed && !away && !counter.over}
        <button class="btn big" onclick={() => tap({ kind: 'time is up' })}>Time is up</button>
      {/if}
      {#if strokes > 1 && way === 'ball'}
        <button class="btn big" onclick={() => inHand.set(whom, 0)}>Strokes back to 0</button>
      {/if}
      {#if counter.again && !away && way === 'ball' && counter.unit !== 'time'}
        <button class="btn big" onclick={() => tap({ kind: 'played again' })}>Play it again</button>
      {/if}
      <button class="btn big" onclick={() => (way = way === 'ball' ? 'turn' : 'ball')}
        >{ways[way === 'ball' ? 1 : 0]}</button
      >
      {#if way === 'ball' && counter.aim && counter.unit === 'ball'}
        <button
          class="btn big"
          aria-pressed={noting}
          onclick={() => {
            noting = !noting
            landing = zone = undefined
          }}>{noting ? 'Hide the court' : 'Note where balls land'}</button
        >
      {/if}
    </div>
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
  .people {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(3.4rem, 1fr));
    gap: 0.3rem;
  }
  .people.many {
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }
  .people.many .btn {
    font-size: 0.85rem;
  }
  .faults {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .faults .btn {
    min-height: 44px;
    height: auto;
    font-weight: 500;
  }
  .had {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    padding-inline: 0.25rem;
  }
  .had .btn {
    min-width: 48px;
    min-height: 48px;
    font-size: 1.4rem;
  }
  .had strong {
    font-size: 1.6rem;
  }
  /* Sixty numbers are more than a phone shows at once. */
  .grid-of-numbers {
    min-height: 8.5rem;
    overflow-y: auto;
  }
  .people .btn {
    min-height: 48px;
    padding-inline: 0.15rem;
    overflow: hidden;
    font-size: 1rem;
  }
  .big {
    min-height: 48px;
    font-size: 1.05rem;
  }
  .count {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    font-size: 1.15rem;
    padding: 0 0.25rem;
  }
  .count strong {
    font-size: clamp(1.7rem, 5dvh, 2.6rem);
    line-height: 1.1;
  }
  .count.quiet strong {
    font-size: 1.05rem;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.5rem;
  }
  /* With kinds of misses, made stands above them, so that the count stays in sight. */
  .kinds {
    grid-template-columns: 1fr;
  }
  .kinds .made {
    min-height: 64px;
  }
  .misses {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 0.5rem;
  }
  .misses .answer {
    min-height: 64px;
    font-size: 1.25rem;
  }
  .people .measure {
    min-height: 48px;
  }
  .less {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 0.5rem;
  }
  .less .btn {
    height: auto;
    padding-block: 0.2rem;
    font-size: 0.95rem;
    line-height: 1.1;
    padding-inline: 0.25rem;
  }
  .away {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: center;
    gap: 0.5rem;
    min-height: clamp(64px, 12dvh, 96px);
    padding-inline: 0.25rem;
  }
  .away .big {
    min-height: 64px;
  }
  .answer {
    min-height: clamp(64px, 12dvh, 96px);
    border-radius: var(--radius-box);
    font-size: 1.6rem;
    font-weight: 700;
    cursor: pointer;
  }
  .made {
    background: var(--color-success);
    color: var(--color-success-content);
  }
  .missed {
    background: transparent;
    color: var(--color-error);
    border: 4px solid var(--color-error);
  }
  @media (max-width: 400px) {
    .less .btn {
      font-size: 0.82rem;
    }
  }
</style>
