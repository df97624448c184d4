<script lang="ts">
  import { router } from 'svelte-spa-router'
  import { drafts } from './drafts.svelte'

  /** What is kept on this device and not saved, on every page but the one where it is edited. */
  const elsewhere = $derived(drafts.unsaved.filter((each) => each.href !== router.location))
</script>

{#if elsewhere.length}
  <div class="alert alert-warning no-print mb-3" role="status">
    <p>
      Kept on this device and not saved yet:
      {#each elsewhere as each, i (each.key)}{i > 0 ? ', ' : ''}<a class="link" href="#{each.href}"
          >{each.name}</a
        >{/each}.
    </p>
  </div>
{/if}
