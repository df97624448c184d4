import type { Act, Answered, Kit } from '../lib/api/client'
import type { Kept, Packed } from './store'

/** What is asked of core on this device: what a coach sees of a kit at an instant, after some acts. */
export interface Asked {
  kit: Kit
  acts: Act[]
  now: string
}

/** inTime is an act with its instants by the clock of the program, which is so many milliseconds ahead. */
export function inTime(act: Act, ahead: number): Act {
  if (!ahead) return act
  const right = (at: string) => new Date(Date.parse(at) + ahead).toISOString()
  const tap = act.tap && { ...act.tap, entry: { ...act.tap.entry, at: right(act.tap.entry.at) } }
  return { ...act, at: right(act.at), tap }
}

/** seen is what core makes at this instant of a lesson as it was packed, and of what was done since. */
export function seen(core: Core, { kit, ahead }: Packed, kept: Kept[]): Promise<Answered> {
  const acts = kept.filter((each) => !each.refused).map(({ act }) => inTime(act, ahead))
  return core.view({ kit, acts, now: new Date(Date.now() + ahead).toISOString() })
}

interface Answer {
  n: number
  text?: string
  error?: string
}

/**
 * Core is the program's own core on this device, in a worker: it is loaded when it is first asked, and works out what the program
 * would have answered.
 */
export class Core {
  #worker: Worker | undefined
  #asked = 0
  #open = new Map<number, { done: (text: string) => void; failed: (why: Error) => void }>()

  /** view works out what a coach sees. It fails where core cannot be loaded, or cannot do it. */
  async view(asked: Asked): Promise<Answered> {
    const answered = JSON.parse(await this.#ask(JSON.stringify(asked))) as Answered | { error: string }
    if ('error' in answered) throw new Error(answered.error)
    return answered
  }

  /** Loads core, so that it is there once the network is gone. */
  warm() {
    this.#worker ??= this.#begin()
  }

  #ask(question: string): Promise<string> {
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
      this.stop(new Error(event.message))
    }
    return worker
  }

  stop(why = new Error('this page is left')) {
    this.#worker?.terminate()
    this.#worker = undefined
    this.#open.forEach((waits) => waits.failed(why))
    this.#open.clear()
  }
}
