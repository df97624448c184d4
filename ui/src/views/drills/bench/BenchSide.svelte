<script lang="ts">
  import { narrow } from '../../../lib/parts/narrow.svelte'
  import { answer, api, type Vocabulary } from '../../../lib/api/client'
  import CourtTable from '../../../court/CourtTable.svelte'
  import InWords from '../../../lib/fields/InWords.svelte'
  import Tabs from '../../../lib/parts/Tabs.svelte'
  import BallCard from '../pattern/BallCard.svelte'
  import Balls from '../pattern/Balls.svelte'
  import type { Bench, Tab } from './bench.svelte'
  import Branches from '../pattern/Branches.svelte'
  import CourtChange from '../court/CourtChange.svelte'
  import DrillFields from './DrillFields.svelte'
  import DrillWords from './DrillWords.svelte'
  import Measures from '../measures/Measures.svelte'
  import NoGo from '../court/NoGo.svelte'
  import PatternFields from '../pattern/PatternFields.svelte'
  import PatternTools from '../pattern/PatternTools.svelte'
  import Repeats from '../pattern/Repeats.svelte'
  import StandHere from '../court/StandHere.svelte'
  import Tempo from '../play/Tempo.svelte'
  import ThingCard from '../court/ThingCard.svelte'
  import TryOn from '../play/TryOn.svelte'
  import Turn from '../pattern/Turn.svelte'
  import Versions from '../versions/Versions.svelte'
  import { ofVersion, under } from '../versions/versionMeasures'
  import VerdictSign from '../play/VerdictSign.svelte'

  /** What stands beside the court: the sequence, and over it whatever is opened. */
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
  const type = (path: string, text: string) => bench.edit({ typed: { path, text } })
  /** A version that is tried gets measures of its own: those that its steps make of the drill's. */
  function ownMeasures() {
    const { tried } = bench
    const measures = bench.worked?.document.measures
    if (measures) draft.change((d) => d.variations?.[tried] && (d.variations[tried].measures = measures))
  }
  /** Where each path of a document is edited. */
  const paths: [Tab, RegExp][] = [
    ['balls', /^(press|pattern\.(tasks|repeats|branches|gap|pause|sequences))/],
    ['running', /^(pattern|turns|setUp|effort|level|surface)/],
    ['counts', /^(measures|order|format)/],
    ['versions', /^variations/],
    ['places', /^(places|noGo|court)/],
    ['words', /./],
  ]
  const wrong = $derived(
    new Set(
      Object.keys(errors)
        .map((path) => path.replace(/^document\./, ''))
        .map((path) => paths.find(([, own]) => own.test(path))?.[0]),
    ),
  )
  const tabs = $derived(
    (
      [
        ['balls', rally ? 'Rally' : 'Balls'],
        ['counts', 'What counts'],
        ['versions', 'Versions'],
        ['places', 'Places'],
        ['running', 'Turns'],
        ['words', 'Words, care'],
      ] as const
    ).map(([id, label]) => ({ id, label, wrong: wrong.has(id) })),
  )
</script>

