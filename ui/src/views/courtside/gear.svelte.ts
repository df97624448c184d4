import { v4 } from 'uuid'
import {
  answer,
  api,
  type Block,
  type Counter,
  type Equipment,
  type MachineCommand,
  type SaidEvent,
} from '../../lib/api/client'
import { notices } from '../../lib/parts/notice.svelte'
import type { Tap, Whose } from '../../device/runs'

export type Kind = SaidEvent['by']

/** What is on in the lesson, and what a machine would throw in it. */
export interface OnNow {
  block: Block
  title: string
  /** Another text as soon as others are on court, or something else is played. */
  played: string
  running: boolean
  /** Balls planned in it; 0: not known. */
  planned: number
  /** Of whom balls are counted, whoever's turn it is first. */
  counters: Counter[]
}

/** What the devices do for a lesson. */
interface Court {
  lesson: string
  /** Undefined where no block is on. */
  on: () => OnNow | undefined
  /** Whether this device counts at a measure. */
  mine: (to: NonNullable<SaidEvent['to']>) => boolean
  count: (block: string, whose: Whose, tap: Tap) => void
  /** Shows whose turn it is. */
  turn: (student: string) => void
  /** Tells what happened, aloud too. */
  tell: (text: string) => void
}

const retryAfter = 3000
/** How often it is asked whether something was joined from another page, in milliseconds. */
const lookEvery = 10_000
/** How often the program is told that this page watches the machine, in milliseconds; it stands after 3 s without. */
const watchEvery = 1000

/** Gear is the ball machine and the eye beside a lesson: what they say is taken in as long as the page is open. */
export class Gear {
  equipment = $state.raw<Equipment>()
  /** The eye counts on this page. */
  counts = $state(false)
  /** This page, for the program. */
  readonly #me = v4()
  #seq = -1
  #open = true
  #wake: () => void = () => undefined
  /** Whose turn the machine has it, and whose the coach made it since. */
  #whose = ''
  #next = ''
  readonly #watching: ReturnType<typeof setInterval>

  constructor(readonly court: Court) {
    void this.#listen()
    this.#watching = setInterval(() => void this.watch(), watchEvery)
  }

  stop() {
    this.#open = false
    clearInterval(this.#watching)
    this.#wake()
  }

  /** What is joined for this lesson, or for none. */
  #joined(kind: Kind) {
    const joined = this.equipment?.[kind] ?? undefined
    return joined && (!joined.lesson || joined.lesson === this.court.lesson) ? joined : undefined
  }

  get machine() {
    return this.#joined('machine')
  }

  get eye() {
    return this.#joined('eye')
  }

  /** This page watches the machine, which throws. */
  get watches() {
    return this.machine?.watcher === this.#me
  }

  join = (kind: Kind, address: string) => {
    const body = { address, lesson: this.court.lesson }
    return this.#ask(() => answer(api.PUT('/api/equipment/{kind}', { params: { path: { kind } }, body })))
  }

  simulate = (kind: Kind) => {
    const body = { lesson: this.court.lesson }
    return this.#ask(() =>
      answer(api.POST('/api/equipment/{kind}/simulated', { params: { path: { kind } }, body })),
    )
  }

  leave = (kind: Kind) =>
    this.#ask(() => answer(api.DELETE('/api/equipment/{kind}', { params: { path: { kind } } })))

  tell = (command: MachineCommand) =>
    this.#ask(() => answer(api.POST('/api/equipment/machine/told', { body: { command } })))

  /** start has the machine throw what is on, or one ball of it. */
  start = (one = false) => {
    const on = this.court.on()
    if (!on) return Promise.resolve()
    const players = on.counters.map(({ student, party, measure, aim, unit }) => ({
      student,
      party,
      measure,
      aim: unit === 'ball' ? (aim ?? null) : null,
    }))
    this.#whose = players[0]?.student ?? ''
    this.#next = ''
    const { block, title: drill, planned } = on
    const body = { watcher: this.#me, on: this.#on, block, drill, players, planned, one }
    return this.#ask(() => answer(api.POST('/api/equipment/machine/started', { body })))
  }

  /** What the program is told of what is on. */
  get #on() {
    const on = this.court.on()
    return {
      lesson: this.court.lesson,
      block: on?.block.id ?? '',
      played: on?.played ?? '',
      running: on?.running ?? false,
    }
  }

  /** watch says that this page, in sight, watches the machine that it started, and what is on. */
  async watch() {
    if (!this.watches || document.visibilityState === 'hidden') return
    const next = this.#next
    this.#next = ''
    try {
      const body = { watcher: this.#me, on: this.#on, next }
      this.#take(await answer(api.POST('/api/equipment/machine/watched', { body })))
    } catch {
      // It stands where the program hears nothing for 3 s.
      this.#next ||= next
    }
  }

  /** turnIs takes in whose turn is shown: where the coach made it somebody else's, theirs are the next balls. */
  turnIs(student: string) {
    if (student === this.#whose) return
    this.#whose = student
    if (!this.watches) return
    this.#next = student
    void this.watch()
  }

  async #ask(ask: () => Promise<Equipment>) {
    try {
      this.#take(await ask())
      this.#wake()
    } catch (error) {
      notices.wrong(error)
    }
  }

  /** What a device said meanwhile is newer than the answer. */
  #take(now: Equipment) {
    if (now.seq >= (this.equipment?.seq ?? 0)) this.equipment = now
  }

  /** Waits a while, or until something is joined here. */
  #rest(milliseconds: number) {
    return new Promise<void>((done) => {
      this.#wake = done
      setTimeout(done, milliseconds)
    })
  }

  /** Takes in what the devices say, as long as the page is open; without an answer it asks again a little later. */
  async #listen() {
    while (this.#open) {
      try {
        if (!this.machine && !this.eye) {
          this.equipment = await answer(api.GET('/api/equipment'))
          this.#seq = this.equipment.seq
          if (!this.machine && !this.eye) await this.#rest(lookEvery)
          continue
        }
        const query = { after: this.#seq }
        const said = await answer(api.GET('/api/equipment/events', { params: { query } }))
        const lost = this.#lost(said.equipment)
        this.#take(said.equipment)
        this.#seq = said.equipment.seq
        said.events.forEach((event) => this.#heard(event))
        lost.forEach((text) => this.court.tell(text))
      } catch {
        await this.#rest(retryAfter)
      }
    }
  }

  /** What was lost since. */
  #lost(now: Equipment) {
    const kinds = { machine: 'ball machine', eye: 'eye' } as const
    return (['machine', 'eye'] as const).flatMap((kind) =>
      now[kind]?.lost && !this.equipment?.[kind]?.lost
        ? [`The ${kinds[kind]} is lost: ${now[kind].lost}.`]
        : [],
    )
  }

  #heard({ by, event, to, in: made }: SaidEvent) {
    if (event.event === 'refused') this.court.tell(`The ${by} cannot: ${event.why ?? ''}.`)
    if (event.event === 'empty') this.court.tell('The hopper is empty.')
    if (event.event === 'jam') this.court.tell('A ball is jammed.')
    if (to?.watcher !== this.#me || !to.student) return
    if (event.event === 'ball') {
      if (this.#next) return // the coach has just made it somebody else's turn
      this.#whose = to.student
      this.court.turn(to.student)
    }
    if (event.event === 'landing' && event.at && this.counts && to.measure && this.court.mine(to)) {
      const whose = { student: to.party, measure: to.measure }
      this.court.count(to.block, whose, { kind: made ? 'made' : 'missed', landing: event.at })
    }
  }
}
