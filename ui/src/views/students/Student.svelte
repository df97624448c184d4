<script lang="ts">
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import { editedQuery } from '../../lib/drafts/edited'
  import StudentPage from './StudentPage.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = editedQuery(
    () => keys.student(params.id),
    () => answer(api.GET('/api/students/{id}', { params: { path: { id: params.id } } })),
  )
</script>

<Async {query}>
  {#snippet children(student)}
    {#key student.id}<StudentPage {student} />{/key}
  {/snippet}
</Async>
