import type { Report } from '../lib/api/client'

type Court = Pick<Report['court'], 'net' | 'walls' | 'above'>

/** hasNet says whether a net parts a court in two halves; without one both sides play on one floor. */
export const hasNet = (court: Pick<Court, 'net'>) => court.net.halfUp > 0

/** hasFrontWall says whether balls are played against a wall in front. */
export const hasFrontWall = (court: Pick<Court, 'walls'>) => court.walls.length > 0

/** atTable says whether the court is a table. */
export const atTable = (court: Pick<Court, 'above'>) => court.above > 0
