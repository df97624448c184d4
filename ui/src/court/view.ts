import type { Court, Point } from '../lib/api/client'

/** Frame is the part of the floor that is drawn, in metres, with y downwards as on a screen. */
export interface Frame {
  x: number
  y: number
  width: number
  height: number
}

/** frameOf takes in a court with its run-off. */
export function frameOf(court: Court): Frame {
  const width = court.width + 2 * court.runOff.side
  const height = court.length + 2 * court.runOff.back
  return { x: -width / 2, y: -height / 2, width, height }
}

/** drawn is where a place stands on the drawing: the far end is up. */
export const drawn = (p: Point): Point => ({ x: p.x, y: -p.y })

/** placeAt is the place under a pixel of the drawing, kept on the map. */
export function placeAt(frame: Frame, box: DOMRect, clientX: number, clientY: number): Point {
  const within = (value: number, from: number, size: number) => Math.min(Math.max(value, from), from + size)
  const x = frame.x + ((clientX - box.left) / box.width) * frame.width
  const y = frame.y + ((clientY - box.top) / box.height) * frame.height
  return { x: within(x, frame.x, frame.width), y: 0 - within(y, frame.y, frame.height) }
}
