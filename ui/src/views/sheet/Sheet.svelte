<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import RunSheet from './RunSheet.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = createQuery(() => ({
    queryKey: keys.sheet(params.id),
    queryFn: () => answer(api.GET('/api/lessons/{id}/sheet', { params: { path: { id: params.id } } })),
  }))
</script>

<Async {query}>
  {#snippet children(sheet)}<RunSheet {sheet} />{/snippet}
</Async>
