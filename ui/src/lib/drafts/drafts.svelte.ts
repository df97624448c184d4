import type { QueryClient } from '@tanstack/svelte-query'
import { SvelteMap } from 'svelte/reactivity'
import type { Storage, Stored } from './device'
import { laterStorage } from './storage'
import { Draft, type Revision } from './draft.svelte'
import { rules, shownAgain, type Documents, type Kind } from './kinds'

const retryAfter = 3000

/** Waiting is what all drafts have in common, whatever they are of. */
type Waiting = Pick<Draft<object>, 'kind' | 'id' | 'status' | 'document' | 'flush' | 'restore'>

/**
 * Drafts are all documents that are being edited in this tab. They outlive the page that edits them: what could not
 * be sent is tried again, also after a reload, until the server has answered.
 */
export class Drafts {
  /** Ends once what an earlier page left on this device was taken up. */
  readonly ready: Promise<void>
  #all = new SvelteMap<string, Waiting>()
  #storage: Storage
  #client: QueryClient | undefined

  constructor(storage: Storage) {
    this.#storage = storage
    this.ready = storage
      .mine()
      .then((mine) => mine.forEach((each) => this.#takeUp(each)))
      .then(() => this.#takeOver())
      .catch(() => undefined) // this device keeps nothing; each draft says so when it is changed
  }

  /** start sends again what waits, every few seconds and as soon as the device is back on a network. */
  start(client: QueryClient) {
    this.#client = client
    const send = () => {
      for (const draft of this.#all.values()) if (draft.status === 'unsent') void draft.flush()
      // A tab that crashed may be gone only now.
      void this.#takeOver().catch(() => undefined)
    }
    const timer = setInterval(send, retryAfter)
    addEventListener('online', send)
    return () => {
      clearInterval(timer)
      removeEventListener('online', send)
    }
  }

  /** open returns the draft of a document, the one that is there already if any, with what the server has now. */
  open<K extends Kind>(kind: K, id: string, read: Revision<Documents[K]>): Draft<Documents[K]> {
    const key = `${kind}/${id}`
    const there = this.#all.get(key) as unknown as Draft<Documents[K]> | undefined
    if (there) {
      there.offer(read)
      return there
    }
    const draft = this.#make(kind, id, read)
    this.#all.set(key, draft)
    return draft
  }

  /** forget drops the draft of a document that is gone for good. */
  forget(kind: Kind, id: string) {
    this.#all.delete(`${kind}/${id}`)
    void this.#storage.drop(kind, id).catch(() => undefined)
  }

  /** What is kept on this device and not saved, with its name and the page it is edited on. */
  get unsaved() {
    return [...this.#all.values()]
      .filter((draft) => ['unsent', 'refused', 'stale'].includes(draft.status))
      .map((draft) => {
        const of = rules[draft.kind as Kind]
        return {
          key: `${draft.kind}/${draft.id}`,
          name: of.name(draft.document as never),
          href: of.href(draft.id),
        }
      })
  }

  #make<K extends Kind>(kind: K, id: string, read: Revision<Documents[K]>): Draft<Documents[K]> {
    const { send, load } = rules[kind]
    const source = {
      kind,
      id,
      storage: this.#storage,
      load: () => load(id),
      send: async (document: Documents[K], revision: number) => {
        const saved = await send(id, document, revision)
        if (this.#client) shownAgain(this.#client, kind, id)
        return saved
      },
    }
    return new Draft<Documents[K]>(read, source)
  }

  async #takeOver() {
    for (const each of await this.#storage.takeOver()) this.#takeUp(each)
  }

  #takeUp(left: Stored) {
    if (!(left.kind in rules)) return
    const key = `${left.kind}/${left.id}`
    const read = { document: left.base as never, revision: left.revision }
    const draft = this.#all.get(key) ?? this.#make(left.kind as Kind, left.id, read)
    draft.restore(left)
    this.#all.set(key, draft)
  }
}

export const drafts = new Drafts(laterStorage())
