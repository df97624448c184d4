<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys } from '../../lib/data'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import GameDesk from './GameDesk.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = createQuery(() => ({
    queryKey: keys.game(params.id),
    queryFn: async () => {
      await drafts.ready
      return answer(api.GET('/api/games/{id}', { params: { path: { id: params.id } } }))
    },
    gcTime: 0, // read anew each time it is opened; what is being edited is a draft, and outlives this
  }))
</script>

<Async {query}>
  {#snippet children(game)}
    {#key game.id}<GameDesk {game} />{/key}
  {/snippet}
</Async>
