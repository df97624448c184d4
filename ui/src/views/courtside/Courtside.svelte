<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { ActQueue } from '../../device/acts'
  import { Core, seen } from '../../device/core'
  import { orHere } from '../../device/here'
  import { Games } from '../../device/games'
  import { Kits } from '../../device/kits'
  import { DeviceStore, TableRuns } from '../../device/store'
  import { answer, api, type Courtside } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys } from '../../lib/page/data'
  import CourtsideRun from './CourtsideRun.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const store = new DeviceStore()
  const device = {
    queue: new ActQueue(new TableRuns(store)),
    kits: new Kits(store),
    games: new Games(store),
    core: new Core(),
  }

  /** The program's answer; where there is none, what this device makes of the lesson that it has with it. */
  const read = (id: string) =>
    orHere<Courtside>(
      () => answer(api.GET('/api/lessons/{id}/courtside', { params: { path: { id } } })),
      async () => {
        const packed = await device.kits.of(id)
        return packed && seen(device.core, packed, await device.queue.list(id))
      },
    )
  const query = createQuery(() => ({
    queryKey: [...keys.lesson(params.id), 'courtside'],
    queryFn: () => read(params.id),
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    gcTime: 0,
  }))
</script>

<Async {query}>
  {#snippet children(data)}
    {#key data.lesson.id}<CourtsideRun first={data} {device} />{/key}
  {/snippet}
</Async>
