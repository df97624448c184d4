import type {
  Answered,
  Change,
  Courtside,
  Cue,
  LessonEdit,
  ScheduledBlock,
  Travel,
} from '../../lib/api/client'
import type { What } from '../../device/acts'

/** Seconds by which an answer may differ from the clock of this page before that is put right. */
const smallest = 1

/**
 * Doing is something to be done with a lesson, and where the clock is shown to stand at once, before it is answered.
 */
export interface Doing {
  what: What
  shown?: { second: number; running: boolean }
  /** Of a change: whether it is asked why. */
  asks?: boolean
}

/**
 * What got shorter or longer by what was done with the road last, the lesson before and after it, and which act that
 * asks why; empty for none.
 */
export type SaidOfRoad = Change & { sentences: string[]; asks: string }

/**
 * LessonRun is a lesson on its way as a page shows it: the clock that goes on between answers, what is called by it,
 * and what is said of the last change. It has no clock and no network of its own: now is the wall clock in
 * milliseconds, which goes on while a phone sleeps; what is to be done is returned, and what came of it is taken.
 */
export class LessonRun {
  data: Courtside
  second = 0
  said: SaidOfRoad | undefined
  /** When the second of data was the second of the lesson, by the wall clock. */
  #since: number
  /** Something that changes the lesson is not shown yet: which act that asks why; empty for none. */
  #changing: string | undefined

  constructor(
    data: Courtside,
    readonly now: () => number,
  ) {
    this.data = data
    this.#since = now()
    this.tick()
  }

  get running() {
    return this.data.clock?.running ?? false
  }

  get begun() {
    return this.data.clock !== null
  }

  /** The lesson has gone through all that is planned. */
  get over() {
    return this.second >= this.data.lesson.plan.planned
  }

  get scheduled(): ScheduledBlock | undefined {
    return this.#at(this.second)
  }

