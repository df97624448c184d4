import { diary } from '../lib/data'
import { ActQueue } from './acts'
import { EventQueue } from './events'
import { Games } from './games'
import { Kits } from './kits'
import { DeviceStore, TableRuns } from './store'

/** How many days a lesson or a game stays on this device after its own. */
const stays = 3

/**
 * takeAlong tells what was done and is not answered yet, packs the lessons of today and tomorrow, so that they can be run where there is no
 * network, and leaves old ones behind.
 */
export async function takeAlong() {
  const store = new DeviceStore()
  try {
    const [acts, events] = [new TableRuns(store), new EventQueue(store)]
    const [kits, games] = [new Kits(store), new Games(store)]
    for (const lesson of await acts.kept()) await new ActQueue(acts).deliver(lesson)
    for (const game of await games.untold()) {
      await events.deliver(game)
      await games.pack(game)
      await events.forget((await events.list(game)).filter((kept) => kept.answered))
    }
    const near = await diary(0, 1)
    for (const { id } of near.lessons) await kits.pack(id)
    const before = new Date(Date.parse(near.today) - stays * 86_400_000).toISOString().slice(0, 10)
    await kits.leave(before)
    await games.leave(before)
  } finally {
    store.close()
  }
}
