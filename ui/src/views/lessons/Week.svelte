<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, over, type LessonBrief, type LessonDocument } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, renew, week } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import { many, onDay } from '../../lib/words/words'
  import MoveLesson from './MoveLesson.svelte'

  const client = useQueryClient()
  let ahead = $state(0)
  let moving = $state.raw<LessonBrief | null>(null)
  let target = $state('')

  const query = createQuery(() => ({ queryKey: keys.week(ahead), queryFn: () => week(ahead) }))
  const name = (day: string) => onDay(day, 'short')

  /** move gives a lesson another day or hour; the way back is offered. */
  async function move(
    lesson: Pick<LessonBrief, 'id' | 'date' | 'start'>,
    to: Pick<LessonDocument, 'date' | 'start'>,
  ) {
    const { date, start } = lesson
    moving = null
    if (date === to.date && start === to.start) return
    try {
      const path = { id: lesson.id }
      const { document, revision } = await answer(api.GET('/api/lessons/{id}', { params: { path } }))
      const stored = await answer(
        api.PUT('/api/lessons/{id}', {
          params: { path, header: over(revision) },
          body: { ...document, ...to },
        }),
      )
      await renew(client, keys.lessons)
      notices.done(
        `${stored.document.title} is on ${name(to.date)} at ${to.start}. ${stored.clashes.join(' ')}`.trim(),
        { label: 'Undo', run: () => move({ id: stored.id, ...to }, { date, start }) },
      )
    } catch (error) {
      notices.wrong(error)
    }
  }

  function drop(event: DragEvent, date: string, lessons: LessonBrief[]) {
    event.preventDefault()
    target = ''
    const lesson = lessons.find((l) => l.id === event.dataTransfer?.getData('text/plain'))
    if (lesson) void move(lesson, { date, start: lesson.start })
  }
</script>

<div class="flex flex-wrap items-center gap-2">
  <h2 class="w-full sm:w-auto">{query.data ? `Week of ${name(query.data.days[0] ?? '')}` : 'Week'}</h2>
  <div class="ml-auto flex gap-2">
    <button class="btn btn-sm" onclick={() => ahead--}>Week before</button>
    <button class="btn btn-sm" disabled={ahead === 0} onclick={() => (ahead = 0)}>This week</button>
    <button class="btn btn-sm" onclick={() => ahead++}>Week after</button>
  </div>
</div>
<Async {query}>
  {#snippet children(data)}
    <div class="week mt-2">
      {#each data.days as day (day)}
        {@const lessons = data.lessons.filter((l) => l.date === day)}
        <section
          class="day"
          class:today={day === data.today}
          class:over={target === day}
          aria-label={name(day)}
          ondragover={(event) => (event.preventDefault(), (target = day))}
          ondragleave={() => (target = '')}
          ondrop={(event) => drop(event, day, data.lessons)}
        >
          <h3 class="text-sm font-semibold">{name(day)}{day === data.today ? ', today' : ''}</h3>
          {#each lessons as lesson (lesson.id)}
            <div
              class="card"
              role="group"
              aria-label="{lesson.start} {lesson.title}"
              draggable={lesson.state === 'planned'}
              ondragstart={(event) => event.dataTransfer?.setData('text/plain', lesson.id)}
            >
              <a href="#/lessons/{lesson.id}" class="link-hover block">
                <span class="drum-digits text-lg">{lesson.start}</span>
                <span class="block leading-tight font-medium">{lesson.title}</span>
              </a>
              <span class="hint block text-sm"
                >{lesson.minutes} min ·
                <span data-figure="{lesson.id} Balls fed" data-value={many(lesson.balls, 'ball')}
                  >{many(lesson.balls, 'ball')}</span
                ></span
              >
              {#each lesson.clashes as clash, i (i)}
                <span class="text-error block text-sm">{clash}</span>
              {/each}
              {#if lesson.state === 'planned'}
                <button class="btn btn-xs mt-1" onclick={() => (moving = lesson)}
                  >Move<span class="sr-only"> {lesson.title}</span></button
                >
              {/if}
            </div>
          {:else}
            <p class="hint text-sm">free</p>
          {/each}
        </section>
      {/each}
    </div>
  {/snippet}
</Async>
{#if moving}
  <MoveLesson
    lesson={moving}
    onmove={(to) => moving && void move(moving, to)}
    onclose={() => (moving = null)}
  />
{/if}

<style>
  .week {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    gap: 0.4rem;
  }
  .day {
    background: var(--color-base-200);
    border-radius: var(--radius-box);
    padding: 0.5rem;
    min-height: 8rem;
    display: flex;
    flex-direction: column;
    gap: 0.4rem;
  }
  .today {
    box-shadow: inset 0 3px var(--color-primary);
  }
  .over {
    outline: 2px dashed var(--color-primary);
  }
  .card {
    background: var(--color-base-100);
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
    padding: 0.35rem 0.45rem;
    overflow-wrap: anywhere;
  }
  .card[draggable='true'] {
    cursor: grab;
  }
  @media (max-width: 900px) {
    .week {
      grid-template-columns: minmax(0, 1fr);
    }
    .day {
      min-height: 0;
    }
  }
</style>
