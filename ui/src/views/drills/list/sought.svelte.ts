import type { Sought } from '../../../lib/api/client'
import { inTab } from '../../../lib/page/kept'

const key = 'hodometer.sought'

/** What is looked for among the drills; it stays while the page is open, also on the way to a drill and back. */
class Look {
  sought = $state.raw<Sought>(inTab.read<Sought>(key, {}))

  change(part: Sought) {
    this.#keep({ ...this.sought, ...part })
  }

  forget() {
    this.#keep({})
  }

  #keep(sought: Sought) {
    this.sought = Object.fromEntries(
      Object.entries(sought).filter(([, value]) => value !== undefined && value !== ''),
    ) as Sought
    inTab.write(key, this.sought)
  }
}

export const remembered = () => new Look()
