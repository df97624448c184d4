import { describe, expect, it } from 'vitest'
import { leading, whenIs } from './leading'

const at = (start: string, state: 'planned' | 'begun' | 'finished' = 'planned', date = '2026-03-10') => ({
  start,
  state,
  date,
  minutes: 60,
  clock: null,
  planned: 3600,
})
const clocked = (clock: string) => new Date(`2026-03-10T${clock}`)

describe('leading', () => {
  const day = [at('18:00'), at('10:00', 'finished'), at('16:00'), at('09:00', 'planned', '2026-03-11')]
  it.each([
    ['08:00', '16:00', 'Next, in 8 h 0 min'],
    ['15:30', '16:00', 'Next, in 30 min'],
    ['16:05', '16:00', 'On now, since 5 min'],
    ['17:00', '18:00', 'Next, in 1 h 0 min'],
    ['18:59', '18:00', 'On now, since 59 min'],
  ])('at %s is the lesson of %s', (clock, start, said) => {
    const lesson = leading(day, '2026-03-10', clocked(clock))
    expect(lesson?.start).toBe(start)
    expect(lesson && whenIs(lesson, clocked(clock))).toBe(said)
  })
  it('is none when the day is over', () => {
    expect(leading(day, '2026-03-10', clocked('19:00'))).toBeUndefined()
    expect(leading(day, '2026-03-12', clocked('12:00'))).toBeUndefined()
  })
  it('is the one under way, whatever the clock says', () => {
    const begun = [...day, at('14:00', 'begun')]
    const lesson = leading(begun, '2026-03-10', clocked('16:05'))
    expect(lesson?.start).toBe('14:00')
  })
  it.each([
    // A lesson of 60 min that was begun nine hours early has no more than 60 min left.
    ['09:00', 0, true, '09:00', 'Under way, 60 min left'],
    ['09:00', 0, true, '09:01:30', 'Under way, 59 min left'],
    ['09:00', 3000, true, '09:09:30', 'Under way, 1 min left'],
    ['09:00', 3000, true, '09:10:10', 'Under way, over time'],
    ['09:00', 2400, false, '09:30', 'Held, 20 min left'],
  ])('at %s in second %d, running %s, it has at %s: %s', (anchor, second, running, now, said) => {
    const clock = { anchor: clocked(anchor).toISOString(), second, running }
    expect(whenIs({ ...at('18:00', 'begun'), clock }, clocked(now))).toBe(said)
  })
})
