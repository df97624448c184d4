import type {
  Act,
  Answered,
  GameDocument,
  GameEvent,
  GameKit,
  GameVersionAsked,
  Kit,
  Scored,
} from '../lib/api/client'
import type { Kept } from './log'
import type { Packed, PackedGame } from './store'

/** What is asked of core on this device: one of these. */
interface Question {
  /** What a coach sees of a lesson at an instant, after some acts. */
  lesson?: { kit: Kit; acts: Act[]; now: string }
  /** Where a game stands after some events. */
  game?: { kit: GameKit; events: GameEvent[] }
  version?: GameVersionAsked
}

/** inTime is an act with its instants by the clock of the program, which is so many milliseconds ahead. */
export function inTime(act: Act, ahead: number): Act {
  if (!ahead) return act
  const right = (at: string) => new Date(Date.parse(at) + ahead).toISOString()
  const tap = act.tap && { ...act.tap, entry: { ...act.tap.entry, at: right(act.tap.entry.at) } }
  return { ...act, at: right(act.at), tap }
}

const done = <A>(kept: Kept<A>[]) => kept.filter((each) => !each.refused).map(({ act }) => act)

/** seen is what core makes at this instant of a lesson as it was packed, and of what was done since. */
export function seen(core: Core, { kit, ahead }: Packed, kept: Kept<Act>[]): Promise<Answered> {
  const acts = done(kept).map((act) => inTime(act, ahead))
  return core.ask({ lesson: { kit, acts, now: new Date(Date.now() + ahead).toISOString() } })
}

/** scored is where a game stands as it was packed, and after what happened since. */
export const scored = (core: Core, { kit }: PackedGame, kept: Kept<GameEvent>[]): Promise<Scored> =>
  core.ask({ game: { kit, events: done(kept) } })

/** versionOf is a game as it is played in a lesson. */
export const versionOf = (core: Core, version: GameVersionAsked): Promise<GameDocument> =>
  core.ask({ version })

const left = new Error('this page is left')

interface Answer {
  n: number
  text?: string
  error?: string
}

/**
 * Core is the program's own core on this device, in a worker: it is loaded when it is first asked, and works out what
 * the program would have answered.
 */
export class Core {
  #worker: Worker | undefined
  #asked = 0
  #left = false
  #open = new Map<number, { done: (text: string) => void; failed: (why: Error) => void }>()

  /** ask has something worked out. It fails where core cannot be loaded, or cannot do it. */
  async ask<A extends object>(question: Question): Promise<A> {
    const answered = JSON.parse(await this.#ask(JSON.stringify(question))) as A | { error: string }
    if ('error' in answered) throw new Error(answered.error)
    return answered
  }

  /** Loads core, so that it is there once the network is gone. */
  warm() {
    if (!this.#left) this.#worker ??= this.#begin()
  }

  #ask(question: string): Promise<string> {
    if (this.#left) return Promise.reject(left)
    const worker = (this.#worker ??= this.#begin())
    const n = ++this.#asked
    worker.postMessage({ n, question })
    return new Promise((done, failed) => this.#open.set(n, { done, failed }))
  }

  #begin() {
    const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Answer>) => {
      const waits = this.#open.get(data.n)
      this.#open.delete(data.n)
      if (data.text === undefined) waits?.failed(new Error(data.error))
      else waits?.done(data.text)
    }
    // It is tried again when it is asked again.
    worker.onerror = (event) => {
      this.#end(new Error(event.message))
    }
    return worker
  }

  /** stop ends core for good: what asks it later, because it was begun before, starts nothing any more. */
  stop() {
    this.#left = true
    this.#end(left)
  }

  #end(why: Error) {
    this.#worker?.terminate()
    this.#worker = undefined
    this.#open.forEach((waits) => waits.failed(why))
    this.#open.clear()
  }
}
