<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys, settingsQuery } from '../../lib/data'
  import DrillBench from './DrillBench.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const settings = settingsQuery()
  const query = createQuery(() => ({
    queryKey: keys.drill(params.id),
    queryFn: () => answer(api.GET('/api/drills/{id}', { params: { path: { id: params.id } } })),
    refetchOnWindowFocus: false,
    gcTime: 0, // what is edited is read anew each time it is opened, never shown from before and then replaced
  }))
</script>

<Async {query}>
  {#snippet children(drill)}
    {#key `${drill.id} ${query.dataUpdatedAt}`}
      <DrillBench {drill} settings={settings.data} onreload={() => void query.refetch()} />
    {/key}
  {/snippet}
</Async>
