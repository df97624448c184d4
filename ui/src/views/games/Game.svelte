<script lang="ts">
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import { editedQuery } from '../../lib/drafts/edited'
  import GameDesk from './GameDesk.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = editedQuery(
    () => keys.game(params.id),
    () => answer(api.GET('/api/games/{id}', { params: { path: { id: params.id } } })),
  )
</script>

<Async {query}>
  {#snippet children(game)}
    {#key game.id}<GameDesk {game} />{/key}
  {/snippet}
</Async>
