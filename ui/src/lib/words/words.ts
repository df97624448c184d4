import type { Counter } from '../api/client'
import { say } from './say'

const clock = (whole: number) => `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`

/** minutes writes seconds as minutes and seconds, for a clock that runs down on the page. */
export const minutes = (seconds: number) => clock(Math.max(0, Math.ceil(seconds - 1e-9)))

/** lasting writes how long something lasts: 4:00. */
export const lasting = (seconds: number) => clock(Math.max(0, Math.round(seconds)))

/** elapsed writes a time after something began, so that it is no time of day: +4:00. */
export const elapsed = (seconds: number) => `+${lasting(seconds)}`

const day = (date: string) => new Date(`${date}T12:00:00`)

const forms = {
  /** Tuesday 10 March */
  long: { weekday: 'long', day: 'numeric', month: 'long' },
  /** Tue 10 Mar */
  short: { weekday: 'short', day: 'numeric', month: 'short' },
  /** 10 Mar */
  brief: { day: 'numeric', month: 'short' },
} as const

/** onDay writes a day, year-month-day, or an instant on its day here, in one of the forms. */
export const onDay = (date: string, form: keyof typeof forms) =>
  (date.includes('T') ? new Date(date) : day(date)).toLocaleDateString('en-GB', forms[form])

/** dayName writes a day as people say it, seen from today. */
export function dayName(date: string, today: string): string {
  const away = Math.round((day(date).getTime() - day(today).getTime()) / 86_400_000)
  const long = onDay(date, 'long')
  if (away === 0) return `Today, ${long}`
  if (away === 1) return `Tomorrow, ${long}`
  return long
}

/** counted says what was counted, number and word; a score of points has no word of its own. */
export function counted(
  unit: Counter['unit'],
  count: { made: number; balls: number; rallies: number; tries: number },
): [number: string, what: string] {
  const { made, balls, rallies, tries } = count
  switch (unit) {
    case 'rally':
      return [`${rallies}`, say('counted.rallies', { n: rallies })]
    case 'time':
      return [`${tries}`, say('counted.tries', { n: tries })]
    case 'point':
      return [say('counted.score', { won: made, lost: balls - made }), '']
    case 'sequence':
      return [`${made}`, say('counted.sequences', { n: balls })]
    case 'repetition':
      return [`${made}`, say('counted.repetitions', { n: balls })]
    default:
      return [`${made}`, say('counted.balls', { n: balls })]
  }
}

/** tally is the same in one line. */
export const tally = (unit: Counter['unit'], count: Parameters<typeof counted>[1]) =>
  counted(unit, count)
    .map((part) => part || 'points')
    .join(' ')

/** misses says of what kind misses were, where that was marked. */
export const misses = ({ net, long, wide }: { net: number; long: number; wide: number }) =>
  [
    net && say('misses.net', { n: net }),
    long && say('misses.long', { n: long }),
    wide && say('misses.wide', { n: wide }),
  ]
    .filter(Boolean)
    .join(', ')

/** outcome says how far along a goal was at the end. */
export const outcome = (standing: Pick<Counter['standing'], 'met' | 'lost' | 'perhaps' | 'sentence'>) => {
  const { words } = standing.sentence
  if (standing.met) return say('outcome.met', { standing: words })
  return standing.lost || standing.perhaps ? words : say('outcome.open', { standing: words })
}

/** listed writes pieces of equipment in one line. */
export const listed = (pieces: { count: number; name: string }[]) =>
  pieces.map((piece) => `${piece.count} ${piece.name}`).join(', ')

/** The day on this device, as documents write it. */
export const today = () => new Date().toLocaleDateString('sv-SE')

/** So many of something, in words that have a plural in s. */
export const many = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`

/** How large a file is. */
export const size = (bytes: number) =>
  bytes < 1e6
    ? `${Math.max(1, Math.round(bytes / 1e3))} kB`
    : `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`

/** A moment as a coach would say it. */
export const moment = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })

/** This instant, as documents write it. */
export const instant = () => new Date().toISOString()

/** What a list has most often; undefined of an empty one. */
export function commonest<T>(list: readonly T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const each of list) counts.set(each, (counts.get(each) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** A share as so many of ten. */
export const tenths = (share: number) => (10 * share).toFixed(1)

/** thingsKept says how many things wait for an answer, and where they are kept meanwhile. */
export const thingsKept = (size: number, where: 'on this device' | 'on this page') =>
  `${size === 1 ? '1 thing you did is' : `${size} things you did are`} kept ${where}`

/** together lists a side or a pair by name: Ada and Bo. */
export const together = (ids: readonly string[], name: (id: string) => string) => ids.map(name).join(' and ')
