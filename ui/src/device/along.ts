import { diary } from '../lib/data'
import { ActQueue } from './acts'
import { Kits } from './kits'
import { DeviceStore } from './store'

/** How many days a lesson stays on this device after its own. */
const stays = 3

/** takeAlong tells what was done and is not answered yet, and packs the lessons of today and tomorrow, so that they can be run where there is no network, and leaves old ones behind. */
export async function takeAlong() {
  const store = new DeviceStore()
  try {
    const queue = new ActQueue(store)
    for (const lesson of await store.acts.orderBy('lesson').uniqueKeys()) await queue.deliver(String(lesson))
    const near = await diary(0, 1)
    const kits = new Kits(store)
    for (const { id } of near.lessons) await kits.pack(id)
    await kits.leave(new Date(Date.parse(near.today) - stays * 86_400_000).toISOString().slice(0, 10))
  } finally {
    store.close()
  }
}
