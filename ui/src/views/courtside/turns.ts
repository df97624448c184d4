import type { Counter } from '../../lib/api/client'

/** turns has one counter for each student who keeps a count of their own at some measure, in the order of their turns. */
export const turns = (counters: Counter[]) =>
  counters.filter(
    (each, i) => counters.findIndex((c) => c.student === each.student && c.party === c.student) === i,
  )
