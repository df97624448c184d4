import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { afterEach, expect, it } from 'vitest'
import type { Act, GameKit, Kit } from '../lib/api/client'
import { Games } from './games'
import { Kits } from './kits'
import type { Kept } from './log'
import { counted } from './runs'
import { DeviceStore, TableRuns } from './store'

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

it('numbers the counts of a run in their order, each once', async () => {
  const store = new DeviceStore()
  const log = new TableRuns(store)
  const [first, second] = (['made', 'missed'] as const).map((kind) => ({
    of: 'l',
    act: counted('b', { student: 'noor' }, { kind }),
  })) as [Kept<Act>, Kept<Act>]
  for (const kept of [first, second, first]) await log.add(kept)
  const acts = await log.list('l')
  expect(acts.map(({ act }) => [act.tap?.entry.seq, act.tap?.entry.kind])).toEqual([
    [0, 'made'],
    [1, 'missed'],
  ])
  expect(await log.runsOf('l')).toEqual([acts[0]?.act.tap?.run])
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

it('leaves a lesson behind once it is over, with its games, but for one that waits to be told', async () => {
  const store = new DeviceStore()
  const kits = new Kits(store)
  const now = new Date(2026, 2, 10, 18, 0)
  const ahead = now.getTime() - Date.now() // by the clock of the program it is six in the evening of that day
  for (const [lesson, date, start, finished] of [
    ['finished', '2026-03-10', '17:00', true],
    ['waits', '2026-03-10', '16:00', true],
    ['counted', '2026-03-10', '16:00', true],
    ['forgotten', '2026-03-10', '10:30', false],
    ['late', '2026-03-10', '11:30', false],
    ['tomorrow', '2026-03-11', '16:00', false],
  ] as const)
    await store.kits.put({ lesson, ahead, kit: { document: { date, start, minutes: 60 }, finished } as Kit })
  await store.games.put({ game: 'g', kit: kit('g', '2026-03-10', 'finished') })
  await store.acts.add({ of: 'waits', act: { id: 'a' } } as never)
  await store.acts.add({ of: 'counted', act: { id: 'b' }, answered: true } as never)
  await kits.leave()
  expect(await store.kits.orderBy('lesson').primaryKeys()).toEqual(['late', 'tomorrow', 'waits'])
  expect(await store.games.count()).toBe(0)
  expect((await store.acts.toArray()).map(({ of }) => of)).toEqual(['waits'])
  store.close()
})
