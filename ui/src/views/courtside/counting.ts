import { measureOf } from '../../device/measure'
import type { Counter } from '../../lib/api/client'
import type { Whose } from '../../device/runs'
import type { Waiting } from './courtside.svelte'
import { withoutUndone, withWaiting } from './waiting'

/** keyOf names a count: of whom, at which measure, of which drill. */
export const keyOf = (counter: Counter) => `${counter.counted} ${counter.measure} ${counter.party}`

/** done says whether a goal is met and nothing counts towards it any more. */
export const done = ({ standing, over }: Counter) => standing.met && over

/** whose says whose count a counter is. */
export const whose = ({ party, measure }: Counter): Whose => ({ student: party, measure })

/**
 * turns has one counter for each student who keeps a count of their own at some measure, in the order of their turns.
 */
export const turns = (counters: Counter[]) =>
  counters.filter(
    (each, i) => counters.findIndex((c) => c.student === each.student && c.party === c.student) === i,
  )

/** provisional is what stands of a count once the taps that are not answered yet are counted too. */
export const provisional = (counter: Counter, waiting: Waiting[]) =>
  withWaiting(
    counter.count,
    waiting
      .filter(
        (tap) =>
          [counter.block, counter.counted].includes(tap.block) &&
          tap.student === counter.party &&
          measureOf(tap) === counter.measure,
      )
      .map((tap) => tap.entry),
  )

/** unanswered is how often a fault of a student was seen that is not answered yet. */
export function unanswered(fault: string, student: string, waiting: Waiting[]) {
  const own = waiting.filter((tap) => tap.student === student).map((tap) => tap.entry)
  return withoutUndone(own).filter((entry) => entry.kind === 'fault' && entry.fault === fault).length
}

/** stillAt is who is at a measure yet, the next one in turn after somebody first. */
export function stillAt(measure: number, people: Counter[], after: number, counters: Counter[]) {
  const inTurn = [...people.slice(after + 1), ...people.slice(0, after)]
  return inTurn.find((each) =>
    counters.some((c) => c.student === each.student && c.measure === measure && !c.over),
  )
}

/**
 * timesUp are the counts of a measure whose time is up with its clock: of whoever has begun, and of the one who is on.
 */
export const timesUp = (on: Counter, counters: Counter[], waiting: Waiting[]) =>
  counters.filter(
    (each) =>
      each.measure === on.measure &&
      each.party === each.student &&
      each.timed &&
      !each.over &&
      (each === on ||
        each.count.taps > 0 ||
        waiting.some((tap) => tap.student === each.party && measureOf(tap) === each.measure)),
  )

/** answersOf are the two answers to a ball, a try or a point. */
export function answersOf({ unit, against, short }: Counter): [made: string, missed: string] {
  if (against) return [`Point to ${short}`, `Point to ${against}`]
  return unit === 'point' ? ['Point won', 'Point lost'] : ['Made', 'Missed']
}

/** The two ways of counting, one by one and afterwards, as the button is called that leads there. */
const ways: Record<Counter['unit'], [ball: string, turn: string]> = {
  ball: ['Count ball by ball', 'Count after the turn'],
  sequence: ['Count one by one', 'Count after the turn'],
  repetition: ['Count one by one', 'Count after the turn'],
  point: ['Count point by point', 'Count after the game'],
  rally: ['Count stroke by stroke', 'Count after the rally'],
  time: ['Use the stopwatch', 'Type the time'],
}

/** otherWay is what leads to the other way of counting. */
export const otherWay = (unit: Counter['unit'], way: 'ball' | 'turn') => ways[unit][way === 'ball' ? 1 : 0]
