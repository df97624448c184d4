import {
  answer,
  api,
  Refusal,
  why,
  type DrillEdit,
  type DrillDocument,
  type FitRequest,
  type Moved,
  type Transformation,
  type WorkedDrill,
} from '../../lib/api/client'
import type { Snapped } from '../../court/view'

export type Hand = 'right' | 'left'
type Level = NonNullable<DrillDocument['level']>

/** Milliseconds between two answers while a place is being dragged; the drawing itself does not wait. */
const dragPause = 300

/**
 * Bench has a drill worked out whenever it changes. Of questions only the newest counts: while one is on
 * its way, later ones wait and replace each other. Changes are made one after the other, and none is lost.
 */
export class Bench {
  worked = $state.raw<WorkedDrill>()
  /** What is read off while a place is being dragged; nothing else changes before it is dropped. */
  moved = $state.raw<Moved>()
  people = $state(1)
  hand = $state<Hand>('right')
  /** Whom it is tried on: a student, or a level; neither takes the level it is written for. */
  student = $state('')
  level = $state('')
  /** Transformations that are tried without being kept. */
  steps = $state.raw<Transformation[]>([])
  /** Which measure is open, from 0. */
  measure = $state(0)
  /** What was wrong with the last change, by its path. */
  fields = $state.raw<Record<string, string>>({})
  refusal = $state('')
  /** What the last fit changed, in a sentence. */
  sentence = $state('')
  /** An edit is being worked out; it is not in the document yet. */
  editing = $state(false)
  #asking = false
  #next: (() => Promise<void>) | undefined
  #edits: { handle?: string; make: () => Promise<void> }[] = []
  /** A place is being dragged. */
  #held = false

  constructor(readonly id: string) {}

  /** Where balls aimed at the target of the measure that is open land. */
  get aimed() {
    const measures = this.worked?.playerFit.measures
    return measures?.[Math.min(this.measure, measures.length - 1)]?.target ?? undefined
  }

  /** ask has a document worked out. */
  ask(document: DrillDocument) {
    this.#run(async () => {
      this.worked = await this.#preview(document)
    })
  }

  /** drag shows what a place would be, without changing the document. */
  drag(current: () => DrillDocument, handle: string, place: Snapped) {
    this.#held = true
    this.#run(async () => {
      if (!this.#held) return
      const body = { document: current(), hand: this.hand, move: { handle, to: place.to } }
      this.moved = await answer(api.POST('/api/drills/moved', { body }))
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
    this.#held = false
    const roundX = round && place.x === undefined
    const roundY = round && place.y === undefined
    this.edit(current, { move: { handle, to: place.to, roundX, roundY } }, changed)
  }

  /**
   * edit does something to the document and has it worked out. Where the document was changed while an
   * answer was on its way, the change is made to the newer one. Of moves of one place that wait, the last is made.
   */
  edit(current: () => DrillDocument, edit: DrillEdit, changed: (document: DrillDocument) => void) {
    const handle = edit.move?.handle
    if (handle && this.#edits.at(-1)?.handle === handle) this.#edits.pop()
    const make = async () => {
      let before: DrillDocument
      let worked: WorkedDrill
      do {
        before = current()
        worked = await this.#preview(before, edit)
      } while (JSON.stringify(before) !== JSON.stringify(current()))
      this.worked = worked
      this.moved = undefined
      changed(worked.document)
    }
    this.#edits.push({ handle, make })
    this.editing = true
    this.#start()
  }

  /** fit has the goal or the target fitted to whoever the drill is tried on. */
  fit(current: () => DrillDocument, fit: FitRequest, changed: (document: DrillDocument) => void) {
    const make = async () => {
      const body = { ...this.#tried(current()), fit }
      const fitted = await answer(api.POST('/api/drills/fit', { body }))
      this.sentence = fitted.sentence
      changed(fitted.document)
    }
    this.#edits.push({ make })
    this.editing = true
    this.#start()
  }

  #preview(document: DrillDocument, edit?: DrillEdit) {
    // What is changed by hand is the drill itself, not the variation that is being tried.
    const body = { ...this.#tried(document), ...(edit ? { edit } : { steps: this.steps }) }
    return answer(api.POST('/api/drills/preview', { body }))
  }

  #tried(document: DrillDocument) {
    return {
      id: this.id,
      document,
      people: this.people,
      hand: this.hand,
      student: this.student || undefined,
      level: (this.level || undefined) as Level | undefined,
    }
  }

  #run(question: () => Promise<void>) {
    this.#next = question
    this.#start()
  }

  #start() {
    if (!this.#asking) void this.#work()
  }

  async #work() {
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
