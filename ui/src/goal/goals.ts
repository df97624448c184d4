import type { Goal } from '../lib/api/client'

/** anew is a goal of another kind that keeps as much of the old one as makes sense. */
export function anew(kind: Goal['kind'], was: Goal): Goal {
  const count = was.count
  switch (kind) {
    case 'in a row':
      return { kind, count: Math.min(count, 10), miss: was.miss }
    case 'in stages':
      return { kind, count: 1, stages: [{ count: 5 }, { count: 5 }], miss: was.miss }
    case 'total, then in a row':
      return { kind, count, then: 5, sets: 1, miss: was.miss }
    case 'as many as possible':
      return { kind, count, minutes: 3 }
    case 'first to':
      return { kind, count: Math.max(count, 5) }
    case 'rallies of a length':
      return { kind, count: 5, from: 4, to: 8 }
    default:
      return { kind, count }
  }
}

/** Goals whose streaks a miss can break. */
export const breaks = (goal: Goal) =>
  goal.kind === 'in a row' || goal.kind === 'in stages' || goal.kind === 'total, then in a row'

/** How many a goal asks for, where one number says it: the one that a slider moves. */
export const slides = (goal: Goal) => goal.kind !== 'in stages'

/** The most that a slider over a goal goes to. */
export function most(goal: Goal): number {
  const usual = { 'in a row': 30, 'rallies of a length': 30, 'first to': 30 }
  const top = goal.kind in usual ? usual[goal.kind as keyof typeof usual] : 60
  return Math.max(top, Math.ceil(goal.count * 1.5))
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
