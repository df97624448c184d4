<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys } from '../../lib/data'
  import CourtsideRun from './CourtsideRun.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = createQuery(() => ({
    queryKey: [...keys.lesson(params.id), 'courtside'],
    queryFn: () => answer(api.GET('/api/lessons/{id}/courtside', { params: { path: { id: params.id } } })),
    refetchOnWindowFocus: false,
    gcTime: 0,
  }))
</script>

<Async {query}>
  {#snippet children(data)}
    {#key data.lesson.id}<CourtsideRun first={data} />{/key}
  {/snippet}
</Async>
