import {
  answer,
  api,
  Refusal,
  why,
  type GameAsked,
  type GameDocument,
  type GameRules,
  type WorkedGame,
} from '../../lib/api/client'
import type { Draft } from '../../lib/drafts/draft.svelte'

/** What is asked of a game beside its document. */
type Asked = Omit<GameAsked, 'document' | 'move' | 'size' | 'on'>
type Edit = Pick<GameAsked, 'move' | 'size' | 'on'>

/**
 * Desk has a game worked out whenever it, or what is thought of both sides, changes. Of questions only the newest counts; edits that the
 * server makes follow one another.
 */
export class Desk {
  worked = $state.raw<WorkedGame>()
  asked = $state<Asked>({
    chances: { nearFeeds: 0.5, farFeeds: 0.5, awards: [] },
    rallies: 15,
    minutes: 8,
    seed: 1,
  })
  /** What is wrong with what was asked last, by its path. */
  fields = $state.raw<Record<string, string>>({})
  refusal = $state('')
  #asking = false
  #next: (() => Promise<void>) | undefined
  /** An edit is being worked out; it is not in the document yet. */
  editing = $state(false)
  #edits: { spot?: number; make: () => Promise<void> }[] = []

  constructor(
    readonly draft: Draft<GameDocument>,
    readonly builtIn: boolean,
  ) {}

  /** What is wrong, by its path: of the last save, or of what was typed since. */
  readonly errors = $derived.by(() => ({ ...this.draft.fields, ...this.fields }))

  get rules() {
    return this.draft.document.rules
  }

  /** change alters the rules of a copy of the document. */
  change(alter: (rules: GameRules) => void) {
    this.draft.change((d) => alter(d.rules))
  }

  /** ask has the game worked out. */
  ask(document: GameDocument, asked: Asked) {
    this.#next = async () => {
      this.worked = await answer(api.POST('/api/games/preview', { body: { document, ...asked } }))
    }
    void this.#work()
  }

  /** edit has something done to the game by the server, and takes it over. Of moves of one place that wait, the last is made. */
  edit(edit: Edit) {
    const spot = edit.move?.spot
    if (spot !== undefined && this.#edits.at(-1)?.spot === spot) this.#edits.pop()
    const make = async () => {
      const document = $state.snapshot(this.draft.document) as GameDocument
      const body = { document, ...$state.snapshot(this.asked), ...edit }
      const worked = await answer(api.POST('/api/games/preview', { body }))
      this.worked = worked
      this.draft.replace(worked.document)
    }
    this.#edits.push({ spot, make })
    this.editing = true
    void this.#work()
  }

  async #work() {
    if (this.#asking) return
    this.#asking = true
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
        this.fields = {}
      } catch (error) {
        this.fields = error instanceof Refusal ? error.fields : {}
        this.refusal = why(error)
      }
    }
    this.#asking = false
  }
}
