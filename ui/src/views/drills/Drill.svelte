<script lang="ts">
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, settingsQuery } from '../../lib/page/data'
  import { editedQuery } from '../../lib/drafts/edited'
  import DrillBench from './bench/DrillBench.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const settings = settingsQuery()
  const query = editedQuery(
    () => keys.drill(params.id),
    () => answer(api.GET('/api/drills/{id}', { params: { path: { id: params.id } } })),
  )
</script>

<Async {query}>
  {#snippet children(drill)}
    {#key drill.id}<DrillBench {drill} settings={settings.data} />{/key}
  {/snippet}
</Async>
