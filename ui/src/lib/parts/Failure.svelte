<script lang="ts">
  import { router } from 'svelte-spa-router'
  import { describe } from '../api/client'

  /** What stands in the place of a part that failed; going to another page tries it again. */
  interface Props {
    name: string
    error: unknown
    reset: () => void
  }
  let { name, error, reset }: Props = $props()
  const at = router.location
  $effect(() => {
    if (router.location !== at) reset()
  })
</script>

<div class="alert alert-error" role="alert">
  <div>
    <p><strong>{name} cannot be shown.</strong> Nothing is lost, and the rest of the page works.</p>
    <details class="text-sm"><summary>For whoever mends it</summary>{describe(error)}</details>
  </div>
  <button class="btn btn-sm" onclick={reset}>Try again</button>
</div>
