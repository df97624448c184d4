import { inTab } from '../lib/page/kept'
import type { Kept } from './log'

/**
 * OnItsWay is what a page is writing down. The database of a device takes a moment, in which a page may be read again;
 * the tab keeps an act from when it is done until it is written down, and the next page goes on with it.
 */
export class OnItsWay<A extends { id: string }> {
  readonly #key: string
  #list: Kept<A>[]
  /** What the page before left. */
  readonly #left: Kept<A>[]

  constructor(what: string) {
    this.#key = `hodometer.way.${what}`
    this.#list = inTab.read(this.#key, [])
    this.#left = [...this.#list]
  }

  put(kept: Kept<A>) {
    this.#keep([...this.#list, kept])
  }

  /** An act is written down. */
  arrived(id: string) {
    this.#keep(this.#list.filter(({ act }) => act.id !== id))
  }

  /** left is what the page before did not write down, in order, for the first that asks. */
  left(): Kept<A>[] {
    return this.#left.splice(0)
  }

  #keep(list: Kept<A>[]) {
    this.#list = list
    inTab.write(this.#key, list)
  }
}
