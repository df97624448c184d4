<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import type { Snapped } from '../../court/view'
  import CourtTable from '../../court/CourtTable.svelte'
  import {
    answer,
    api,
    isNew,
    type Drill,
    type DrillDocument,
    type Settings,
    type Reference,
  } from '../../lib/api/client'
  import { keys, renew, vocabularyQuery } from '../../lib/data'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import Drums from '../../lib/Drums.svelte'
  import { notices } from '../../lib/notice.svelte'
  import SaveState from '../../lib/SaveState.svelte'
  import { Bench } from './bench.svelte'
  import PatternFields from './PatternFields.svelte'
  import { Playback } from './playback.svelte'
  import PlayControls from './PlayControls.svelte'
  import ReadOff from './ReadOff.svelte'
  import Repeats from './Repeats.svelte'
  import Sequence from './Sequence.svelte'
  import StandHere from './StandHere.svelte'
  import Tempo from './Tempo.svelte'
  import TryOn from './TryOn.svelte'
  import Variations from './Variations.svelte'
  import VerdictSign from './VerdictSign.svelte'
  import CourtChange from './CourtChange.svelte'
  import Branches from './Branches.svelte'
  import CourtView from './CourtView.svelte'
  import DrillFields from './DrillFields.svelte'
  import InWords from './InWords.svelte'
  import Measures from './Measures.svelte'
  import NoGo from './NoGo.svelte'
  import Things from './Things.svelte'

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
  const bench = new Bench(id)
  const report = $derived(bench.worked?.report)
  const simulation = $derived(bench.worked?.simulation)
  const vocabulary = vocabularyQuery()
  const playback = new Playback(() => simulation)
  const trying = $derived(bench.steps.length > 0)

  $effect(() => {
    void [bench.people, bench.hand, bench.student, bench.level, bench.steps]
    bench.ask($state.snapshot(draft.document))
  })

  /** A plain copy, taken once for every change. */
  const plain = $derived($state.snapshot(draft.document) as DrillDocument)
  const current = () => plain
  const changed = (document: DrillDocument) => draft.replace(document)
  /** What was wrong with the last save, or with the last thing typed. */
  const errors = $derived({ ...draft.fields, ...bench.fields })

  let pressed = $state('')
  /** Only a drag that has ended is a change, and only what did not snap is rounded. */
  function move(handle: string, place: Snapped, how: 'dragged' | 'dropped' | 'nudged') {
    if (how === 'dragged') bench.drag(current, handle, place)
    else bench.move(current, handle, place, how === 'dropped', changed)
  }

  const type = (path: string, text: string) => bench.edit(current, { typed: { path, text } }, changed)
  const reword = (handle: string, wording: Reference) =>
    bench.edit(current, { reword: { handle, ...wording } }, changed)
  const remove = (handle: string) => bench.edit(current, { remove: handle }, changed)

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
<a class="link link-hover text-sm" href="#/drills">Drills</a>
<div class="flex flex-wrap items-center gap-x-3 gap-y-2">
  <h1>{draft.document.name}</h1>
  {#if builtIn}
    <span class="badge">built in</span>
  {:else}
    <SaveState {draft} busy={bench.editing} onkeep={() => void keepCopy($state.snapshot(draft.document))} />
  {/if}
  <div class="ml-auto flex flex-wrap items-center gap-2">
    {#if !builtIn}
      <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => draft.undo()}>Undo</button>
      <button class="btn btn-sm" disabled={!draft.canRedo} onclick={() => draft.redo()}>Redo</button>
    {/if}
    <button class="btn btn-sm" class:btn-primary={builtIn} onclick={duplicate}
      >{builtIn ? 'Duplicate to change it' : 'Duplicate'}</button
    >
  </div>
</div>
<p class="mt-1 max-w-3xl">{draft.document.summary}</p>

<div class="bench mt-4">
  <div class="drawing">
    {#if report}
      <CourtView
        {report}
        label="{draft.document.name} on {report.court.name}"
        {settings}
        onmove={builtIn || trying ? undefined : move}
        onpress={(handle) => (pressed = handle)}
        onpoint={builtIn || trying ? undefined : (press) => bench.edit(current, { press }, changed)}
        {simulation}
        aimed={bench.aimed}
        moment={playback.moment}
      >
        {#snippet controls()}<PlayControls {playback} />{/snippet}
      </CourtView>
    {/if}
    <div class="no-print mt-2 flex flex-wrap items-center gap-3 text-sm">
      <fieldset class="flex gap-3">
        <legend class="sr-only">Shown for</legend>
        <label class="flex items-center gap-1"
          ><input type="radio" class="radio radio-sm" value="right" bind:group={bench.hand} /> right-hander</label
        >
        <label class="flex items-center gap-1"
          ><input type="radio" class="radio radio-sm" value="left" bind:group={bench.hand} /> left-hander</label
        >
      </fieldset>
      <TryOn {bench} drill={draft.document} vocabulary={vocabulary.data} />
    </div>
    {#if !builtIn}<div class="readout no-print mt-1 text-sm">
        <ReadOff moved={bench.moved} {draft} {pressed} />
      </div>{/if}
    {#if bench.refusal && draft.status !== 'refused'}<p class="text-error mt-1" role="alert">
        {bench.refusal}
      </p>{/if}
  </div>
  <div class="flex flex-col gap-4">
    <section class="sheet" aria-labelledby="sequence">
      <h2 id="sequence">The sequence</h2>
      {#if simulation}
        <p class="mt-1 mb-2 flex items-center gap-2" role="status">
          <VerdictSign verdict={simulation.timeline.worst} bare />{simulation.verdict}
        </p>
      {/if}
      <InWords {draft} {builtIn} />
      {#if !draft.document.pattern.rally}
        <Sequence
          {draft}
          {simulation}
          fit={bench.worked?.playerFit?.measures ?? []}
          vocabulary={vocabulary.data}
          {report}
          {builtIn}
          tried={trying ? bench.worked?.document : undefined}
          {errors}
        />
        <Repeats {draft} {builtIn} {errors} />
        {#if vocabulary.data}<Branches {draft} vocabulary={vocabulary.data} {builtIn} {errors} />{/if}
        {#if simulation && report}
          <Tempo
            {simulation}
            {report}
            gap={(trying ? bench.worked?.document : draft.document)?.pattern.gap ?? 3}
            disabled={builtIn || trying}
            onchange={(gap) => draft.change((d) => (d.pattern.gap = gap))}
          />
        {/if}
      {/if}
      {#if simulation && simulation.runs.length > 1}
        <ul class="mt-1 flex flex-wrap gap-x-5" aria-label="Who runs how far">
          {#each simulation.runs as run, i (i)}<li>{run}</li>{/each}
        </ul>
      {/if}
      {#if vocabulary.data}<PatternFields {draft} {report} vocabulary={vocabulary.data} {builtIn} />{/if}
    </section>
    <Variations
      {draft}
      {builtIn}
      vocabulary={vocabulary.data}
      worked={bench.worked}
      steps={bench.steps}
      ontry={(steps) => (bench.steps = steps)}
    />
    {#if report}
      <Measures
        {draft}
        {bench}
        {report}
        vocabulary={vocabulary.data}
        {builtIn}
        {errors}
        ontype={type}
        onfit={(fit) => bench.fit(current, fit, changed)}
      />
    {/if}
    <DrillFields {draft} vocabulary={vocabulary.data} {builtIn} bind:people={bench.people} />
    {#if report}
      <section class="sheet overflow-x-auto" aria-labelledby="places">
        <h2 id="places">Where everything is</h2>
        <CourtTable
          {report}
          {errors}
          ontype={builtIn ? undefined : type}
          onreword={builtIn ? undefined : reword}
          onremove={builtIn ? undefined : remove}
        />
        {#if !builtIn}
          <p class="hint mb-3 text-sm">
            Type lengths as you say them: 4 ft 6 in, 1.4 m, 3 steps, 3/4 back, half-way from the net to the
            far service line.
          </p>
          <Things {draft} {report} {errors} ontype={type} />
          <NoGo {draft} {report} />
          <div class="mt-3">
            <CourtChange
              document={draft.document}
              spots={report.spots}
              onchange={(document) => draft.replace(document)}
            />
          </div>
        {/if}
      </section>
    {/if}
    <StandHere
      drill={draft.document}
      hand={bench.hand}
      student={bench.student}
      level={bench.level}
      feeder={report?.spots.find((spot) => spot.label === 'feeder')?.at}
    />
    {#if report?.walk.length}
      <section class="sheet" aria-labelledby="walk">
        <h2 id="walk">Walk it off</h2>
        <ol class="mt-1 list-decimal pl-5">
          {#each report.walk as step, i (i)}<li>
              <strong class="font-medium">{step.label}</strong>: {step.description}
            </li>{/each}
        </ol>
        <p class="hint mt-1 text-sm">From the near left corner, the shortest way.</p>
      </section>
    {/if}
    {#if draft.document.cautions.length}
      <section class="sheet" aria-labelledby="cautions">
        <h2 id="cautions">Take care</h2>
        <ul class="mt-1 list-disc pl-5">
          {#each draft.document.cautions as caution, i (i)}<li>{caution}</li>{/each}
        </ul>
        <p class="hint mt-1 text-sm">No medical advice; local rules and licensed practice come first.</p>
      </section>
    {/if}
  </div>
</div>
{#if report && simulation}<div class="foot">
    <Drums metrics={[...report.metrics, ...simulation.metrics, ...(bench.worked?.playerFit.metrics ?? [])]} />
  </div>{/if}

<style>
  .bench {
    display: grid;
    gap: 1.5rem;
    grid-template-columns: min-content minmax(0, 1fr);
    align-items: start;
  }
  @media print {
    .bench {
      grid-template-columns: 7.5cm minmax(0, 1fr);
    }
  }
  @media screen and (max-width: 900px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  /* The court stays in sight while something beside it is changed. */
  @media (min-width: 901px) {
    .drawing {
      position: sticky;
      top: 1rem;
    }
  }
  /* Of one size, so that reading off moves nothing else. */
  .readout {
    contain: strict;
    height: 5rem;
  }
  .foot {
    position: sticky;
    bottom: 0;
    margin-top: 1rem;
  }
  @media (max-width: 700px) {
    .foot {
      position: static;
    }
  }
</style>
