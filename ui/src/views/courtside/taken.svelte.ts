import type { Tap, Whose } from '../../device/runs'
import { inTab } from '../../lib/kept'

/** How many counts are remembered for undo. */
const most = 50

/** Taken is what was counted of a block in this tab, the latest last, and the strokes of rallies that are on. Both outlive a reload. */
export class Taken {
  readonly #key: string
  readonly #list: (Whose & { strokes?: number })[]
  /** Grows with every change of the strokes of a rally that is on. */
  #changes = $state(0)

  constructor(readonly block: string) {
    this.#key = `hodometer.taken.${block}`
    this.#list = inTab.read(this.#key, [])
  }

  add(whose: Whose, { strokes }: Tap) {
    this.#list.push({ ...whose, strokes })
    inTab.write(this.#key, this.#list.slice(-most))
  }

  /** takeBack forgets the last count of a student at a measure, and returns how many strokes the rally had that it was; 0 for none. */
  takeBack({ student, measure = 1 }: Whose): number {
    const at = this.#list.findLastIndex((each) => each.student === student && (each.measure ?? 1) === measure)
    const [was] = at < 0 ? [] : this.#list.splice(at, 1)
    inTab.write(this.#key, this.#list)
    return was?.strokes ?? 0
  }

  /** The strokes of the rally that is on. */
  strokes(whose: Whose): number {
    void this.#changes
    return Number(inTab.get(this.#pad(whose)) ?? 0)
  }

  setStrokes(whose: Whose, strokes: number) {
    if (strokes) inTab.set(this.#pad(whose), `${strokes}`)
    else inTab.remove(this.#pad(whose))
    this.#changes++
  }

  #pad({ student, measure = 1 }: Whose) {
    return `hodometer.rally.${this.block}.${measure}.${student}`
  }
}
