import { Refusal, describe, judges } from '../api/client'
import type { Storage, Stored } from './device'
import { merge, same, type Conflict } from './merge'

type Status = 'saved' | 'waiting' | 'saving' | 'refused' | 'stale' | 'unsent'

const pause = 350

/** Revision is a document as the server has it. */
export interface Revision<T> {
  document: T
  revision: number
}

/** Source is where a document comes from and goes to. */
export interface Source<T> {
  kind: string
  id: string
  /** send saves a document over a revision, and returns the new revision. */
  send: (document: T, revision: number) => Promise<number>
  /** load reads what the server has now. */
  load: () => Promise<Revision<T>>
  storage: Storage
}

/**
 * Draft is a document on the page that saves itself shortly after each change, over the revision it was read at.
 * Every change is written down on this device first and stays there until the server has answered. A refusal
 * keeps what was typed and says why by field. Something newer on the server is merged in; where both changed the
 * same, both are offered, and nothing is saved over.
 */
export class Draft<T extends object> {
  document = $state<T>() as T
  status = $state<Status>('saved')
  fields = $state<Record<string, string>>({})
  detail = $state('')
  /** What was changed here and elsewhere in different ways; shown side by side. */
  conflicts = $state.raw<Conflict[]>([])
  /** Why this device cannot keep the draft; empty where it can. */
  storageError = $state('')
  readonly #source: Source<T>
  #base: T
  #revision: number
  /** What was sent and not answered, the latest last: it may have arrived all the same. */
  #sent: T[] = []
  #theirs: Revision<T> | undefined
  #timer: ReturnType<typeof setTimeout> | undefined
  #past = $state.raw<T[]>([])
  #future = $state.raw<T[]>([])
  #inFlight: Promise<void> | undefined
  #written: Promise<void> = Promise.resolve()

  constructor(read: Revision<T>, source: Source<T>) {
    this.#source = source
    this.document = read.document
    this.#base = read.document
    this.#revision = read.revision
  }

