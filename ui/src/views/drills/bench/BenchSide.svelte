<script lang="ts">
  import { narrow } from '../../../lib/parts/narrow.svelte'
  import type { Vocabulary } from '../../../lib/api/client'
  import Tabs from '../../../lib/parts/Tabs.svelte'
  import Balls from '../pattern/Balls.svelte'
  import type { Bench, Tab } from './bench.svelte'
  import DrillFields from './DrillFields.svelte'
  import DrillWords from './DrillWords.svelte'
  import Measures from '../measures/Measures.svelte'
  import PatternFields from '../pattern/PatternFields.svelte'
  import Places from './Places.svelte'
  import Sequence from './Sequence.svelte'
  import TryOn from '../play/TryOn.svelte'
  import Versions from '../versions/Versions.svelte'
  import { ofVersion, under } from '../versions/versionMeasures'

  /** What stands beside the court: the sequence, and over it whatever is opened. */
  interface Props {
    bench: Bench
    vocabulary: Vocabulary | undefined
  }
  let { bench, vocabulary }: Props = $props()
  const draft = $derived(bench.draft)
  const builtIn = $derived(bench.builtIn)
  const report = $derived(bench.report)
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
      <Sequence {bench} {vocabulary} />
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
      <Places {bench} {report} ontype={type} />
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
  }
</style>
