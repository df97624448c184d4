import type { Simulation } from '../../../lib/api/client'

type Fastest = Simulation['fastest'][number]

/** From which gap on each strain is kept, said once: what is no easier than the one before it adds nothing. */
export const apart = (fastest: Fastest[]) =>
  fastest.filter((each, i) => i === 0 || each.gap !== fastest[i - 1]?.gap)