  /** restore goes on with what was left on this device, and sends it. What was changed here meanwhile stays. */
  restore(left: Stored) {
    const mine = this.#copy()
    if (!same(mine, this.#base))
      return this.replace(merge(left.base as T, mine, left.document as T, 'mine').merged)
    const read = { document: this.#base, revision: this.#revision }
    this.document = left.document as T
    this.#base = left.base as T
    this.#revision = left.revision
    this.#sent = left.sent as T[]
    this.#schedule()
    this.offer(read)
  }

  get kind() {
    return this.#source.kind
  }

  get id() {
    return this.#source.id
  }

  get canUndo() {
    return this.#past.length > 0
  }

  get canRedo() {
    return this.#future.length > 0
  }

  /** change alters a copy of the document and saves it soon. */
  change(alter: (document: T) => void) {
    const after = this.#copy()
    alter(after)
    this.replace(after)
  }

  /**
   * upToDate has something made of the document; where the document was changed meanwhile, it is made again of the
   * newer one.
   */
  async upToDate<Made>(make: (document: T) => Promise<Made>): Promise<Made> {
    for (;;) {
      const before = this.#copy()
      const made = await make(before)
      if (same(before, this.#copy())) return made
    }
  }

  /** replace puts a changed document in the place of the one before. */
  replace(after: T) {
    const before = this.#copy()
    if (JSON.stringify(before) === JSON.stringify(after)) return
    this.#past = [...this.#past, before].slice(-100)
    this.#future = []
    this.#set(after)
  }

  undo() {
    const before = this.#past.at(-1)
    if (!before) return
    this.#past = this.#past.slice(0, -1)
    this.#future = [...this.#future, this.#copy()]
    this.#set(before)
  }

  redo() {
    const after = this.#future.at(-1)
    if (!after) return
    this.#future = this.#future.slice(0, -1)
    this.#past = [...this.#past, this.#copy()]
    this.#set(after)
  }

  /** offer takes in what the server has: in place of a clean document, merged into a changed one. */
  offer({ document: theirs, revision }: Revision<T>) {
    if (revision <= Math.max(this.#revision, this.#theirs?.revision ?? 0)) return
    const mine = this.#copy()
    const known = [this.#base, ...this.#sent, mine].some((each) => same(each, theirs))
    if (known) return this.#take(mine, theirs, revision)
    if (same(mine, this.#base)) {
      this.#past = []
      this.#future = []
      return this.#take(theirs, theirs, revision)
    }
    const { merged, conflicts } = merge(this.#base, mine, theirs)
    if (conflicts.length === 0) return this.#take(merged, theirs, revision)
    clearTimeout(this.#timer)
    this.#theirs = { document: theirs, revision }
    this.conflicts = conflicts
    this.status = 'stale'
    this.detail = 'This was changed somewhere else meanwhile, so nothing was saved over it.'
  }

  /** What is saved. */
  get stored(): T {
    return structuredClone(this.#base)
  }

  /** Goes back to what is saved; undo brings back what was here. */
  back() {
    this.replace(this.stored)
  }

  /** settle ends a conflict: with what is here, or with what is there; the rest of both is kept. */
  settle(prefer: 'mine' | 'theirs') {
    const theirs = this.#theirs
    if (!theirs) return
    const mine = this.#copy()
    const { merged } = merge(this.#base, mine, theirs.document, prefer)
    if (prefer === 'theirs') {
      this.#past = [...this.#past, mine]
      this.#future = []
    }
    this.#take(merged, theirs.document, theirs.revision)
  }

  /** flush saves now what is waiting. */
  async flush() {
    clearTimeout(this.#timer)
    while (this.#inFlight) await this.#inFlight
    if (this.status === 'saved' || this.status === 'stale') return
    this.#inFlight = this.#save().finally(() => (this.#inFlight = undefined))
    await this.#inFlight
  }

  /** written ends once every change is written down on this device. */
  written() {
    return this.#written
  }

  /** A plain copy of the document. */
  #copy(): T {
    return $state.snapshot(this.document) as unknown as T
  }

  #set(document: T) {
    this.document = document
    if (this.#theirs) {
      // Still side by side: with what is here now.
      this.conflicts = merge(this.#base, document, this.#theirs.document).conflicts
      return this.#keep()
    }
    this.#schedule()
    this.#keep()
  }

  /** Goes on from what the server has. */
  #take(document: T, base: T, revision: number) {
    this.#base = base
    this.#revision = revision
    this.#sent = []
    this.#theirs = undefined
    this.conflicts = []
    this.detail = ''
    this.fields = {}
    this.document = document
    if (same(document, base)) {
      clearTimeout(this.#timer)
      this.status = 'saved'
    } else this.#schedule()
    this.#keep()
  }

  #schedule() {
    this.status = 'waiting'
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => void this.flush(), pause)
  }

  /** Writes the draft down on this device, or takes it off once it is saved. One after the other, in order. */
  #keep() {
    const { storage, kind, id } = this.#source
    const draft = {
      kind,
      id,
      base: this.#base,
      revision: this.#revision,
      document: this.#copy(),
      sent: this.#sent,
    }
    const clean = same(draft.document, draft.base)
    this.#written = this.#written.then(async () => {
      try {
        await (clean ? storage.drop(kind, id) : storage.put($state.snapshot(draft) as typeof draft))
        this.storageError = ''
      } catch (error) {
        this.storageError = describe(error)
      }
    })
  }

  async #save() {
    const sent = this.#copy()
    this.status = 'saving'
    this.#sent = [...this.#sent, sent].slice(-5)
    this.#keep()
    try {
      this.#revision = await this.#source.send(sent, this.#revision)
      this.#base = sent
      this.#sent = []
      this.fields = {}
      this.detail = ''
      const unchanged = JSON.stringify(sent) === JSON.stringify($state.snapshot(this.document))
      this.status = unchanged ? 'saved' : 'waiting'
      this.#keep()
    } catch (error) {
      await this.#failed(error)
    }
  }

  async #failed(error: unknown) {
    this.detail = describe(error)
    this.fields = error instanceof Refusal ? error.fields : {}
    if (!judges(error)) {
      this.status = 'unsent' // what was sent may have arrived all the same
      return
    }
    this.#sent = this.#sent.slice(0, -1)
    if (error.status !== 412) {
      this.status = 'refused'
      return
    }
    try {
      const newest = await this.#source.load()
      this.status = 'waiting'
      this.#revision = Math.min(this.#revision, newest.revision - 1) // whatever was done to the server's file
      this.offer(newest)
    } catch (cause) {
      this.detail = describe(cause)
      this.status = 'unsent'
    }
  }
}
