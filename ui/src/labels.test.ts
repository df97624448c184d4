import { expect, test } from 'vitest'

const sources = import.meta.glob<string>('./**/*.svelte', { query: '?raw', import: 'default', eager: true })

test('no label has the name of a field in it', () => {
  const labels = Object.values(sources).flatMap((text) =>
    [...text.matchAll(/\b(?:label|hint|aria-label|title|unit)="([^"{]*)"/g)].map((match) => match[1] ?? ''),
  )
  expect(labels.length).toBeGreaterThan(100)
  expect(labels.filter((label) => /[a-z][A-Z]/.test(label))).toEqual([])
})
