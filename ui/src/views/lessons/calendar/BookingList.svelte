<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { answer, api, type Booking } from '../../../lib/api/client'
  import { keys, renew, studentsQuery } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import { keepUnsent } from '../../../lib/drafts/unsent'
  import { onDay } from '../../../lib/words/words'

  let { bookings }: { bookings: Booking[] } = $props()
  const client = useQueryClient()
  const people = studentsQuery()
  let withIgnored = $state(false)

  const shown = $derived(
    bookings.filter((each) => (withIgnored || !each.ignored) && (!each.cancelled || each.lesson)),
  )
  const open = $derived(shown.filter((each) => !each.lesson && !each.ignored).length)
  const some = 30
  let all = $state(false)
  const named = (ids: string[]) =>
    ids.flatMap((id) => people.data?.find((each) => each.id === id)?.profile.name ?? []).join(', ')

  /** A booking is planned like any other lesson, with what it says filled in. */
  async function plan(booking: Booking) {
    const { id, title, date, start, minutes, students } = booking
    keepUnsent('lesson', { title, date, start, minutes, students, booking: id })
    await push('/lessons')
  }

  async function change(work: Promise<unknown>, done: string) {
    try {
      await work
      await renew(client, keys.bookings, keys.lessons)
      notices.done(done)
    } catch (error) {
      notices.wrong(error)
    }
  }
  const ignore = (booking: Booking, ignored: boolean) =>
    change(
      answer(api.PUT('/api/bookings/{id}', { params: { path: { id: booking.id } }, body: { ignored } })),
      ignored ? `${booking.title} is left.` : `${booking.title} is back.`,
    )
  const follow = (booking: Booking) =>
    change(
      answer(api.POST('/api/bookings/{id}/move', { params: { path: { id: booking.id } } })),
      booking.cancelled ? 'The lesson is archived.' : 'The lesson is moved.',
    )
</script>

<section class="sheet" aria-labelledby="bookings">
  <div class="flex flex-wrap items-baseline gap-3">
    <h2 id="bookings">Bookings</h2>
    <span class="hint">{open === 1 ? '1 to be planned' : `${open} to be planned`}</span>
    {#if bookings.some((each) => each.ignored)}
      <label class="ml-auto flex items-center gap-2 text-sm">
        <input type="checkbox" class="checkbox checkbox-sm" bind:checked={withIgnored} /> Also those that are left
      </label>
    {/if}
  </div>
  <ul class="mt-2">
    {#each all ? shown : shown.slice(0, some) as booking (booking.id)}
      <li class="border-base-300">
        <div class="when tabular-nums">
          {onDay(booking.date, 'short')}<br /><strong>{booking.start}</strong>, {booking.minutes} min
        </div>
        <div class="what">
          <p class:line-through={booking.cancelled}>{booking.title}</p>
          <p class="hint text-sm">
            {named(booking.students) || 'nobody of your students is named'} · {booking.calendar}
          </p>
          {#if booking.apart}<p class="text-error text-sm">{booking.apart}</p>{/if}
        </div>
        <div class="acts">
          {#if booking.lesson}
            {#if booking.apart}
              <button class="btn btn-sm btn-primary" onclick={() => follow(booking)}
                >{booking.cancelled ? 'Archive the lesson' : 'Move the lesson'}<span class="sr-only"
                  >, {booking.title}</span
                ></button
              >
            {/if}
            <a class="btn btn-sm" href="#/lessons/{booking.lesson}"
              >Open<span class="sr-only"> {booking.title}</span></a
            >
          {:else if booking.ignored}
            <button class="btn btn-sm" onclick={() => ignore(booking, false)}
              >Bring back<span class="sr-only"> {booking.title}</span></button
            >
          {:else}
            <button class="btn btn-sm btn-primary" onclick={() => plan(booking)}
              >Plan it<span class="sr-only"> {booking.title}, {booking.date}</span></button
            >
            <button class="btn btn-sm" onclick={() => ignore(booking, true)}
              >Leave it<span class="sr-only"> {booking.title}, {booking.date}</span></button
            >
          {/if}
        </div>
      </li>
    {:else}
      <li>No bookings yet. Read a calendar of your club or school, and they stand here to be planned.</li>
    {/each}
  </ul>
  {#if shown.length > some && !all}
    <button class="btn btn-sm mt-2" onclick={() => (all = true)}>Show all {shown.length}</button>
  {/if}
</section>

<style>
  li {
    display: grid;
    grid-template-columns: 7.5rem minmax(8rem, 1fr) auto;
    gap: 0.5rem 1rem;
    padding: 0.6rem 0;
  }
  li + li {
    border-top-width: 1px;
  }
  li:only-child:not(:has(.when)) {
    display: block;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: start;
    justify-content: end;
  }
  @media (width < 560px) {
    li {
      grid-template-columns: 1fr;
    }
    .acts {
      justify-content: start;
    }
  }
</style>
