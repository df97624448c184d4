import type { GameDocument, GameVersionAsked, Match } from '../lib/api/client'
import { versionOf, type Core } from './core'
import type { Games } from './games'
import type { Kits } from './kits'

/**
 * Here is how a game of a lesson is begun from what this device has with it; each part is undefined where it has
 * nothing.
 */
export interface Here {
  game: (id: string) => Promise<GameDocument | undefined>
  version: (asked: GameVersionAsked) => Promise<GameDocument>
  begin: (id: string, match: Match) => Promise<true | undefined>
}

/** beginningIn begins games of a lesson without the program. */
export const beginningIn = (lesson: string, device: { kits: Kits; games: Games; core: Core }): Here => ({
  game: async (id) => (await device.kits.of(lesson))?.kit.games[id],
  version: (asked) => versionOf(device.core, asked),
  begin: async (id, document) => {
    const kit = (await device.kits.of(lesson))?.kit
    if (!kit) return undefined
    const { people, settings } = kit
    const names = Object.fromEntries(people.map((person) => [person.id, person.profile.name]))
    await device.games.begin({ id, revision: 0, archived: false, document, names, settings })
    return true
  },
})
