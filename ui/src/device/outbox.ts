import { ActQueue } from './acts'
import { EventQueue } from './events'
import { Games } from './games'
import { TableRuns, type DeviceStore } from './store'

/** Outbox is all that was done on this device, with lessons and in games, and is not answered yet. */
export class Outbox {
  readonly #acts: ActQueue
  readonly #events: EventQueue
  readonly #games: Games

  constructor(store: DeviceStore) {
    this.#acts = new ActQueue(new TableRuns(store))
    this.#events = new EventQueue(store)
    this.#games = new Games(store)
  }

  /** How many things wait for an answer, but those of one lesson or game. */
  async size(but: string): Promise<number> {
    let open = (await this.#games.begun()).filter((game) => game !== but).length
    for (const queue of [this.#acts, this.#events])
      for (const of of await queue.kept()) if (of !== but) open += (await queue.open(of)).length
    return open
  }

  /**
   * Sends all of it but that of one lesson or game, each in its order. It fails where no answer comes; what is left
   * stays.
   */
  async deliver(but: string) {
    for (const lesson of await this.#acts.kept()) if (lesson !== but) await this.#acts.deliver(lesson)
    for (const game of new Set([...(await this.#games.begun()), ...(await this.#events.kept())])) {
      if (game === but) continue
      await this.#events.deliver(game)
      await this.#games.pack(game)
      await this.#events.forget((await this.#events.list(game)).filter((kept) => kept.answered))
    }
  }
}
