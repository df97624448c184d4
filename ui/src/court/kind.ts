import type { Report } from '../lib/api/client'

type Court = Pick<Report['court'], 'net' | 'walls'>

/** hasNet says whether a net parts a court in two halves; without one both sides play on one floor. */
export const hasNet = (court: Pick<Court, 'net'>) => court.net.halfUp > 0

/** playsWalls says whether the walls of a court are played. */
export const playsWalls = (court: Pick<Court, 'walls'>) => court.walls.length > 0
