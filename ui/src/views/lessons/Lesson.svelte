<script lang="ts">
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import { editedQuery } from '../../lib/drafts/edited'
  import LessonPlanner from './LessonPlanner.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const query = editedQuery(
    () => keys.lesson(params.id),
    () => answer(api.GET('/api/lessons/{id}', { params: { path: { id: params.id } } })),
  )
</script>

<Async {query}>
  {#snippet children(lesson)}
    {#key lesson.id}<LessonPlanner {lesson} />{/key}
  {/snippet}
</Async>
