<script lang="ts">
  import type { MeasuredDraft } from '../versions/versionMeasures'
  import type { DrillDocument, AdaptRequest, Report, Vocabulary } from '../../../lib/api/client'
  import type { Bench } from '../bench/bench.svelte'
  import Measured from './Measured.svelte'
  import MeasureGoals from './MeasureGoals.svelte'
  import { another, mostMeasures } from './measures'
  import MeasureSentence from './MeasureSentence.svelte'
  import TargetAnswer from './TargetAnswer.svelte'
  import TargetEditor from './TargetEditor.svelte'

  /** What is tried and counted, measure by measure: one of them is open. */
  interface Props {
    draft: MeasuredDraft
    bench: Bench
    report: Report
    vocabulary: Vocabulary | undefined
    builtIn: boolean
    errors: Record<string, string>
    ontype: (path: string, text: string) => void
    onfit: (fit: AdaptRequest) => void
  }
  let { draft, bench, report, vocabulary, builtIn, errors, ontype, onfit }: Props = $props()
  const list = $derived(draft.document.measures)
  const nth = $derived(Math.min(bench.measure, list.length - 1))
  const measure = $derived(list[nth])
  const said = $derived(measure && report.measures.find((each) => each.number === measure.number))
  const fit = $derived(
    measure && bench.worked?.playerFit.measures.find((each) => each.number === measure.number),
  )
  const orders = {
    'side by side': 'side by side: every ball counts for all that it belongs to',
    'one after the other': 'one after the other, each with all its goals',
    'goal by goal': 'goal by goal: the first of each, then the second of each',
  }
  const wrongIn = (i: number) => Object.keys(errors).some((at) => at.startsWith(`measures.${i}.`))

  function add() {
    draft.change((d) => d.measures.push(another($state.snapshot(d.measures))))
    bench.measure = draft.document.measures.length - 1
  }

  function remove() {
    draft.change((d) => d.measures.splice(nth, 1))
    bench.measure = Math.max(0, nth - 1)
  }
</script>

<section aria-labelledby="aim">
  <h2 id="aim">What counts</h2>
  {#if list.length > 1 || !builtIn}
    <div class="mt-1 flex flex-wrap items-center gap-2" role="group" aria-label="Measures">
      {#each list as each, i (each.number)}
        <button
          class="btn btn-sm chip"
          class:btn-primary={i === nth}
          class:btn-error={wrongIn(i)}
          aria-pressed={i === nth}
          onclick={() => (bench.measure = i)}
          ><span class="drum-digits text-lg">{each.number}</span>
          {report.measures[i]?.name || each.name || (list.length > 1 ? '' : 'the only measure')}</button
        >
      {/each}
      {#if !builtIn && list.length < mostMeasures}<button class="btn btn-sm" onclick={add}
          >Add a measure</button
        >{/if}
    </div>
  {/if}
  {#if list.length > 1}
    <p class="mt-2 flex flex-wrap items-center gap-2 text-sm">
      {#if builtIn}
        <span>They run {orders[draft.document.order ?? 'side by side']}.</span>
      {:else}
        <label for="measure-order">They run</label>
        <select
          id="measure-order"
          class="select select-sm w-auto"
          value={draft.document.order ?? 'side by side'}
          onchange={(event) => {
            const order = event.currentTarget.value as NonNullable<DrillDocument['order']>
            draft.change((d) => (d.order = order === 'side by side' ? undefined : order))
          }}
        >
          {#each Object.entries(orders) as [order, label] (order)}<option value={order}>{label}</option
            >{/each}
        </select>
        <button class="link" onclick={remove}>take measure {measure?.number} out</button>
      {/if}
    </p>
  {/if}
  {#if errors.measures}<p class="text-error text-sm" role="alert">{errors.measures}</p>{/if}
  {#if measure && said}
    <p class="mt-2 mb-2">
      <strong>{said.goal}</strong>{said.where}.
    </p>
    {#if !builtIn && vocabulary}<MeasureSentence {draft} {nth} {report} {vocabulary} {errors} />{/if}
    {#if builtIn && said.criteria.length}
      <p class="text-sm">Right when {said.criteria.map((each) => each.text).join(', ')}.</p>
    {/if}
    <MeasureGoals {draft} {nth} {measure} {fit} {vocabulary} {builtIn} {errors} {onfit} />
    <hr class="border-base-300 my-4" />
    {#if !builtIn}<TargetEditor {draft} {nth} {report} {errors} {ontype} />{:else if said.target}<Measured
        shape={said.measured}
      />{/if}
    {#if fit}<TargetAnswer {fit} {builtIn} fits={Boolean(said.target)} {onfit} />{/if}
  {/if}
  {#if bench.sentence}<p class="mt-2" role="status">{bench.sentence}</p>{/if}
  {#if draft.document.cues.length}<p class="mt-3">Watch: {draft.document.cues.join('; ')}.</p>{/if}
</section>
