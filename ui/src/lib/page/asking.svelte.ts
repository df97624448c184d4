import { Refusal, why } from '../api/client'

/** What is wrong where nothing is: one object, so that what shows it is left alone. */
const nothing: Record<string, string> = {}

/**
 * Asking has a document worked out by the server. Of questions only the newest counts: while one is on its way, later
 * ones wait and replace each other. Edits are made one after the other, and none is lost; of those of one handle that
 * wait, the last is made.
 */
export class Asking {
  /** What was wrong with the last change, by its path. */
  fields = $state.raw(nothing)
  refusal = $state('')
  /** An edit is being worked out; it is not in the document yet. */
  editing = $state(false)
  #busy = false
  #next: (() => Promise<void>) | undefined
  #edits: { handle?: string | number; make: () => Promise<void> }[] = []

  /** newest asks a question in the place of one that waits. */
  newest(question: () => Promise<void>) {
    this.#next = question
    this.#start()
  }

  /** inTurn makes an edit after those that wait. */
  inTurn(make: () => Promise<void>, handle?: string | number) {
    if (handle !== undefined && this.#edits.at(-1)?.handle === handle) this.#edits.pop()
    this.#edits.push({ handle, make })
    this.editing = true
    this.#start()
  }

  #start() {
    if (!this.#busy) void this.#work()
  }

  async #work() {
    this.#busy = true
    for (;;) {
      let question = this.#edits.shift()?.make
      this.editing = question !== undefined
      if (!question) {
        question = this.#next
        this.#next = undefined
      }
      if (!question) break
      try {
        await question()
        this.refusal = ''
        this.fields = nothing
      } catch (error) {
        this.fields = error instanceof Refusal ? error.fields : nothing
        this.refusal = why(error)
      }
    }
    this.#busy = false
  }
}
