import type { Whose } from '../../device/runs'
import { inTab } from '../../lib/page/kept'

/** Strokes are those of the rallies of a block that are on. They outlive a reload. */
export class Strokes {
  #changes = $state(0)

  constructor(readonly block: string) {}

  of(whose: Whose): number {
    void this.#changes
    return Number(inTab.get(this.#key(whose)) ?? 0)
  }

  set(whose: Whose, strokes: number) {
    if (strokes) inTab.set(this.#key(whose), `${strokes}`)
    else inTab.remove(this.#key(whose))
    this.#changes++
  }

  #key({ student, measure = 1 }: Whose) {
    return `hodometer.rally.${this.block}.${measure}.${student}`
  }
}
