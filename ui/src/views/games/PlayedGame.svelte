<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys } from '../../lib/data'
  import Results from './Results.svelte'
  import Scoreboard from './Scoreboard.svelte'

  /** A game that is played, on as many devices as look at it; or results that were entered. */
  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = createQuery(() => ({
    queryKey: keys.playedGame(params.id),
    queryFn: () => answer(api.GET('/api/played/{id}', { params: { path: { id: params.id } } })),
    refetchInterval: 2000,
  }))
</script>

<Async {query}>
  {#snippet children(played)}
    {#key played.id}
      {#if played.state}<Scoreboard {played} />{:else}<Results {played} />{/if}
    {/key}
  {/snippet}
</Async>
