import { measureOf } from '../../device/measure'
import type { Tap, Whose } from '../../device/runs'
import { inTab } from '../../lib/page/kept'

/** How many counts are remembered for undo. */
const most = 200

interface Remembered extends Whose {
  block: string
  strokes?: number
}

/** Taken is what was counted of a lesson in this tab, the latest last, for undo. It outlives a reload. */
export class Taken {
  readonly #key: string
  #list = $state.raw<Remembered[]>([])

  constructor(lesson: string) {
    this.#key = `hodometer.taken.${lesson}`
    this.#list = inTab.read(this.#key, [])
  }

  add(block: string, { student, measure }: Whose, { strokes }: Tap) {
    this.#keep([...this.#list, { block, student, measure, strokes }].slice(-most))
  }

  /** Whose count was the last one in a block. */
  lastIn(block: string): Whose | undefined {
    return this.#list.findLast((each) => each.block === block)
  }

  /**
   * takeBack forgets the last count of a student at a measure of a block, and returns how many strokes the rally had
   * that it was; 0 for none.
   */
  takeBack(block: string, { student, measure = 1 }: Whose): number {
    const at = this.#list.findLastIndex(
      (each) => each.block === block && each.student === student && measureOf(each) === measure,
    )
    const strokes = this.#list[at]?.strokes ?? 0
    this.#keep(this.#list.filter((_, i) => i !== at))
    return strokes
  }

  #keep(list: Remembered[]) {
    this.#list = list
    inTab.write(this.#key, list)
  }
}
