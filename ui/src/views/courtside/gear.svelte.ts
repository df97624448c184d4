import {
  answer,
  api,
  type Counter,
  type Equipment,
  type SaidEvent,
  type ThrowingCommand,
} from '../../lib/api/client'
import { isIn, type Core } from '../../device/core'
import { notices } from '../../lib/notice.svelte'
import type { Tap } from '../../device/runs'

export type Kind = SaidEvent['by']

/** What the devices do for a lesson. */
interface Court {
  core: Core
  /** The counter of whoever's turn it is; undefined where nothing is counted here now. */
  counter: () => Counter | undefined
  count: (counter: Counter, tap: Tap) => void
  /** The next one's turn. */
  next: () => void
  /** Tells what happened, aloud too. */
  tell: (text: string) => void
}

const retryAfter = 3000
/** How often it is asked whether something was joined from another page, in milliseconds. */
const lookEvery = 10_000

/** Gear is the ball machine and the eye beside a lesson: what they say is taken in as long as the page is open. */
export class Gear {
  equipment = $state.raw<Equipment>()
  /** The eye counts on this page. */
  counts = $state(false)
  #seq = -1
  #open = true
  #wake: () => void = () => undefined
  /** How many landings of this turn were counted, and whose turn it is. */
  #turn = { whose: '', landings: 0 }

  constructor(readonly court: Court) {
    void this.#listen()
  }

  stop() {
    this.#open = false
    this.#wake()
  }

  get machine() {
    return this.equipment?.machine ?? undefined
  }

  get eye() {
    return this.equipment?.eye ?? undefined
  }

  join = (kind: Kind, address: string) =>
    this.#ask(() =>
      answer(api.PUT('/api/equipment/{kind}', { params: { path: { kind } }, body: { address } })),
    )

  simulate = (kind: Kind) =>
    this.#ask(() => answer(api.POST('/api/equipment/{kind}/simulated', { params: { path: { kind } } })))

  leave = (kind: Kind) =>
    this.#ask(() => answer(api.DELETE('/api/equipment/{kind}', { params: { path: { kind } } })))

  tell = (kind: Kind, command: ThrowingCommand, of?: { lesson: string; block: string }) =>
    this.#ask(() =>
      answer(
        api.POST('/api/equipment/{kind}/told', { params: { path: { kind } }, body: { command, ...of } }),
      ),
    )

  async #ask(ask: () => Promise<Equipment>) {
    try {
      const now = await ask()
      // What a device said meanwhile is newer than the answer.
      if (now.seq >= (this.equipment?.seq ?? 0)) this.equipment = now
      this.#wake()
    } catch (error) {
      notices.wrong(error)
    }
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
          if (!this.equipment.machine && !this.equipment.eye) await this.#rest(lookEvery)
          continue
        }
        const query = { after: this.#seq }
        const said = await answer(api.GET('/api/equipment/events', { params: { query } }))
        const lost = this.#lost(said.equipment)
        this.equipment = said.equipment
        this.#seq = said.equipment.seq
        for (const event of said.events) await this.#take(event)
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

  async #take({ by, event }: SaidEvent) {
    if (event.event === 'refused') this.court.tell(`The ${by} cannot: ${event.why ?? ''}.`)
    if (event.event === 'empty') this.court.tell('The hopper is empty.')
    if (event.event === 'jam') this.court.tell('A ball is jammed.')
    const counter = this.counts ? this.court.counter() : undefined
    if (!counter?.aim || counter.unit !== 'ball') return
    if (event.event === 'ball' && this.eye && !this.eye.lost)
      await this.tell('eye', { do: 'watch', aim: counter.aim.centre })
    if (event.event === 'landing' && event.at) {
      const landing = event.at
      const made = await isIn(this.court.core, counter.aim, landing).catch(() => undefined)
      if (made === undefined) return
      this.court.count(counter, { kind: made ? 'made' : 'missed', landing })
      this.#played(counter)
    }
  }

  /** After as many balls as a turn has it is the next one's turn. */
  #played({ student, turn }: Counter) {
    if (this.#turn.whose !== student) this.#turn = { whose: student, landings: 0 }
    if (++this.#turn.landings >= Math.max(1, turn)) {
      this.#turn = { whose: '', landings: 0 }
      this.court.next()
    }
  }
}
