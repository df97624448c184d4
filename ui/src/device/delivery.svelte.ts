import { answer, api, describe, patience, Unreachable } from '../lib/api/client'
import { notices } from '../lib/parts/notice.svelte'
import { inRounds } from '../lib/page/rounds'
import type { Kept } from './log'
import type { Queue } from './queue'

const retryAfter = 3000
/** From when on an answer is late, so that this device works it out itself, in milliseconds. */
const late = 700
/** How long after an answer what is with this device is packed anew. */
const packAfter = 1200

/** What is delivered, and who shows what comes of it. */
export interface Line<A extends { id: string }, R> {
  /** The lesson, or the game. */
  of: string
  queue: Pick<Queue<A, R>, 'list' | 'deliver' | 'forget' | 'storageError'>
  /** ask reads it from the program as it is now. */
  ask: () => Promise<R>
  /** computeHere is what core on this device makes of all that was done; undefined where it has nothing with it. */
  computeHere: (kept: Kept<A>[]) => Promise<R | undefined>
  /** show shows an answer. */
  show: (answer: R) => void
  /** pack takes along what is in the program now. It fails where that does not answer. */
  pack: () => Promise<void>
  /** reportRefused tells what was refused, and says whether it is forgotten then; else it is kept. */
  reportRefused: (refused: Kept<A>) => boolean
}

/**
 * Delivery brings what is done on this device to the program, in order, and has shown what comes of it: the program's
 * answer, or, where none comes, what core on this device makes of what it has with it and of all that was done since.
 */
export class Delivery<A extends { id: string }, R> {
  /** All that is written down and is not in what the device has with it yet. */
  kept = $state.raw<Kept<A>[]>([])
  /** Which acts are in what is shown. */
  shown = $state.raw<string[]>([])
  /** The program answers. */
  reached = $state(true)
  /** What was wrong the last time though it answers; empty where nothing was. */
  wrong = $state('')
  /** An answer is waited for longer than usual. */
  slow = $state(false)
  /** Why this device cannot keep anything; empty where it can. */
  storageError = $state('')
  readonly open = $derived(this.kept.filter((kept) => !kept.answered && !kept.refused))
  /** What is not answered, and not in what is shown either. */
  readonly unseen = $derived(this.open.filter(({ act }) => !this.shown.includes(act.id)))
  readonly refused = $derived(this.kept.flatMap((kept) => kept.refused ?? []))
  /** How much is being written down: what comes meanwhile does not know of it. */
  #writing = 0
  #packing: ReturnType<typeof setTimeout> | undefined
  #stopped = false
  #computations = 0
  #reads = 0
  #newestRead = 0
  /** The last write that is in what is shown. */
  #latest = ''
  readonly #timer: ReturnType<typeof setInterval>

  constructor(readonly line: Line<A, R>) {
    this.#timer = setInterval(() => void this.deliver(), retryAfter)
  }

  /** begin sends what waits, and takes along what there is. */
  async begin() {
    await this.deliver()
    await this.#pack()
  }

  /** stop stops trying; what waits stays on this device. */
  stop() {
    this.#stopped = true
    clearInterval(this.#timer)
    clearTimeout(this.#packing)
  }

  /**
   * write writes something down and sends it. Where no answer came the last time, or one is late, this device works it
   * out meanwhile.
   */
  async write(write: () => Promise<void>) {
    this.#writing++
    try {
      await write()
    } catch (error) {
      notices.wrong(error)
    }
    await this.#read()
    this.#writing--
    if (!this.reached || this.wrong || this.slow) await this.#computeHere()
    await this.deliver()
  }

  /** deliver sends what waits; what comes meanwhile goes in the next round. */
  readonly deliver = inRounds(() => this.#deliver())

  async #deliver() {
    await this.#read()
    if (!this.open.length && this.reached && !this.wrong) return this.#watch()
    const waits = setTimeout(() => {
      this.slow = true
      void this.#computeHere()
    }, late)
    try {
      const answered = await this.line.queue.deliver(this.line.of).finally(() => clearTimeout(waits))
      await this.#read()
      this.slow &&= this.open.length > 0 // what came meanwhile waits on
      await this.#reportRefused()
      const newest = answered ?? (await this.line.ask())
      this.reached = true
      this.wrong = ''
      if (this.open.length || this.#writing) return // more came meanwhile: it goes in the next round
      this.#computations++ // what this device makes of it is not waited for
      this.#show(newest, this.kept)
      this.#packLater()
    } catch (error) {
      this.slow = false
      this.#failed(error)
      await this.#read()
      if (this.unseen.length) await this.#computeHere()
    }
  }

  /** Tells what went wrong: no answer, or one that says so. */
  #failed(error: unknown) {
    this.reached = !(error instanceof Unreachable)
    this.wrong = this.reached ? describe(error) : ''
  }

  /** Reads what is written down. What was asked for earlier and comes later says nothing any more. */
  async #read() {
    const turn = ++this.#reads
    const kept = await this.line.queue.list(this.line.of)
    if (turn > this.#newestRead) {
      this.#newestRead = turn
      this.kept = kept
    }
    this.storageError = this.line.queue.storageError
  }

  #show(answer: R, kept: Kept<A>[]) {
    this.shown = kept.map(({ act }) => act.id)
    this.line.show(answer)
  }

  /** Shows what core on this device makes of all that was done; where it cannot, the program's answer is waited for. */
  async #computeHere() {
    const turn = ++this.#computations
    const kept = this.kept
    try {
      const seen = await this.line.computeHere(kept)
      if (!seen || turn !== this.#computations || this.#writing) return
      // What was written down meanwhile is not in it: shown, it would look undone. It is in what is shown next.
      const inIt = kept.map(({ act }) => act.id)
      if (this.kept.every(({ act }) => inIt.includes(act.id))) this.#show(seen, kept)
    } catch {
      return
    }
  }

  /** Shows what was done from another device meanwhile. */
  async #watch() {
    try {
      const { write } = await answer(api.GET('/api/latest', { signal: patience() }))
      if (write === this.#latest) return
      const answered = await this.line.ask()
      if (this.open.length || this.#writing) return
      this.#latest = write
      this.#show(answered, this.kept)
      this.#packLater()
    } catch (error) {
      this.#failed(error)
    }
  }

  /** What was refused and is not kept is told and forgotten. */
  async #reportRefused() {
    const told = this.kept.filter((kept) => kept.refused !== undefined && this.line.reportRefused(kept))
    if (!told.length) return
    await this.line.queue.forget(told)
    await this.#read()
  }

  /** Packs anew a little later, and forgets what is in it then. */
  #packLater() {
    clearTimeout(this.#packing)
    if (!this.#stopped) this.#packing = setTimeout(() => void this.#pack(), packAfter)
  }

  async #pack() {
    if (this.#stopped) return
    const inIt = this.kept.filter((kept) => kept.answered)
    try {
      await this.line.pack()
      await this.line.queue.forget(inIt)
      await this.#read()
    } catch (error) {
      this.#failed(error)
    }
  }
}
