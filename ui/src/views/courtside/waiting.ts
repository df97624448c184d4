import type { Counter, Entry } from '../../lib/api/client'

/** Count is what stands once the taps that are not answered yet are counted too. */
export interface Provisional {
  made: number
  balls: number
  /** Rallies whose strokes were counted. */
  rallies: number
  /** Tries on the clock. */
  tries: number
  taps: number
  /** How many are not answered. */
  waiting: number
  /** A tap that was answered is being taken back: what it was, only the answer says. */
  unsure: boolean
}

const ballsOf = (entry: Entry): [made: number, balls: number] => {
  if (entry.kind === 'made') return [1, 1]
  if (entry.kind === 'missed') return [0, 1]
  if (entry.kind === 'rally') return [entry.strokes ?? 0, (entry.strokes ?? 0) + (entry.stopped ? 0 : 1)]
  return entry.kind === 'turn' ? [entry.made ?? 0, entry.of ?? 0] : [0, 0]
}

/** Takes back what was undone, in order; before is how many of those that were answered already. */
function undone(waiting: Entry[]) {
  const standing: Entry[] = []
  let before = 0
  for (const entry of waiting) {
    if (entry.kind !== 'undo') standing.push(entry)
    else if (!standing.pop()) before++
  }
  return { standing, before }
}

/** withoutUndone lists the taps that stand. */
export const withoutUndone = (waiting: Entry[]) => undone(waiting).standing

/**
 * withWaiting adds the taps that are not answered yet, in order, to a count of core/count/tally, so that a coach sees
 * each tap at once. The cases that both must agree on stand in core/count/tally/testdata/waiting.json.
 */
export function withWaiting(count: Counter['count'], waiting: Entry[]): Provisional {
  const { standing, before } = undone(waiting)
  const sum = standing.map(ballsOf).reduce(([m, b], [made, balls]) => [m + made, b + balls], [0, 0])
  return {
    made: count.made + sum[0],
    balls: count.balls + sum[1],
    rallies: count.rallies + standing.filter((entry) => entry.kind === 'rally').length,
    tries: count.tries + standing.filter((entry) => entry.kind === 'time').length,
    taps: Math.max(0, count.taps - before) + standing.filter((entry) => entry.kind !== 'fault').length,
    waiting: waiting.length,
    unsure: before > 0,
  }
}
