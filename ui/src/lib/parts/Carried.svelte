<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { onMount } from 'svelte'
  import { router } from 'svelte-spa-router'
  import { thingsKept } from '../words/words'

  /** What was done courtside or in a game and is not answered yet, on every page but those that send it themselves. */
  const client = useQueryClient()
  const sends = $derived(
    /^\/(?:lessons\/([^/]+)\/courtside|games\/played\/([^/]+))$/.exec(router.location)?.slice(1).join('') ??
      '',
  )
  let size = $state(0)

  onMount(() => {
    let end: (() => void) | undefined
    let gone = false
    void import('../../device/carrying').then(({ carry }) => {
      if (gone) return
      end = carry({
        sends: () => sends,
        waits: (now) => (size = now),
        answered: () => void client.invalidateQueries(),
      })
    })
    return () => {
      gone = true
      end?.()
    }
  })
</script>

{#if size && !sends}
  <p class="alert alert-warning no-print mb-3" role="status">
    {thingsKept(size, 'on this device')} until Hodometer answers.
  </p>
{/if}
