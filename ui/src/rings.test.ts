import { describe, expect, it } from 'vitest'
import { ring } from '../rings'

describe('files that import one another', () => {
  const files = (list: Record<string, string[]>) => ring(new Map(Object.entries(list)))
  it('are in order where the imports run one way', () => {
    expect(files({ start: [], view: ['start', 'shared'], shared: ['start'] })).toBeUndefined()
  })
  it('are told in their ring', () => {
    expect(files({ view: ['a'], a: ['b'], b: ['c', 'start'], c: ['a'], start: [] })).toEqual([
      'a',
      'b',
      'c',
      'a',
    ])
    expect(files({ own: ['own'] })).toEqual(['own', 'own'])
  })
})
