import Dexie, { type Table } from 'dexie'
import { v7 } from 'uuid'
import type { Act, Entry, Kit } from '../lib/api/client'

/** Tap is a count without its number and its time. */
export type Tap = Omit<Entry, 'seq' | 'at'>

/** Whose count it is: of which student, at which measure. */
export interface Whose {
  student: string
  /** Its number; 1 where an earlier program wrote none down. */
  measure?: number
}

/** Kept is an act that is written down. */
export interface Kept {
  n?: number
  lesson: string
  act: Act
  /** It was done, and is kept until the kit has it. */
  answered?: true
  /** Why it was refused; it is kept all the same. */
  refused?: string
}

/** What became of an act. */
export type Mark = Pick<Required<Kept>, 'answered'> | Pick<Required<Kept>, 'refused'>

interface Run {
  key: string
  run: string
  seq: number
}

/** A lesson as it was packed last, and by how much the clock of the program is ahead of that of the device, in milliseconds. */
export interface Packed {
  lesson: string
  kit: Kit
  ahead: number
}

/** Store is where acts are written down until they are answered. */
export interface Store {
  /** Writes a count down, with the next number of its run. */
  count: (lesson: string, block: string, whose: Whose, tap: Tap, id: string, at: string) => Promise<void>
  add: (kept: Kept) => Promise<void>
  /** What is kept of a lesson, in order. */
  list: (lesson: string) => Promise<Kept[]>
  mark: (list: Kept[], as: Mark) => Promise<void>
  remove: (list: Kept[]) => Promise<void>
}

/** Each student has a run at each measure of a block. */
const keyOf = (lesson: string, block: string, { student, measure = 1 }: Whose) =>
  `${lesson}/${block}/${student}${measure > 1 ? `/${measure}` : ''}`

const counted = (
  lesson: string,
  block: string,
  { student, measure }: Whose,
  tap: Tap,
  { run, seq }: Omit<Run, 'key'>,
  id: string,
  at: string,
): Kept => ({
  lesson,
  act: { id, at, tap: { run, block, student, measure, entry: { ...tap, seq, at } } },
})

/** A count as an earlier program wrote it down. */
interface EarlierTap extends Whose {
  lesson: string
  run: string
  block: string
  entry: Entry
  refused?: string
}

/** The database of this device: what is in it outlives the page. */
export class DeviceStore extends Dexie implements Store {
  acts!: Table<Kept, number>
  runs!: Table<Run, string>
  kits!: Table<Packed, string>

  constructor(name = 'hodometer') {
    super(name)
    this.version(1).stores({ taps: '++n, lesson', runs: 'key' })
    this.version(2)
      .stores({ taps: null, acts: '++n, lesson, act.id', runs: 'key', kits: 'lesson' })
      .upgrade(async (change) => {
        const taps = await change.table<EarlierTap>('taps').orderBy(':id').toArray()
        await change.table<Kept>('acts').bulkAdd(
          taps.map(({ lesson, run, block, student, measure, entry, refused }) => ({
            lesson,
            act: { id: v7(), at: entry.at, tap: { run, block, student, measure, entry } },
            refused,
          })),
        )
      })
  }

  async count(lesson: string, block: string, whose: Whose, tap: Tap, id: string, at: string) {
    const key = keyOf(lesson, block, whose)
    await this.transaction('rw', this.acts, this.runs, async () => {
      const next = (await this.runs.get(key)) ?? { run: v7(), seq: 0 }
      await this.runs.put({ key, run: next.run, seq: next.seq + 1 })
      await this.acts.add(counted(lesson, block, whose, tap, next, id, at))
    })
  }

  async add(kept: Kept) {
    await this.acts.add(kept)
  }

  list(lesson: string) {
    return this.acts.where({ lesson }).sortBy('n')
  }

  async mark(list: Kept[], as: Mark) {
    await this.acts
      .where('n')
      .anyOf(list.flatMap((kept) => kept.n ?? []))
      .modify(as)
  }

  remove(list: Kept[]) {
    return this.acts.bulkDelete(list.flatMap((kept) => kept.n ?? []))
  }
}

/** The memory of this page, where the device keeps nothing: better than a lost count. */
export class MemoryStore implements Store {
  #acts: Kept[] = []
  #runs = new Map<string, Omit<Run, 'key'>>()

  count(lesson: string, block: string, whose: Whose, tap: Tap, id: string, at: string) {
    const key = keyOf(lesson, block, whose)
    const next = this.#runs.get(key) ?? { run: v7(), seq: 0 }
    this.#runs.set(key, { run: next.run, seq: next.seq + 1 })
    return this.add(counted(lesson, block, whose, tap, next, id, at))
  }

  add(kept: Kept) {
    this.#acts.push(kept)
    return Promise.resolve()
  }

  list(lesson: string) {
    return Promise.resolve(this.#acts.filter((kept) => kept.lesson === lesson))
  }

  mark(list: Kept[], as: Mark) {
    const ids = new Set(list.map(({ act }) => act.id))
    this.#acts = this.#acts.map((kept) => (ids.has(kept.act.id) ? { ...kept, ...as } : kept))
    return Promise.resolve()
  }

  remove(list: Kept[]) {
    const ids = new Set(list.map(({ act }) => act.id))
    this.#acts = this.#acts.filter((kept) => !ids.has(kept.act.id))
    return Promise.resolve()
  }
}
