<script lang="ts">
  import GoalFields from '../../goal/GoalFields.svelte'
  import GoalAnswer from '../../goal/GoalAnswer.svelte'
  import type { DrillDocument, FitRequest, Report, Vocabulary, Derivation } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import DerivationDialog from '../../lib/DerivationDialog.svelte'
  import type { Bench } from './bench.svelte'
  import Measured from './Measured.svelte'
  import TargetEditor from './TargetEditor.svelte'

  /** What is to be reached and where balls go, and what both are for whoever the drill is tried on. */
  interface Props {
    draft: Draft<DrillDocument>
    bench: Bench
    report: Report
    vocabulary: Vocabulary | undefined
    builtIn: boolean
    errors: Record<string, string>
    ontype: (path: string, text: string) => void
    onfit: (fit: FitRequest) => void
  }
  let { draft, bench, report, vocabulary, builtIn, errors, ontype, onfit }: Props = $props()
  const fit = $derived(bench.worked?.playerFit)
  const dots = $derived(fit?.target?.landings.length ?? 0)
  const zoned = $derived((fit?.target?.scatter.logged ?? 0) - dots)
  let minutes = $state(6)
  let hit = $state(7)
  let allowed = $state(1.5)
  let derivation = $state<Derivation | null>(null)
  /** Without a word for it, a goal of points is even. */
  const rate = $derived(
    draft.document.goal.kind === 'first to' ? (fit?.rates.points?.mean ?? 0.5) : (fit?.rates.rate.mean ?? 0),
  )
</script>

<section class="sheet" aria-labelledby="aim">
  <h2 id="aim">Goal and target</h2>
  <p class="mt-1 mb-2"><strong>{report.goal}</strong>, into the {report.aim}.</p>
  {#if !builtIn}
    <GoalFields
      goal={draft.document.goal}
      {vocabulary}
      {errors}
      onchange={(goal) => draft.change((d) => (d.goal = goal))}
    />
  {/if}
  {#if fit}
    <p class="mt-3 first-letter:uppercase">
      {fit.rates.rate.sentence}
      <button class="link no-print" onclick={() => (derivation = fit.rates.rate.derivation)}
        >how<span class="sr-only"> this rate came about</span></button
      >
    </p>
    {#if fit.rates.choice}<p>Right choice: {fit.rates.choice.sentence}</p>{/if}
    {#if fit.rates.between}<p>{fit.rates.between.sentence}</p>{/if}
    <GoalAnswer
      goal={draft.document.goal}
      {rate}
      clock={fit.clock}
      disabled={builtIn}
      onchange={(goal) => draft.change((d) => (d.goal = goal))}
    />
    {#if !builtIn}
      <form
        class="no-print mt-2 flex flex-wrap items-center gap-2"
        onsubmit={(event) => (event.preventDefault(), onfit({ minutes }))}
      >
        <button class="btn btn-sm">Fit the goal</button>
        <label class="flex items-center gap-2 text-sm"
          >to <input
            class="input input-sm w-20"
            type="number"
            min="0.5"
            max="180"
            step="0.5"
            aria-label="Minutes for the goal"
            bind:value={minutes}
          /> min</label
        >
      </form>
    {/if}
  {/if}
  <hr class="border-base-300 my-4" />
  {#if builtIn}<Measured shape={report.measured} />{:else}<TargetEditor
      {draft}
      {report}
      {errors}
      {ontype}
    />{/if}
  {#if fit?.target}
    <p
      class="mt-3 text-lg first-letter:uppercase"
      role="status"
      aria-label="What becomes of balls aimed there"
    >
      {fit.target.sentence}.
    </p>
    {#if !fit.target.upright}<p class="hint text-sm">
        On the court: the inner ring holds half of the balls, the outer one nine of ten{dots
          ? `; dots are the ${dots} that were logged by place`
          : ''}{zoned ? `; ${zoned} more ${zoned === 1 ? 'was' : 'were'} logged by zone` : ''}.
      </p>{/if}
    <p class="no-print">
      <button class="link" onclick={() => (derivation = fit.target?.derivation ?? null)}
        >how<span class="sr-only"> these shares came about</span></button
      >
    </p>
    {#if !builtIn}
      <form
        class="no-print mt-2 flex flex-wrap items-center gap-2"
        onsubmit={(event) => (event.preventDefault(), onfit({ hit: hit / 10 }))}
      >
        <button class="btn btn-sm">Fit the target</button>
        <label class="flex items-center gap-2 text-sm"
          >to be hit <input
            class="input input-sm w-20"
            type="number"
            min="0.5"
            max="9.9"
            step="0.5"
            aria-label="Hits of 10"
            bind:value={hit}
          /> of 10</label
        >
      </form>
      <form
        class="no-print mt-2 flex flex-wrap items-center gap-2"
        onsubmit={(event) => (event.preventDefault(), onfit({ errors: allowed / 10 }))}
      >
        <button class="btn btn-sm">Move to best aim</button>
        <label class="flex items-center gap-2 text-sm"
          >out or in the net at most <input
            class="input input-sm w-20"
            type="number"
            min="0.1"
            max="9.9"
            step="0.1"
            aria-label="Errors of 10, at most"
            bind:value={allowed}
          /> of 10</label
        >
      </form>
    {/if}
  {:else if fit?.why}
    <p class="hint mt-3">Of balls aimed there: {fit.why}.</p>
  {/if}
  {#if bench.sentence}<p class="mt-2" role="status">{bench.sentence}</p>{/if}
  {#if draft.document.cues.length}<p class="mt-3">Watch: {draft.document.cues.join('; ')}.</p>{/if}
</section>
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
