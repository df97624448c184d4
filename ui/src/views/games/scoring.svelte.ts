import { v7 } from 'uuid'
import { answer, api, patience, plainly, Refusal, type GameEvent, type Played } from '../../lib/api/client'
import { instant } from '../../lib/words'

/** What a tap says; when it was and in which rally is added. */
export type Tap = Omit<GameEvent, 'id' | 'at' | 'rally'>

const retryAfter = 3000

/**
 * Scoring sends what is tapped in a game, in order. A tap is written down on this device first and stays there until the server has
 * answered it; one that the rules refuse is told and dropped.
 */
export class Scoring {
  waiting = $state.raw<GameEvent[]>([])
  /** Why the last tap does not count, or why nothing is sent. */
  told = $state('')
  #timer: ReturnType<typeof setTimeout> | undefined
  #sending = false
  readonly #key: string

  constructor(
    readonly id: string,
    readonly onanswer: (played: Played) => void,
  ) {
    this.#key = `hodometer.game.${id}`
    try {
      this.waiting = JSON.parse(localStorage.getItem(this.#key) ?? '[]') as GameEvent[]
    } catch {
      this.waiting = []
    }
    void this.#send()
  }

  tap(tap: Tap, rally: number) {
    this.#keep([...this.waiting, { ...tap, id: v7(), at: instant(), rally }])
    void this.#send()
  }

  /** leave stops trying; what waits stays on this device. */
  leave() {
    clearTimeout(this.#timer)
  }

  #keep(waiting: GameEvent[]) {
    this.waiting = waiting
    try {
      if (waiting.length) localStorage.setItem(this.#key, JSON.stringify(waiting))
      else localStorage.removeItem(this.#key)
    } catch {
      this.told = 'This device cannot keep a copy meanwhile.'
    }
  }

  async #send() {
    if (this.#sending) return
    this.#sending = true
    clearTimeout(this.#timer)
    while (this.waiting[0]) {
      const event = this.waiting[0]
      try {
        const path = { id: this.id }
        const played = await answer(
          api.POST('/api/played/{id}/events', {
            params: { path },
            body: { events: [event] },
            signal: patience(),
          }),
        )
        this.told = ''
        this.onanswer(played)
      } catch (error) {
        this.told = plainly(error)
        if (!(error instanceof Refusal) || error.status >= 500) {
          this.#timer = setTimeout(() => void this.#send(), retryAfter)
          break
        }
      }
      this.#keep(this.waiting.slice(1))
    }
    this.#sending = false
  }
}
