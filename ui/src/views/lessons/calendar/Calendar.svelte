<script lang="ts">
  import Async from '../../../lib/parts/Async.svelte'
  import { bookingsQuery } from '../../../lib/page/data'
  import BookingList from './BookingList.svelte'
  import CalendarsIn from './CalendarsIn.svelte'
  import Out from './Out.svelte'

  const query = bookingsQuery()
</script>

<a class="link link-hover text-sm" href="#/lessons">Lessons</a>
<h1>Calendar</h1>
<div class="mt-4 grid grid-cols-1 items-start gap-4 xl:grid-cols-2">
  <Async {query}>
    {#snippet children(data)}
      <BookingList bookings={data.bookings} />
      <div class="flex flex-col gap-4">
        <CalendarsIn calendars={data.calendars} />
        <Out />
      </div>
    {/snippet}
  </Async>
</div>
