<script lang="ts">
  import { narrow } from '../../../lib/parts/narrow.svelte'
  import { answer, api, type Vocabulary } from '../../../lib/api/client'
  import InWords from '../../../lib/fields/InWords.svelte'
  import ThingCard from '../court/ThingCard.svelte'
  import BallCard from '../pattern/BallCard.svelte'
  import Balls from '../pattern/Balls.svelte'
  import Branches from '../pattern/Branches.svelte'
  import PatternFields from '../pattern/PatternFields.svelte'
  import PatternTools from '../pattern/PatternTools.svelte'
  import Repeats from '../pattern/Repeats.svelte'
  import Turn from '../pattern/Turn.svelte'
  import Tempo from '../play/Tempo.svelte'
  import VerdictSign from '../play/VerdictSign.svelte'
  import type { Bench } from './bench.svelte'

  /** The balls of a drill in their order, or its rally; beside them the card of what is chosen. */
  interface Props {
    bench: Bench
    vocabulary: Vocabulary | undefined
  }
  let { bench, vocabulary }: Props = $props()
  const draft = $derived(bench.draft)
  const builtIn = $derived(bench.builtIn)
  const report = $derived(bench.report)
  const simulation = $derived(bench.simulation)
  const errors = $derived(bench.errors)
  const rally = $derived(Boolean(draft.document.pattern.rally))
</script>

<section
  class="sequence"
  class:opened={bench.ball !== undefined || bench.place !== undefined}
  aria-labelledby="sequence"
>
  <div class="min-w-0">
    <h2 id="sequence" class="sr-only">The sequence</h2>
    {#if simulation}
      <p class="my-1 flex items-center gap-2" role="status">
        <VerdictSign verdict={simulation.timeline.worst} bare />{simulation.verdict}
      </p>
    {/if}
    {#if !rally}
      {#if !narrow.current}<Balls {bench} />{/if}
      <div class="mt-2"><Turn {draft} {builtIn} {errors} /></div>
      {#if simulation && report}
        <Tempo
          {simulation}
          {report}
          gap={bench.pattern.gap}
          disabled={bench.fixed}
          onchange={(gap) => draft.change((d) => (d.pattern.gap = gap))}
        />
      {/if}
      {#if !builtIn && !bench.trying && vocabulary}<PatternTools {bench} {vocabulary} />{/if}
      <Repeats {draft} {builtIn} {errors} />
      {#if vocabulary}<Branches {draft} {vocabulary} {builtIn} {errors} />{/if}
    {/if}
    {#if simulation && simulation.runs.length > 1}
      <ul class="mt-1 flex flex-wrap gap-x-5" aria-label="Who runs how far">
        {#each simulation.runs as run, i (i)}<li>{run}</li>{/each}
      </ul>
    {/if}
    {#if rally && vocabulary}<PatternFields {draft} {report} {vocabulary} {builtIn} />{/if}
    <div class="mt-2">
      <InWords
        label="The pattern in words"
        document={bench.plain}
        read={(document, line) => answer(api.POST('/api/drills/line', { body: { document, line } }))}
        bind:typed={bench.line}
        fixed={bench.builtIn}
        example="deep FH, short FH, deep BH; 3.5 s; x2; aim 1.4 m in left 2 m deep"
        ontake={(taken) => bench.draft.replace(taken)}
      />
    </div>
  </div>
  {#if bench.ball !== undefined && vocabulary}
    <BallCard {bench} index={bench.ball} {vocabulary} />
  {:else if bench.place !== undefined}
    <ThingCard {bench} place={bench.place} />
  {/if}
</section>

<style>
  .sequence {
    display: grid;
    gap: 0.75rem;
    grid-template-columns: minmax(0, 1fr);
    align-items: start;
  }
  @container side (min-width: 44rem) {
    .sequence.opened {
      grid-template-columns: minmax(0, 1fr) 19rem;
    }
  }
  /* In a narrow side the card comes first, or it would be out of sight. */
  @container side (max-width: 44rem) {
    .sequence > :global(.card-of) {
      order: -1;
    }
  }
  .sequence > :global(.card-of) :global(:is(.select, .input)) {
    height: 2rem;
    font-size: 0.9rem;
    padding-inline-start: 0.6rem;
  }
  /* A column is narrow beside a court that lies: each field stands beside its name. */
  @media (min-width: 701px) {
    @container side (max-width: 24rem) {
      .sequence > :global(.card-of fieldset) {
        grid-template-columns: minmax(0, 1fr);
      }
      .sequence > :global(.card-of fieldset > div) {
        flex-direction: row;
        align-items: center;
      }
      .sequence > :global(.card-of fieldset label:first-child) {
        flex: 0 0 5.6rem;
      }
    }
  }
  @media (max-width: 700px) {
    /* On a phone the card lies over the court. */
    .sequence > :global(.card-of) {
      position: fixed;
      inset: auto 0.5rem 4.1rem;
      z-index: 8;
      max-height: 60dvh;
      overflow-y: auto;
      box-shadow: 0 0 1rem color-mix(in oklab, var(--color-base-content) 30%, transparent);
    }
  }
</style>
