import { expect, test } from 'vitest'
import { later } from './week'

test('a day some days later', () => {
  expect(later('2026-02-27', 2)).toBe('2026-03-01')
  expect(later('2026-03-28', 1), 'also where the clocks change').toBe('2026-03-29')
})
