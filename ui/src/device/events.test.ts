import { afterEach, expect, it, vi } from 'vitest'
import { api, type GameEvent } from '../lib/api/client'
import { EventQueue } from './events'
import { MemoryLog } from './log'
import type { DeviceStore } from './store'

afterEach(() => vi.restoreAllMocks())

it('does not give up what happened in a game whose beginning cannot be read now', async () => {
  let readable = false
  const games = {
    get: () =>
      readable
        ? Promise.resolve({ game: 'g', kit: { document: { title: 'Ten' } }, begun: 1 })
        : Promise.reject(new Error('the disk is gone')),
  }
  const queue = new EventQueue({ games } as unknown as DeviceStore, new MemoryLog(), new MemoryLog())
  await queue.add('g', { id: 'e' } as GameEvent)
  vi.spyOn(api, 'POST').mockImplementation(((_: string, { body }: { body: { begin?: object } }) =>
    Promise.resolve(
      body.begin
        ? { data: { leftOut: [] }, response: new Response() }
        : {
            error: { type: '', title: '', status: 404, detail: 'no such game', fields: [] },
            response: new Response(null, { status: 404 }),
          },
    )) as unknown as typeof api.POST)
  await expect(queue.deliver('g')).rejects.toThrow('the disk is gone')
  expect(await queue.open('g')).toHaveLength(1)
  readable = true
  await queue.deliver('g')
  expect(await queue.open('g')).toEqual([])
})
