<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, over, type Lesson, type LessonDocument } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { diary, keys, renew } from '../../lib/data'
  import { notices } from '../../lib/notice.svelte'
  import MoveLesson from './MoveLesson.svelte'
  import { daysBetween, later, weekOf } from './week'

  interface Props {
    today: string
  }
  let { today }: Props = $props()
  const client = useQueryClient()
  let ahead = $state(0)
  let moving = $state.raw<Lesson | null>(null)
  let target = $state('')

  const days = $derived(weekOf(later(today, 7 * ahead)))
  const back = $derived(Math.max(0, daysBetween(days[0] ?? today, today)))
  const forth = $derived(Math.max(0, daysBetween(today, days[6] ?? today)))
  const query = createQuery(() => ({
    queryKey: [...keys.lessons, 'week', days[0]],
    queryFn: () => diary(Math.min(366, back), Math.min(366, forth)),
  }))
  const name = (day: string) =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
    })

  /** move gives a lesson another day or hour; the way back is offered. */
  async function move(lesson: Lesson, to: Pick<LessonDocument, 'date' | 'start'>) {
    const { date, start } = lesson.document
    moving = null
    if (date === to.date && start === to.start) return
    try {
      const kept = await answer(
        api.PUT('/api/lessons/{id}', {
          params: { path: { id: lesson.id }, header: over(lesson.revision) },
          body: { ...lesson.document, ...to },
        }),
      )
      await renew(client, keys.lessons)
      notices.done(
        `${kept.document.title} is on ${name(to.date)} at ${to.start}. ${kept.clashes.join(' ')}`.trim(),
        { label: 'Undo', run: () => move(kept, { date, start }) },
      )
    } catch (error) {
      notices.wrong(error)
    }
  }

  function drop(event: DragEvent, date: string, lessons: Lesson[]) {
    event.preventDefault()
    target = ''
    const lesson = lessons.find((l) => l.id === event.dataTransfer?.getData('text/plain'))
    if (lesson) void move(lesson, { date, start: lesson.document.start })
  }
</script>

<div class="flex flex-wrap items-center gap-2">
  <h2>Week of {name(days[0] ?? today)}</h2>
  <div class="ml-auto flex gap-2">
    <button class="btn btn-sm" onclick={() => ahead--}>Week before</button>
    <button class="btn btn-sm" disabled={ahead === 0} onclick={() => (ahead = 0)}>This week</button>
    <button class="btn btn-sm" onclick={() => ahead++}>Week after</button>
  </div>
</div>
<Async {query}>
  {#snippet children(data)}
    <div class="week mt-2">
      {#each days as day (day)}
        {@const lessons = data.lessons.filter((l) => l.document.date === day)}
        <section
          class="day"
          class:today={day === today}
          class:over={target === day}
          aria-label={name(day)}
          ondragover={(event) => (event.preventDefault(), (target = day))}
          ondragleave={() => (target = '')}
          ondrop={(event) => drop(event, day, data.lessons)}
        >
          <h3 class="text-sm font-semibold">{name(day)}{day === today ? ', today' : ''}</h3>
          {#each lessons as lesson (lesson.id)}
            <div
              class="card"
              role="group"
              aria-label="{lesson.document.start} {lesson.document.title}"
              draggable={lesson.state === 'planned'}
              ondragstart={(event) => event.dataTransfer?.setData('text/plain', lesson.id)}
            >
              <a href="#/lessons/{lesson.id}" class="link-hover block">
                <span class="drum-digits text-lg">{lesson.document.start}</span>
                <span class="block leading-tight font-medium">{lesson.document.title}</span>
              </a>
              <span class="hint block text-sm">{lesson.document.minutes} min · {lesson.plan.balls} balls</span
              >
              {#each lesson.clashes as clash, i (i)}
                <span class="text-error block text-sm">{clash}</span>
              {/each}
              {#if lesson.state === 'planned'}
                <button class="btn btn-xs mt-1" onclick={() => (moving = lesson)}
                  >Move<span class="sr-only"> {lesson.document.title}</span></button
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
