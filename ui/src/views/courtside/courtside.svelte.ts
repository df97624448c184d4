import {
  answer,
  api,
  patience,
  type Act,
  type Answered,
  type Counter,
  type Courtside,
  type LessonEdit,
  type Why,
} from '../../lib/api/client'
import type { ActQueue } from '../../device/acts'
import { seen, type Core } from '../../device/core'
import { Delivery } from '../../device/delivery.svelte'
import type { Games } from '../../device/games'
import type { Kits } from '../../device/kits'
import type { Kept } from '../../device/log'
import type { Tap, Whose } from '../../device/runs'
import type { Packed } from '../../device/store'
import { notices } from '../../lib/parts/notice.svelte'
import { instant } from '../../lib/words/words'
import { say } from '../../lib/words/say'
import { LessonRun, type Doing, type SaidOfRoad } from './lessonrun'
import { Taken } from './taken.svelte'

const tick = 250

/** A count that is not in what is shown yet. */
export type Waiting = NonNullable<Act['tap']>

/** What runs a lesson on this device. */
export interface Device {
  queue: ActQueue
  kits: Kits
  games: Games
  core: Core
}

/**
 * Run is a lesson on its way, shown and delivered: LessonRun with the clock and the network of a page, and the counts
 * of this device.
 */
export class Run {
  data = $state.raw<Courtside>() as Courtside
  second = $state(0)
  /** What got shorter or longer by what was done with the road last. */
  said = $state.raw<SaidOfRoad>()
  readonly running = $derived(this.#of((run) => run.running))
  readonly begun = $derived(this.#of((run) => run.begun))
  readonly over = $derived(this.#of((run) => run.over))
  readonly scheduled = $derived(this.#of((run) => run.scheduled))
  readonly cue = $derived(this.#of((run) => run.cue))
  readonly next = $derived(this.#of((run) => run.next))
  readonly roles = $derived(this.#of((run) => run.roles))
  readonly nextRoles = $derived(this.#of((run) => run.nextRoles))
  readonly versions = $derived(this.#of((run) => run.versions))
  /** Counts that are being written down. */
  #typed = $state.raw<Waiting[]>([])
  readonly delivery: Delivery<Act, Answered>
  /** Counts that are not in what is shown yet, in order. */
  readonly waiting = $derived.by(() => [
    ...this.delivery.unseen.flatMap(({ act }) => act.tap ?? []),
    ...this.#typed,
  ])
  readonly #taken: Taken
  readonly #run: LessonRun
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
    this.#run = new LessonRun(data, Date.now)
    this.#shown()
    this.#ticking = setInterval(() => this.#show((run) => run.tick()), tick)
    this.delivery = new Delivery({
      of: data.lesson.id,
      queue: device.queue,
      ask: () => this.#ask(),
      computeHere: (kept) => this.#computeHere(kept),
      show: (answered) => this.#show((run) => run.take(answered)),
      pack: async () => void (this.#packed = await device.kits.pack(this.#id)),
      reportRefused: (kept) => this.#reportRefused(kept),
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

  /** Does something to the run of the lesson, and shows what came of it. */
  #show(change: (run: LessonRun) => void) {
    change(this.#run)
    this.#shown()
  }

  #shown() {
    this.data = this.#run.data
    this.second = this.#run.second
    this.said = this.#run.said
  }

  /** What the run says of what is shown: asked again as soon as that changes. */
  #of<T>(ask: (run: LessonRun) => T): T {
    void [this.data, this.second]
    return ask(this.#run)
  }

  get counters(): Counter[] {
    return this.data.counters
  }

  /** What core on this device makes of what was done. */
  async #computeHere(kept: Kept<Act>[]) {
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
  #reportRefused({ act, refused }: Kept<Act>) {
    if (act.tap) return false
    notices.wrong(new Error(refused))
    return true
  }

  set = (second: number, running: boolean, finished = false) =>
    this.#do(this.#run.set(second, running, finished))
  begin = (into?: { minutes: number; start: string }) => this.#do(this.#run.begin(into))
  hold = () => this.#do(this.#run.hold())
  goOn = () => this.#do(this.#run.goOn())
  catchUp = () => this.#do(this.#run.catchUp())
  longer = (minutes: number) => this.#do(this.#run.longer(minutes))
  skip = () => this.#do(this.#run.skip())
  jump = (by: -1 | 1) => this.#do(this.#run.jump(by))

  /** version has the block that is on play another version of its drill, in the minutes that there are. */
  version = (text: string) => this.#do(this.#run.onTheSpot({ kind: 'version', text, on: true }))
  /** adjust changes the drill that is on: the other wing, a ball less, its targets so many times as large. */
  adjust = (change: Pick<LessonEdit, 'step' | 'size'>) =>
    this.#do(this.#run.onTheSpot({ kind: 'adjust', ...change }))
  /** change does one thing to the lesson. */
  change = (edit: LessonEdit) => this.#do({ what: { change: edit } })

  /** because says why the last change was made. */
  async because(why: Why) {
    const { said } = this.#run
    if (!said?.asks) return
    const sentences = [say('courtside.noted', { changes: said.sentences.join(' '), why })]
    this.#show((run) => (run.said = { ...said, asks: '', sentences }))
    await this.#do({ what: { reason: { of: said.asks, why } } })
  }

  /** unsaid takes back the last change of the road; what another device did since stays. */
  async unsaid() {
    const { said } = this.#run
    if (!said) return
    this.#show((run) => (run.said = undefined))
    await this.#do({ what: { before: said.before, after: said.after } })
  }

  /** Shows at once what is to be done, writes it down, and shows what comes of it. */
  async #do(doing: Doing | undefined) {
    if (!doing) return
    this.#show((run) => run.begins(doing))
    await this.delivery.write(async () => {
      const id = await this.device.queue.put(this.#id, doing.what)
      this.#run.written(doing, id)
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

  /**
   * undo takes back the last count of a student in a block, and returns how many strokes the rally had that it was; 0
   * for none.
   */
  undo(block: string, { student, measure }: Whose): number {
    void this.#count(block, { student, measure }, { kind: 'undo' })
    return this.#taken.takeBack(block, { student, measure })
  }
}
