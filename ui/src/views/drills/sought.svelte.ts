import type { Sought } from '../../lib/api/client'

const key = 'hodometer.sought'

/** What is looked for among the drills; it stays while the page is open, also on the way to a drill and back. */
class Look {
  sought = $state.raw<Sought>(read())

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
    sessionStorage.setItem(key, JSON.stringify(this.sought))
  }
}

function read(): Sought {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? '{}') as Sought
  } catch {
    return {}
  }
}

export const remembered = () => new Look()
