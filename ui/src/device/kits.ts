import { answer, api, patience } from '../lib/api/client'
import type { DeviceStore, Packed } from './store'

/** How far clocks may seem apart because a kit takes its way, in milliseconds. */
const wayOfKit = 5000

/**
 * Kits are the lessons that this device has with it, each as it was packed last. With what was done since, core makes of a kit what a coach sees.
 */
export class Kits {
  constructor(readonly device: Pick<DeviceStore, 'kits' | 'acts'>) {}

  /** What is kept of a lesson; undefined where there is nothing, or the device keeps nothing. */
  async of(lesson: string): Promise<Packed | undefined> {
    return this.device.kits.get(lesson).catch(() => undefined)
  }

  all(): Promise<Packed[]> {
    return this.device.kits.toArray().catch(() => [])
  }

  /** Leaves lessons of before a day behind, unless something was done with them that is not answered. */
  async leave(before: string) {
    for (const { lesson, kit } of await this.all())
      if (kit.document.date < before && !(await this.device.acts.where({ of: lesson }).count()))
        await this.device.kits.delete(lesson)
  }

  /** Packs a lesson anew, where the program answers. */
  async pack(lesson: string): Promise<Packed> {
    const kit = await answer(
      api.GET('/api/lessons/{id}/kit', { params: { path: { id: lesson } }, signal: patience() }),
    )
    const ahead = Date.parse(kit.at) - Date.now()
    const packed = { lesson, kit, ahead: Math.abs(ahead) < wayOfKit ? 0 : ahead }
    await this.device.kits.put(packed).catch(() => undefined)
    return packed
  }
}
