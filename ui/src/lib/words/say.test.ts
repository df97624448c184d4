import { expect, test } from 'vitest'
import english from './english.json'
import { say, type Key } from './say'

test('one and several have their forms', () => {
  expect([0, 1, 2].map((n) => say('counted.rallies', { n }))).toEqual(['rallies', 'rally', 'rallies'])
  expect([1, 1200].map((n) => say('counted.sequences', { n }))).toEqual([
    'of 1 sequence',
    'of 1200 sequences',
  ])
  expect(say('outcome.open', { standing: '7 of 10' })).toBe('7 of 10 at the end')
})

test('a sentence wants what goes into it', () => {
  expect(() => say('outcome.open')).toThrow('standing')
})

test('every sentence of the catalogue is said somewhere, and stands there once', () => {
  const sources = import.meta.glob<string>('../../**/*.{svelte,ts}', {
    query: '?raw',
    import: 'default',
    eager: true,
  })
  const said = Object.entries(sources)
    .filter(([path]) => !path.endsWith('.test.ts'))
    .map(([, text]) => text)
    .join('\n')
  const keys = Object.keys(english) as Key[]
  expect(keys.filter((key) => !said.includes(`'${key}'`))).toEqual([])
  expect(new Set(Object.values(english)).size).toBe(keys.length)
})