  #at(second: number) {
    const { blocks } = this.data.lesson.plan
    return blocks.find((s) => second < s.end) ?? blocks.at(-1)
  }

  /** The calls; what to count and to watch stands with the counters. */
  get #calls(): Cue[] {
    return this.data.sheet.filter((cue) => cue.kind !== 'count')
  }

  /** What is on: the newest cue, where a role swap leaves the call before it standing. */
  get cue(): Cue | undefined {
    return this.#calls.findLast((cue) => cue.second <= this.second && cue.kind !== 'swap')
  }

  get next(): Cue | undefined {
    return this.#calls.find((cue) => cue.second > this.second)
  }

  /** The newest call of roles in the block that is on. */
  get roles(): Cue | undefined {
    return this.#calls.findLast((cue) => cue.second <= this.second && this.#ofRoles(cue))
  }

  /** The next change of roles in the block that is on. */
  get nextRoles(): Cue | undefined {
    return this.#calls.find((cue) => cue.second > this.second && this.#ofRoles(cue))
  }

  #ofRoles(cue: Cue) {
    return cue.roles.length > 0 && cue.block === this.scheduled?.block
  }

  /**
   * The versions of the drill that is on, from the easiest on, which of them is played, and the next one that may be
   * proposed; empty for none.
   */
  get versions() {
    const { scheduled } = this
    const names = scheduled?.game ? [] : (scheduled?.versions ?? [])
    const at = names.indexOf(scheduled?.version ?? 'as written')
    const next = names[at + 1] ?? ''
    return { names, at, harder: scheduled?.unsafe.includes(next) ? '' : next }
  }

  /** The second of the lesson at this instant: all that goes by time courtside hangs on it. */
  get exact() {
    return this.data.second + (this.running ? (this.now() - this.#since) / 1000 : 0)
  }

  tick() {
    this.second = this.exact
  }

  #show(data: Courtside) {
    const own = this.exact
    // What an answer was on its way for is no reason to go back: a call would come twice.
    const goesOn = data.clock?.running && this.running && Math.abs(data.second - own) < smallest
    this.data = goesOn ? { ...data, second: own } : data
    this.#since = this.now()
    this.tick()
  }

  /** begins shows at once what is to be done; what it changes is told with the answer. */
  begins({ what, shown }: Doing) {
    if (this.#changes(what)) this.#changing ??= ''
    if (!shown) return
    const { second, running } = shown
    const clock = { anchor: this.data.clock?.anchor ?? '', second, running }
    this.#show({ ...this.data, second, clock })
  }

  /** written takes in under which identifier something is kept that is to be done. */
  written({ what, asks }: Doing, id: string) {
    if (this.#changes(what)) this.#changing = asks ? id : ''
  }

  #changes(what: What) {
    return what.travel !== undefined || what.change !== undefined
  }

  /** take goes on from an answer. One that was on its way before a change says nothing of it. */
  take(answered: Answered) {
    const { sentences, changed, refused } = answered
    this.#show(answered)
    if (this.#changing === undefined || (!changed && !refused.length)) return
    this.said =
      sentences.length && changed
        ? { sentences: sentences.map(({ words }) => words), ...changed, asks: this.#changing }
        : undefined
    this.#changing = undefined
  }

  /** set moves the clock. */
  set(second: number, running: boolean, finished = false): Doing {
    const at = Math.max(0, second)
    const clock = { second: at, running, finished, ...(this.begun && this.#where(at)) }
    return { what: { clock }, shown: { second: at, running } }
  }

  /** In which block a second lies: the road may be another by the time that this is heard of. */
  #where(second: number) {
    const on = this.#at(second)
    return on && { block: on.block, gone: Math.max(0, second - on.start) }
  }

  /** begin sets a lesson going; given how long it is and when it begins, it is fitted into that first. */
  begin(into?: { minutes: number; start: string }): Doing {
    const block = this.data.lesson.document.blocks[0]?.id
    return into && block ? this.#travel({ kind: 'end', block, ...into }, 0) : this.set(this.second, true)
  }

  /** hold stops the clock of a lesson, and all that hangs on it: what is to come is as much later. */
  hold() {
    return this.set(this.second, false)
  }

  goOn() {
    return this.#travel({ kind: 'held', block: '' }, this.second)
  }

  /** catchUp has what is left take as much less as the lesson is late. */
  catchUp() {
    return this.#travel({ kind: 'catch up', block: '' }, this.second)
  }

  longer(minutes: number) {
    return this.#under({ kind: 'longer', minutes }, this.second)
  }

  /** skip ends the block that is on; what it had left goes to the others. */
  skip() {
    return this.#under({ kind: 'go on' }, this.scheduled?.end ?? this.second)
  }

  /** back has the block before go on; the one that was on begins after it. */
  back() {
    const { blocks } = this.data.lesson.plan
    const at = blocks.findIndex((each) => each.block === this.scheduled?.block)
    return this.#under({ kind: 'go back' }, (blocks[at - 1]?.end ?? 0) - 1)
  }

  /**
   * jump goes to the next block, or to the one before. Before a lesson is begun one looks at its blocks, and begins
   * where one is.
   */
  jump(by: -1 | 1) {
    if (this.begun) return by === 1 ? this.skip() : this.back()
    const { blocks, planned } = this.data.lesson.plan
    const here = blocks.findIndex((s) => s.block === this.scheduled?.block)
    const before = blocks[Math.max(0, here - 1)]?.start ?? 0
    return this.set(by === 1 ? (this.scheduled?.end ?? planned) : before, true)
  }

  #under(travel: Omit<Travel, 'block' | 'gone'>, second: number): Doing | undefined {
    const { scheduled } = this
    if (!scheduled) return undefined
    const gone = Math.max(0, this.second - scheduled.start)
    return this.#travel({ ...travel, block: scheduled.block, gone }, second)
  }

  /** Does something with the road; on this page the clock is at a second of it at once. */
  #travel(travel: Travel, second: number): Doing {
    return { what: { travel }, shown: { second, running: true } }
  }

  /** onTheSpot changes the drill of the block that is on; what was counted so far stays what it was. */
  onTheSpot(edit: Omit<LessonEdit, 'block' | 'gone'>): Doing {
    const { block = '', start = 0 } = this.scheduled ?? {}
    const gone = this.begun ? Math.max(0, this.second - start) : 0
    return { what: { change: { ...edit, block, gone } }, asks: true }
  }
}
