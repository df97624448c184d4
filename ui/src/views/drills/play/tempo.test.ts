import { expect, test } from 'vitest'
import { apart } from './tempo'

const at = (strain: 'easy' | 'working' | 'stretched', gap: number | null) => ({ strain, gap, first: '' })

test('a gap from which everything is easy is said once', () => {
  expect(apart([at('easy', 2.7), at('working', 2.7), at('stretched', 2.7)])).toEqual([at('easy', 2.7)])
  expect(apart([at('easy', null), at('working', 2.9), at('stretched', 2.5)])).toHaveLength(3)
  expect(apart([at('easy', 3), at('working', 2.7), at('stretched', 2.7)])).toHaveLength(2)
})
