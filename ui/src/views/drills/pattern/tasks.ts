import type { Report } from '../../../lib/api/client'

/** A place of a task's own starts where the drill has it, to be dragged or typed. */
export function ownPlace(report: Report, like: 'feeder' | 'start' | 'target') {
  const at = report.spots.find((spot) => (spot.kind ?? spot.label) === like)?.at ??
    report.measures.find((m) => m.target)?.target?.centre ?? { x: 0, y: report.court.length / 4 }
  return { place: { x: at.x, y: at.y } }
}

/**
 * Where somebody or something comes to that is put on court by key: beside the middle, opponents and partners beyond
 * the net.
 */
export function usualPlace(court: { length: number; singles: number }, kind: string) {
  const far = kind === 'opponent' || kind === 'partner'
  return { x: court.singles / 4, y: (far ? 1 : -1) * court.length * 0.2 }
}
