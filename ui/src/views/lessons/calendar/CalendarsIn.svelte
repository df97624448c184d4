<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import {
    answer,
    api,
    fileBody,
    Refusal,
    describe,
    type CalendarFrom,
    type CalendarRead,
  } from '../../../lib/api/client'
  import { keys, renew } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'
  import { moment } from '../../../lib/words/words'

  let { calendars }: { calendars: CalendarFrom[] } = $props()
  const client = useQueryClient()
  const id = $props.id()
  let address = $state('')
  let wrong = $state<{ file?: string; address?: string }>({})
  let busy = $state(false)
  let left = $state<string[]>([])

  function said({ calendar, new: added, changed, cancelled, same, left }: CalendarRead) {
    const parts = [
      added && `${added} new`,
      changed && `${changed} changed`,
      cancelled && `${cancelled} cancelled`,
      same && `${same} as before`,
      left.length && `${left.length} that are no bookings`,
    ].filter(Boolean)
    return `${calendar.name}: ${parts.join(', ') || 'no bookings'}.`
  }

  async function read(from: 'file' | 'address', work: () => Promise<CalendarRead>) {
    wrong = {}
    busy = true
    try {
      const came = await work()
      left = came.left
      address = ''
      notices.done(said(came))
    } catch (error) {
      wrong = {
        [from]:
          error instanceof Refusal ? (error.problem.fields[0]?.message ?? error.message) : describe(error),
      }
    } finally {
      busy = false
      await renew(client, keys.bookings, keys.lessons)
    }
  }
  const file = (chosen: File | undefined) =>
    chosen &&
    read('file', () =>
      answer(
        api.POST('/api/calendars/file', { params: { query: { name: chosen.name } }, ...fileBody(chosen) }),
      ),
    )
  const connect = (event: SubmitEvent) => {
    event.preventDefault()
    void read('address', () => answer(api.POST('/api/calendars', { body: { address } })))
  }
  const again = (calendar: CalendarFrom) =>
    read('address', () =>
      answer(api.POST('/api/calendars/{id}/read', { params: { path: { id: calendar.id } } })),
    )
  const simulate = () => read('address', () => answer(api.POST('/api/calendars/simulated')))

  async function leave(calendar: CalendarFrom) {
    try {
      await answer(api.DELETE('/api/calendars/{id}', { params: { path: { id: calendar.id } } }))
      await renew(client, keys.bookings, keys.lessons)
      notices.done(`${calendar.name} is left; lessons that were planned stay.`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<section class="sheet" aria-labelledby="from">
  <h2 id="from">Where bookings come from</h2>
  <ul class="mt-2 flex flex-col gap-2">
    {#each calendars as calendar (calendar.id)}
      <li class="flex flex-wrap items-center gap-2">
        <span class="grow"
          >{calendar.name}<br /><span class="hint text-sm"
            >read {moment(calendar.at)}{calendar.address
              ? ', and every quarter of an hour'
              : ' from a file'}</span
          >
          {#if calendar.wrong}<br /><span class="text-error text-sm">Not read since: {calendar.wrong}.</span
            >{/if}</span
        >
        {#if calendar.address}
          <button class="btn btn-sm" disabled={busy} onclick={() => again(calendar)}
            >Read again<span class="sr-only"> {calendar.name}</span></button
          >
        {/if}
        <button class="btn btn-sm" onclick={() => leave(calendar)}
          >Leave<span class="sr-only"> {calendar.name}</span></button
        >
      </li>
    {/each}
  </ul>
  <div class="mt-3">
    <label class="text-sm font-medium" for="{id}-file">A calendar’s file (.ics)</label>
    <input
      id="{id}-file"
      class="file-input mt-1 w-full"
      type="file"
      accept=".ics,text/calendar"
      disabled={busy}
      aria-describedby={wrong.file ? `${id}-file-error` : undefined}
      onchange={async (event) => {
        const input = event.currentTarget
        await file(input.files?.[0])
        input.value = '' // the same file can be chosen again
      }}
    />
    {#if wrong.file}<p id="{id}-file-error" class="text-error text-sm" role="alert">{wrong.file}.</p>{/if}
    <p class="hint text-sm">Read again later, it changes what it brought, and nothing is there twice.</p>
  </div>
  <form class="mt-3" onsubmit={connect} novalidate>
    <TextField
      label="Or its address"
      value={address}
      error={wrong.address}
      hint="It begins with https://. Only then is anything fetched from elsewhere."
      live
      onchange={(text) => (address = text)}
    />
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="btn btn-sm btn-primary" type="submit" disabled={busy || !address.trim()}>Connect</button>
      <button class="btn btn-sm" type="button" disabled={busy} onclick={simulate}
        >Try it with an invented club</button
      >
    </div>
  </form>
  {#if left.length}
    <details class="mt-3">
      <summary class="cursor-pointer">What was no booking ({left.length})</summary>
      <ul class="mt-1 list-disc pl-5 text-sm">
        {#each left as why, i (i)}<li>{why}</li>{/each}
      </ul>
    </details>
  {/if}
</section>
