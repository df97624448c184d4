import {
  answer,
  api,
  patience,
  type Act,
  type Answered,
  type Change,
  type Counter,
  type Courtside,
  type Cue,
  type LessonEdit,
  type ScheduledBlock,
  type Travel,
  type Why,
} from '../../lib/api/client'
import type { ActQueue, What } from '../../device/acts'
import { seen, type Core } from '../../device/core'
import { Delivery } from '../../device/delivery.svelte'
import type { Games } from '../../device/games'
import type { Kits } from '../../device/kits'
import type { Kept } from '../../device/log'
import type { Tap, Whose } from '../../device/runs'
import type { Packed } from '../../device/store'
import { notices } from '../../lib/parts/notice.svelte'
import { instant } from '../../lib/words/words'
import { Taken } from './taken.svelte'

const tick = 250
/** Seconds by which an answer may differ from the clock of this page before that is put right. */
const smallest = 1

/** A count that is not in what is shown yet. */
export type Waiting = NonNullable<Act['tap']>

/** What runs a lesson on this device. */
export interface Device {
  queue: ActQueue
  kits: Kits
  games: Games
  core: Core
}

/** Run is a lesson on its way: the clock that goes on between answers, the cues, the counts. */
export class Run {
  data = $state.raw<Courtside>() as Courtside
  second = $state(0)
  /** Counts that are being written down. */
  #typed = $state.raw<Waiting[]>([])
  readonly delivery: Delivery<Act, Answered>
  /** Counts that are not in what is shown yet, in order. */
  readonly waiting = $derived.by(() => [
    ...this.delivery.unseen.flatMap(({ act }) => act.tap ?? []),
    ...this.#typed,
  ])
  readonly #taken: Taken
  /** What got shorter or longer by what was done with the road last, the lesson before and after it, and which act that asks why; empty for none. */
  said = $state.raw<Change & { sentences: string[]; asks: string }>()
  /** When the second of data was the second of the lesson, by the wall clock: it goes on while a phone sleeps. */
  #since = Date.now()
  /** Something that changes the lesson is not shown yet: which act that asks why; empty for none. */
  #changing: string | undefined
  /** The runs of this device: of students whom it counts; undefined until they are read. */
  #runs = $state.raw<string[]>()
  /** Up to when the counts of another device go that were taken over. */
  #takenOver = $state.raw<Record<string, number>>({})
  #packed: Packed | undefined
  readonly #ticking: ReturnType<typeof setInterval>

  constructor(
    data: Courtside,
    readonly device: Device,
  ) {
    this.#taken = new Taken(data.lesson.id)
    this.#show(data)
    this.#ticking = setInterval(() => this.#tick(), tick)
    this.delivery = new Delivery({
      of: data.lesson.id,
      queue: device.queue,
      ask: () => this.#ask(),
      see: (kept) => this.#see(kept),
      take: (answered) => this.#take(answered),
      pack: async () => void (this.#packed = await device.kits.pack(this.#id)),
      tell: (kept) => this.#tell(kept),
    })
    void this.#begin()
  }

  async #begin() {
    this.#packed = await this.device.kits.of(this.#id)
    this.#runs = await this.device.queue.runsOf(this.#id)
    await this.delivery.begin()
    this.device.core.warm()
  }

  stop() {
    clearInterval(this.#ticking)
    this.delivery.stop()
    this.device.core.stop()
    if (this.data.lesson.state === 'finished') void this.device.kits.finished(this.#id)
  }

  get #id() {
    return this.data.lesson.id
  }

  get counters(): Counter[] {
    return this.data.counters
  }

  get running() {
    return this.data?.clock?.running ?? false
  }

  get begun() {
    return this.data.clock !== null
  }

  /** The lesson has gone through all that is planned. */
  get over() {
    return this.second >= this.data.lesson.plan.planned
  }

  get scheduled(): ScheduledBlock | undefined {
    const { blocks } = this.data.lesson.plan
    return blocks.find((s) => this.second < s.end) ?? blocks.at(-1)
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
    return this.#calls.findLast(
      (cue) => cue.second <= this.second && cue.roles.length > 0 && cue.block === this.scheduled?.block,
    )
  }

