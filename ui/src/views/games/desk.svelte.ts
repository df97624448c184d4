import {
  answer,
  api,
  type GameAsked,
  type GameDocument,
  type GameRules,
  type WorkedGame,
} from '../../lib/api/client'
import { Asking } from '../../lib/page/asking.svelte'
import { onDevice } from '../../lib/page/kept'
import type { Draft } from '../../lib/drafts/draft.svelte'

/** What is asked of a game beside its document. */
type Asked = Omit<GameAsked, 'document' | keyof Edit>
type Edit = Pick<GameAsked, 'move' | 'typed' | 'size' | 'on'>

const usual: Asked = {
  chances: { nearFeeds: 0.5, farFeeds: 0.5, awards: [] },
  rallies: 15,
  minutes: 8,
  seed: 1,
}

/** Desk has a game worked out whenever it, or what is thought of both sides, changes. */
export class Desk {
  worked = $state.raw<WorkedGame>()
  /** What is thought of both sides stays on this device, until it is thought otherwise. */
  asked = $state() as Asked
  /** What is on its way to the server. */
  readonly asking = new Asking()

  readonly #thought: string

  constructor(
    id: string,
    readonly draft: Draft<GameDocument>,
    readonly builtIn: boolean,
  ) {
    this.#thought = `hodometer.thought.${id}`
    this.asked = { ...usual, ...onDevice.read<Partial<Asked>>(this.#thought, {}) }
  }

  /** What is wrong, by its path: of the last save, or of what was typed since. */
  readonly errors = $derived.by(() => ({ ...this.draft.fields, ...this.asking.fields }))

  get rules() {
    return this.draft.document.rules
  }

  /** change alters the rules of a copy of the document. */
  change(alter: (rules: GameRules) => void) {
    this.draft.change((d) => alter(d.rules))
  }

  /** ask has the game worked out. */
  ask(document: GameDocument, asked: Asked) {
    onDevice.write(this.#thought, asked)
    this.asking.newest(async () => {
      this.worked = await answer(api.POST('/api/games/preview', { body: { document, ...asked } }))
    })
  }

  /** edit has something done to the game by the server, and takes it over. */
  edit(edit: Edit) {
    this.asking.inTurn(async () => {
      const worked = await this.draft.upToDate((document) => {
        const body = { document, ...$state.snapshot(this.asked), ...edit }
        return answer(api.POST('/api/games/preview', { body }))
      })
      this.worked = worked
      this.draft.replace(worked.document)
    }, edit.move?.handle)
  }
}
