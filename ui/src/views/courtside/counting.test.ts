import { describe, expect, it } from 'vitest'
import type { Counter } from '../../lib/api/client'
import type { Waiting } from './courtside.svelte'
import { answersOf, otherWay, provisional, stillAt, timesUp, turns, unanswered } from './counting'

const counter = (student: string, more: Partial<Counter> = {}) =>
  ({
    block: 'b',
    counted: 'b',
    student,
    party: student,
    measure: 1,
    unit: 'ball',
    short: student,
    against: '',
    timed: false,
    over: false,
    count: { made: 2, balls: 3, rallies: 0, tries: 0, taps: 3 },
    ...more,
  }) as Counter
const tap = (student: string, kind: string, more: object = {}) =>
  ({ run: '', block: 'b', student, entry: { seq: 0, at: '', kind, ...more } }) as Waiting

const [ada, ben, cleo] = [counter('ada'), counter('ben'), counter('cleo')] as const

describe('who counts', () => {
  it('has a turn for each student with a count of their own, once', () => {
    const partner = counter('dora', { party: 'cleo' })
    expect(turns([ada, counter('ada', { measure: 2 }), ben, cleo, partner])).toEqual([ada, ben, cleo])
  })
  it('finds who is still at a measure, the next one in turn first', () => {
    const over = counter('cleo', { over: true })
    expect(stillAt(1, [ada, ben, over], 1, [ada, ben, over])).toBe(ada)
    expect(stillAt(2, [ada, ben], 0, [ada, ben])).toBeUndefined()
  })
})

describe('a count that is not answered', () => {
  it('is of its student, measure and drill only', () => {
    const waiting = [tap('ada', 'made'), tap('ada', 'made', {}), tap('ben', 'made')]
    expect(provisional(ada, [...waiting, { ...tap('ada', 'made'), measure: 2 }]).made).toBe(4)
    expect(provisional(ada, [{ ...tap('ada', 'made'), block: 'another' }]).made).toBe(2)
  })
  it('shows faults that were seen and not taken back', () => {
    const late = { fault: 'late' }
    const seen = [tap('ada', 'fault', late), tap('ada', 'fault', late), tap('ada', 'undo')]
    expect(unanswered('late', 'ada', seen)).toBe(1)
    expect(unanswered('late', 'ben', seen)).toBe(0)
  })
})

it('ends the time of whoever has begun, and of nobody else', () => {
  const timed = { timed: true }
  const none = { ...ada.count, taps: 0 }
  const on = counter('ada', { ...timed, count: none })
  const begun = counter('ben', timed)
  const waits = counter('cleo', { ...timed, count: none })
  const idle = counter('dora', { ...timed, count: none })
  const over = counter('eve', { ...timed, over: true })
  const other = counter('fay', { ...timed, measure: 2 })
  const all = [on, begun, waits, idle, over, other]
  expect(timesUp(on, all, [tap('cleo', 'made')])).toEqual([on, begun, waits])
})

it('calls answers and ways by what is counted', () => {
  expect(answersOf(ada)).toEqual(['Made', 'Missed'])
  expect(answersOf(counter('ada', { unit: 'point' }))).toEqual(['Point won', 'Point lost'])
  expect(answersOf(counter('ada', { unit: 'point', against: 'Ben' }))).toEqual([
    'Point to ada',
    'Point to Ben',
  ])
  expect(otherWay('rally', 'ball')).toBe('Count after the rally')
  expect(otherWay('rally', 'turn')).toBe('Count stroke by stroke')
})
