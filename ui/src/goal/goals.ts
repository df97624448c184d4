import type { Goal, Unit, Vocabulary } from '../lib/api/client'

export type GoalForm = Vocabulary['goals'][number]

/** How many strokes a set within a rally begins with. */
const strokesInASet = 2

/** ofForm is a goal of another kind that keeps of the old one what makes sense. */
export const ofForm = (form: GoalForm, was: Goal, unit?: Unit): Goal => ({
  ...form.first,
  ...(unit === 'rally' && form.unit === 'ball' ? { of: strokesInASet } : {}), // in sets within rallies
  count: Math.min(Math.max(was.count, form.least), form.most),
  ...(was.miss && form.misses.includes(was.miss) ? { miss: was.miss } : {}),
})

/** A number of a goal, besides how many are wanted. */
interface GoalNumber {
  name: 'then' | 'sets' | 'minutes' | 'of' | 'against' | 'from' | 'to' | 'lead' | 'seconds' | 'misses'
  label: string
  value: number
  unit?: string
  min?: number
  step?: number
}

/**
 * The numbers that a goal has as its kind needs them, in the order in which they are asked for; one that is not there
 * is what a goal of the kind begins with.
 */
export function numbersOf(goal: Goal, form: GoalForm | undefined, unit?: Unit): GoalNumber[] {
  const first = form?.first ?? goal
  const strokes: GoalNumber = {
    name: 'of',
    label: 'Strokes in a set',
    value: goal.of ?? strokesInASet,
    min: 2,
  }
  const sets = (label: string): GoalNumber => ({ name: 'sets', label, value: goal.sets || 1, min: 1 })
  switch (goal.kind) {
    case 'in a row':
      return [sets('How often')]
    case 'total, then in a row':
      return [
        { name: 'then', label: 'Then in a row', value: goal.then ?? first.then ?? 1, min: 1 },
        sets('Parts'),
      ]
    case 'as many as possible':
      return [
        {
          name: 'minutes',
          label: 'Within',
          unit: 'min',
          step: 0.5,
          value: goal.minutes ?? first.minutes ?? 1,
        },
        ...(goal.of || unit === 'rally' ? [strokes] : []),
      ]
    case 'first to':
      return [
        { name: 'against', label: 'The other needs', value: goal.against || goal.count, min: 1 },
        { name: 'lead', label: 'Points ahead', value: goal.lead || 1, min: 1 },
      ]
    case 'rallies of a length':
      return [
        { name: 'from', label: 'Strokes, at least', value: goal.from ?? first.from ?? 1, min: 1 },
        { name: 'to', label: 'At most', value: goal.to ?? first.to ?? 1, min: 1 },
      ]
    case 'sets in rallies':
      return [strokes]
    case 'within a time':
      return [
        {
          name: 'seconds',
          label: 'Within',
          unit: 's',
          min: 0.1,
          step: 0.1,
          value: goal.seconds ?? first.seconds ?? 1,
        },
      ]
    case 'few misses':
      return [
        { name: 'misses', label: 'Misses at most', value: goal.misses ?? 0, min: 0 },
        {
          name: 'minutes',
          label: goal.minutes ? 'Within' : 'Within (0: so many balls)',
          unit: 'min',
          min: 0,
          step: 0.5,
          value: goal.minutes ?? 0,
        },
      ]
    default:
      return []
  }
}

/** Dots that are equally likely, put together into columns of equal width: where each stands, and how high. */
export function columns(dots: number[], count: number): { at: number; height: number }[] {
  const low = dots[0] ?? 0
  const high = Math.max(dots.at(-1) ?? 1, low + 1)
  const heights = new Map<number, number>()
  return dots.map((dot) => {
    const column = Math.min(Math.floor(((dot - low) / (high - low)) * count), count - 1)
    const height = heights.get(column) ?? 0
    heights.set(column, height + 1)
    return { at: column, height }
  })
}
