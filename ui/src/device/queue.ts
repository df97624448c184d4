import { describe, judges, type Refusal } from '../lib/api/client'
import type { Kept, Log, Mark } from './log'
import type { OnItsWay } from './onitsway'

/** What came of acts that were sent: the answer, and why some of them were refused, by their identifiers. */
export interface Sent<R> {
  answered: R
  refused: Map<string, string>
}

/** Which acts of a batch a refusal is about; undefined where it is about all of them. */
function actsIn(refusal: Refusal): Map<number, string> | undefined {
  const wrong = new Map<number, string>()
  for (const field of refusal.problem.fields) {
    const found = /^(?:acts|events)\.(\d+)\./.exec(`${field.path}.`)
    if (!found) return undefined
    wrong.set(Number(found[1]), field.message)
  }
  return wrong.size ? wrong : undefined
}

const batch = 500

/**
 * Queue is what was done with lessons, or with games, and is not answered yet. Each act is written down before it goes,
 * on the device or, where that fails, in the page. What was answered is kept until what the device has with it has it
 * too. Nothing that goes wrong here stops what comes after.
 */
export class Queue<A extends { id: string }, R, L extends Log<A> = Log<A>> {
  /** Why the device keeps nothing; empty where it does. */
  storageError = ''

  /** What became of acts, as this page knows it: the device may not be able to take that down. */
  #marks = new Map<string, Mark>()
  /**
   * What the device had of a lesson or a game when it was last read, and what this page has written down on it since.
   */
  #known = new Map<string, Kept<A>[]>()
  #recovering: Promise<void> | undefined

  constructor(
    readonly device: L,
    readonly memory: L,
    readonly way: OnItsWay<A>,
    readonly send: (of: string, acts: A[]) => Promise<Sent<R>>,
  ) {}

  /** Writes an act down. A page that is left before that is done has it done by the next one. */
  async add(of: string, act: A) {
    this.way.put({ of, act })
    await this.recovered()
    await this.#write({ of, act })
  }

  async #write(made: Kept<A>) {
    try {
      const kept = await this.device.add(made)
      this.#known.set(kept.of, [...(this.#known.get(kept.of) ?? []), kept])
    } catch (error) {
      this.storageError = describe(error)
      await this.memory.add(made)
    }
    this.way.arrived(made.act.id)
  }

  /** Ends once what the page before was writing down is written down. */
  protected recovered(): Promise<void> {
    return (this.#recovering ??= this.#recover())
  }

  async #recover() {
    for (const left of this.way.left()) await this.#write(left)
  }

  /**
   * Everything that is written down of a lesson or a game, in the order in which it was done: what the device has, and
   * what only the page has.
   */
  async list(of: string): Promise<Kept<A>[]> {
    await this.recovered()
    const there = await this.#onDevice(of)
    const here = await this.memory.list(of)
    const all: Kept<A>[] = []
    for (const kept of there) {
      while (here[0] && here[0].act.id < kept.act.id) all.push(...here.splice(0, 1))
      all.push(kept)
    }
    return [...all, ...here].map((kept) => ({ ...kept, ...this.#marks.get(kept.act.id) }))
  }

  /** The lessons or games of which something is written down. */
  async kept(): Promise<string[]> {
    await this.recovered()
    const all = await Promise.all([this.device, this.memory].map((log) => log.kept().catch(() => [])))
    return [...new Set(all.flat())]
  }

  /** What is written down of a lesson or a game, and neither answered nor refused. */
  async open(of: string) {
    return (await this.list(of)).filter((kept) => !kept.refused && !kept.answered)
  }

  /**
   * What the device has; where it cannot be read now, what it is known to have, so that nothing is sent before what was
   * done earlier.
   */
  async #onDevice(of: string) {
    const before = this.#known.get(of) ?? []
    try {
      const read = await this.device.list(of)
      const meanwhile = (this.#known.get(of) ?? []).filter((kept) => !before.includes(kept))
      const ids = new Set(read.map(({ act }) => act.id))
      this.#known.set(of, [...read, ...meanwhile.filter(({ act }) => !ids.has(act.id))])
    } catch (error) {
      this.storageError = describe(error)
    }
    return this.#known.get(of) ?? []
  }

  /**
   * deliver sends what is not answered, in order, and returns the newest answer, if any came. An act that is refused is
   * marked and kept, and the others go without it; without an answer everything stays, and this fails.
   */
  async deliver(of: string): Promise<R | undefined> {
    let newest: R | undefined
    let open = await this.open(of)
    while (open.length) {
      const sent = open.slice(0, batch)
      const { answered, refused } = await this.#send(of, sent)
      newest = answered ?? newest
      for (const kept of sent) {
        const why = refused.get(kept.act.id)
        if (why) await this.#mark([kept], { refused: why })
      }
      const good = sent.filter((kept) => !refused.has(kept.act.id))
      if (answered) await this.#mark(good, { answered: true })
      open = answered ? open.slice(batch) : open.filter((kept) => !refused.has(kept.act.id))
    }
    return newest
  }

  /** Sends acts. It fails where no answer came. */
  async #send(of: string, list: Kept<A>[]): Promise<Partial<Sent<R>> & Pick<Sent<R>, 'refused'>> {
    const acts = list.map((kept) => kept.act)
    try {
      return await this.send(of, acts)
    } catch (error) {
      if (!judges(error)) throw error
      const single = actsIn(error)
      const all = error.problem.fields[0]?.message ?? error.message
      const why = acts.flatMap((act, i) => {
        const said = single ? single.get(i) : all
        return said ? [[act.id, said] as const] : []
      })
      // A refusal that names none of them is of all of them: sent again and again, they would be refused for ever.
      return { refused: new Map(why.length ? why : acts.map(({ id }) => [id, all] as const)) }
    }
  }

  /** What was answered stands, also where this device cannot mark it; sent again by another page, it is done once. */
  async #mark(list: Kept<A>[], as: Mark) {
    list.forEach(({ act }) => this.#marks.set(act.id, as))
    await this.#quietly((log) => log.mark(list, as))
  }

  /** Forgets acts that are in what the device has with it. */
  async forget(list: Kept<A>[]) {
    const ids = new Set(list.map(({ act }) => act.id))
    for (const [of, known] of this.#known)
      this.#known.set(
        of,
        known.filter(({ act }) => !ids.has(act.id)),
      )
    await this.#quietly((log) => log.remove(list))
  }

  async #quietly(work: (log: L) => Promise<void>) {
    for (const log of [this.device, this.memory]) {
      try {
        await work(log)
      } catch (error) {
        this.storageError = describe(error)
      }
    }
  }
}
