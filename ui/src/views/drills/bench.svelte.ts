import {
  answer,
  api,
  Refusal,
  say,
  type Change,
  type DrillDocument,
  type Step,
  type WorkedDrill,
} from '../../lib/api/client'
import type { Snapped } from '../../court/view'

export type Hand = 'right' | 'left'
type Level = NonNullable<DrillDocument['level']>

/** Milliseconds between two answers while a place is being dragged; the drawing itself does not wait. */
const dragPause = 300

/** onlyMoved takes over what one moved place changes, and keeps the rest as it is, so that little is drawn anew. */
function onlyMoved(shown: WorkedDrill, fresh: WorkedDrill, handle: string): WorkedDrill {
  const { target, measured, aim } = handle.startsWith('target') ? fresh.report : shown.report
  const spots = shown.report.spots.map((spot, i) =>
    spot.handle === handle ? (fresh.report.spots[i] ?? spot) : spot,
  )
  return { ...shown, report: { ...shown.report, spots, target, measured, aim } }
}

/**
 * Bench has a drill worked out whenever it changes. Only the newest question counts: while one is on its
 * way, later ones wait and replace each other.
 */
export class Bench {
  worked = $state.raw<WorkedDrill>()
  people = $state(1)
  hand = $state<Hand>('right')
  /** Whom it is tried on: a student, or a level; neither takes the level it is written for. */
  student = $state('')
  level = $state('')
  /** Transformations that are tried without being kept. */
  steps = $state.raw<Step[]>([])
  /** What was wrong with the last change, by its path. */
  fields = $state.raw<Record<string, string>>({})
  refusal = $state('')
  #asking = false
  #next: (() => Promise<void>) | undefined

  /** ask has a document worked out. */
  ask(document: DrillDocument) {
    this.#run(async () => {
      this.worked = await this.#preview(document)
    })
  }

  /** drag shows what a place would be, without changing the document. */
  drag(current: () => DrillDocument, handle: string, place: Snapped) {
    this.#run(async () => {
      const fresh = await this.#preview(current(), { move: { handle, to: place.to } }, true)
      this.worked = this.worked ? onlyMoved(this.worked, fresh, handle) : fresh
      await new Promise((resolve) => setTimeout(resolve, dragPause))
    })
  }

  /** move changes a place; what did not snap is rounded where that is asked for. */
  move(
    current: () => DrillDocument,
    handle: string,
    place: Snapped,
    round: boolean,
    changed: (document: DrillDocument) => void,
  ) {
    const roundX = round && place.x === undefined
    const roundY = round && place.y === undefined
    this.change(current, { move: { handle, to: place.to, roundX, roundY } }, changed)
  }

  /**
   * change does something to the document and has it worked out. Where the document was changed while an answer was on its way, the change
   * is made to the newer one.
   */
  change(current: () => DrillDocument, change: Change, changed: (document: DrillDocument) => void) {
    this.#run(async () => {
      let before: DrillDocument
      let worked: WorkedDrill
      do {
        before = current()
        worked = await this.#preview(before, change)
      } while (JSON.stringify(before) !== JSON.stringify(current()))
      this.worked = worked
      changed(worked.document)
    })
  }

  #preview(document: DrillDocument, change?: Change, brief?: boolean) {
    return answer(
      api.POST('/api/drills/preview', {
        body: { document, people: this.people, brief, ...this.#tried(change) },
      }),
    )
  }

  #tried(change?: Change) {
    return {
      hand: this.hand,
      student: this.student || undefined,
      level: (this.level || undefined) as Level | undefined,
      // What is changed by hand is the drill itself, not the variation that is being tried.
      ...(change ? { change } : { steps: this.steps }),
    }
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
        this.fields = {}
      } catch (error) {
        this.fields = error instanceof Refusal ? error.fields : {}
        this.refusal =
          error instanceof Refusal ? (error.problem.fields[0]?.message ?? error.message) : say(error)
      }
    }
    this.#asking = false
  }
}
