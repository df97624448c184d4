import {
  answer,
  api,
  Refusal,
  say,
  type DrillDocument,
  type Point,
  type WorkedDrill,
} from '../../lib/api/client'

export type Hand = 'right' | 'left'

/**
 * Bench has a drill worked out whenever it changes. Only the newest question counts: while one is on its
 * way, later ones wait and replace each other.
 */
export class Bench {
  worked = $state.raw<WorkedDrill>()
  people = $state(1)
  hand = $state<Hand>('right')
  refusal = $state('')
  #asking = false
  #next: (() => Promise<void>) | undefined

  /** ask has a document worked out. */
  ask(document: DrillDocument) {
    this.#run(async () => {
      this.worked = await this.#preview(document)
    })
  }

  /**
   * move works the current document out with one place moved, and hands the changed one on. Where the
   * document was changed while the answer was on its way, the place is moved in the newer one.
   */
  move(
    current: () => DrillDocument,
    handle: string,
    to: Point,
    grain: boolean,
    changed: (document: DrillDocument) => void,
  ) {
    this.#run(async () => {
      let before: DrillDocument
      let worked: WorkedDrill
      do {
        before = current()
        worked = await this.#preview(before, { handle, to, grain })
      } while (JSON.stringify(before) !== JSON.stringify(current()))
      this.worked = worked
      changed(worked.document)
    })
  }

  #preview(document: DrillDocument, move?: { handle: string; to: Point; grain: boolean }) {
    return answer(
      api.POST('/api/drills/preview', { body: { document, people: this.people, hand: this.hand, move } }),
    )
  }

  #run(question: () => Promise<void>) {
    this.#next = question
    if (!this.#asking) void this.#work()
  }

  async #work() {
    this.#asking = true
    while (this.#next) {
      const question = this.#next
      this.#next = undefined
      try {
        await question()
        this.refusal = ''
      } catch (error) {
        this.refusal =
          error instanceof Refusal ? (error.problem.fields[0]?.message ?? error.message) : say(error)
      }
    }
    this.#asking = false
  }
}
