import Dexie, { type Table } from 'dexie'
import { v7 } from 'uuid'
import { answer, api, Refusal, type Counter, type Entry } from '../../lib/api/client'

/** Waiting is a tap that is written on this device and not yet answered. */
export interface Waiting {
  n?: number
  lesson: string
  run: string
  block: string
  student: string
  entry: Entry
  /** Why the tap was refused; it is kept all the same. */
  refused?: string
}

interface Run {
  key: string
  run: string
  seq: number
}

/** The taps of this device. Each is written here first and goes once its number was answered. */
export class TapQueue extends Dexie {
  taps!: Table<Waiting, number>
  runs!: Table<Run, string>

  constructor(name = 'hodometer') {
    super(name)
    this.version(1).stores({ taps: '++n, lesson', runs: 'key' })
  }

  /** put writes a tap down, with the next number of its run on this device. */
  async put(lesson: string, block: string, student: string, tap: Omit<Entry, 'seq' | 'at'>) {
    const key = `${lesson}/${block}/${student}`
    await this.transaction('rw', this.taps, this.runs, async () => {
      const { run, seq } = (await this.runs.get(key)) ?? { run: v7(), seq: 0 }
      await this.runs.put({ key, run, seq: seq + 1 })
      await this.taps.add({
        lesson,
        run,
        block,
        student,
        entry: { ...tap, seq, at: new Date().toISOString() },
      })
    })
  }

  async waiting(lesson: string) {
    const all = await this.taps.where({ lesson }).sortBy('n')
    return { open: all.filter((tap) => !tap.refused), refused: all.filter((tap) => tap.refused) }
  }

  /**
   * deliver sends what waits, run by run, and takes down what was answered. It returns the newest
   * counters, if any came. A refused tap is marked and kept; without an answer everything stays.
   */
  async deliver(lesson: string): Promise<Counter[] | undefined> {
    const { open } = await this.waiting(lesson)
    let counters: Counter[] | undefined
    for (const run of new Set(open.map((tap) => tap.run))) {
      const taps = open.filter((tap) => tap.run === run).slice(0, 500)
      const first = taps[0]
      if (!first) continue
      const { block, student } = first
      const keys = taps.flatMap((tap) => tap.n ?? [])
      try {
        counters = await answer(
          api.POST('/api/lessons/{id}/taps', {
            params: { path: { id: lesson } },
            body: { run, block, student, entries: taps.map((tap) => tap.entry) },
          }),
        )
        await this.taps.bulkDelete(keys)
      } catch (error) {
        if (!(error instanceof Refusal) || error.status >= 500) throw error
        const why = error.problem.fields[0]?.message ?? error.message
        await this.taps.where('n').anyOf(keys).modify({ refused: why })
      }
    }
    return counters
  }
}
