<script lang="ts">
  import type { Moved } from '../../../lib/api/client'

  /** What the place that is being dragged would be, over the foot of the court. */
  interface Props {
    moved: Moved | undefined
  }
  let { moved }: Props = $props()
  /** The measure whose target is being dragged. */
  const measure = $derived(
    moved?.measures[Number(/^measures\.(\d+)/.exec(moved.spot?.handle ?? '')?.[1] ?? -1)],
  )
</script>

<div class="readout no-print text-sm" class:empty={!moved?.spot}>
  {#if moved?.spot}
    <p><strong class="font-medium">{moved.spot.label}</strong>: {moved.spot.description}</p>
    {#if measure}<p>{measure.measured.map((part) => `${part.name} ${part.value}`).join(', ')}</p>{/if}
  {/if}
</div>

<style>
  /* Of one size and over the court, so that reading off moves nothing else. */
  .readout {
    position: absolute;
    inset: auto 0 0;
    contain: layout paint style;
    padding: 0.3rem 0.5rem;
    pointer-events: none;
    color: var(--tag);
    background: color-mix(in oklab, var(--on-court) 82%, transparent);
    border-radius: 0 0 var(--radius-box) var(--radius-box);
  }
  .empty {
    visibility: hidden;
  }
</style>
