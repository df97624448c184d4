<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { Core, scored } from '../../device/core'
  import { EventQueue } from '../../device/events'
  import { Games } from '../../device/games'
  import { orHere } from '../../device/here'
  import { DeviceStore } from '../../device/store'
  import { answer, api, Unreachable, type Played } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import Results from './Results.svelte'
  import Scoreboard from './Scoreboard.svelte'

  /** A game that is played, on as many devices as look at it; or results that were entered. */
  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const store = new DeviceStore()
  const device = { queue: new EventQueue(store), games: new Games(store), core: new Core() }

  /** The program's answer; where there is none, what this device makes of the game that it has with it. */
  async function read(id: string): Promise<Played> {
    const packed = await device.games.of(id)
    const here = async () => packed && scored(device.core, packed, await device.queue.list(id))
    const program = () => answer(api.GET('/api/played/{id}', { params: { path: { id } } }))
    return orHere<Played>(packed?.begun ? () => Promise.reject(new Unreachable()) : program, here)
  }
  const query = createQuery(() => ({
    queryKey: keys.playedGame(params.id),
    queryFn: () => read(params.id),
    // The scoreboard looks for itself.
    refetchInterval: ({ state }) => (state.data?.state ? false : 2000),
    gcTime: 0,
  }))
</script>

<Async {query}>
  {#snippet children(played)}
    {#key played.id}
      {#if played.state}<Scoreboard first={played} {device} />{:else}<Results {played} />{/if}
    {/key}
  {/snippet}
</Async>
