import Dexie, { type Table } from 'dexie'
import { v7 } from 'uuid'
import type { Act, Entry, GameEvent, GameKit, Kit } from '../lib/api/client'
import { TableLog, type Kept } from './log'
import { begun, keyOf, numbered, type ActLog, type Run, type Whose } from './runs'

/**
 * A lesson as it was packed last, and by how much the clock of the program is ahead of that of the device, in
 * milliseconds.
 */
export interface Packed {
  lesson: string
  kit: Kit
  ahead: number
}

/** A game as it was packed last, or as this device began it. */
export interface PackedGame {
  game: string
  kit: GameKit
  /** The program does not know of it yet. */
  begun?: 1
}

/** A count as an earlier program wrote it down. */
interface EarlierTap extends Whose {
  lesson: string
  run: string
  block: string
  entry: Entry
  refused?: string
}

/** The database of this device: what is in it outlives the page. */
export class DeviceStore extends Dexie {
  acts!: Table<Kept<Act>, number>
  events!: Table<Kept<GameEvent>, number>
  runs!: Table<Run, string>
  kits!: Table<Packed, string>
  games!: Table<PackedGame, string>

  constructor(name = 'hodometer') {
    super(name)
    this.version(1).stores({ taps: '++n, lesson', runs: 'key' })
    this.version(2)
      .stores({ taps: null, acts: '++n, lesson, act.id', runs: 'key', kits: 'lesson' })
      .upgrade(async (change) => {
        const taps = await change.table<EarlierTap>('taps').orderBy(':id').toArray()
        await change.table('acts').bulkAdd(
          taps.map(({ lesson, run, block, student, measure, entry, refused }) => ({
            lesson,
            act: { id: v7(), at: entry.at, tap: { run, block, student, measure, entry } },
            refused,
          })),
        )
      })
    this.version(3)
      .stores({ acts: '++n, of', events: '++n, of', games: 'game' })
      .upgrade((change) =>
        change
          .table<Kept<Act> & { lesson?: string }>('acts')
          .toCollection()
          .modify((kept) => {
            kept.of = kept.lesson ?? ''
            delete kept.lesson
          }),
      )
    this.version(4)
      .stores({ games: 'game, begun, kit.document.lesson, kit.document.date' })
      .upgrade((change) =>
        change
          .table<PackedGame>('games')
          .toCollection()
          .modify((kept) => {
            if (kept.begun) kept.begun = 1
          }),
      )
  }
}

/** The counts and all else that is done with lessons, in the database of this device. */
export class TableRuns extends TableLog<Act> implements ActLog {
  constructor(readonly store: DeviceStore) {
    super(store.acts)
  }

  override add(kept: Kept<Act>) {
    const key = keyOf(kept)
    if (!key) return super.add(kept)
    const { runs } = this.store
    const make = async () => {
      const next = (await runs.get(key)) ?? begun(key)
      await runs.put({ ...next, seq: next.seq + 1 })
      return numbered(kept, next)
    }
    return this.once(kept, make, [runs])
  }

  async runsOf(lesson: string) {
    const own = await this.store.runs.where('key').startsWith(`${lesson}/`).toArray()
    return own.map(({ run }) => run)
  }
}
