import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { afterEach, expect, it } from 'vitest'
import type { GameKit } from '../lib/api/client'
import { Games } from './games'
import { DeviceStore } from './store'

const kit = (id: string, date: string, lesson?: string) =>
  ({ id, document: { date, lesson } }) as unknown as GameKit

afterEach(() => Dexie.delete('hodometer'))

it('brings a game up that was begun on this device by an earlier program', async () => {
  const earlier = new Dexie('hodometer')
  earlier
    .version(3)
    .stores({ acts: '++n, of', events: '++n, of', runs: 'key', kits: 'lesson', games: 'game' })
  await earlier.table('games').bulkAdd([
    { game: 'a', kit: kit('a', '2026-03-09', 'l'), begun: true },
    { game: 'b', kit: kit('b', '2026-03-09', 'l') },
  ])
  earlier.close()
  const store = new DeviceStore()
  const games = new Games(store)
  expect(await games.begun()).toEqual(['a'])
  expect((await games.ofLesson('l')).map(({ game }) => game)).toEqual(['a', 'b'])
  store.close()
})

it('leaves games of before a day behind, but for those that are not told yet', async () => {
  const store = new DeviceStore()
  const games = new Games(store)
  await games.begin(kit('begun', '2026-03-08'))
  for (const [id, date] of [
    ['told', '2026-03-08'],
    ['waits', '2026-03-08'],
    ['today', '2026-03-10'],
  ] as const)
    await store.games.put({ game: id, kit: kit(id, date) })
  await store.events.add({ of: 'waits', act: { id: 'e' } } as never)
  await games.leave('2026-03-10')
  expect(await store.games.orderBy('game').primaryKeys()).toEqual(['begun', 'today', 'waits'])
  expect(await games.ofLesson('l')).toEqual([])
  store.close()
})
