import { describe, expect, it } from 'vitest'
import { commonest, counted, dayName, elapsed, lasting, minutes, onDay, outcome } from './words'

describe('words', () => {
  it('counts down without ever showing too little', () => {
    expect(minutes(125)).toBe('2:05')
    expect(minutes(59.2)).toBe('1:00')
    expect(minutes(-3)).toBe('0:00')
  })

  it('never writes sixty seconds, and tells what passed from the time of day', () => {
    expect(lasting(119.7)).toBe('2:00')
    expect(elapsed(239.6)).toBe('+4:00')
    expect(elapsed(0)).toBe('+0:00')
    for (let seconds = 0; seconds < 400; seconds += 0.1) expect(lasting(seconds)).toMatch(/:[0-5]\d$/)
  })

  it('says today and tomorrow, over the end of summer time too', () => {
    expect(dayName('2026-03-10', '2026-03-10')).toBe('Today, Tuesday 10 March')
    expect(dayName('2026-03-30', '2026-03-29')).toBe('Tomorrow, Monday 30 March')
    expect(dayName('2026-03-12', '2026-03-10')).toBe('Thursday 12 March')
  })

  it('writes days and instants in three forms', () => {
    expect(onDay('2026-03-10', 'long')).toBe('Tuesday 10 March')
    expect(onDay('2026-03-10', 'short')).toMatch(/^Tue,? 10 Mar$/)
    expect(onDay('2026-03-10T16:00:00', 'brief')).toBe('10 Mar')
  })

  it('says what was counted', () => {
    const count = { made: 5, balls: 7, rallies: 1, tries: 2 }
    expect(counted('ball', count)).toEqual(['5', 'of 7'])
    expect(counted('point', count)).toEqual(['5 : 2', ''])
    expect(counted('rally', count)).toEqual(['1', 'rally'])
    expect(counted('time', count)).toEqual(['2', 'tries'])
  })

  it('says how a goal ended', () => {
    const open = { met: false, lost: false, perhaps: false, sentence: { words: '7 of 10' } }
    expect(outcome(open)).toBe('7 of 10 at the end')
    expect(outcome({ ...open, met: true, sentence: { words: 'met' } })).toBe('✓ met')
    expect(outcome({ ...open, lost: true, sentence: { words: 'lost' } })).toBe('lost')
  })

  it('the commonest of a list is found, the first of equals', () => {
    expect(commonest(['b', 'a', 'a'])).toBe('a')
    expect(commonest(['b', 'a'])).toBe('b')
    expect(commonest([])).toBeUndefined()
  })
})
