<script lang="ts">
  import type { Run } from './courtside.svelte'

  /** What this device cannot keep, and what the program would not take. */
  interface Props {
    delivery: Run['delivery']
  }
  let { delivery }: Props = $props()
</script>

{#if delivery.storageError}
  <p class="text-error px-4 text-sm" role="alert">
    This device cannot keep anything: leave this page open until Hodometer has answered.
  </p>
{/if}
{#if delivery.refused.length}
  <p class="text-error px-4 text-sm" role="alert">
    {delivery.refused.length} could not be counted and are kept on this device: {delivery.refused[0]}
  </p>
{/if}
