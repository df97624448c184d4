import { describe, expect, it } from 'vitest'
import { leading, whenIs } from './leading'

const at = (start: string, state: 'planned' | 'begun' | 'finished' = 'planned', date = '2026-03-10') => ({
  start,
  state,
  date,
  minutes: 60,
})
const minute = (clock: string) => {
  const [hour = 0, rest = 0] = clock.split(':').map(Number)
  return 60 * hour + rest
}

describe('leading', () => {
  const day = [at('18:00'), at('10:00', 'finished'), at('16:00'), at('09:00', 'planned', '2026-03-11')]
  it.each([
    ['08:00', '16:00', 'Next, in 8 h 0 min'],
    ['15:30', '16:00', 'Next, in 30 min'],
    ['16:05', '16:00', 'On now, since 5 min'],
    ['17:00', '18:00', 'Next, in 1 h 0 min'],
    ['18:59', '18:00', 'On now, since 59 min'],
  ])('at %s is the lesson of %s', (clock, start, said) => {
    const lesson = leading(day, '2026-03-10', minute(clock))
    expect(lesson?.start).toBe(start)
    expect(lesson && whenIs(lesson, minute(clock))).toBe(said)
  })
  it('is none when the day is over', () => {
    expect(leading(day, '2026-03-10', minute('19:00'))).toBeUndefined()
    expect(leading(day, '2026-03-12', minute('12:00'))).toBeUndefined()
  })
  it('is the one under way, whatever the clock says', () => {
    const begun = [...day, at('14:00', 'begun')]
    const lesson = leading(begun, '2026-03-10', minute('16:05'))
    expect(lesson?.start).toBe('14:00')
    expect(lesson && whenIs(lesson, minute('16:05'))).toBe('Under way, over time')
    expect(lesson && whenIs(lesson, minute('14:20'))).toBe('Under way, 40 min left')
  })
})
