import { measureOf } from './measure'
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

/** ActLog writes acts down, counts with the next number of their run. */
export interface ActLog extends Log<Act> {
  /** The runs of a lesson that were begun here. */
  runsOf: (lesson: string) => Promise<string[]>
}

/** keyOf is whose run a count is of that has no number yet: each student has one at each measure of a block. */
export const keyOf = ({ of, act: { tap } }: Kept<Act>) =>
  tap && !tap.run
    ? `${of}/${tap.block}/${tap.student}${measureOf(tap) > 1 ? `/${tap.measure}` : ''}`
    : undefined

/** The run of a count that was not begun yet. */
export const begun = (key: string): Run => ({ key, run: v7(), seq: 0 })

/** counted is a count that has no number yet. */
export function counted(block: string, whose: Whose, tap: Tap): Act {
  const at = new Date().toISOString()
  return { id: v7(), at, tap: { run: '', block, ...whose, entry: { ...tap, seq: 0, at } } }
}

/** numbered is a count with the next number of its run. */
export function numbered({ of, act }: Kept<Act>, { run, seq }: Run): Kept<Act> {
  const tap = act.tap && { ...act.tap, run, entry: { ...act.tap.entry, seq } }
  return { of, act: { ...act, tap } }
}

/** Acts in memory. */
export class MemoryRuns extends MemoryLog<Act> implements ActLog {
  #runs = new Map<string, Run>()

  override add(kept: Kept<Act>) {
    const key = keyOf(kept)
    if (!key) return super.add(kept)
    const next = this.#runs.get(key) ?? begun(key)
    this.#runs.set(key, { ...next, seq: next.seq + 1 })
    return super.add(numbered(kept, next))
  }

  runsOf(lesson: string) {
    const own = [...this.#runs.values()].filter(({ key }) => key.startsWith(`${lesson}/`))
    return Promise.resolve(own.map(({ run }) => run))
  }
}

/**
 * The counts that this device could not keep, in the memory of the page: they stay when the coach goes to another view.
 */
export const onThisPage = new MemoryRuns()
