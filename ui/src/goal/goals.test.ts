import { describe, expect, it } from 'vitest'
import { anew, breaks, columns, most } from './goals'

describe('a goal of another kind', () => {
  const total = { kind: 'total', count: 25 } as const
  it('keeps its count where it makes sense', () => {
    expect(anew('together', total)).toEqual({ kind: 'together', count: 25 })
    expect(anew('in a row', total).count).toBe(10)
    expect(anew('as many as possible', total)).toMatchObject({ count: 25, minutes: 3 })
  })
  it('starts with what its kind needs', () => {
    expect(anew('in stages', total).stages).toHaveLength(2)
    expect(anew('total, then in a row', total).then).toBe(5)
    expect(anew('rallies of a length', total)).toMatchObject({ from: 4, to: 8 })
    expect(anew('first to', { kind: 'total', count: 2 }).count).toBe(5)
  })
  it('keeps the school of miss between streaks', () => {
    const streak = { kind: 'in a row', count: 5, miss: 'carries on where it was' } as const
    expect(breaks(streak)).toBe(true)
    expect(anew('in stages', streak).miss).toBe(streak.miss)
    expect(breaks(total)).toBe(false)
  })
  it('slides beyond where it is', () => {
    expect(most(total)).toBe(60)
    expect(most({ kind: 'in a row', count: 40 })).toBe(60)
  })
})

describe('dots', () => {
  it('stand on each other in columns', () => {
    expect(columns([10, 11, 12, 20, 50], 4)).toEqual([
      { at: 0, height: 0 },
      { at: 0, height: 1 },
      { at: 0, height: 2 },
      { at: 1, height: 0 },
      { at: 3, height: 0 },
    ])
  })
  it('of one value stand in one column', () => {
    expect(columns([5, 5, 5], 10).map((dot) => dot.height)).toEqual([0, 1, 2])
  })
})
