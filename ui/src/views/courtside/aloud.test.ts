import { expect, test } from 'vitest'
import { callsBetween, goalsMet, limitsNear, type Moment } from './aloud'

const moment = (change: Partial<Moment>): Moment => ({
  running: true,
  cue: { second: 0, text: 'Forehand side' },
  roles: undefined,
  block: { block: 'a', title: 'Ball warm-up' },
  left: 200,
  met: new Map(),
  ...change,
})

test('a call that changes is said, and one that stands is not said again', () => {
  const first = moment({})
  expect(callsBetween(first, moment({ left: 199 }))).toEqual([])
  expect(callsBetween(first, moment({ cue: { second: 120, text: 'Backhand side' } }))).toEqual([
    { text: 'Backhand side', sign: 'call' },
  ])
  // A lesson that begins, or goes on after it was held, says where it is.
  expect(callsBetween(moment({ running: false }), first)).toEqual([{ text: 'Forehand side', sign: 'call' }])
  expect(callsBetween(first, moment({ running: false, cue: { second: 5, text: 'Later' } }))).toEqual([])
})

test('a new block is told with the gong', () => {
  const next = moment({
    block: { block: 'b', title: 'Coin' },
    cue: { second: 480, text: 'Set up: Coin' },
    left: 600,
  })
  expect(callsBetween(moment({ left: 0.2 }), next)).toEqual([{ text: 'Set up: Coin', sign: 'end' }])
})

test('who goes where is said, without those who stay as drawn', () => {
  const roles = (second: number, ...list: [string, string][]) => ({
    second,
    text: 'Swap',
    roles: list.map(([name, role]) => ({ name: `${name} Last`, short: name, role })),
  })
  const before = moment({ roles: roles(0, ['Ada', 'feeds'], ['Bo', 'volleys']) })
  const after = moment({ roles: roles(60, ['Ada', 'volleys'], ['Bo', 'feeds'], ['Cy', 'as drawn']) })
  expect(callsBetween(before, after)).toEqual([{ text: 'Ada volleys. Bo feeds', sign: 'swap' }])
  expect(callsBetween(after, moment({ ...after, left: 150 }))).toEqual([])
})

test('the last ten seconds are said once', () => {
  expect(callsBetween(moment({ left: 10.2 }), moment({ left: 9.9 }))).toEqual([
    { text: 'Ten seconds', sign: 'call' },
  ])
  expect(callsBetween(moment({ left: 9.9 }), moment({ left: 9.7 }))).toEqual([])
  // Not where a block begins that is shorter, and not where one is over.
  expect(callsBetween(moment({ left: 300 }), moment({ block: { block: 'b', title: 'x' }, left: 5 }))).toEqual(
    [],
  )
})

test('a goal that is met is told once, also while the lesson is held', () => {
  const standing = { met: true, sentence: '' }
  const counter = {
    counted: 'a',
    measure: 1,
    standing,
    over: true,
    shared: '',
    short: 'Ada',
    party: '1',
    student: '1',
    called: '',
  }
  const other = { ...counter, student: '2' }
  const pair = { ...counter, measure: 2, shared: 'Bo + Cy', called: 'volleys' }
  const met = goalsMet([
    counter,
    other,
    pair,
    { ...counter, standing: { met: false, sentence: '' } },
    // As many as possible goes on until its time is up.
    { ...counter, over: false },
  ] as never)
  expect([...met.values()]).toEqual(['Ada: goal met', 'Bo + Cy, volleys: goal met'])
  expect(callsBetween(moment({ running: false }), moment({ running: false, met }))).toHaveLength(2)
  expect(callsBetween(moment({ met }), moment({ met }))).toEqual([])
  // The same student’s goal of another block is another one.
  const later = goalsMet([counter, { ...counter, counted: 'b' }] as never)
  expect(callsBetween(moment({ met }), moment({ met: later }))).toEqual([
    { text: 'Ada: goal met', sign: 'goal' },
  ])
})

test('a limit is told as it comes near, and again when it is reached', () => {
  const at = (reached: boolean, text: string) => ({ student: 'n', short: 'Noor', near: { text, reached } })
  const near = limitsNear([at(false, '24 of at most 30 overheads'), { ...at(false, ''), near: null }])
  expect([...near.values()]).toEqual(['Noor: 24 of at most 30 overheads'])
  const later = limitsNear([at(false, '25 of at most 30 overheads')])
  expect([...later.keys()]).toEqual([...near.keys()])
  expect([...limitsNear([at(true, '30 of at most 30 overheads')]).keys()]).not.toEqual([...near.keys()])
})
