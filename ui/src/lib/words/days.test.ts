import { expect, test } from 'vitest'
import { back } from './days'

test('months back end on a day that there is', () => {
  expect(back('2026-03-10', 12)).toBe('2025-03-10')
  expect(back('2024-02-29', 12)).toBe('2023-02-28')
  expect(back('2026-05-31', 3)).toBe('2026-02-28')
  expect(back('2026-01-15', 3)).toBe('2025-10-15')
})
