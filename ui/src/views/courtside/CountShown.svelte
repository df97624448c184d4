<script lang="ts">
  import type { Counter } from '../../lib/api/client'
  import { counted, tally } from '../../lib/words/words'
  import { say } from '../../lib/words/say'
  import { done } from './counting'
  import type { Provisional } from './waiting'

  /** What was counted, how far along the goal is, and what to heed of the one who plays. */
  interface Props {
    lesson: string
    counter: Counter
    count: Provisional
    /** The total is kept small, for players who would look at it. */
    quiet: boolean
  }
  let { lesson, counter, count, quiet }: Props = $props()
  const [number, what] = $derived(counted(counter.unit, count))
</script>

<p class="count" class:quiet aria-live="polite">
  <span
    data-figure={count.waiting
      ? undefined
      : `${lesson} ${counter.student} ${counter.drill} ${counter.called} counted`}
    data-value={tally(counter.unit, count)}
    ><strong class="drum-digits">{number}</strong>{what && ` ${what}`}{count.unsure ? ', undoing…' : ''}</span
  >
  {#if count.waiting}
    <span>{count.waiting} not answered</span>
  {:else if counter.unit === 'rally'}
    <span>longest <strong class="drum-digits">{counter.count.longest}</strong></span>
  {:else if counter.unit === 'time' && counter.count.fastest}
    <span>best <strong class="drum-digits">{counter.count.fastest}</strong> s</span>
  {:else if counter.unit !== 'point' && counter.unit !== 'time'}
    <span>in a row <strong class="drum-digits">{counter.count.streak}</strong></span>
    <span
      >best {counter.count.atLeast ? '≥' : ''}<strong class="drum-digits">{counter.count.best}</strong></span
    >
  {/if}
</p>
<p class="px-1 text-sm">
  {counter.shared || counter.name}: {counter.goal}. {#if !done(counter)}{say('courtside.now', {
      standing: counter.standing.sentence.words,
    })}{#if counter.hope}&nbsp;<span data-hope="{lesson} {counter.block} {counter.student} {counter.measure}"
        >{counter.hope[0]?.toUpperCase()}{counter.hope.slice(1)}.</span
      >{/if}{:else}<strong>{say('courtside.met')}</strong>{/if}
</p>
{#if counter.rests}<p class="px-1 text-sm font-semibold">
    {counter.short} rests {counter.rests}. Pain means stop.
  </p>{/if}
{#if counter.near}<p class="px-1 text-sm font-semibold" class:text-error={counter.near.reached}>
    {counter.short}: {counter.near.text}{counter.near.reached ? '. Let it be enough' : ''}.
  </p>{/if}
{#if counter.detail}<p class="px-1 text-sm">{counter.detail}</p>{/if}

<style>
  .count {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    font-size: 1.15rem;
    padding: 0 0.25rem;
  }
  strong.drum-digits {
    font-size: clamp(1.7rem, 5dvh, 2.6rem);
    line-height: 1.1;
  }
  .count.quiet strong {
    font-size: 1.05rem;
  }
</style>
