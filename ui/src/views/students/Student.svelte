<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys } from '../../lib/data'
  import StudentPage from './StudentPage.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = createQuery(() => ({
    queryKey: keys.student(params.id),
    queryFn: () => answer(api.GET('/api/students/{id}', { params: { path: { id: params.id } } })),
    refetchOnWindowFocus: false,
    gcTime: 0, // what is edited is read anew each time it is opened, never shown from before and then replaced
  }))
</script>

<Async {query}>
  {#snippet children(student)}
    {#key `${student.id} ${query.dataUpdatedAt}`}<StudentPage
        {student}
        onreload={() => void query.refetch()}
      />{/key}
  {/snippet}
</Async>
