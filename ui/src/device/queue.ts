import { describe, judges, type Refusal } from '../lib/api/client'
import type { Kept, Log, Mark } from './log'

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
 * Queue is what was done with lessons, or with games, and is not answered yet. Each act is written down before it goes, on the device or,
 * where that fails, in the page. What was answered is kept until what the device has with it has it too. Nothing that goes wrong here stops
 * what comes after.
 */
export class Queue<A extends { id: string }, R, L extends Log<A> = Log<A>> {
  /** Why the device keeps nothing; empty where it does. */
  storageError = ''

  /** What became of acts of which the device could not take that down. */
  #unmarked = new Map<string, Mark>()

  constructor(
    readonly device: L,
    readonly memory: L,
    readonly send: (of: string, acts: A[]) => Promise<Sent<R>>,
  ) {}

  /** Writes an act down. */
  add(of: string, act: A) {
    return this.write((log) => log.add({ of, act }))
  }

  protected async write(write: (log: L) => Promise<void>) {
    try {
      await write(this.device)
    } catch (error) {
      this.storageError = describe(error)
      await write(this.memory)
    }
  }

  /** Everything that is written down of a lesson or a game, in the order in which it was done. */
  async list(of: string): Promise<Kept<A>[]> {
    const all = await Promise.all([this.device, this.memory].map((log) => this.#listed(log, of)))
    return all.flat().map((kept) => ({ ...kept, ...this.#unmarked.get(kept.act.id) }))
  }

  /** The lessons or games of which something is written down. */
  async kept(): Promise<string[]> {
    const all = await Promise.all([this.device, this.memory].map((log) => log.kept().catch(() => [])))
    return [...new Set(all.flat())]
  }

  /** What is written down of a lesson or a game, and neither answered nor refused. */
  async open(of: string) {
    return (await this.list(of)).filter((kept) => !kept.refused && !kept.answered)
  }

  async #listed(log: L, of: string) {
    try {
      return await log.list(of)
    } catch (error) {
      this.storageError = describe(error)
      return []
    }
  }

  /**
   * deliver sends what is not answered, in order, and returns the newest answer, if any came. An act that is refused is marked and
   * kept, and the others go without it; without an answer everything stays, and this fails.
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
    if (!(await this.#quietly((log) => log.mark(list, as))))
      list.forEach(({ act }) => this.#unmarked.set(act.id, as))
  }

  /** Forgets acts that are in what the device has with it. */
  async forget(list: Kept<A>[]) {
    await this.#quietly((log) => log.remove(list))
  }

  async #quietly(work: (log: L) => Promise<void>) {
    let good = true
    for (const log of [this.device, this.memory]) {
      try {
        await work(log)
      } catch (error) {
        this.storageError = describe(error)
        good = false
      }
    }
    return good
  }
}
