import { expect, test } from 'vitest'
import type { Finding } from '../../lib/api/client'
import { keyed } from './findings'

const finding = (block: string, about: string, reason: string) => ({ block, about, reason }) as Finding

test('a finding keeps its name while its figures change, and no two have the same', () => {
  const before = keyed([
    finding('a', '# over', '3 over'),
    finding('b', '# over', '1 over'),
    finding('a', '# over', '9 over'),
  ])
  const after = keyed([finding('a', '# over', '4 over'), finding('b', '# over', '2 over')])
  expect(new Set(before.map((each) => each.key)).size).toBe(3)
  expect(after.map((each) => each.key)).toEqual(before.slice(0, 2).map((each) => each.key))
})
