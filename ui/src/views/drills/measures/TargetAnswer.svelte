<script lang="ts">
  import type { Derivation, AdaptRequest, MeasureFit } from '../../../lib/api/client'
  import DerivationDialog from '../../../lib/parts/DerivationDialog.svelte'
  import FitForm from './FitForm.svelte'

  /** What becomes of balls that are aimed at the target of a measure, and fitting it. */
  interface Props {
    fit: MeasureFit
    builtIn: boolean
    /** There is a target that can be fitted; else in is enough. */
    fits: boolean
    onfit: (fit: AdaptRequest) => void
  }
  let { fit, builtIn, fits, onfit }: Props = $props()
  const dots = $derived(fit.target?.landings.length ?? 0)
  const zoned = $derived((fit.target?.scatter.logged ?? 0) - dots)
  /** The task whose ball this is: the first of several, each with a chance of its own. */
  const first = $derived(
    new Set(fit.balls.map((ball) => ball.task)).size > 1 ? fit.balls[0]?.task : undefined,
  )
  let derivation = $state<Derivation | null>(null)
</script>

{#if fit.target}
  <p class="mt-3 text-lg first-letter:uppercase" role="status" aria-label="What becomes of balls aimed there">
    {fit.target.sentence}.
  </p>
  {#if first !== undefined}<p class="hint text-sm">
      That is ball {first + 1}; how often each is made stands with it in the sequence.
    </p>{/if}
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
  {#if fits && !builtIn}
    <FitForm
      button="Fit the target"
      before="to be hit"
      label="Hits of 10"
      value={7}
      min={0.5}
      max={9.9}
      step={0.5}
      after="of 10"
      onfit={(hit) => onfit({ measure: fit.number, hit: hit / 10 })}
    />
    <FitForm
      button="Move to best aim"
      before="out or in the net at most"
      label="Errors of 10, at most"
      value={1.5}
      min={0.1}
      max={9.9}
      step={0.1}
      after="of 10"
      onfit={(allowed) => onfit({ measure: fit.number, errors: allowed / 10 })}
    />
  {/if}
{:else if fit.why}
  <p class="hint mt-3">Of balls aimed there: {fit.why}.</p>
{/if}
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
