import type { Interception, Simulation, Point } from '../lib/api/client'

/** Moment is what is to be seen of a turn at one time. */
export interface Moment {
  balls: { task: number; x: number; y: number; z: number }[]
  /** Where each live player is. */
  players: Point[]
  /** The interception that is going on. */
  interception: number
}

const mix = (a: number, b: number, share: number) => a + (b - a) * share

/** along is the place so far along a route, as a share of its length. */
export function along(route: Point[], share: number): Point | undefined {
  const first = route[0]
  if (!first) return undefined
  const lengths = route.slice(1).map((p, i) => Math.hypot(p.x - (route[i]?.x ?? 0), p.y - (route[i]?.y ?? 0)))
  let left = lengths.reduce((sum, length) => sum + length, 0) * Math.min(Math.max(share, 0), 1)
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [route[i], route[i + 1]]
    if (a && b && left <= length && length > 0) {
      return { x: mix(a.x, b.x, left / length), y: mix(a.y, b.y, left / length) }
    }
    left -= length
  }
  return route.at(-1)
}

/** placed is where a player is at a time: on the way to a ball, or back towards where the next run starts. */
function placed(own: Interception[], time: number): Point | undefined {
  const next = own.findIndex((interception) => interception.contact > time)
  const going = next < 0 ? undefined : own[next]
  const last = next < 0 ? own.at(-1) : own[next - 1]
  if (!going) return last?.body
  if (time >= going.leaves) {
    const share = (time - going.leaves) / Math.max(going.contact - going.leaves, 1e-6)
    return along(going.route, share) ?? going.from
  }
  if (!last) return going.from
  const share = (time - last.contact) / Math.max(going.leaves - last.contact, 1e-6)
  return along([last.body, going.from], share)
}

/** at interpolates a worked-out turn: nothing is computed here that was not answered. */
export function at(simulation: Simulation, time: number): Moment {
  const { interceptions, runners } = simulation.timeline
  const balls = interceptions.flatMap((interception) => {
    const i = interception.trail.findIndex((sample) => sample.t >= time)
    const [a, b] = [interception.trail[i - 1], interception.trail[i]]
    if (!a || !b) return []
    const share = (time - a.t) / Math.max(b.t - a.t, 1e-6)
    return [
      { task: interception.task, x: mix(a.x, b.x, share), y: mix(a.y, b.y, share), z: mix(a.z, b.z, share) },
    ]
  })
  const players = runners.flatMap(
    (_, player) =>
      placed(
        interceptions.filter((interception) => interception.player === player),
        time,
      ) ?? [],
  )
  const interception = Math.max(
    0,
    interceptions.findLastIndex((each) => each.release <= time),
  )
  return { balls, players, interception }
}
