<script lang="ts">
  import type { Metric, Derivation } from '../api/client'
  import Rolling from './Rolling.svelte'
  import DerivationDialog from './DerivationDialog.svelte'

  interface Props {
    metrics: Metric[]
    /** Whose figures they are; what is called alike of the same is one figure wherever it is shown. */
    of?: string
  }
  let { metrics, of }: Props = $props()
  let open = $state<Derivation | null>(null)
</script>

<section aria-label="Counts of this plan" class="drums rounded-box flex flex-wrap gap-px overflow-hidden">
  {#each metrics as metric, i (i)}
    <button class="drum" onclick={() => (open = metric.derivation)} title="How this came about">
      <span class="text-sm">{metric.name}</span>
      <span class="flex flex-wrap items-baseline gap-x-1">
        <span
          data-figure={of && `${of} ${metric.name}`}
          data-value="{metric.text} {metric.unit}"
          class={metrics.length > 11 ? 'text-xl' : metrics.length > 9 ? 'text-2xl' : 'text-3xl'}
          ><Rolling text={metric.text} /></span
        >
        <span class="text-sm">{metric.unit}</span>
      </span>
    </button>
  {/each}
</section>
<DerivationDialog derivation={open} onclose={() => (open = null)} />

<style>
  .drums {
    background: color-mix(in oklab, var(--drum) 80%, var(--on-drum));
  }
  .drum {
    flex: 1 1 4.3rem;
    background: var(--drum);
    color: var(--on-drum);
    padding: 0.45rem;
    text-align: left;
    display: flex;
    flex-direction: column;
    gap: 0.25rem;
    cursor: pointer;
  }
  .drum:focus-visible {
    outline-offset: -4px;
    outline-color: var(--on-drum);
  }
</style>
