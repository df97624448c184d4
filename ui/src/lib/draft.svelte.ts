import { Refusal, say } from './api/client'

type Status = 'saved' | 'waiting' | 'saving' | 'refused' | 'stale' | 'unsent'

const pause = 350

/**
 * Draft is a document on the page that saves itself shortly after each change, over the version it was
 * read at. A refusal keeps what was typed and says why by field; a newer version elsewhere is never
 * saved over.
 */
export class Draft<T extends object> {
  document = $state<T>() as T
  status = $state<Status>('saved')
  fields = $state<Record<string, string>>({})
  detail = $state('')
  #version: number
  #store: (document: T, version: number) => Promise<number>
  #timer: ReturnType<typeof setTimeout> | undefined
  #past = $state.raw<T[]>([])
  #future = $state.raw<T[]>([])
  #inFlight: Promise<void> | undefined

  constructor(document: T, version: number, store: (document: T, version: number) => Promise<number>) {
    this.document = document
    this.#version = version
    this.#store = store
  }

  get canUndo() {
    return this.#past.length > 0
  }

  get canRedo() {
    return this.#future.length > 0
  }

  /** change alters a copy of the document and saves it soon. */
  change(alter: (document: T) => void) {
    const before = this.#copy()
    const after = structuredClone(before)
    alter(after)
    this.replace(after)
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

  /** A plain copy of the document. */
  #copy(): T {
    return $state.snapshot(this.document) as unknown as T
  }

  /** flush saves now what is waiting. */
  async flush() {
    clearTimeout(this.#timer)
    while (this.#inFlight) await this.#inFlight
    if (this.status === 'saved' || this.status === 'stale') return
    this.#inFlight = this.#save().finally(() => (this.#inFlight = undefined))
    await this.#inFlight
  }

  #set(document: T) {
    this.document = document
    if (this.status === 'stale') return
    this.status = 'waiting'
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => void this.flush(), pause)
  }

  async #save() {
    const sent = this.#copy()
    this.status = 'saving'
    try {
      this.#version = await this.#store(sent, this.#version)
      this.fields = {}
      this.detail = ''
      const unchanged = JSON.stringify(sent) === JSON.stringify($state.snapshot(this.document))
      this.status = unchanged ? 'saved' : 'waiting'
    } catch (error) {
      this.detail = say(error)
      this.fields = error instanceof Refusal ? error.fields : {}
      const stale = error instanceof Refusal && error.status === 412
      this.status = stale ? 'stale' : error instanceof Refusal ? 'refused' : 'unsent'
    }
  }
}
