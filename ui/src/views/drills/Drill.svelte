<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys, settingsQuery } from '../../lib/data'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import DrillBench from './DrillBench.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const settings = settingsQuery()
  const query = createQuery(() => ({
    queryKey: keys.drill(params.id),
    queryFn: async () => {
      await drafts.ready
      return answer(api.GET('/api/drills/{id}', { params: { path: { id: params.id } } }))
    },
    gcTime: 0, // read anew each time it is opened; what is being edited is a draft, and outlives this
  }))
</script>

<Async {query}>
  {#snippet children(drill)}
    {#key drill.id}<DrillBench {drill} settings={settings.data} />{/key}
  {/snippet}
</Async>
