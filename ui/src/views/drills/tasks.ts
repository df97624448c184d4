import type { Report } from '../../lib/api/client'

/** A place of a task's own starts where the drill has it, to be dragged or typed. */
export function ownPlace(report: Report, like: 'feeder' | 'start' | 'target') {
  const at = report.spots.find((spot) => spot.label === like)?.at ??
    report.measures.find((m) => m.target)?.target?.centre ?? { x: 0, y: report.court.length / 4 }
  return { place: { x: at.x, y: at.y } }
}
