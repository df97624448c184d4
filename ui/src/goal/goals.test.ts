import { describe, expect, it } from 'vitest'
import { columns, ofForm, type GoalForm } from './goals'

describe('a goal of another kind', () => {
  const streak: GoalForm = {
    kind: 'in a row',
    unit: 'ball',
    units: ['ball', 'sequence', 'repetition', 'point'],
    label: 'in a row',
    counted: 'How many',
    first: { kind: 'in a row', count: 5 },
    least: 1,
    most: 10,
    misses: ['back to zero', 'carries on where it was'],
  }
  it('keeps its number where it makes sense', () => {
    expect(ofForm(streak, { kind: 'total', count: 7 })).toEqual({ kind: 'in a row', count: 7 })
    expect(ofForm(streak, { kind: 'total', count: 25 }).count).toBe(10)
    expect(ofForm({ ...streak, least: 5 }, { kind: 'total', count: 2 }).count).toBe(5)
  })
  it('keeps the school of miss between streaks', () => {
    const was = { kind: 'in stages', count: 1, miss: 'carries on where it was' } as const
    expect(ofForm(streak, was).miss).toBe(was.miss)
    expect(ofForm({ ...streak, misses: [] }, was).miss).toBeUndefined()
    expect(ofForm(streak, { ...was, miss: 'back to the start of the stage' }).miss).toBeUndefined()
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
