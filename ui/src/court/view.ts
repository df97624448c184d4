import type { Court, Point, Report } from '../lib/api/client'

/** What part of the court is drawn. */
export type Crop = 'all' | 'walls' | 'near half' | 'far half' | { box: string }

/** Frame is the part of the floor that is drawn, in metres, and which end is at the foot of the page. */
export interface Frame {
  /** The middle of the frame, on the court. */
  middle: Point
  width: number
  height: number
  /** The far end is nearest: the court is turned half round. */
  turned: boolean
}

/** frameOf takes in a court or half of it with its run-off, or one box with a little round it. */
export function frameOf(court: Court, crop: Crop = 'all', turned = false): Frame {
  const width = court.width + 2 * court.runOff.side
  const whole = court.length + 2 * court.runOff.back
  const box = typeof crop === 'object' ? court.boxes.find((each) => each.id === crop.box) : undefined
  if (box) {
    const round = 0.15 * Math.max(box.max.x - box.min.x, box.max.y - box.min.y)
    const middle = { x: (box.min.x + box.max.x) / 2, y: (box.min.y + box.max.y) / 2 }
    return {
      middle,
      width: box.max.x - box.min.x + 2 * round,
      height: box.max.y - box.min.y + 2 * round,
      turned,
    }
  }
  if (crop === 'walls') {
    const walls = wallFeet(court)
    const reach = (side: Wall['side']) =>
      Math.max(...walls.filter((wall) => wall.side === side).map((wall) => wall.height))
    const [front, back, beside] = [reach('front'), reach('back'), reach('left')]
    return {
      middle: { x: 0, y: (front - back) / 2 },
      width: court.width + 2 * beside,
      height: court.length + front + back,
      turned,
    }
  }
  if (crop === 'all' || typeof crop === 'object')
    return { middle: { x: 0, y: 0 }, width, height: whole, turned }
  // A little of the other side of the net is kept, to see where the net is.
  const beyond = court.length / 20
  const height = whole / 2 + beyond
  const y = (height / 2 - beyond) * (crop === 'near half' ? -1 : 1)
  return { middle: { x: 0, y }, width, height, turned }
}

/** Wall is a line on a wall, laid flat on the floor's plane outwards from the foot of its wall. */
export interface Wall {
  name: string
  side: 'front' | 'back' | 'left' | 'right'
  from: Point
  to: Point
  /** What has to be shown of the wall. */
  height: number
}

/** wallFeet lays the walls of a court flat, each outwards from its foot, to the scale of the floor. */
export function wallFeet(court: Court): Wall[] {
  const [x, y] = [court.width / 2, court.length / 2]
  return court.walls.map((line) => {
    const height = Math.max(line.from, line.to) + 0.4
    const wall = { name: line.name, height }
    switch (line.wall) {
      case 'front-wall':
        return { ...wall, side: 'front', from: { x: -x, y: y + line.from }, to: { x, y: y + line.to } }
      case 'back-wall':
        return { ...wall, side: 'back', from: { x: -x, y: -y - line.from }, to: { x, y: -y - line.to } }
      case 'left-side-wall':
        return { ...wall, side: 'left', from: { x: -x - line.from, y }, to: { x: -x - line.to, y: -y } }
      default:
        return { ...wall, side: 'right', from: { x: x + line.from, y }, to: { x: x + line.to, y: -y } }
    }
  })
}

/** drawn is where a place stands on the drawing, in metres from its top left corner. */
export function drawn(frame: Frame, p: Point): Point {
  const turn = frame.turned ? -1 : 1
  return {
    x: frame.width / 2 + turn * (p.x - frame.middle.x),
    y: frame.height / 2 - turn * (p.y - frame.middle.y),
  }
}

/** placeAt is the place under a pixel of the drawing, kept inside it. */
export function placeAt(frame: Frame, box: DOMRect, clientX: number, clientY: number): Point {
  const within = (value: number, size: number) => Math.min(Math.max(value, 0), size)
  const x = within(((clientX - box.left) / box.width) * frame.width, frame.width)
  const y = within(((clientY - box.top) / box.height) * frame.height, frame.height)
  const turn = frame.turned ? -1 : 1
  return {
    x: frame.middle.x + turn * (x - frame.width / 2),
    y: frame.middle.y - turn * (y - frame.height / 2),
  }
}

/** Drawing is the part of a report that a court is drawn from. */
export type Drawing = Pick<Report, 'court' | 'spots' | 'feeds' | 'noGo' | 'noGoLines'> & {
  /** Each with its target, where it has one. */
  measures: (Pick<Report['measures'][number], 'number' | 'target'> &
    Partial<Pick<Report['measures'][number], 'criteria'>>)[]
}

/** Snapped is a place that a line, or another mark, has drawn to itself. */
export interface Snapped {
  to: Point
  /** What drew it, across and along the court; undefined where nothing did. */
  x?: number
  y?: number
}

/**
 * snap draws a place to a line, to the line of another mark, or to the same offset on the other side,
 * when it comes within so many metres.
 */
export function snap(
  place: Point,
  report: Pick<Report, 'court' | 'spots'>,
  own: string,
  within: number,
): Snapped {
  const others = report.spots.filter((spot) => spot.handle !== own).map((spot) => spot.at)
  const xs = report.court.lines.filter((line) => line.from.x === line.to.x).map((line) => line.from.x)
  const ys = report.court.lines.filter((line) => line.from.y === line.to.y).map((line) => line.from.y)
  const nearest = (value: number, lines: number[], marks: number[]) => {
    const of = (list: number[]) =>
      list
        .filter((each) => Math.abs(each - value) <= within)
        .sort((a, b) => Math.abs(a - value) - Math.abs(b - value))[0]
    return of(lines) ?? of(marks)
  }
  const x = nearest(
    place.x,
    xs,
    others.flatMap((p) => [p.x, -p.x]),
  )
  const y = nearest(
    place.y,
    ys,
    others.flatMap((p) => [p.y, -p.y]),
  )
  return { to: { x: x ?? place.x, y: y ?? place.y }, x, y }
}

/** sign is what is written on a mark: its number, or the first letter of what it is. */
export function sign(handle: string, label: string): string {
  const number = /^pattern\.tasks\.(\d+)/.exec(handle)?.[1]
  if (number !== undefined) {
    const part = handle.split('.').at(-1)
    const signs: Record<string, string> = { from: 'f', reply: '→', recover: 'b' }
    return String(Number(number) + 1) + (signs[part ?? ''] ?? '')
  }
  if (handle.startsWith('measures')) return '+'
  if (handle.startsWith('noGo')) return '×'
  return label === 'on deck' ? 'D' : (label[0]?.toUpperCase() ?? '')
}
