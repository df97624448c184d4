import {
  answer,
  api,
  type Counter,
  type Courtside,
  type Cue,
  type Entry,
  type Stretch,
} from '../../lib/api/client'
import { notices } from '../../lib/notice.svelte'
import { TapQueue } from './queue'

const retryAfter = 3000
const tick = 250

/** Run is a lesson on its way: the clock that goes on between answers, the cues, the counts. */
export class Run {
  data = $state.raw<Courtside>() as Courtside
  counters = $state.raw<Counter[]>([])
  second = $state(0)
  waiting = $state(0)
  refused = $state<string[]>([])
  reached = $state(true)
  #answeredAt = performance.now()
  #queue = new TapQueue()
  #delivering = false
  #again = false
  #timers: ReturnType<typeof setInterval>[] = []

  constructor(data: Courtside) {
    this.take(data)
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

  get stretch(): Stretch | undefined {
    const { stretches } = this.data.lesson.plan
    return stretches.find((s) => this.second < s.end) ?? stretches.at(-1)
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
      (cue) => cue.second <= this.second && cue.roles.length > 0 && cue.block === this.stretch?.block,
    )
  }

  take(data: Courtside) {
    this.data = data
    this.#answeredAt = performance.now()
    this.#tick()
  }

  #tick() {
    const since = this.running ? (performance.now() - this.#answeredAt) / 1000 : 0
    this.second = this.data.second + since
  }

  /** reload reads a lesson that was planned anew. */
  async reload() {
    const id = this.data.lesson.id
    this.take(await answer(api.GET('/api/lessons/{id}/courtside', { params: { path: { id } } })))
    this.counters = this.data.counters
  }

  async set(second: number, running: boolean, finished = false) {
    try {
      const id = this.data.lesson.id
      this.take(
        await answer(
          api.PUT('/api/lessons/{id}/clock', {
            params: { path: { id } },
            body: { second: Math.max(0, second), running, finished },
          }),
        ),
      )
      this.reached = true
      return true
    } catch (error) {
      notices.wrong(error)
      return false
    }
  }

  async tap(block: string, student: string, tap: Omit<Entry, 'seq' | 'at'>) {
    await this.#queue.put(this.data.lesson.id, block, student, tap)
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
    do {
      this.#again = false
      try {
        const counters = await this.#queue.deliver(id)
        if (counters) this.counters = counters
        this.reached = true
      } catch {
        this.reached = false
      }
      const left = await this.#queue.waiting(id)
      this.waiting = left.open.length
      this.refused = left.refused.map((tap) => tap.refused ?? '')
    } while (this.#again)
    this.#delivering = false
  }
}
