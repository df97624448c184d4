import { answer, api, patience, type GameKit } from '../lib/api/client'
import type { DeviceStore, PackedGame } from './store'

/** Games are those that this device has with it, each as it was packed last, or as it was begun here. */
export class Games {
  constructor(readonly device: DeviceStore) {}

  /** What is kept of a game; undefined where there is nothing, or the device keeps nothing. */
  async of(game: string): Promise<PackedGame | undefined> {
    return this.device.games.get(game).catch(() => undefined)
  }

  /** The games of a lesson. */
  async ofLesson(lesson: string): Promise<PackedGame[]> {
    return this.device.games
      .where('kit.document.lesson')
      .equals(lesson)
      .toArray()
      .catch(() => [])
  }

  /** The games that this device began, of which the program does not know. */
  async begun(): Promise<string[]> {
    return this.device.games
      .where('begun')
      .equals(1)
      .primaryKeys()
      .catch(() => [])
  }

  /** Begins a game on this device, where the program does not answer. It fails where the device keeps nothing. */
  async begin(kit: GameKit) {
    await this.device.games.put({ game: kit.id, kit, begun: 1 })
  }

  /** Packs a game anew, where the program answers. */
  async pack(game: string): Promise<PackedGame> {
    const kit = await answer(
      api.GET('/api/played/{id}/kit', { params: { path: { id: game } }, signal: patience() }),
    )
    const packed = { game, kit }
    await this.device.games.put(packed).catch(() => undefined)
    return packed
  }

  /** Leaves games of before a day behind, unless something happened in them that is not answered. */
  async leave(before: string) {
    await this.#leave(await this.device.games.where('kit.document.date').below(before).toArray())
  }

  /** Leaves the games of a lesson behind. */
  async leaveLesson(lesson: string) {
    await this.#leave(await this.ofLesson(lesson))
  }

  async #leave(list: PackedGame[]) {
    for (const { game, begun } of list)
      if (!begun && !(await this.device.events.where({ of: game }).count()))
        await this.device.games.delete(game)
  }
}