  /** The next change of roles in the block that is on. */
  get nextRoles(): Cue | undefined {
    return this.#calls.find(
      (cue) => cue.second > this.second && cue.roles.length > 0 && cue.block === this.scheduled?.block,
    )
  }

  #show(data: Courtside) {
    const own = this.exact
    // What an answer was on its way for is no reason to go back: a call would come twice.
    const goesOn = data.clock?.running && this.running && Math.abs(data.second - own) < smallest
    this.data = goesOn ? { ...data, second: own } : data
    this.#since = Date.now()
    this.#tick()
  }

  /** The second of the lesson at this instant: all that goes by time courtside hangs on it. */
  get exact() {
    if (!this.data) return 0
    return this.data.second + (this.running ? (Date.now() - this.#since) / 1000 : 0)
  }

  #tick() {
    this.second = this.exact
  }

  /** Goes on from an answer. */
  #take(answered: Answered) {
    const { sentences, changed } = answered
    this.#show(answered)
    if (this.#changing === undefined) return
    this.said = sentences.length && changed ? { sentences, ...changed, asks: this.#changing } : undefined
    this.#changing = undefined
  }

  /** What core on this device makes of what was done. */
  async #see(kept: Kept<Act>[]) {
    return this.#packed && seen(this.device.core, this.#packed, kept)
  }

  async #ask(): Promise<Answered> {
    const params = { path: { id: this.#id } }
    return {
      ...(await answer(api.GET('/api/lessons/{id}/courtside', { params, signal: patience() }))),
      sentences: [],
      changed: null,
      refused: [],
    }
  }

  /** Tells what was refused. What is no count is forgotten then: nothing is lost with it. */
  #tell({ act, refused }: Kept<Act>) {
    if (act.tap) return false
    notices.wrong(new Error(refused))
    return true
  }

  /** set moves the clock. */
  set(second: number, running: boolean, finished = false) {
    const clock = { second: Math.max(0, second), running, finished }
    return this.#do({ clock }, clock.second, running)
  }

  /** begin sets a lesson going; given how long it is and when it begins, it is fitted into that first. */
  begin(into?: { minutes: number; start: string }) {
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

  /** jump goes to the next block, or to the one before. Before a lesson is begun one looks at its blocks, and begins where one is. */
  jump(by: -1 | 1) {
    if (this.begun) return by === 1 ? this.skip() : this.back()
    const { blocks, planned } = this.data.lesson.plan
    const here = blocks.findIndex((s) => s.block === this.scheduled?.block)
    return this.set(
      by === 1 ? (this.scheduled?.end ?? planned) : (blocks[Math.max(0, here - 1)]?.start ?? 0),
      true,
    )
  }

  #under(travel: Omit<Travel, 'block' | 'gone'>, second: number) {
    const { scheduled } = this
    if (!scheduled) return Promise.resolve()
    const gone = Math.max(0, this.second - scheduled.start)
    return this.#travel({ ...travel, block: scheduled.block, gone }, second)
  }

  /** Does something with the road; on this page the clock is at a second of it at once. */
  #travel(travel: Travel, second: number) {
    return this.#do({ travel }, second, true)
  }

  /** The versions of the drill that is on, from the easiest on, which of them is played, and the next one that may be proposed; empty for none. */
  get versions() {
    const { scheduled } = this
    const names = scheduled?.game ? [] : (scheduled?.versions ?? [])
    const at = names.indexOf(scheduled?.version ?? 'as written')
    const next = names[at + 1] ?? ''
    return { names, at, harder: scheduled?.unsafe.includes(next) ? '' : next }
  }

  /** version has the block that is on play another version of its drill, in the minutes that there are. */
  version(text: string) {
    return this.#onTheSpot({ kind: 'version', text, on: true })
  }

  /** adjust changes the drill that is on: the other wing, a ball less, its targets so many times as large. */
  adjust(change: Pick<LessonEdit, 'step' | 'size'>) {
    return this.#onTheSpot({ kind: 'adjust', ...change })
  }

  /** Changes the drill of the block that is on; what was counted so far stays what it was. */
  #onTheSpot(edit: Omit<LessonEdit, 'block' | 'gone'>) {
    const { block = '', start = 0 } = this.scheduled ?? {}
    const gone = this.begun ? Math.max(0, this.second - start) : 0
    return this.change({ ...edit, block, gone }, true)
  }

  /** change does one thing to the lesson. */
  change(edit: LessonEdit, asks = false) {
    return this.#do({ change: edit }, undefined, undefined, asks)
  }

  /** because says why the last change was made. */
  async because(why: Why) {
    if (!this.said?.asks) return
    const of = this.said.asks
    this.said = { ...this.said, asks: '', sentences: [`${this.said.sentences.join(' ')} Noted: ${why}.`] }
    await this.#do({ reason: { of, why } })
  }

  /** unsaid takes back the last change of the road; what another device did since stays. */
  async unsaid() {
    if (!this.said) return
    const { before, after } = this.said
    this.said = undefined
    await this.#do({ before, after })
  }

  /** Writes down what is done, with the clock shown at a second at once, and shows what comes of it. */
  async #do(what: What, second?: number, running?: boolean, asks = false) {
    const was = this.data.clock
    const changes = what.travel !== undefined || what.change !== undefined
    if (changes) this.#changing ??= ''
    if (second !== undefined && running !== undefined)
      this.#show({ ...this.data, second, clock: { anchor: was?.anchor ?? '', second, running } })
    await this.delivery.write(async () => {
      const id = await this.device.queue.put(this.#id, what)
      if (changes) this.#changing = asks ? id : ''
    })
  }

  async tap(block: string, whose: Whose, tap: Tap) {
    this.#taken.add(block, whose, tap)
    await this.#count(block, whose, tap)
  }

  /** Shows a count at once, and writes it down. */
  async #count(block: string, whose: Whose, tap: Tap) {
    const entry = { ...tap, seq: 0, at: instant() }
    const one = { run: '', block, ...whose, entry }
    this.#typed = [...this.#typed, one]
    await this.delivery.write(async () => {
      try {
        await this.device.queue.count(this.#id, block, whose, tap)
        this.#runs = await this.device.queue.runsOf(this.#id)
      } finally {
        this.#typed = this.#typed.filter((each) => each !== one)
      }
    })
  }

  /** elsewhere says whether a count is kept on another device: on that of its newest entry, until it is taken over. */
  elsewhere({ newest, counted, party }: Counter) {
    if (!newest || !this.#runs || this.#runs.includes(newest.run)) return false
    if (this.waiting.some((tap) => tap.student === party && tap.entry.kind !== 'fault')) return false
    return Date.parse(newest.at) > (this.#takenOver[`${counted} ${party}`] ?? 0)
  }

  /** takeOver has a student counted on this device from now on. */
  takeOver({ counted, party }: Counter) {
    const own = this.counters.filter((each) => each.counted === counted && each.party === party)
    const until = Math.max(...own.map(({ newest }) => (newest ? Date.parse(newest.at) : 0)))
    this.#takenOver = { ...this.#takenOver, [`${counted} ${party}`]: until }
  }

  /** Whose count undo takes back: the last one that was taken in a block, whoever's turn it is now. */
  lastIn(block: string): Whose | undefined {
    return this.#taken.lastIn(block)
  }

  /** undo takes back the last count of a student in a block, and returns how many strokes the rally had that it was; 0 for none. */
  undo(block: string, { student, measure }: Whose): number {
    void this.#count(block, { student, measure }, { kind: 'undo' })
    return this.#taken.takeBack(block, { student, measure })
  }
}
