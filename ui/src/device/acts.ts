import { v7 } from 'uuid'
import { answer, api, describe, patience, Refusal, type Act, type Answered } from '../lib/api/client'
import { DeviceStore, MemoryStore, type Kept, type Mark, type Store, type Tap, type Whose } from './store'

/** What is done with a lesson, without its identifier and its instant. */
export type What = Omit<Act, 'id' | 'at'>

/** Which acts of a batch a refusal is about; undefined where it is about all of them. */
function actsIn(refusal: Refusal): Map<number, string> | undefined {
  const wrong = new Map<number, string>()
  for (const field of refusal.problem.fields) {
    const found = /^acts\.(\d+)\./.exec(`${field.path}.`)
    if (!found) return undefined
    wrong.set(Number(found[1]), field.message)
  }
  return wrong.size ? wrong : undefined
}

const batch = 500

/**
 * ActQueue is what was done with lessons and is not answered yet. Each act is written down before it goes, on the device or, where that
 * fails, in the page. What was answered is kept until the kit of the lesson has it too; see Kits. Nothing that goes wrong here stops
 * what comes after.
 */
export class ActQueue {
  /** Why the device keeps nothing; empty where it does. */
  storageError = ''

  /** What became of acts of which the device could not take that down. */
  #unmarked = new Map<string, Mark>()

  constructor(
    readonly device: Store = new DeviceStore(),
    readonly memory: Store = new MemoryStore(),
  ) {}

  /** Writes a count down, with the next number of its run. */
  async count(lesson: string, block: string, whose: Whose, tap: Tap) {
    await this.#write((store) => store.count(lesson, block, whose, tap, v7(), new Date().toISOString()))
  }

  /** Writes something else down, and returns its identifier. */
  async put(lesson: string, what: What) {
    const act = { ...what, id: v7(), at: new Date().toISOString() }
    await this.#write((store) => store.add({ lesson, act }))
    return act.id
  }

  async #write(write: (store: Store) => Promise<void>) {
    try {
      await write(this.device)
    } catch (error) {
      this.storageError = describe(error)
      await write(this.memory)
    }
  }

  /** Everything that is written down of a lesson, in the order in which it was done. */
  async list(lesson: string): Promise<Kept[]> {
    const all = await Promise.all([this.device, this.memory].map((store) => this.#listed(store, lesson)))
    return all.flat().map((kept) => ({ ...kept, ...this.#unmarked.get(kept.act.id) }))
  }

  async #listed(store: Store, lesson: string) {
    try {
      return await store.list(lesson)
    } catch (error) {
      this.storageError = describe(error)
      return []
    }
  }

  /**
   * deliver sends what is not answered, in order, and returns the newest answer, if any came. An act that is refused is marked and
   * kept, and the others go without it; without an answer everything stays, and this fails.
   */
  async deliver(lesson: string): Promise<Answered | undefined> {
    let newest: Answered | undefined
    let open = (await this.list(lesson)).filter((kept) => !kept.refused && !kept.answered)
    while (open.length) {
      const sent = open.slice(0, batch)
      const { answered, refused } = await this.#send(lesson, sent)
      newest = answered ?? newest
      for (const [kept, why] of refused) await this.#mark([kept], { refused: why })
      if (answered)
        await this.#mark(
          sent.filter((kept) => !refused.has(kept)),
          { answered: true },
        )
      open = answered ? open.slice(batch) : open.filter((kept) => !refused.has(kept))
    }
    return newest
  }

  /** Sends acts. It fails where no answer came. */
  async #send(lesson: string, list: Kept[]) {
    const refused = new Map<Kept, string>()
    try {
      const body = { sent: new Date().toISOString(), acts: list.map((kept) => kept.act) }
      const params = { path: { id: lesson } }
      const answered = await answer(api.POST('/api/lessons/{id}/acts', { params, body, signal: patience() }))
      for (const one of answered.refused) {
        const kept = list.find((each) => each.act.id === one.id)
        if (kept) refused.set(kept, one.fields[0]?.message ?? '')
      }
      return { answered, refused }
    } catch (error) {
      if (!(error instanceof Refusal) || error.status >= 500) throw error
      const single = actsIn(error)
      list.forEach((kept, i) => {
        const why = single ? single.get(i) : (error.problem.fields[0]?.message ?? error.message)
        if (why) refused.set(kept, why)
      })
      return { answered: undefined, refused }
    }
  }

  /** What was answered stands, also where this device cannot mark it; sent again by another page, it is done once. */
  async #mark(list: Kept[], as: Mark) {
    if (!(await this.#quietly((store) => store.mark(list, as))))
      list.forEach(({ act }) => this.#unmarked.set(act.id, as))
  }

  /** Forgets acts that are in the kit of their lesson. */
  async forget(list: Kept[]) {
    await this.#quietly((store) => store.remove(list))
  }

  async #quietly(work: (store: Store) => Promise<void>) {
    let good = true
    for (const store of [this.device, this.memory]) {
      try {
        await work(store)
      } catch (error) {
        this.storageError = describe(error)
        good = false
      }
    }
    return good
  }
}
