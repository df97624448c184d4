import { expect, test } from 'vitest'
import { calledAt, inWords, phaseAt } from './face'

const six = { work: 20, rest: 15, rounds: 6 }

/** By hand: a round is 35 s, and the sixth begins after 175 s and is over after 195 s, without a rest. */
test('where a clock of work and rest is', () => {
  expect(phaseAt(six, 0)).toEqual({ what: 'work', round: 1, left: 20 })
  expect(phaseAt(six, 19.5)).toEqual({ what: 'work', round: 1, left: 0.5 })
  expect(phaseAt(six, 20)).toEqual({ what: 'rest', round: 1, left: 15 })
  expect(phaseAt(six, 35)).toEqual({ what: 'work', round: 2, left: 20 })
  expect(phaseAt(six, 194)).toEqual({ what: 'work', round: 6, left: 1 })
  expect(phaseAt(six, 195)).toEqual({ what: 'over', round: 6, left: 0 })
  expect(phaseAt(six, 9000).what).toBe('over')
  expect(phaseAt({ work: 180, rest: 0, rounds: 1 }, 60)).toEqual({ what: 'work', round: 1, left: 120 })
  expect(phaseAt({ work: 10, rest: 0, rounds: 3 }, 10)).toEqual({ what: 'work', round: 2, left: 10 })
})

test('every change is called once', () => {
  const called: string[] = []
  let before
  for (let second = 0; second < 230; second += 0.25) {
    const now = phaseAt(six, second)
    const text = calledAt(six, before, now)
    if (text) called.push(`${second} ${text}`)
    before = now
  }
  expect(called).toEqual([
    ...[0, 1, 2, 3, 4].flatMap((n) => [`${35 * n} Go`, `${35 * n + 20} Rest`]),
    '175 Go',
    '195 Time is up',
  ])
  const minute = { work: 60, rest: 0, rounds: 1 }
  expect(calledAt(minute, phaseAt(minute, 49.9), phaseAt(minute, 50.1))).toBe('Ten seconds')
})

test('a clock in words', () => {
  expect(inWords(six)).toBe('6 × 20 s, 15 s rest')
  expect(inWords({ work: 60, rest: 15, rounds: 1 })).toBe('60 s')
})
