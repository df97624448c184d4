import { beforeEach, describe, expect, it } from 'vitest'
import type { Answered, Courtside } from '../../lib/api/client'
import { LessonRun } from './lessonrun'

let now: number
const block = (id: string, start: number, end: number, more: object = {}) => ({
  block: id,
  title: id,
  start,
  end,
  versions: ['easier', 'as written', 'harder'],
  version: 'as written',
  unsafe: [],
  ...more,
})
const cue = (second: number, block: string, kind: string, roles: object[] = []) => ({
  second,
  block,
  kind,
  text: `${kind} at ${second}`,
  roles,
})
/** A lesson of a warm-up of 300 s and a drill of 600 s, at a second. */
const lesson = (second: number, running: boolean | null, more: object = {}) =>
  ({
    second,
    clock: running === null ? null : { anchor: '', second, running },
    sheet: [
      cue(0, 'warm-up', 'call'),
      cue(300, 'drill', 'start', [{ name: 'Ada' }]),
      cue(301, 'drill', 'count'),
      cue(600, 'drill', 'swap', [{ name: 'Ben' }]),
    ],
    lesson: {
      document: { blocks: [{ id: 'warm-up' }, { id: 'drill' }] },
      plan: { planned: 900, blocks: [block('warm-up', 0, 300), block('drill', 300, 900)] },
    },
    ...more,
  }) as unknown as Courtside
const answered = (data: Courtside, more: object = {}) =>
  ({ ...data, sentences: [], changed: null, refused: [], ...more }) as Answered

const runOf = (second: number, running: boolean | null = true) =>
  new LessonRun(lesson(second, running), () => now)
const later = (run: LessonRun, seconds: number) => {
  now += 1000 * seconds
  run.tick()
}

beforeEach(() => (now = 1_000_000))

describe('the clock', () => {
  it('goes on by the wall clock while it runs, also where the page slept', () => {
    const run = runOf(100)
    later(run, 250)
    expect([run.second, run.scheduled?.block]).toEqual([350, 'drill'])
    run.begins(run.hold())
    later(run, 67)
    expect([run.second, run.running]).toEqual([350, false])
  })
  it('does not go back for what an answer was on its way for, and does for more', () => {
    const run = runOf(100)
    later(run, 10)
    run.take(answered(lesson(109.5, true)))
    expect(run.second).toBe(110)
    run.take(answered(lesson(100, true)))
    expect(run.second).toBe(100)
  })
  it('is over once it has gone through all that is planned', () => {
    const run = runOf(899)
    expect(run.over).toBe(false)
    later(run, 1)
    expect([run.over, run.scheduled?.block]).toEqual([true, 'drill'])
  })
})

describe('what is called', () => {
  it('is the newest call, which a swap leaves standing, and never what is counted', () => {
    const run = runOf(650)
    expect([run.cue?.text, run.roles?.text, run.next]).toEqual(['start at 300', 'swap at 600', undefined])
    const early = runOf(299)
    expect([early.cue?.text, early.roles, early.next?.text]).toEqual(['call at 0', undefined, 'start at 300'])
    expect(runOf(310).nextRoles?.text).toBe('swap at 600')
  })
})

describe('what is done', () => {
  it('is shown at once, and says which block is on and how much of it is gone', () => {
    const run = runOf(400)
    const doing = run.longer(2)
    expect(doing?.what.travel).toEqual({ kind: 'longer', minutes: 2, block: 'drill', gone: 100 })
    run.begins(run.skip()!)
    expect(run.second).toBe(900)
    const back = runOf(400).back()
    expect([back?.what.travel?.kind, back?.shown?.second]).toEqual(['go back', 299])
  })
  it('holds the block that is on, wherever the road has it by then', () => {
    const run = runOf(100)
    run.begins(run.skip()!)
    later(run, 20)
    expect(run.hold().what.clock).toEqual({
      second: 320,
      running: false,
      finished: false,
      block: 'drill',
      gone: 20,
    })
  })
  it('looks at the blocks before it is begun, and begins where one is', () => {
    const run = runOf(0, null)
    expect(run.jump(1)?.what).toEqual({ clock: { second: 300, running: true, finished: false } })
    expect(run.jump(-1)?.what.clock?.second).toBe(0)
    expect(run.begin({ minutes: 40, start: '16:10' }).what.travel).toEqual({
      kind: 'end',
      block: 'warm-up',
      minutes: 40,
      start: '16:10',
    })
  })
  it('proposes nothing harder that would not be safe', () => {
    const run = runOf(400)
    expect(run.versions).toEqual({ names: ['easier', 'as written', 'harder'], at: 1, harder: 'harder' })
    const plan = { planned: 900, blocks: [block('drill', 0, 900, { unsafe: ['harder'] })] }
    const careful = new LessonRun(
      lesson(400, true, { lesson: { document: { blocks: [] }, plan } }),
      () => now,
    )
    expect(careful.versions.harder).toBe('')
  })
})

describe('what is said of a change', () => {
  const changed = { before: {}, after: {} }
  it('comes with the answer to it, and asks why of one that wants a reason', () => {
    const run = runOf(400)
    const doing = run.onTheSpot({ kind: 'adjust', size: 2 })
    run.begins(doing)
    run.written(doing, 'the act')
    run.take(answered(lesson(400, true))) // what was asked before comes back after it
    expect(run.said).toBeUndefined()
    run.take(answered(lesson(400, true), { sentences: [{ words: 'Larger.' }], changed }))
    expect(run.said).toMatchObject({ sentences: ['Larger.'], asks: 'the act' })
    run.take(answered(lesson(401, true), { sentences: [{ words: 'Another device.' }], changed }))
    expect(run.said).toMatchObject({ sentences: ['Larger.'] })
  })
  it('is nothing of a change that was refused', () => {
    const run = runOf(400)
    const doing = run.onTheSpot({ kind: 'adjust', size: 2 })
    run.begins(doing)
    run.written(doing, 'the act')
    run.take(answered(lesson(400, true), { refused: [{ id: 'the act', fields: [] }] }))
    run.take(answered(lesson(401, true), { sentences: [{ words: 'By another device.' }], changed }))
    expect(run.said).toBeUndefined()
  })
  it('is nothing of a count or of the clock', () => {
    const run = runOf(400)
    run.begins(run.hold())
    run.take(answered(lesson(400, false), { sentences: [{ words: 'By another device.' }], changed }))
    expect(run.said).toBeUndefined()
  })
})
