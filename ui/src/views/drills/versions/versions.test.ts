import { expect, it } from 'vitest'
import type { Variation } from '../../../lib/api/client'
import { moveVersion } from './versions'

const rung = (name: string, difficulty: Variation['difficulty']) =>
  ({ name, difficulty, steps: [] }) as Variation
const list = [rung('a', 'easier'), rung('x', 'harder'), rung('b', 'easier'), rung('y', 'harder')]
/** From the easiest to the hardest, with the drill as it is written as |. */
const read = (all: Variation[] | undefined) =>
  all &&
  [
    ...all.filter((v) => v.difficulty === 'easier').map((v) => v.name),
    '|',
    ...all.filter((v) => v.difficulty === 'harder').map((v) => v.name),
  ].join('')

it('moves a version one rung, over the drill as it is written too, and no further than the ends', () => {
  expect(read(list)).toBe('ab|xy')
  expect(read(moveVersion(list, 0, 1))).toBe('ba|xy')
  expect(read(moveVersion(list, 2, 1))).toBe('a|bxy')
  expect(read(moveVersion(list, 1, -1))).toBe('abx|y')
  expect(read(moveVersion(list, 3, -1))).toBe('ab|yx')
  expect(moveVersion(list, 0, -1)).toBeUndefined()
  expect(moveVersion(list, 3, 1)).toBeUndefined()
})
