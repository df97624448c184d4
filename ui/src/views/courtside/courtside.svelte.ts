import {
  answer,
  api,
  over,
  type Counter,
  type Courtside,
  type Cue,
  type LessonDocument,
  type ScheduledBlock,
  type Travel,
} from '../../lib/api/client'
import { notices } from '../../lib/notice.svelte'
import { TapQueue, type Tap, type Waiting, type Whose } from './queue'

const retryAfter = 3000
const tick = 250

/** Run is a lesson on its way: the clock that goes on between answers, the cues, the counts. */
export class Run {
  data = $state.raw<Courtside>() as Courtside
  counters = $state.raw<Counter[]>([])
  second = $state(0)
  /** Taps that are not answered yet, in order. */
  waiting = $state.raw<Waiting[]>([])
  refused = $state.raw<string[]>([])
  reached = $state(true)
  /** Why this device cannot keep counts; empty where it can. */
  storageError = $state('')
  /** Whose counts were taken on this page, the latest last, for undo. */
  #acts = $state.raw<{ block: string; whose: Whose }[]>([])
  /** What got shorter or longer by what was done with the road last, and the lesson before it. */
  said = $state.raw<{ sentences: string[]; before: LessonDocument }>()
  /** When the second of data was the second of the lesson, by the wall clock: it goes on while a phone sleeps. */
  #since = Date.now()
  #answered: { data: Courtside; at: number }
  /** What was answered last, shown or not. */
  #last: Courtside
  #setting: Promise<unknown> = Promise.resolve()
  #sets = 0
  #queue = new TapQueue()
  #delivering = false
  #again = false
  #timers: ReturnType<typeof setInterval>[] = []

  constructor(data: Courtside) {
    this.#answered = { data, at: Date.now() }
    this.#last = data
    this.#show(this.#answered)
    this.counters = data.counters
    this.#timers = [setInterval(() => this.#tick(), tick), setInterval(() => void this.deliver(), retryAfter)]
    void this.deliver()
  }

  stop() {
    this.#timers.forEach(clearInterval)
  }

  get running() {
    return this.data.clock?.running ?? false
  }

  get begun() {
    return this.data.clock !== null
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

  /** take goes on from what the server answered. */
  take(data: Courtside) {
    this.#answered = { data, at: Date.now() }
    this.#last = data
    this.#show(this.#answered)
  }

  #show(from: { data: Courtside; at: number }) {
    this.data = from.data
    this.#since = from.at
    this.#tick()
  }

  #tick() {
    const since = this.running ? (Date.now() - this.#since) / 1000 : 0
    this.second = this.data.second + since
  }

  /** reload reads a lesson that was planned anew. */
  async reload() {
    const id = this.data.lesson.id
    this.take(await answer(api.GET('/api/lessons/{id}/courtside', { params: { path: { id } } })))
    this.counters = this.data.counters
  }

