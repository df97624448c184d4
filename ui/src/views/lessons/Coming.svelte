<script lang="ts">
  import { weeksQuery } from '../../lib/page/data'
  import Part from '../../lib/parts/Part.svelte'
  import UnreadableList from '../../lib/parts/UnreadableList.svelte'
  import { dayName } from '../../lib/words/words'
  import LessonCard from './LessonCard.svelte'
  import MoreWeeks from './MoreWeeks.svelte'
  import { later } from './week'

  interface Props {
    /** As many are there as are shown at first. */
    whole: boolean
  }
  let { whole = $bindable() }: Props = $props()
  /** The lessons from today on, week by week. */
  const query = weeksQuery('later')
  const weeks = $derived(query.data?.pages ?? [])
  const lessons = $derived(
    weeks.flatMap((week) =>
      week.lessons
        .filter((lesson) => lesson.date >= week.today)
        .map((lesson) => ({ lesson, today: week.today })),
    ),
  )
  /** Some lessons, and the next seven days: on a Sunday they are those of the week after. */
  const enough = $derived(
    lessons.length >= 3 && (weeks.at(-1)?.days.at(-1) ?? '') >= later(weeks[0]?.today ?? '', 6),
  )
  $effect(() => {
    if (query.isError || (query.isSuccess && (enough || !query.hasNextPage))) whole = true
  })
  /** Those of no day are in every week. */
  const unreadable = $derived([
    ...new Map(weeks.flatMap((week) => week.unreadable).map((each) => [each.id, each])).values(),
  ])
</script>

<h2 class="mt-6 mb-2">Coming</h2>
<Part name="The lessons to come">
  <UnreadableList list={unreadable} />
  <div class="flex flex-col gap-3">
    {#each lessons as { lesson, today } (lesson.id)}
      <p class="-mb-2 text-sm font-medium">{dayName(lesson.date, today)}</p>
      <Part name={lesson.title}><LessonCard brief={lesson} /></Part>
    {:else}
      <p class="sheet">
        {query.isPending || query.hasNextPage
          ? 'Loading…'
          : 'Nothing planned. Plan a lesson to see it as a road here.'}
      </p>
    {/each}
  </div>
  <MoreWeeks {query} {enough} label="Later lessons" />
</Part>
