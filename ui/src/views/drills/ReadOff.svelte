<script lang="ts">
  import type { Moved } from '../../lib/api/client'

  /** What the place that is being dragged would be, right below the court. */
  interface Props {
    moved: Moved | undefined
  }
  let { moved }: Props = $props()
  /** The measure whose target is being dragged. */
  const measure = $derived(
    moved?.measures[Number(/^measures\.(\d+)/.exec(moved.spot?.handle ?? '')?.[1] ?? -1)],
  )
</script>

{#if moved?.spot}
  <p><strong class="font-medium">{moved.spot.label}</strong>: {moved.spot.description}</p>
  {#if measure}
    <p>{measure.measured.map((part) => `${part.name} ${part.value}`).join(', ')}</p>
  {/if}
{:else}
  <p class="hint">Drag a sign, or choose it and use the arrow keys; Shift for small steps.</p>
{/if}
