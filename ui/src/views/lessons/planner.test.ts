import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type Lesson, type LessonEdit, type LessonDocument } from '../../lib/api/client'
import { Draft } from '../../lib/drafts/draft.svelte'
import { Planner } from './planner.svelte'

const blocks = ['a', 'b', 'c'].map((id) => ({
  id,
  kind: 'drill' as const,
  title: id,
  minutes: 10,
  effort: 5,
  calls: [],
}))
const lesson = {
  id: 'l',
  revision: 1,
  document: {
    version: 4,
    title: 'Pair',
    date: '2026-03-10',
    start: '16:00',
    minutes: 60,
    students: [],
    blocks,
  },
  plan: { name: 'as it was read' },
} as unknown as Lesson

interface Asked {
  document: LessonDocument
  edit: LessonEdit
}
let asked: Asked[] = []
/** What an edit does on the server of these tests; it answers when it is let. */
let letGo: (() => void)[] = []
let hold = false

function edited({ document, edit }: Asked) {
  const at = document.blocks.findIndex((b) => b.id === edit.block)
  const after = structuredClone(document)
  const block = after.blocks[at]
  if (block && edit.kind === 'resize') block.minutes = edit.minutes ?? 0
  if (block && edit.kind === 'variant')
    block.variants = [
      ...(block.variants ?? []).filter((v) => v.student !== edit.variant?.student),
      edit.variant!,
    ]
  if (edit.kind === 'remove') after.blocks.splice(at, 1)
  return {
    document: after,
    sentences: [edit.kind],
    drop: [],
    fits: true,
    plan: { name: `after ${asked.length}` },
  }
}

beforeEach(() => {
  asked = []
  letGo = []
  hold = false
  const response = new Response()
  vi.spyOn(api, 'POST').mockImplementation((async (path: string, init: { body: unknown }) => {
    if (path !== '/api/lessons/edit') return { data: { name: 'asked for' }, response }
    const body = structuredClone(init.body) as Asked
    asked.push(body)
    if (body.edit.kind === 'fit')
      return {
        error: { detail: 'nothing to fit', fields: [], status: 422, title: '', type: '' },
        response: new Response(null, { status: 422 }),
      }
    if (hold) await new Promise<void>((resolve) => letGo.push(resolve))
    return { data: edited(body), response }
  }) as unknown as typeof api.POST)
})
afterEach(() => vi.restoreAllMocks())

const storage = {
  put: () => Promise.resolve(),
  drop: () => Promise.resolve(),
  mine: () => Promise.resolve([]),
  takeOver: () => Promise.resolve([]),
}
const planner = () =>
  new Planner(
    lesson,
    new Draft<LessonDocument>(lesson, {
      kind: 'lesson',
      id: 'l',
      send: () => Promise.resolve(2),
      load: () => Promise.resolve(lesson),
      storage,
    }),
  )

test('presses that follow quickly add up', async () => {
  const p = planner()
  await Promise.all([p.resize('a', 0.5), p.resize('a', 0.5), p.resize('a', 2)])
  expect(asked.map((a) => a.edit.minutes)).toEqual([10.5, 11, 13])
  expect(p.document.blocks[0]?.minutes).toBe(13)
})

test('fields of one player that are changed quickly are all kept', async () => {
  const p = planner()
  await Promise.all([p.vary('a', 's', { gap: 4 }), p.vary('a', 's', { drawn: 'mirrored' })])
  expect(p.document.blocks[0]?.variants).toEqual([{ student: 's', gap: 4, drawn: 'mirrored' }])
})

test('what is typed while a change is under way is kept', async () => {
  const p = planner()
  hold = true
  const done = p.resize('b', 5)
  await vi.waitFor(() => expect(letGo).toHaveLength(1))
  p.draft.change((d) => (d.title = 'Typed meanwhile'))
  hold = false
  letGo[0]?.()
  await done
  expect(asked).toHaveLength(2)
  expect(p.document.title).toBe('Typed meanwhile')
  expect(p.document.blocks[1]?.minutes).toBe(15)
})

test('undo waits for what is under way, and brings back what was', async () => {
  const p = planner()
  const out = p.takeOut('c')
  p.undo()
  await out
  await vi.waitFor(() => expect(p.document.blocks).toHaveLength(3))
  p.redo()
  await vi.waitFor(() => expect(p.document.blocks).toHaveLength(2))
})

test('a change that cannot be done is told and changes nothing', async () => {
  const p = planner()
  await p.edit({ kind: 'fit' })
  expect(p.sentences).toEqual(['nothing to fit'])
  expect(p.document.blocks).toHaveLength(3)
})

test('a plan that a change brought along is not asked for again', async () => {
  const p = planner()
  await p.resize('a', 1)
  expect(p.plan).toEqual({ name: 'after 1' })
  p.schedule(false)
  expect(vi.mocked(api.POST).mock.calls.map((call) => call[0])).toEqual(['/api/lessons/edit'])
  p.schedule(true)
  await vi.waitFor(() => expect(p.plan).toEqual({ name: 'asked for' }))
  p.draft.change((d) => (d.minutes = 45))
  p.schedule(false)
  expect(vi.mocked(api.POST)).toHaveBeenCalledTimes(3)
})

test('a new block gets an identifier and stands behind the chosen one', async () => {
  const p = planner()
  p.selected = 'a'
  await p.add({ ...blocks[0]!, id: '', title: 'Water', kind: 'break' }, 1)
  expect(asked[0]?.edit).toMatchObject({ kind: 'insert', to: 1 })
  expect(asked[0]?.edit.new?.id).toMatch(/^[0-9a-f-]{36}$/)
  expect(p.selected).toBe(asked[0]?.edit.new?.id)
})
