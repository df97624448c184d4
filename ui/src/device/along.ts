import { diary } from '../lib/page/data'
import { Games } from './games'
import { Kits } from './kits'
import type { DeviceStore } from './store'

/**
 * takeAlong leaves behind what is over, and packs the lessons of today and tomorrow, so that they can be run where
 * there is no network.
 */
export async function takeAlong(store: DeviceStore) {
  const [kits, games] = [new Kits(store), new Games(store)]
  await kits.leave()
  const near = await diary(0, 1)
  for (const { id, state } of near.lessons) await (state === 'finished' ? kits.finished(id) : kits.pack(id))
  await games.leave(near.today)
}
