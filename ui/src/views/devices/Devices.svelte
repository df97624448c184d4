<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import { door } from '../../lib/page/door.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import { moment } from '../../lib/words/words'
  import Pairing from './Pairing.svelte'
  import Passphrase from './Passphrase.svelte'

  /** The coach's passphrase, and the devices that are let in. */
  const client = useQueryClient()
  const query = createQuery(() => ({
    queryKey: keys.devices,
    queryFn: () => answer(api.GET('/api/devices')),
    enabled: door.state?.coach === true && door.state.needs === '',
    refetchInterval: 3000,
  }))

  async function takeOut(id: string, name: string) {
    try {
      await answer(api.DELETE('/api/devices/{id}', { params: { path: { id } } }))
      await client.invalidateQueries({ queryKey: keys.devices })
      notices.done(`${name} is not let in any more.`)
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function leave() {
    try {
      await door.act(answer(api.DELETE('/api/entry')))
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<h1>Devices and passphrase</h1>
{#if door.state && !door.state.coach}
  <p class="mt-2 max-w-2xl">
    This device is paired. Others are paired, and passphrases set, on the coach’s own machine.
  </p>
  <button class="btn mt-3" onclick={leave}>Have this device let in no longer</button>
{:else if door.state}
  <section class="sheet mt-4 max-w-2xl" aria-labelledby="passphrase">
    <h2 id="passphrase">Your passphrase</h2>
    <Passphrase set={door.state.passphrase} needed={door.state.network} />
    {#if door.state.passphrase}<button class="btn mt-3" onclick={leave}>Leave: ask for it again here</button
      >{/if}
  </section>
  <section class="sheet mt-4 max-w-2xl" aria-labelledby="paired">
    <h2 id="paired">Phones and tablets</h2>
    {#if !door.state.network}
      <p class="mt-2">
        Nobody but this machine reaches Hodometer now. To run lessons from a phone, start it with
        <code class="whitespace-nowrap">hodometer --lan</code>: then devices that you pair here are let in
        over the network of the club, encrypted.
      </p>
    {:else if !door.state.passphrase}
      <p class="mt-2">Set a passphrase first: whoever comes to this machine could let devices in.</p>
    {:else}
      <Pairing
        known={query.data?.devices ?? []}
        fingerprint={query.data?.fingerprint ?? ''}
        until={query.data?.until ?? undefined}
        unheard={query.data?.unheard ?? 0}
        asked={query.dataUpdatedAt}
      />
    {/if}
    <Async {query}>
      {#snippet children({ devices })}
        {#if devices.length}
          <ul class="mt-3 grid gap-2" aria-label="Paired devices">
            {#each devices as each (each.id)}
              <li class="border-base-300 flex flex-wrap items-center gap-2 border-t pt-2">
                <span class="font-medium">{each.name}</span>
                <span class="hint text-sm">paired {moment(each.paired)}, last seen {moment(each.seen)}</span>
                <button class="btn btn-sm ml-auto" onclick={() => void takeOut(each.id, each.name)}
                  >Take out<span class="sr-only"> {each.name}</span></button
                >
              </li>
            {/each}
          </ul>
        {:else if door.state?.network}<p class="hint mt-3 text-sm">No device is paired.</p>{/if}
      {/snippet}
    </Async>
  </section>
{/if}
