import type { Court, Point, Report } from '../lib/api/client'

/** What part of the court is drawn. */
export type Crop = 'all' | 'walls' | 'near half' | 'far half' | { box: string }

/** Where the near player looks on the drawing: up where the court stands, to the right where it lies. */
export type Ahead = 'up' | 'down' | 'right' | 'left'

/** Frame is the part of the floor that is drawn, in metres, and which way up. */
export interface Frame {
  /** The middle of the frame, on the court. */
  middle: Point
  /** Of the drawing: a court that lies is wider than high. */
  width: number
  height: number
  ahead: Ahead
}

/** The near player's right and the way to the far end, each as a step on the drawing. */
const axes: Record<Ahead, { right: Point; far: Point }> = {
  up: { right: { x: 1, y: 0 }, far: { x: 0, y: -1 } },
  down: { right: { x: -1, y: 0 }, far: { x: 0, y: 1 } },
  right: { right: { x: 0, y: 1 }, far: { x: 1, y: 0 } },
  left: { right: { x: 0, y: -1 }, far: { x: -1, y: 0 } },
}

/** lies says that the court is drawn with its length across the page. */
export const lies = (ahead: Ahead) => ahead === 'right' || ahead === 'left'

/** How far something that points ahead is turned on the drawing, in degrees clockwise. */
export const turn: Record<Ahead, number> = { up: 0, right: 90, down: 180, left: 270 }

/** frameOf takes in a court or half of it with its run-off, or one box with a little round it. */
export function frameOf(court: Court, crop: Crop = 'all', ahead: Ahead = 'up'): Frame {
  const { middle, across, along } = part(court, crop)
  return lies(ahead)
    ? { middle, width: along, height: across, ahead }
    : { middle, width: across, height: along, ahead }
}

/** The part of the floor that a crop shows, in metres across and along the court. */
function part(court: Court, crop: Crop): { middle: Point; across: number; along: number } {
  const width = court.width + 2 * court.runOff.side
  const whole = court.length + 2 * court.runOff.back
  const box = typeof crop === 'object' ? court.boxes.find((each) => each.id === crop.box) : undefined
  if (box) {
    const round = 0.15 * Math.max(box.max.x - box.min.x, box.max.y - box.min.y)
    const middle = { x: (box.min.x + box.max.x) / 2, y: (box.min.y + box.max.y) / 2 }
    return { middle, across: box.max.x - box.min.x + 2 * round, along: box.max.y - box.min.y + 2 * round }
  }
  if (crop === 'walls') {
    const walls = wallFeet(court)
    const reach = (side: Wall['side']) =>
      Math.max(...walls.filter((wall) => wall.side === side).map((wall) => wall.height))
    const [front, back, beside] = [reach('front'), reach('back'), reach('left')]
    return {
      middle: { x: 0, y: (front - back) / 2 },
      across: court.width + 2 * beside,
      along: court.length + front + back,
    }
  }
  if (crop === 'all' || typeof crop === 'object')
    return { middle: { x: 0, y: 0 }, across: width, along: whole }
  // A little of the other side of the net is kept, to see where the net is.
  const beyond = court.length / 20
  const along = whole / 2 + beyond
  const y = (along / 2 - beyond) * (crop === 'near half' ? -1 : 1)
  return { middle: { x: 0, y }, across: width, along }
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
  const { right, far } = axes[frame.ahead]
  const [x, y] = [p.x - frame.middle.x, p.y - frame.middle.y]
  return {
    x: frame.width / 2 + x * right.x + y * far.x,
    y: frame.height / 2 + x * right.y + y * far.y,
  }
}

/** drawnBox is a rectangle of the court on the drawing: its top left corner and its size. */
export function drawnBox(frame: Frame, middle: Point, wide: number, deep: number) {
  const at = drawn(frame, middle)
  const [width, height] = lies(frame.ahead) ? [deep, wide] : [wide, deep]
  return { x: at.x - width / 2, y: at.y - height / 2, width, height }
}

/** onCourt is the step on the court that a step on the drawing is. */
export function onCourt(ahead: Ahead, step: Point): Point {
  const { right, far } = axes[ahead]
  return { x: step.x * right.x + step.y * right.y, y: step.x * far.x + step.y * far.y }
}

/** placeAt is the place under a pixel of the drawing, kept inside it. */
export function placeAt(frame: Frame, box: DOMRect, clientX: number, clientY: number): Point {
  const within = (value: number, size: number) => Math.min(Math.max(value, 0), size)
  const x = within(((clientX - box.left) / box.width) * frame.width, frame.width)
  const y = within(((clientY - box.top) / box.height) * frame.height, frame.height)
  const step = onCourt(frame.ahead, { x: x - frame.width / 2, y: y - frame.height / 2 })
  return { x: frame.middle.x + step.x, y: frame.middle.y + step.y }
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

/** What is known of a sign on the court. */
export type Signed = Pick<Report['spots'][number], 'handle' | 'label'> &
  Partial<Pick<Report['spots'][number], 'kind' | 'letter'>>

/** sign is what is written on a mark: its number, its letter, or the first letter of what it is. */
export function sign({ handle, label, kind, letter }: Signed): string {
  const number = /^pattern\.tasks\.(\d+)/.exec(handle)?.[1]
  if (number !== undefined) {
    const part = handle.split('.').at(-1)
    const signs: Record<string, string> = { from: 'f', reply: '→', recover: 'b' }
    return String(Number(number) + 1) + (signs[part ?? ''] ?? '')
  }
  if (handle.startsWith('measures')) return '+'
  if (handle.startsWith('noGo')) return '×'
  if (letter) return letter
  if (kind === 'strip' || kind === 'rope') return kind === 'rope' ? '~' : '='
  return kind === 'on deck' ? 'D' : ((kind ?? label)[0]?.toUpperCase() ?? '')
}
