<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, isNew, Refusal, describe } from '../../lib/api/client'
  import { bookingsQuery, keys, renew, students, week } from '../../lib/page/data'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import { keepUnsent, unsent } from '../../lib/drafts/unsent'
  import Coming from './Coming.svelte'
  import Past from './Past.svelte'
  import StudentPicker from '../../lib/fields/StudentPicker.svelte'
  import Week from './Week.svelte'

  const client = useQueryClient()
  const query = createQuery(() => ({ queryKey: keys.week(0), queryFn: () => week(0) }))
  const people = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: false }],
    queryFn: () => students(false),
  }))

  /** The lessons to come are there. */
  let whole = $state(false)

  const bookings = bookingsQuery()
  const unplanned = $derived(
    bookings.data?.bookings.filter((each) => !each.lesson && !each.ignored && !each.cancelled).length ?? 0,
  )

  interface Plan {
    title: string
    /** Today where it is not said. */
    date?: string
    start: string
    minutes: number
    students: string[]
    /** The booking it is planned for. */
    booking?: string
  }
  let planning = $state(unsent<Plan>('lesson'))
  $effect(() => keepUnsent('lesson', $state.snapshot(planning)))
  let fields = $state<Record<string, string>>({})
  let refusal = $state('')

  function begin() {
    planning = { title: '', start: '16:00', minutes: 60, students: [] }
    fields = {}
    refusal = ''
  }

  /** A new lesson begins with a block of every kind but drills. */
  async function plan(event: SubmitEvent) {
    event.preventDefault()
    if (!planning) return
    const id = v7()
    const { title, date = '', start, minutes, students } = $state.snapshot(planning)
    try {
      const body = await answer(
        api.POST('/api/lessons/begin', { body: { title, date, start, minutes, students } }),
      )
      await answer(api.PUT('/api/lessons/{id}', { params: { path: { id }, header: isNew }, body }))
      if (planning.booking)
        await answer(
          api.PUT('/api/bookings/{id}', { params: { path: { id: planning.booking } }, body: { lesson: id } }),
        )
      planning = null
      await renew(client, keys.lessons, keys.bookings)
      await push(`/lessons/${id}`)
    } catch (error) {
      fields = error instanceof Refusal ? error.fields : {}
      refusal = describe(error)
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Lessons</h1>
  <a class="btn ml-auto" href="#/lessons/calendar"
    >Calendar{#if unplanned}<span class="badge badge-primary"
        >{unplanned}<span class="sr-only">
          {unplanned === 1 ? 'booking' : 'bookings'} to be planned</span
        ></span
      >{/if}</a
  >
  <a class="btn" href="#/documents">Bring in</a>
  <button class="btn btn-primary" onclick={begin}>Plan a lesson</button>
</div>

{#if planning}
  {@const lesson = planning}
  <form class="sheet mt-4" onsubmit={plan} aria-label="New lesson" novalidate>
    <StudentPicker
      students={people.data ?? []}
      chosen={lesson.students}
      error={fields.students}
      onchange={(chosen) => (lesson.students = chosen)}
    />
    <div class="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      <TextField
        label="Title"
        hint="Left empty: their names"
        value={lesson.title}
        error={fields.title}
        onchange={(v) => (lesson.title = v)}
      />
      <TextField
        label="Day"
        type="date"
        value={lesson.date ?? query.data?.today ?? ''}
        error={fields.date}
        onchange={(v) => (lesson.date = v)}
      />
      <TextField
        label="Start"
        type="time"
        value={lesson.start}
        error={fields.start}
        onchange={(v) => (lesson.start = v)}
      />
      <NumberField
        label="Length"
        unit="min"
        step={5}
        value={lesson.minutes}
        error={fields.minutes}
        onchange={(v) => (lesson.minutes = v)}
      />
    </div>
    {#if refusal}<p class="text-error mt-3" role="alert">{refusal}</p>{/if}
    <div class="mt-4 flex gap-2">
      <button class="btn btn-primary" type="submit">Lay it out</button>
      <button class="btn" type="button" onclick={() => (planning = null)}>Leave it</button>
    </div>
  </form>
{/if}

<div class="mt-5"><Week /></div>
<!-- What stands below comes once what is above is there: nothing that can be pressed moves. -->
{#if !query.isPending}
  <Coming bind:whole />
  {#if whole}<Past />{/if}
{/if}
