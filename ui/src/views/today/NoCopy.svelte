<script lang="ts">
  import { keepingQuery } from '../../lib/page/data'

  /** Says so where no safe copy could be made. */
  const query = keepingQuery()
</script>

{#if query.data?.wrong}
  <p class="alert alert-error mt-5" role="alert">
    <span
      >The last safe copy could not be made. Nothing is lost now, but nothing newer is safe either.
      <a class="link" href="#/settings/keeping">See what is wrong</a></span
    >
  </p>
{/if}
