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
    const all = await this.device.games.toArray().catch(() => [])
    return all.filter(({ kit }) => kit.document.lesson === lesson)
  }

  /** The games that this device began, of which the program does not know. */
  async begun(): Promise<string[]> {
    const all = await this.device.games.toArray().catch(() => [])
    return all.flatMap(({ game, begun }) => (begun ? [game] : []))
  }

  /** Begins a game on this device, where the program does not answer. It fails where the device keeps nothing. */
  async begin(kit: GameKit) {
    await this.device.games.put({ game: kit.id, kit, begun: true })
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
    for (const { game, kit, begun } of await this.device.games.toArray().catch(() => []))
      if (!begun && kit.document.date < before && !(await this.device.events.where({ of: game }).count()))
        await this.device.games.delete(game)
  }
}
