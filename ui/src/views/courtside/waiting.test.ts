import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import type { Counter, Entry } from '../../lib/api/client'
import { withWaiting } from './waiting'

interface Case {
  name: string
  answered: Entry[]
  waiting: Entry[]
  made: number
  balls: number
  taps: number
}
const cases = JSON.parse(
  readFileSync(new URL('../../../../core/count/tally/testdata/waiting.json', import.meta.url), 'utf8'),
) as Case[]

/** The server's part of the count; core/count/tally is tested against the same file. */
const answered = (entries: Entry[]) =>
  withWaiting({ made: 0, balls: 0, taps: 0 } as Counter['count'], entries) as unknown as Counter['count']

it.each(cases)('$name', ({ answered: before, waiting, made, balls, taps }) => {
  const count = withWaiting(answered(before), waiting)
  expect([count.made, count.balls, count.taps]).toEqual([made, balls, taps])
  expect(count.waiting).toBe(waiting.length)
})

it('says when only the answer can tell what is taken back', () => {
  const count = withWaiting({ made: 3, balls: 4, taps: 4 } as Counter['count'], [{ kind: 'undo' } as Entry])
  expect(count).toMatchObject({ taps: 3, unsure: true })
})
