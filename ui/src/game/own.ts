import type { Played } from '../lib/api/client'

/** The players' own scores in a game, the highest first; none where score is kept by side. */
export const ownScores = (played: Played) =>
  (played.state?.personal ?? [])
    .map((points, i) => ({ id: played.document.players[i] ?? '', points }))
    .sort((a, b) => b.points - a.points)
