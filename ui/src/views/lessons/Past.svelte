<script lang="ts">
  import { weeksQuery } from '../../lib/page/data'
  import Part from '../../lib/parts/Part.svelte'
  import UnreadableList from '../../lib/parts/UnreadableList.svelte'
  import { many } from '../../lib/words/words'
  import MoreWeeks from './MoreWeeks.svelte'

  /** All lessons before today, the latest first, week by week. */
  const query = weeksQuery('earlier')
  const weeks = $derived(query.data?.pages ?? [])
  const lessons = $derived(
    weeks.flatMap((week) => week.lessons.filter((lesson) => lesson.date < week.today).toReversed()),
  )
  /** Those of this week, and those of no day, are told with the lessons to come. */
  const told = $derived(weeks[0]?.unreadable.map((each) => each.id) ?? [])
  const unreadable = $derived(
    weeks.flatMap((week) => week.unreadable).filter((each) => !told.includes(each.id)),
  )
</script>

<h2 class="mt-6 mb-2">Past</h2>
<Part name="The past lessons">
  <UnreadableList list={unreadable} />
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
            <td class="whitespace-nowrap tabular-nums">{lesson.date} {lesson.start}</td>
            <th scope="row"><a class="link link-hover" href="#/lessons/{lesson.id}">{lesson.title}</a></th>
            <td>{lesson.people.join(', ')}</td>
            <td
              class="text-right tabular-nums"
              data-figure="{lesson.id} Balls fed"
              data-value={many(lesson.balls, 'ball')}>{lesson.balls}</td
            >
            <td class="text-right"
              ><a class="btn btn-sm" href="#/lessons/{lesson.id}/afterwards"
                >Afterwards<span class="sr-only"> of {lesson.title} on {lesson.date}</span></a
              ></td
            >
          </tr>
        {:else}
          <tr
            ><td colspan="5">{query.isPending || query.hasNextPage ? 'Loading…' : 'No past lessons.'}</td></tr
          >
        {/each}
      </tbody>
    </table>
  </div>
  <MoreWeeks {query} enough={lessons.length >= 8} label="Earlier lessons" />
</Part>
