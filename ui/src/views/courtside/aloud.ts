import type { Counter, Cue, ScheduledBlock } from '../../lib/api/client'

/**
 * Moment is where a lesson is: what is called, who is where, which block is on, how many seconds are left of it, and
 * whose goals are met.
 */
export interface Moment {
  running: boolean
  cue: Pick<Cue, 'second' | 'text'> | undefined
  roles: Pick<Cue, 'second' | 'text' | 'roles'> | undefined
  block: Pick<ScheduledBlock, 'block' | 'title'> | undefined
  left: number
  /** The goals that are met: what is said of each, by block, measure and student. */
  met: ReadonlyMap<string, string>
}

/** Call is something that is said, and the sign that goes with it. */
export interface Call {
  text: string
  sign: 'call' | 'swap' | 'end' | 'goal'
}

/** From how many seconds before its end a block is counted down. */
const countdown = 10

const roleWords = (roles: Moment['roles']) =>
  (roles?.roles ?? [])
    .filter((each) => each.role !== 'as drawn')
    .map((each) => `${each.short} ${each.role}`)
    .join('. ')

/** callsBetween lists what is called aloud when a lesson has gone on from one moment to the next. */
export function callsBetween(before: Moment, now: Moment): Call[] {
  const calls: Call[] = []
  for (const [key, text] of now.met) if (!before.met.has(key)) calls.push({ text, sign: 'goal' })
  if (!now.running) return calls
  const swapped =
    now.roles && (before.roles?.second !== now.roles.second || before.roles.text !== now.roles.text)
  if (
    now.cue &&
    (before.cue?.second !== now.cue.second || before.cue.text !== now.cue.text || !before.running)
  ) {
    calls.push({ text: now.cue.text, sign: before.block?.block === now.block?.block ? 'call' : 'end' })
  }
  if (swapped) {
    const who = roleWords(now.roles)
    if (who) calls.push({ text: who, sign: 'swap' })
  }
  if (
    before.block?.block === now.block?.block &&
    before.left > countdown &&
    now.left <= countdown &&
    now.left > 0
  )
    calls.push({ text: 'Ten seconds', sign: 'call' })
  return calls
}

type Met = Pick<
  Counter,
  'counted' | 'measure' | 'standing' | 'over' | 'shared' | 'short' | 'party' | 'student' | 'called'
>

/** limitsNear says of each student whose limit is near, or reached, how much of it was counted: each once. */
export const limitsNear = (counters: readonly Pick<Counter, 'student' | 'short' | 'near'>[]) =>
  new Map(
    counters.flatMap(({ student, short, near }) =>
      near ? [[`limit ${student} ${near.reached}`, `${short}: ${near.text}`]] : [],
    ),
  )

/** goalsMet says of each counter whose goal is met who met it: once for those on one count. */
export const goalsMet = (counters: readonly Met[]) =>
  new Map(
    counters
      .filter((each) => each.standing.met && each.over && each.party === each.student)
      .map((each) => [
        `${each.counted} ${each.measure} ${each.student}`,
        `${each.shared || each.short}${each.called ? `, ${each.called}` : ''}: goal met`,
      ]),
  )
