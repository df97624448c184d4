import { v7 } from 'uuid'
import type { Act, Entry } from '../lib/api/client'
import { MemoryLog, type Kept, type Log } from './log'

/** Tap is a count without its number and its time. */
export type Tap = Omit<Entry, 'seq' | 'at'>

/** Whose count it is: of which student, at which measure. */
export interface Whose {
  student: string
  /** Its number; 1 where an earlier program wrote none down. */
  measure?: number
}

/** Run is how far the counts of a student at a measure of a block are numbered. */
export interface Run {
  key: string
  run: string
  seq: number
}

/** A count that has no number yet: of which run it is, and what it will be with the next number of that. */
export interface Count {
  key: string
  as: (run: Run) => Kept<Act>
}

/** ActLog writes counts down with the next number of their run. */
export interface ActLog extends Log<Act> {
  count: (count: Count) => Promise<Kept<Act>>
  /** The runs of a lesson that were begun here. */
  runsOf: (lesson: string) => Promise<string[]>
}

/** Each student has a run at each measure of a block. */
const keyOf = (lesson: string, block: string, { student, measure = 1 }: Whose) =>
  `${lesson}/${block}/${student}${measure > 1 ? `/${measure}` : ''}`

/** The run of a count that was not begun yet. */
export const begun = (key: string): Run => ({ key, run: v7(), seq: 0 })

/** counted is a count by its lesson, block and student. */
export const counted = (
  of: string,
  block: string,
  whose: Whose,
  tap: Tap,
  id: string,
  at: string,
): Count => ({
  key: keyOf(of, block, whose),
  as: ({ run, seq }) => ({ of, act: { id, at, tap: { run, block, ...whose, entry: { ...tap, seq, at } } } }),
})

/** Counts in memory. */
export class MemoryRuns extends MemoryLog<Act> implements ActLog {
  #runs = new Map<string, Run>()

  count({ key, as }: Count) {
    const next = this.#runs.get(key) ?? begun(key)
    this.#runs.set(key, { ...next, seq: next.seq + 1 })
    return this.add(as(next))
  }

  runsOf(lesson: string) {
    const own = [...this.#runs.values()].filter(({ key }) => key.startsWith(`${lesson}/`))
    return Promise.resolve(own.map(({ run }) => run))
  }
}

/** The counts that this device could not keep, in the memory of the page: they stay when the coach goes to another view. */
export const onThisPage = new MemoryRuns()
