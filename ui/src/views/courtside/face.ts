import type { Face } from '../../lib/api/client'

/** Where a clock of work and rest is. */
export interface Phase {
  what: 'work' | 'rest' | 'over'
  /** From 1. */
  round: number
  /** Seconds until it changes. */
  left: number
}

/** phaseAt is where a clock is so many seconds after it was started: the last round has no rest after it. */
export function phaseAt(face: Face, second: number): Phase {
  const whole = face.work + face.rest
  const round = Math.min(Math.floor(second / whole) + 1, face.rounds)
  const gone = second - (round - 1) * whole
  if (gone < face.work) return { what: 'work', round, left: face.work - gone }
  if (round < face.rounds) return { what: 'rest', round, left: whole - gone }
  return { what: 'over', round, left: 0 }
}

/** calledAt is what is called when a clock goes on from one phase to the next; empty for nothing. */
export function calledAt(face: Face, before: Phase | undefined, now: Phase): string {
  if (before?.what !== now.what || before.round !== now.round)
    return { work: 'Go', rest: 'Rest', over: 'Time is up' }[now.what]
  const last = 10
  return now.what === 'work' && face.work >= 30 && before.left > last && now.left <= last ? 'Ten seconds' : ''
}

/** inWords says what a clock is. */
export function inWords(face: Face): string {
  const each = face.rounds > 1 ? `${face.rounds} × ${face.work} s` : `${face.work} s`
  return face.rounds > 1 && face.rest > 0 ? `${each}, ${face.rest} s rest` : each
}
