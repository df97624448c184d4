import type { Table } from 'dexie'

/** Kept is something that was done with a lesson or a game, and is written down. */
export interface Kept<A> {
  n?: number
  /** The lesson, or the game. */
  of: string
  act: A
  /** It was done, and is kept until the kit has it. */
  answered?: true
  /** Why it was refused; it is kept all the same. */
  refused?: string
}

/** What became of an act. */
export type Mark = Pick<Required<Kept<unknown>>, 'answered'> | Pick<Required<Kept<unknown>>, 'refused'>

/** Log is where acts are written down until they are answered. */
export interface Log<A> {
  /** Writes an act down, once: the same one again changes nothing. */
  add: (kept: Kept<A>) => Promise<Kept<A>>
  /** What is kept of a lesson or a game, in order. */
  list: (of: string) => Promise<Kept<A>[]>
  /** The lessons or games of which something is kept. */
  kept: () => Promise<string[]>
  mark: (list: Kept<A>[], as: Mark) => Promise<void>
  remove: (list: Kept<A>[]) => Promise<void>
}

/** A log in the database of this device: what is in it outlives the page. */
export class TableLog<A extends { id: string }> implements Log<A> {
  constructor(readonly table: Table<Kept<A>, number>) {}

  add(kept: Kept<A>) {
    return this.once(kept, () => Promise.resolve(kept), [])
  }

  /** Writes an act down as it is made from what stands in other tables, unless it stands here. */
  protected once(kept: Kept<A>, make: () => Promise<Kept<A>>, from: Table[]): Promise<Kept<A>> {
    return this.table.db.transaction('rw', [this.table, ...from], async () => {
      const there = await this.table
        .where({ of: kept.of })
        .and(({ act }) => act.id === kept.act.id)
        .first()
      if (there) return there
      const made = await make()
      return { ...made, n: await this.table.add(made) }
    })
  }

  list(of: string) {
    return this.table.where({ of }).sortBy('n')
  }

  async mark(list: Kept<A>[], as: Mark) {
    await this.table
      .where('n')
      .anyOf(list.flatMap((kept) => kept.n ?? []))
      .modify((kept) => void Object.assign(kept, as))
  }

  remove(list: Kept<A>[]) {
    return this.table.bulkDelete(list.flatMap((kept) => kept.n ?? []))
  }

  async kept() {
    return (await this.table.orderBy('of').uniqueKeys()).map(String)
  }
}

/** A log in memory, where the device keeps nothing: better than a lost count. */
export class MemoryLog<A extends { id: string }> implements Log<A> {
  #list: Kept<A>[] = []

  add(kept: Kept<A>) {
    if (!this.#list.some(({ act }) => act.id === kept.act.id)) this.#list.push(kept)
    return Promise.resolve(kept)
  }

  list(of: string) {
    return Promise.resolve(this.#list.filter((kept) => kept.of === of))
  }

  kept() {
    return Promise.resolve([...new Set(this.#list.map((kept) => kept.of))])
  }

  mark(list: Kept<A>[], as: Mark) {
    const ids = new Set(list.map(({ act }) => act.id))
    this.#list = this.#list.map((kept) => (ids.has(kept.act.id) ? { ...kept, ...as } : kept))
    return Promise.resolve()
  }

  remove(list: Kept<A>[]) {
    const ids = new Set(list.map(({ act }) => act.id))
    this.#list = this.#list.filter((kept) => !ids.has(kept.act.id))
    return Promise.resolve()
  }
}
