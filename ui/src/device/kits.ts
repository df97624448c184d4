import { answer, api, patience } from '../lib/api/client'
import { Games } from './games'
import type { DeviceStore, Packed } from './store'

/** How far clocks may seem apart because a kit takes its way, in milliseconds. */
const wayOfKit = 5000
/** How long after its booking a lesson that was not finished may still be run, in milliseconds. */
const runsOn = 6 * 3_600_000

/** A lesson is over that was finished, or whose booking has long ended. */
function over({ kit: { finished, document }, ahead }: Packed) {
  const end = Date.parse(`${document.date}T${document.start}`) + document.minutes * 60_000
  return finished || Date.now() + ahead > end + runsOn
}

/**
 * Kits are the lessons that this device has with it, each as it was packed last. With what was done since, core makes
 * of a kit what a coach sees.
 */
export class Kits {
  constructor(readonly device: DeviceStore) {}

  /** What is kept of a lesson; undefined where there is nothing, or the device keeps nothing. */
  async of(lesson: string): Promise<Packed | undefined> {
    return this.device.kits.get(lesson).catch(() => undefined)
  }

  all(): Promise<Packed[]> {
    return this.device.kits.toArray().catch(() => [])
  }

  /**
   * Leaves lessons behind that are over, unless something was done with them that is not answered: they name people.
   */
  async leave() {
    for (const packed of await this.all()) if (over(packed)) await this.#leave(packed.lesson)
  }

  /** Leaves one lesson behind that was finished. */
  async finished(lesson: string) {
    await this.#leave(lesson).catch(() => undefined)
  }

  async #leave(lesson: string) {
    const { acts, kits } = this.device
    const done = await acts.where({ of: lesson }).toArray()
    if (done.some((kept) => !kept.answered)) return
    await acts.bulkDelete(done.flatMap(({ n }) => n ?? []))
    await kits.delete(lesson)
    await new Games(this.device).leaveLesson(lesson)
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
