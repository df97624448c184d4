import type { Goal, Unit, Vocabulary } from '../lib/api/client'

export type GoalForm = Vocabulary['goals'][number]

/** ofForm is a goal of another kind that keeps of the old one what makes sense. */
export const ofForm = (form: GoalForm, was: Goal, unit?: Unit): Goal => ({
  ...form.first,
  ...(unit === 'rally' && form.unit === 'ball' ? { of: 2 } : {}), // in sets within rallies
  count: Math.min(Math.max(was.count, form.least), form.most),
  ...(was.miss && form.misses.includes(was.miss) ? { miss: was.miss } : {}),
})

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
