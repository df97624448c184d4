import { narrow } from '../../../lib/parts/narrow.svelte'
import {
  answer,
  api,
  type DrillEdit,
  type DrillDocument,
  type AdaptRequest,
  type Moved,
  type Place,
  type Point,
  type Transformation,
  type WorkedDrill,
} from '../../../lib/api/client'
import type { Snapped } from '../../../court/view'
import { Asking } from '../../../lib/page/asking.svelte'
import { idle } from '../../../lib/page/idle'
import { notices } from '../../../lib/parts/notice.svelte'
import { addTask, moveTasks, shiftTask } from '../measures/measures'
import type { Draft } from '../../../lib/drafts/draft.svelte'

export type Hand = 'right' | 'left'
/** What can be opened over the side of the court. */
export type Tab = 'balls' | 'counts' | 'versions' | 'places' | 'running' | 'words'
type Level = NonNullable<DrillDocument['level']>

/** Milliseconds between two answers while a place is being dragged; the drawing itself does not wait. */
const dragPause = 300

/** Bench has a drill worked out whenever it changes. */
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
  /** What lies over the side of the court. */
  tab = $state<Tab>('balls')
  /** The handle of the sign that is chosen; empty for none. */
  chosen = $state('')
  /** What of the tray the next press on the court puts there; empty for a ball. */
  armed = $state<Place['kind'] | ''>('')
  /** A line in words that is typed and not taken over yet; undefined while it is the drill's own. */
  line = $state<string>()
  /** What the last fit changed, in a sentence. */
  sentence = $state('')
  /** What is on its way to the server. */
  readonly asking = new Asking()
  /** The drill while a place of it is being dragged: a copy is taken once, since each costs a frame. */
  #held: DrillDocument | undefined

  /** A plain copy of the drill, taken once for every change. */
  readonly plain = $derived.by(() => $state.snapshot(this.draft.document) as DrillDocument)
  /** What was wrong with the last save, or with the last thing typed. */
  readonly errors = $derived.by(() => ({ ...this.draft.fields, ...this.asking.fields }))

  constructor(
    readonly id: string,
    readonly draft: Draft<DrillDocument>,
    /** A drill of the library, which is duplicated to be changed. */
    readonly builtIn: boolean,
  ) {}

  get report() {
    return this.worked?.report
  }

  get simulation() {
    return this.worked?.simulation
  }

  /** What whoever it is tried on makes of each measure. */
  get fits() {
    return this.worked?.playerFit.measures ?? []
  }

  /** A variation is being tried: it is shown, and cannot be changed. */
  get trying() {
    return this.steps.length > 0
  }

  /** Which of the drill's versions is being tried, from 0; -1 for none of them. */
  get tried(): number {
    const steps = JSON.stringify(this.steps)
    return this.steps.length
      ? (this.plain.variations ?? []).findIndex((each) => JSON.stringify(each.steps) === steps)
      : -1
  }

  get fixed() {
    return this.builtIn || this.trying
  }

  /** What is shown: the drill, or the variation that is being tried. */
  get pattern() {
    return ((this.trying && this.worked?.document) || this.draft.document).pattern
  }

  /** Which task is chosen, from 0. */
  get ball(): number | undefined {
    const task = /^pattern\.tasks\.(\d+)/.exec(this.chosen)?.[1]
    return task !== undefined && Number(task) < this.pattern.tasks.length ? Number(task) : undefined
  }

  /** Which place is chosen, from 0. */
  get place(): number | undefined {
    const place = /^places\.(\d+)/.exec(this.chosen)?.[1]
    return place !== undefined && Number(place) < this.draft.document.places.length
      ? Number(place)
      : undefined
  }

  /** choose opens what a sign on the court stands for. */
  choose(handle: string) {
    this.chosen = handle
    const measure = /^measures\.(\d+)/.exec(handle)?.[1]
    if (measure !== undefined) this.measure = Number(measure)
    if (handle) this.tab = measure !== undefined ? 'counts' : 'balls'
  }

  /** addAfter puts in a task like another after it; the row it is in now, or undefined where there is no room. */
  addAfter(task: number): number | undefined {
    let to: number | undefined
    this.draft.change((d) => (to = addTask(d, task)))
    return to
  }

  /** drop takes a task out, though never the last one that is left. */
  drop(task: number): number | undefined {
    if (this.pattern.tasks.length < 2) return undefined
    const gone: string[] = []
    this.draft.change((d) => {
      for (const { number, name } of moveTasks(d, (tasks) => tasks.splice(task, 1)))
        gone.push(name ? `“${name}”` : `measure ${number}`)
    })
    if (gone.length) notices.done(`${gone.join(', ')} went with its only task. Undo brings both back.`)
    this.chosen = ''
    return Math.min(task, this.pattern.tasks.length - 1)
  }

  /** shift takes a task so many places on, or back; where it is then. */
  shift(task: number, by: number): number | undefined {
    let to: number | undefined
    this.draft.change((d) => (to = shiftTask(d, task, by)))
    if (to !== undefined && this.ball === task) this.open(to)
    return to
  }

  /** open shows the choices of a task; undefined closes them. */
  open(task: number | undefined) {
    this.chosen = task === undefined ? '' : `pattern.tasks.${task}.landing`
    if (task !== undefined) this.tab = 'balls'
  }

  /** Where balls aimed at the target of the measure that is open land. */
  get aimed() {
    const measures = this.worked?.playerFit.measures
    return measures?.[Math.min(this.measure, measures.length - 1)]?.target ?? undefined
  }

  /** ask has the drill worked out. */
  ask() {
    const document = this.plain
    this.asking.newest(async () => {
      try {
        this.worked = await this.#preview(document)
      } catch (error) {
        // The court and its figures are there all the same, as they are saved, so that it can be put right.
        this.worked ??= await this.#preview(this.draft.stored).catch(() => undefined)
        throw error
      }
    })
  }

  /** drag shows what a place would be, without changing the document. */
  drag(handle: string, place: Snapped) {
    this.#held ??= this.plain
    this.asking.newest(async () => {
      if (!this.#held) return
      const body = { document: this.#held, hand: this.hand, move: { handle, to: place.to } }
      await idle(dragPause)
      const moved = await answer(api.POST('/api/drills/moved', { body }))
      await idle(dragPause)
      this.moved = moved
      await new Promise((resolve) => setTimeout(resolve, dragPause))
    })
  }

  /** move changes a place; what did not snap is rounded where that is asked for. */
  move(handle: string, place: Snapped, round: boolean) {
    this.#held = undefined
    const roundX = round && place.x === undefined
    const roundY = round && place.y === undefined
    this.edit({ move: { handle, to: place.to, roundX, roundY } })
  }

  /** edit does something to the document and has it worked out. Of moves of one place that wait, the last is made. */
  edit(edit: DrillEdit) {
    const make = async () => {
      const worked = await this.draft.upToDate((document) => this.#preview(document, edit))
      this.worked = worked
      this.moved = undefined
      this.draft.replace(worked.document)
      // On a phone the card would lie over the court, where the next press goes.
      if (edit.press && !narrow.current) this.open(worked.document.pattern.tasks.length - 1)
      if (edit.put) this.choose(`places.${worked.document.places.length - 1}.mark`)
    }
    this.asking.inTurn(make, edit.move?.handle)
  }

  /** press puts what is armed where the court was pressed, else another ball. */
  press(at: Point) {
    if (this.armed) this.put(this.armed, at)
    else this.edit({ press: at })
  }

  put(kind: Place['kind'], at: Point) {
    this.armed = ''
    this.edit({ put: { kind, at } })
  }

  /** apply makes the drill what a transformation makes of it. */
  apply(step: Transformation) {
    const make = async () => {
      const worked = await this.draft.upToDate((document) => {
        const body = { ...this.#tried(document), steps: [step] }
        return answer(api.POST('/api/drills/preview', { body }))
      })
      this.sentence = worked.sentences.join(' ')
      this.draft.replace(worked.document)
    }
    this.asking.inTurn(make)
  }

  /** adapt has the goal or the target adapted to whoever the drill is tried on. */
  adapt(to: AdaptRequest) {
    const make = async () => {
      const adapted = await this.draft.upToDate((document) => {
        const body = { ...this.#tried(document), to }
        return answer(api.POST('/api/drills/adapt', { body }))
      })
      this.sentence = adapted.sentence.words
      this.draft.replace(adapted.document)
    }
    this.asking.inTurn(make)
  }

  /** editVersion does something to the measures that a version has of its own; the rest of the drill is left alone. */
  editVersion(version: number, edit: DrillEdit) {
    this.#inVersion(version, async (document) => (await this.#preview(document, edit)).document)
  }

  /** adaptVersion adapts a goal or a target of a version to whoever the drill is tried on. */
  adaptVersion(version: number, to: AdaptRequest) {
    this.#inVersion(version, async (document) => {
      const body = { ...this.#tried(this.worked?.document ?? document), to }
      const adapted = await answer(api.POST('/api/drills/adapt', { body }))
      this.sentence = adapted.sentence.words
      return adapted.document
    })
  }

  #inVersion(version: number, ask: (document: DrillDocument) => Promise<DrillDocument>) {
    const make = async () => {
      const measures = await this.draft.upToDate(async (document) => {
        const own = document.variations?.[version]?.measures
        return own && (await ask({ ...document, measures: own })).measures
      })
      this.draft.change(
        (d) => measures && d.variations?.[version] && (d.variations[version].measures = measures),
      )
    }
    this.asking.inTurn(make)
  }

  #preview(document: DrillDocument, edit?: DrillEdit) {
    // What is changed by hand is the drill itself, not the version that is being tried.
    const version = document.variations?.[this.tried]
    const tried = version?.measures?.length ? { version: version.name } : { steps: this.steps }
    const body = { ...this.#tried(document), ...(edit ? { edit } : tried) }
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
}