{#if narrow.current && !rally}
  <div class="strip-of no-print"><Balls {bench} strip /></div>
{/if}
<div class="side" class:drawer={bench.tab !== 'balls'}>
  <div class="no-print flex flex-wrap items-center gap-x-3 gap-y-1 pb-1 text-sm">
    <TryOn {bench} drill={draft.document} {vocabulary} />
    <fieldset class="flex gap-3">
      <legend class="sr-only">Shown for</legend>
      {#each ['right', 'left'] as const as hand (hand)}
        <label class="flex items-center gap-1"
          ><input type="radio" class="radio radio-sm" value={hand} bind:group={bench.hand} />
          {hand}-hander</label
        >
      {/each}
    </fieldset>
  </div>
  <Tabs label="Of this drill" {tabs} current={bench.tab} onchange={(tab) => (bench.tab = tab)} />
  <div class="panel" role="tabpanel" aria-label={tabs.find((tab) => tab.id === bench.tab)?.label}>
    {#if bench.tab === 'balls'}
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
    {:else if bench.tab === 'counts' && report}
      {@const version = draft.document.variations?.[bench.tried]}
      {#if version}
        <p class="mb-2 flex flex-wrap items-center gap-2">
          {#if version.measures?.length}
            <span>The measures of <strong>{version.name}</strong>, which has its own.</span>
          {:else}
            <span><strong>{version.name}</strong> counts what its steps make of the drill’s measures.</span>
            {#if !builtIn}<button class="btn btn-sm" onclick={ownMeasures}>Give it measures of its own</button
              >{/if}
          {/if}
        </p>
      {/if}
      {#if version?.measures?.length}
        {@const nth = bench.tried}
        <Measures
          draft={ofVersion(draft, nth)}
          {bench}
          {report}
          {vocabulary}
          {builtIn}
          errors={under(errors, `variations.${nth}`)}
          ontype={(path, text) => bench.editVersion(nth, { typed: { path, text } })}
          onfit={(fit) => bench.adaptVersion(nth, fit)}
        />
      {:else}
        <Measures
          {draft}
          {bench}
          {report}
          {vocabulary}
          {builtIn}
          {errors}
          ontype={type}
          onfit={(fit) => bench.adapt(fit)}
        />
      {/if}
    {:else if bench.tab === 'versions'}
      <Versions {bench} {vocabulary} />
    {:else if bench.tab === 'places' && report}
      <section aria-labelledby="places">
        <h2 id="places">Where everything is</h2>
        <div class="overflow-x-auto">
          <CourtTable
            {report}
            {errors}
            ontype={builtIn ? undefined : type}
            onreword={builtIn
              ? undefined
              : (handle, wording) => bench.edit({ reword: { handle, ...wording } })}
            onremove={builtIn ? undefined : (handle) => bench.edit({ remove: handle })}
          />
        </div>
        {#if !builtIn}
          <p class="hint mb-3 text-sm">
            Type lengths as you say them: 4 ft 6 in, 1.4 m, 3 steps, 3/4 back, half-way from the net to the
            far service line.
          </p>
          <NoGo {draft} {report} />
          <div class="mt-3">
            <CourtChange
              document={draft.document}
              spots={report.spots}
              onchange={(document) => draft.replace(document)}
            />
          </div>
        {/if}
        {#if report.walk.length}
          <h2 class="mt-4">Walk it off</h2>
          <ol class="mt-1 list-decimal pl-5">
            {#each report.walk as step, i (i)}<li>
                <strong class="font-medium">{step.label}</strong>: {step.description}
              </li>{/each}
          </ol>
          <p class="hint mt-1 text-sm">From the near left corner, the shortest way.</p>
        {/if}
        <StandHere
          drill={draft.document}
          hand={bench.hand}
          student={bench.student}
          level={bench.level}
          feeder={report.spots.find((spot) => spot.kind === 'feeder')?.at}
        />
      </section>
    {:else if bench.tab === 'running'}
      <DrillFields {draft} {builtIn} bind:people={bench.people} />
      {#if vocabulary && !rally}<PatternFields {draft} {report} {vocabulary} {builtIn} />{/if}
    {:else if bench.tab === 'words'}
      <p class="mb-3">{draft.document.summary}</p>
      {#if report?.care.length}
        <h2 id="cautions">Take care</h2>
        <ul class="mt-1 list-disc pl-5" aria-labelledby="cautions">
          {#each report.care as caution, i (i)}<li>{caution}</li>{/each}
        </ul>
        <p class="hint mt-1 mb-3 text-sm">No medical advice; local rules and licensed practice come first.</p>
      {/if}
      <DrillWords {draft} {vocabulary} {builtIn} />
    {/if}
  </div>
</div>

<style>
  .side {
    container: side / inline-size;
    display: flex;
    flex-direction: column;
    min-height: 0;
    min-width: 0;
  }
  .panel {
    min-height: 0;
    position: relative;
    flex: 1;
    overflow-y: auto;
    padding: 0.35rem 0.25rem 0.5rem 0;
    max-width: 62rem;
  }
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
    .panel {
      overflow: visible;
    }
    /* The sequence stays in sight above the rooms, and the card over it. */
    .strip-of {
      position: sticky;
      bottom: 3.9rem;
      z-index: 5;
      order: -1;
      padding-block: 0.3rem;
      background: var(--color-base-100);
    }
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
