import { push } from 'svelte-spa-router'
import { v7 } from 'uuid'
import {
  answer,
  api,
  describe,
  type Block,
  type Lesson,
  type LessonEdit,
  type EditedLesson,
  type Finding,
  type LessonDocument,
  type Plan,
  type Space,
  type Variant,
} from '../../lib/api/client'
import type { Draft } from '../../lib/drafts/draft.svelte'

/** Planner is a lesson that is being shaped: its document, its plan, and what the last change did to it. */
export class Planner {
  readonly id: string
  plan = $state.raw<Plan>() as Plan
  selected = $state('')
  /**
   * What is being looked for in the one field: something to add at a place, -1 for where it belongs, or for a block.
   */
  adding = $state.raw<{ kind: 'add'; at: number } | { kind: 'swap' | 'count'; block: string }>()
  /** What the last edit squeezed or stretched, or why it could not be done. */
  sentences = $state.raw<string[]>([])
  /** What to take out so that the rest fits. */
  drop = $state.raw<string[]>([])
  unread = $state('')
  /** Edits that are being worked out; they are not in the document yet. */
  editing = $state(0)
  #doing: Promise<void> = Promise.resolve()
  /** The lesson that the plan was made from, where an edit brought its plan along. */
  #planned = ''

  constructor(
    lesson: Lesson,
    readonly draft: Draft<LessonDocument>,
  ) {
    this.id = lesson.id
    this.plan = lesson.plan
  }

  get document() {
    return this.draft.document
  }

  get at() {
    return this.document.blocks.findIndex((block) => block.id === this.selected)
  }

  get block(): Block | undefined {
    return this.document.blocks[this.at]
  }

  /** Somebody made something of the lesson: more than the blocks with which it begins. */
  get made() {
    return this.draft.canUndo || this.document.blocks.some(({ drill, game }) => drill ?? game)
  }

  /** schedule asks for the plan of the lesson as it stands, unless a change brought it along; stop makes it stale. */
  schedule(again: boolean): () => void {
    const body = this.snapshot()
    let current = true
    if (again || JSON.stringify(body) !== this.#planned) {
      answer(api.POST('/api/lessons/preview', { body }))
        .then((plan) => {
          if (!current) return
          this.plan = plan
          this.unread = ''
        })
        .catch((error: unknown) => {
          if (current) this.unread = describe(error)
        })
    } else this.unread = ''
    return () => (current = false)
  }

  /** A plain copy of the lesson as it stands. */
  snapshot(): LessonDocument {
    return $state.snapshot(this.document) as LessonDocument
  }

  /**
   * edit does one thing to the lesson and has the rest fitted. Changes that follow quickly wait in line; one that
   * builds on the lesson as it is then is passed as a function.
   */
  edit(edit: LessonEdit | ((lesson: LessonDocument) => LessonEdit)): Promise<void> {
    return this.#queue((document) => {
      const todo = typeof edit === 'function' ? edit(document) : edit
      const put = todo.new ? { ...todo.new, id: todo.new.id || v7() } : undefined
      return answer(api.POST('/api/lessons/edit', { body: { document, edit: { ...todo, new: put } } }))
    })
  }

  /** vary changes something of what is different for one student in a block. */
  vary(block: string, student: string, part: Partial<Variant>) {
    return this.edit((lesson) => {
      const before = lesson.blocks.find((b) => b.id === block)?.variants?.find((v) => v.student === student)
      return { kind: 'variant', block, variant: { ...before, ...part, student } }
    })
  }

  /** fill takes the blocks of a shape of lesson, with drills for the students' next steps. */
  fill(template: string): Promise<void> {
    return this.#queue((document) => answer(api.POST('/api/lessons/fill', { body: { document, template } })))
  }

  /** undo and redo wait for what is under way. */
  undo() {
    this.#doing = this.#doing.then(() => this.draft.undo())
  }

  redo() {
    this.#doing = this.#doing.then(() => this.draft.redo())
  }

  /** Asks for a change in its turn. */
  #queue(ask: (document: LessonDocument) => Promise<EditedLesson>): Promise<void> {
    this.editing++
    this.#doing = this.#doing.then(async () => {
      try {
        const changed = await this.draft.upToDate(ask)
        this.#planned = JSON.stringify(changed.document)
        this.plan = changed.plan
        this.draft.replace(changed.document)
        this.sentences = changed.sentences.map(({ words }) => words)
        this.drop = changed.drop
      } catch (error) {
        this.sentences = [describe(error)]
        this.drop = []
      } finally {
        this.editing--
      }
    })
    return this.#doing
  }

  /** set changes fields of a block as they were typed; nothing else is fitted. */
  set(block: string, part: Partial<Block>) {
    this.draft.change((d) => {
      const found = d.blocks.find((b) => b.id === block)
      if (found) Object.assign(found, part)
    })
  }

  /** add puts a block in at a place, -1 for where one of its kind belongs. */
  add(block: Block, at: number) {
    const fresh = { ...block, id: v7() }
    this.selected = fresh.id
    return this.edit(at < 0 ? { kind: 'add', new: fresh } : { kind: 'insert', to: at, new: fresh })
  }

  /** hush leaves a finding as it is for a reason; without one it is told again. */
  hush(finding: Finding, why: string) {
    return this.edit({ kind: 'hush', hush: { block: finding.block, about: finding.about, why } })
  }

  takeOut(block: string) {
    const { blocks } = this.document
    const at = blocks.findIndex((b) => b.id === block)
    if (block === this.selected) this.selected = (blocks[at + 1] ?? blocks[at - 1])?.id ?? ''
    return this.edit({ kind: 'remove', block })
  }

  move(block: string, by: number) {
    return this.edit((lesson) => {
      const at = lesson.blocks.findIndex((b) => b.id === block)
      return { kind: 'move', block, to: Math.max(0, at + by) }
    })
  }

  /** resize makes a block longer or shorter by so many minutes, to half minutes. */
  resize(block: string, by: number) {
    return this.edit((lesson) => {
      const minutes = (lesson.blocks.find((b) => b.id === block)?.minutes ?? 0) + by
      return { kind: 'resize', block, minutes: Math.max(0.5, Math.round(2 * minutes) / 2) }
    })
  }

  pin(block: string) {
    return this.edit((lesson) => {
      const pinned = lesson.blocks.find((b) => b.id === block)?.pinned
      return { kind: 'pin', block, on: !pinned }
    })
  }

  /** space changes something about the courts there are. */
  space(part: Partial<Space>) {
    return this.edit((lesson) => ({ kind: 'space', space: { ...lesson.space, ...part } }))
  }

  /** leave goes on to another page once everything is saved. */
  async leave(event: MouseEvent, path: string) {
    event.preventDefault()
    await this.#doing
    await this.draft.flush()
    await push(path)
  }
}
