import { expect, test } from 'vitest'
import { daysBetween, later, weekOf } from './week'

test('days and weeks', () => {
  expect(later('2026-02-27', 2)).toBe('2026-03-01')
  expect(weekOf('2026-03-10')).toEqual([
    '2026-03-09',
    '2026-03-10',
    '2026-03-11',
    '2026-03-12',
    '2026-03-13',
    '2026-03-14',
    '2026-03-15',
  ])
  expect(weekOf('2026-03-15')[0]).toBe('2026-03-09')
  expect(daysBetween('2026-03-10', '2026-03-01')).toBe(-9)
})
