<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query'
  import { answer, api, say, type Past } from '../../lib/api/client'
  import { keys } from '../../lib/data'
  import Part from '../../lib/Part.svelte'
  import UnreadableList from '../../lib/UnreadableList.svelte'

  /** All lessons before today, the latest first, a page at a time. */
  const query = createInfiniteQuery(() => ({
    queryKey: keys.past,
    queryFn: ({ pageParam: skip }) =>
      answer(api.GET('/api/lessons/past', { params: { query: { skip } } })) as Promise<Past>,
    initialPageParam: 0,
    getNextPageParam: (last: Past, all: Past[]) =>
      last.more
        ? all.reduce((sum, page) => sum + page.lessons.length + page.unreadable.length, 0)
        : undefined,
  }))
  const pages = $derived(query.data?.pages ?? [])
  const lessons = $derived(pages.flatMap((page) => page.lessons))
</script>

<h2 class="mt-6 mb-2">Past</h2>
<Part name="The past lessons">
  <UnreadableList list={pages.flatMap((page) => page.unreadable)} />
  <div class="overflow-x-auto">
    <table class="table">
      <thead
        ><tr
          ><th scope="col">Day</th><th scope="col">Lesson</th><th scope="col">Who</th><th
            scope="col"
            class="text-right">Balls planned</th
          ><th scope="col"><span class="sr-only">Open</span></th></tr
        ></thead
      >
      <tbody>
        {#each lessons as lesson (lesson.id)}
          <tr>
            <td class="whitespace-nowrap tabular-nums">{lesson.document.date} {lesson.document.start}</td>
            <th scope="row"
              ><a class="link link-hover" href="#/lessons/{lesson.id}">{lesson.document.title}</a></th
            >
            <td>{lesson.people.map((p) => p.name).join(', ')}</td>
            <td class="text-right tabular-nums">{lesson.plan.balls}</td>
            <td class="text-right"
              ><a class="btn btn-sm" href="#/lessons/{lesson.id}/afterwards"
                >Afterwards<span class="sr-only">
                  of {lesson.document.title} on {lesson.document.date}</span
                ></a
              ></td
            >
          </tr>
        {:else}
          <tr><td colspan="5">{query.isPending ? 'Loading…' : 'No past lessons.'}</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if query.error}<p class="text-error" role="alert">{say(query.error)}</p>{/if}
  {#if query.hasNextPage}
    <button
      class="btn btn-sm mt-2"
      disabled={query.isFetchingNextPage}
      onclick={() => void query.fetchNextPage()}>Earlier lessons</button
    >
  {/if}
</Part>
