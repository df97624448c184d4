import { v7 } from 'uuid'
import { scored, type Core } from '../../device/core'
import { Delivery } from '../../device/delivery.svelte'
import type { EventQueue } from '../../device/events'
import type { Games } from '../../device/games'
import type { PackedGame } from '../../device/store'
import { answer, api, type GameEvent, type Played, type Scored } from '../../lib/api/client'
import { onDevice } from '../../lib/page/kept'
import { instant } from '../../lib/words/words'

/** What a tap says; when it was and in which rally is added. */
export type Tap = Omit<GameEvent, 'id' | 'at' | 'rally'>

/** What scores a game on this device. */
export interface Device {
  queue: EventQueue
  games: Games
  core: Core
}

/**
 * Scoring is a game that is counted: what is tapped in it is written down on this device first; one that the rules
 * refuse is told and dropped.
 */
export class Scoring {
  played = $state.raw<Played>() as Played
  /** Why the last tap does not count. */
  told = $state('')
  readonly delivery: Delivery<GameEvent, Scored>
  /** A tap is not in what is shown yet. */
  readonly busy = $derived.by(() => this.delivery.unseen.length > 0)
  #packed: PackedGame | undefined

  constructor(
    played: Played,
    readonly device: Device,
  ) {
    this.played = played
    const { id } = played
    this.delivery = new Delivery({
      of: id,
      queue: device.queue,
      ask: async () => ({
        ...(await answer(api.GET('/api/played/{id}', { params: { path: { id } } }))),
        leftOut: [],
      }),
      computeHere: (kept) => this.#computeHere(kept),
      show: (scored) => this.#take(scored),
      pack: async () => void (this.#packed = await device.games.pack(id)),
      reportRefused: ({ refused = '' }) => {
        this.told = refused
        return true
      },
    })
    void this.#begin()
  }

  async #begin() {
    this.device.core.warm()
    await this.#takeOver()
    this.#packed = await this.device.games.of(this.played.id)
    await this.delivery.begin()
  }

  /** Takes over what an earlier program kept of this game. */
  async #takeOver() {
    const key = `hodometer.game.${this.played.id}`
    for (const event of onDevice.read<GameEvent[]>(key, []))
      await this.device.queue.add(this.played.id, event)
    onDevice.remove(key)
  }

  /** leave stops trying; what waits stays on this device. */
  leave() {
    this.delivery.stop()
    this.device.core.stop()
  }

  async tap(tap: Tap) {
    this.told = ''
    const event = { ...tap, id: v7(), at: instant(), rally: this.played.state?.rally ?? 1 }
    await this.delivery.write(() => this.device.queue.add(this.played.id, event))
  }

  /** What core on this device makes of what happened; what it leaves out is told. */
  async #computeHere(kept: Parameters<typeof scored>[2]) {
    return this.#packed && scored(this.device.core, this.#packed, kept)
  }

  #take(scored: Scored) {
    this.played = scored
    // What another device counted is in what this one goes on from, also before it is packed anew.
    const { document, revision } = scored
    if (this.#packed) this.#packed = { ...this.#packed, kit: { ...this.#packed.kit, document, revision } }
    const newest = this.delivery.open.at(-1)?.act.id
    this.told ||= scored.leftOut.find(({ id }) => id === newest)?.reason ?? ''
  }
}