  /** set moves the clock on this page at once and tells the server, one after the other, so that the latest stands. */
  set(second: number, running: boolean, finished = false) {
    const body = { second: Math.max(0, second), running, finished }
    const params = { path: { id: this.data.lesson.id } }
    return this.#tell(body.second, running, () =>
      answer(api.PUT('/api/lessons/{id}/clock', { params, body })),
    )
  }

  /** begin sets a lesson going; given how long it is and when it begins, it is fitted into that first. */
  begin(into?: { minutes: number; start: string }) {
    const block = this.data.lesson.document.blocks[0]?.id
    return into && block ? this.#travel({ kind: 'end', block, ...into }, 0) : this.set(this.second, true)
  }

  /** hold stops the clock of a lesson; what that takes is given by what is left when it goes on. */
  hold() {
    return this.set(this.second, false)
  }

  goOn() {
    return this.#travel({ kind: 'held', block: '' }, this.second)
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

  #under(travel: Omit<Travel, 'block' | 'gone'>, second: number) {
    const { scheduled } = this
    if (!scheduled) return Promise.resolve(false)
    const gone = Math.max(0, this.second - scheduled.start)
    return this.#travel({ ...travel, block: scheduled.block, gone }, second)
  }

  /** Does something with the road; on this page the clock is at a second of it at once. */
  async #travel(body: Travel, second: number) {
    const params = { path: { id: this.data.lesson.id } }
    return this.#tell(second, true, async () => {
      const before = this.#last.lesson.document
      const answered = await answer(api.POST('/api/lessons/{id}/travel', { params, body }))
      this.counters = answered.counters
      this.said = answered.sentences.length ? { sentences: answered.sentences, before } : undefined
      return answered
    })
  }

  /** The versions of the drill that is on, from the easiest on, which of them is played, and the next one; empty for none. */
  get versions() {
    const { scheduled } = this
    const names = scheduled?.game ? [] : (scheduled?.versions ?? [])
    const at = names.indexOf(scheduled?.version ?? 'as written')
    return { names, at, harder: names[at + 1] ?? '' }
  }

  /** version has the block that is on play another version of its drill, in the minutes that there are. */
  async version(text: string) {
    const { document, id, revision } = this.data.lesson
    const edit = { kind: 'version' as const, block: this.scheduled?.block ?? '', text, on: true }
    const changed = await answer(api.POST('/api/lessons/edit', { body: { document, edit } }))
    const params = { path: { id }, header: over(revision) }
    await answer(api.PUT('/api/lessons/{id}', { params, body: changed.document }))
    await this.reload()
  }

  /** unsaid has the lesson as it was before its road was changed last. */
  async unsaid() {
    const { said } = this
    if (!said) return
    try {
      const { id, revision } = this.data.lesson
      const params = { path: { id }, header: over(revision) }
      await answer(api.PUT('/api/lessons/{id}', { params, body: said.before }))
      this.said = undefined
      await this.reload()
    } catch (error) {
      notices.wrong(error)
    }
  }

  /** Shows the clock at a second, tells the server in turn, and shows what the latest answer says. */
  async #tell(second: number, running: boolean, ask: () => Promise<Courtside>) {
    const clock = { anchor: this.data.clock?.anchor ?? '', second, running }
    this.#show({ data: { ...this.data, second, clock }, at: Date.now() })
    const latest = ++this.#sets
    const sending = this.#setting.then(ask)
    this.#setting = sending.catch(() => undefined)
    try {
      const answered = await sending
      this.#last = answered
      if (latest === this.#sets) this.take(answered)
      this.reached = true
      return true
    } catch (error) {
      if (latest === this.#sets) this.#show(this.#answered)
      notices.wrong(error)
      return false
    }
  }

  async tap(block: string, whose: Whose, tap: Tap) {
    this.#acts = [...this.#acts, { block, whose }].slice(-200)
    await this.#put(block, whose, tap)
  }

  /** Whose count undo takes back: the last one that was taken in a block, whoever's turn it is now. */
  lastIn(block: string): Whose | undefined {
    return this.#acts.findLast((act) => act.block === block)?.whose
  }

  /** undo takes back the last count of a student in a block. */
  async undo(block: string, whose: Whose) {
    const at = this.#acts.findLastIndex(
      (act) =>
        act.block === block && act.whose.student === whose.student && act.whose.measure === whose.measure,
    )
    this.#acts = this.#acts.filter((_, i) => i !== at)
    await this.#put(block, whose, { kind: 'undo' })
  }

  async #put(block: string, whose: Whose, tap: Tap) {
    try {
      await this.#queue.put(this.data.lesson.id, block, whose, tap)
      this.waiting = (await this.#queue.waiting(this.data.lesson.id)).open
    } catch (error) {
      notices.wrong(error)
    }
    await this.deliver()
  }

  /** deliver sends what waits; a tap that comes meanwhile goes in the next round. */
  async deliver() {
    if (this.#delivering) {
      this.#again = true
      return
    }
    this.#delivering = true
    const id = this.data.lesson.id
    try {
      do {
        this.#again = false
        let counters: Counter[] | undefined
        try {
          counters = await this.#queue.deliver(id)
          this.reached = true
        } catch {
          this.reached = false
        }
        const left = await this.#queue.waiting(id)
        // Both at once, so that no tap is counted twice or not at all in between.
        if (counters) this.counters = counters
        this.waiting = left.open
        this.refused = left.refused.map((tap) => tap.refused ?? '')
        this.storageError = this.#queue.storageError
      } while (this.#again)
    } finally {
      this.#delivering = false
    }
  }
}
