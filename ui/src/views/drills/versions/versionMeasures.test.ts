import { expect, test } from 'vitest'
import type { DrillDocument } from '../../../lib/api/client'
import { ofVersion, under } from './versionMeasures'

test('the measures of a version are changed, and those of the drill stay', () => {
  const goal = (count: number) => [{ number: 1, what: 'ball', goals: [{ kind: 'total', count }] }]
  const document = {
    name: 'Coin',
    measures: goal(10),
    variations: [{ name: 'softer', difficulty: 'easier', steps: [], measures: goal(5) }],
  } as unknown as DrillDocument
  const draft = { document, change: (alter: (d: DrillDocument) => unknown) => void alter(document) }
  const own = ofVersion(draft, 0)
  expect(own.document.measures[0]?.goals[0]?.count).toBe(5)
  own.change((d) => (d.measures = [...d.measures, ...d.measures]))
  own.change((d) => d.measures[0]?.goals[0] && (d.measures[0].goals[0].count = 6))
  own.change((d) => (d.order = 'one after the other'))
  expect(document.variations?.[0]?.measures).toHaveLength(2)
  expect(document.variations?.[0]?.measures?.[0]?.goals[0]?.count).toBe(6)
  expect(document.measures).toHaveLength(1)
  expect(document.measures[0]?.goals[0]?.count).toBe(10)
  expect(document.order).toBe('one after the other')
})

test('what is wrong in a version is told at its measures', () => {
  expect(under({ 'variations.0.measures.0.goals': 'a', 'measures.0': 'b' }, 'variations.0')).toEqual({
    'measures.0.goals': 'a',
  })
})
