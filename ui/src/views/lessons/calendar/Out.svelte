<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, Refusal, describe } from '../../../lib/api/client'
  import { copy } from '../../../lib/words/copy'
  import { keys, renew, week } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'

  const client = useQueryClient()
  const thisWeek = createQuery(() => ({ queryKey: keys.week(0), queryFn: () => week(0) }))
  const feeds = createQuery(() => ({
    queryKey: keys.feeds,
    queryFn: () => answer(api.GET('/api/feeds')),
    retry: false,
  }))
  let name = $state('')
  let names = $state(true)
  let wrong = $state('')
  /** The address that was made last: its secret is told once. */
  let made = $state<{ id: string; addresses: string[]; here: boolean }>()

  async function add(event: SubmitEvent) {
    event.preventDefault()
    wrong = ''
    try {
      const feed = await answer(api.POST('/api/feeds', { body: { name, names } }))
      const ways = feed.ways ?? []
      made = {
        id: feed.id,
        addresses: ways.length ? ways : [`${location.origin}${feed.path ?? ''}`],
        here: !ways.length,
      }
      name = ''
      await renew(client, keys.feeds)
    } catch (error) {
      wrong = error instanceof Refusal ? (error.fields.name ?? error.message) : describe(error)
    }
  }
  async function revoke(id: string, called: string) {
    try {
      await answer(api.DELETE('/api/feeds/{id}', { params: { path: { id } } }))
      if (made?.id === id) made = undefined
      await renew(client, keys.feeds)
      notices.done(`The address for ${called} is taken back.`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<section class="sheet" aria-labelledby="out">
  <h2 id="out">Your lessons in a calendar program</h2>
  <p class="mt-2 flex flex-wrap gap-2">
    <a class="btn btn-sm" href="/api/out/lessons.ics?from={thisWeek.data?.days[0] ?? ''}" download
      >This week (.ics)</a
    >
    <a class="btn btn-sm" href="/api/out/lessons.ics" download>All lessons (.ics)</a>
  </p>
  {#if feeds.data}
    <h3 class="mt-4 font-semibold">Addresses to subscribe to</h3>
    <p class="hint text-sm">
      Who has an address reads your lessons by it, and nothing else. Changes and cancellations follow by
      themselves.
    </p>
    <ul class="mt-2 flex flex-col gap-2">
      {#each feeds.data as feed (feed.id)}
        <li class="flex flex-wrap items-center gap-2">
          <span class="grow"
            >{feed.name}<span class="hint text-sm"
              >, {feed.names ? 'with titles and who comes' : 'times only'}</span
            ></span
          >
          <button class="btn btn-sm" onclick={() => revoke(feed.id, feed.name)}
            >Take back<span class="sr-only"> {feed.name}</span></button
          >
          {#if made?.id === feed.id}
            <div class="address">
              {#each made.addresses as address, i (address)}
                <p>
                  {#if i}or{/if}
                  <code>{address}</code>
                  <button class="btn btn-sm" onclick={() => copy(address, 'the address')}
                    >Copy{#if i}<span class="sr-only"> {address}</span>{/if}</button
                  >
                </p>
              {/each}
              <p class="hint text-sm">
                It is shown this once. {made.here
                  ? 'Only programs on this machine reach it. For a phone or another machine start Hodometer with --lan and make another.'
                  : 'Devices in the same network reach it.'}
              </p>
            </div>
          {/if}
        </li>
      {/each}
    </ul>
    <form class="mt-3" onsubmit={add} novalidate>
      <TextField
        label="For which calendar program"
        value={name}
        error={wrong}
        live
        onchange={(text) => (name = text)}
      />
      <label class="mt-2 flex items-center gap-2">
        <input type="checkbox" class="checkbox checkbox-sm" bind:checked={names} /> With titles, who comes and what
        is planned
      </label>
      <button class="btn btn-sm btn-primary mt-2" type="submit">Make an address</button>
    </form>
  {:else if feeds.error}
    <p class="hint mt-3 text-sm">{describe(feeds.error)}</p>
  {/if}
</section>

<style>
  .address {
    flex-basis: 100%;
  }
  code {
    overflow-wrap: anywhere;
  }
</style>
