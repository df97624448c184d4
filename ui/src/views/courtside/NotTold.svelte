<script lang="ts">
  import { thingsKept } from '../../lib/words/words'
  import type { Run } from './courtside.svelte'

  /** What was done and the program was not told of yet, and why. */
  interface Props {
    delivery: Run['delivery']
  }
  let { delivery }: Props = $props()
</script>

{#if delivery.wrong}
  <p class="bg-base-200 text-error px-4 text-sm" role="status">{delivery.wrong}</p>
{/if}
{#if delivery.open.length > 0 && (delivery.slow || delivery.wrong || !delivery.reached)}
  <p class="bg-base-200 px-4 text-sm" role="status">
    {thingsKept(
      delivery.open.length,
      delivery.storageError ? 'on this page' : 'on this device',
    )}{delivery.reached ? '' : ' until Hodometer answers'}{delivery.wrong ? ' and sent again' : ''}.
  </p>
{/if}
