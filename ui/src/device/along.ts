import { diary } from '../lib/data'
import { Games } from './games'
import { Kits } from './kits'
import type { DeviceStore } from './store'

/** How many days a lesson or a game stays on this device after its own. */
const stays = 3

/** takeAlong packs the lessons of today and tomorrow, so that they can be run where there is no network, and leaves old ones behind. */
export async function takeAlong(store: DeviceStore) {
  const [kits, games] = [new Kits(store), new Games(store)]
  const near = await diary(0, 1)
  for (const { id } of near.lessons) await kits.pack(id)
  const before = new Date(Date.parse(near.today) - stays * 86_400_000).toISOString().slice(0, 10)
  await kits.leave(before)
  await games.leave(before)
}
