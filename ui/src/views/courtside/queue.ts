import Dexie, { type Table } from 'dexie'
import { v7 } from 'uuid'
import { answer, api, patience, Refusal, describe, type Counter, type Entry } from '../../lib/api/client'

/** Tap is a count without its number and its time. */
export type Tap = Omit<Entry, 'seq' | 'at'>

/** Whose count it is: of which student, at which measure. */
export interface Whose {
  student: string
  /** Its number; 1 where an earlier program wrote none down. */
  measure?: number
}

/** Waiting is a tap that is written down and not yet answered. */
export interface Waiting extends Whose {
  n?: number
  lesson: string
  run: string
  block: string
  entry: Entry
  /** Why the tap was refused; it is kept all the same. */
  refused?: string
}

interface Run {
  key: string
  run: string
  seq: number
}

/** Store is where taps are written down until they are answered. */
export interface Store {
  /** Writes a tap down, with the next number of its run. */
  add: (lesson: string, block: string, whose: Whose, tap: Tap) => Promise<void>
  /** The taps of a lesson, in order. */
  list: (lesson: string) => Promise<Waiting[]>
  remove: (taps: Waiting[]) => Promise<void>
  refuse: (taps: Waiting[], why: string) => Promise<void>
}

/** Each student has a run at each measure of a block. */
const keyOf = (lesson: string, block: string, { student, measure = 1 }: Whose) =>
  `${lesson}/${block}/${student}${measure > 1 ? `/${measure}` : ''}`

const written = (
  lesson: string,
  block: string,
  { student, measure }: Whose,
  tap: Tap,
  { run, seq }: Omit<Run, 'key'>,
) => ({
  lesson,
  run,
  block,
  student,
  measure,
  entry: { ...tap, seq, at: new Date().toISOString() },
})

/** The database of this device: what is in it outlives the page. */
export class DeviceStore extends Dexie implements Store {
  taps!: Table<Waiting, number>
  runs!: Table<Run, string>

  constructor(name = 'hodometer') {
    super(name)
    this.version(1).stores({ taps: '++n, lesson', runs: 'key' })
  }

  async add(lesson: string, block: string, whose: Whose, tap: Tap) {
    const key = keyOf(lesson, block, whose)
    await this.transaction('rw', this.taps, this.runs, async () => {
      const next = (await this.runs.get(key)) ?? { run: v7(), seq: 0 }
      await this.runs.put({ key, run: next.run, seq: next.seq + 1 })
      await this.taps.add(written(lesson, block, whose, tap, next))
    })
  }

  list(lesson: string) {
    return this.taps.where({ lesson }).sortBy('n')
  }

  remove(taps: Waiting[]) {
    return this.taps.bulkDelete(taps.flatMap((tap) => tap.n ?? []))
  }

  async refuse(taps: Waiting[], why: string) {
    await this.taps
      .where('n')
      .anyOf(taps.flatMap((tap) => tap.n ?? []))
      .modify({ refused: why })
  }
}

/** The memory of this page, where the device keeps nothing: better than a lost count. */
export class MemoryStore implements Store {
  #taps: Waiting[] = []
  #runs = new Map<string, Omit<Run, 'key'>>()

  add(lesson: string, block: string, whose: Whose, tap: Tap) {
    const key = keyOf(lesson, block, whose)
    const next = this.#runs.get(key) ?? { run: v7(), seq: 0 }
    this.#runs.set(key, { run: next.run, seq: next.seq + 1 })
    this.#taps.push(written(lesson, block, whose, tap, next))
    return Promise.resolve()
  }

  list(lesson: string) {
    return Promise.resolve(this.#taps.filter((tap) => tap.lesson === lesson))
  }

  remove(taps: Waiting[]) {
    this.#taps = this.#taps.filter((tap) => !taps.includes(tap))
    return Promise.resolve()
  }

  refuse(taps: Waiting[], why: string) {
    taps.forEach((tap) => (tap.refused = why))
    return Promise.resolve()
  }
}

/** Which entries of a batch a refusal is about; undefined where it is about all of them. */
function entriesIn(refusal: Refusal): Map<number, string> | undefined {
  const wrong = new Map<number, string>()
  for (const field of refusal.problem.fields) {
    const found = /^entries\.(\d+)\./.exec(`${field.path}.`)
    if (!found) return undefined
    wrong.set(Number(found[1]), field.message)
  }
  return wrong.size ? wrong : undefined
}

const batch = 500

/**
 * TapQueue is the taps that are not answered yet. Each is written down before it goes, on the device or, where that
 * fails, in the page, and is taken down once it was answered. Nothing that goes wrong here stops what comes after.
 */
export class TapQueue {
  /** Why the device keeps nothing; empty where it does. */
  storageError = ''

  constructor(
    readonly device: Store = new DeviceStore(),
    readonly memory: Store = new MemoryStore(),
  ) {}

  async put(lesson: string, block: string, whose: Whose, tap: Tap) {
    try {
      await this.device.add(lesson, block, whose, tap)
    } catch (error) {
      this.storageError = describe(error)
      await this.memory.add(lesson, block, whose, tap)
    }
  }

  async waiting(lesson: string) {
    const all = [...(await this.#listed(this.device, lesson)), ...(await this.#listed(this.memory, lesson))]
    return { open: all.filter((tap) => !tap.refused), refused: all.filter((tap) => tap.refused) }
  }

  async #listed(store: Store, lesson: string): Promise<Waiting[]> {
    try {
      return await store.list(lesson)
    } catch (error) {
      this.storageError = describe(error)
      return []
    }
  }

  /**
   * deliver sends what waits, run by run. It returns the newest counters, if any came. A tap that is refused is
   * marked and kept, and the others of its batch go without it; without an answer everything stays.
   */
  async deliver(lesson: string): Promise<Counter[] | undefined> {
    let counters: Counter[] | undefined
    for (const store of [this.device, this.memory]) {
      const open = (await this.#listed(store, lesson)).filter((tap) => !tap.refused)
      for (const run of new Set(open.map((tap) => tap.run))) {
        let taps = open.filter((tap) => tap.run === run)
        while (taps.length) {
          const sent = taps.slice(0, batch)
          const { answered, refused } = await this.#send(lesson, sent)
          counters = answered ?? counters
          for (const [tap, why] of refused) await this.#quietly(store.refuse([tap], why))
          if (answered) await this.#quietly(store.remove(sent))
          taps = answered ? taps.slice(batch) : taps.filter((tap) => !refused.has(tap))
        }
      }
    }
    return counters
  }

  /** Sends taps of one run. It throws where no answer came. */
  async #send(lesson: string, taps: Waiting[]) {
    const first = taps[0]!
    const refused = new Map<Waiting, string>()
    try {
      const { run, block, student, measure } = first
      const body = { run, block, student, measure, entries: taps.map((tap) => tap.entry) }
      const answered = await answer(
        api.POST('/api/lessons/{id}/taps', { params: { path: { id: lesson } }, body, signal: patience() }),
      )
      return { answered, refused }
    } catch (error) {
      if (!(error instanceof Refusal) || error.status >= 500) throw error
      const single = entriesIn(error)
      taps.forEach((tap, i) => {
        const why = single ? single.get(i) : (error.problem.fields[0]?.message ?? error.message)
        if (why) refused.set(tap, why)
      })
      return { answered: undefined, refused }
    }
  }

  /** What was answered stands, also where this device cannot take it down: sent again, it is counted once. */
  async #quietly(work: Promise<void>) {
    try {
      await work
    } catch (error) {
      this.storageError = describe(error)
    }
  }
}
