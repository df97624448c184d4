import { useQueryClient, type QueryClient } from '@tanstack/svelte-query'
import { v7 } from 'uuid'
import {
  answer,
  api,
  over,
  say,
  type Block,
  type Lesson,
  type LessonChange,
  type LessonDocument,
  type Plan,
} from '../../lib/api/client'
import { keys } from '../../lib/data'
import { Draft } from '../../lib/draft.svelte'

/** Planner is a lesson that is being shaped: its document, its plan, and what the last change did to it. */
export class Planner {
  readonly id: string
  readonly draft: Draft<LessonDocument>
  plan = $state.raw<Plan>() as Plan
  selected = $state('')
  /** What the last change squeezed or stretched, or why it could not be done. */
  said = $state.raw<string[]>([])
  /** What to take out so that the rest fits. */
  drop = $state.raw<string[]>([])
  unread = $state('')
  #client: QueryClient
  #doing: Promise<void> = Promise.resolve()

  constructor(lesson: Lesson) {
    this.#client = useQueryClient()
    this.id = lesson.id
    this.plan = lesson.plan
    this.draft = new Draft<LessonDocument>(lesson.document, lesson.version, async (body, base) => {
      const kept = await answer(
        api.PUT('/api/lessons/{id}', { params: { path: { id: this.id }, header: over(base) }, body }),
      )
      void this.#client.invalidateQueries({ queryKey: keys.lessons, refetchType: 'none' })
      return kept.version
    })
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

  /** A plain copy of the lesson as it stands. */
  snapshot(): LessonDocument {
    return $state.snapshot(this.document) as LessonDocument
  }

  /** alter does one thing to the lesson and has the rest fitted; changes that follow quickly wait in line. */
  alter(change: LessonChange): Promise<void> {
    const put = change.new ? { ...change.new, id: change.new.id || v7() } : undefined
    return this.#queue(() =>
      answer(
        api.POST('/api/lessons/change', {
          body: { document: this.snapshot(), change: { ...change, new: put } },
        }),
      ),
    )
  }

  /** fill takes the blocks of a shape of lesson, with drills for the students' next steps. */
  fill(template: string): Promise<void> {
    return this.#queue(() =>
      answer(api.POST('/api/lessons/fill', { body: { document: this.snapshot(), template } })),
    )
  }

  #queue(ask: () => Promise<{ document: LessonDocument; said: string[]; drop: string[] }>): Promise<void> {
    this.#doing = this.#doing.then(async () => {
      try {
        const changed = await ask()
        this.draft.replace(changed.document)
        this.said = changed.said
        this.drop = changed.drop
      } catch (error) {
        this.said = [say(error)]
        this.drop = []
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

  add(block: Block) {
    const fresh = { ...block, id: v7() }
    const { blocks } = this.document
    const beforeTalk = blocks.at(-1)?.kind === 'closing talk' && block.kind !== 'closing talk'
    const to = this.at >= 0 ? this.at + 1 : blocks.length - (beforeTalk ? 1 : 0)
    this.selected = fresh.id
    return this.alter({ kind: 'insert', to, new: fresh })
  }

  takeOut(block: string) {
    const { blocks } = this.document
    const at = blocks.findIndex((b) => b.id === block)
    if (block === this.selected) this.selected = (blocks[at + 1] ?? blocks[at - 1])?.id ?? ''
    return this.alter({ kind: 'take out', block })
  }

  move(block: string, by: number) {
    const at = this.document.blocks.findIndex((b) => b.id === block)
    if (at + by < 0) return
    return this.alter({ kind: 'move', block, to: at + by })
  }

  stretch(block: string, minutes: number) {
    return this.alter({ kind: 'stretch', block, minutes: Math.max(0.5, minutes) })
  }

  pin(block: string) {
    const pinned = this.document.blocks.find((b) => b.id === block)?.pinned
    return this.alter({ kind: 'pin', block, on: !pinned })
  }
}
