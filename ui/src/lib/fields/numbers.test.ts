import { expect, test } from 'vitest'
import { noNumber, readNumber } from './numbers'

test.each([
  ['2,5', 2.5],
  ['2.5', 2.5],
  [' 25 ', 25],
  ['-0,75', -0.75],
  ['−3', -3],
  [',5', 0.5],
  ['3.', 3],
  ['+4', 4],
  ['1.234,5', undefined],
  ['1,234.5', undefined],
  ['1,2,3', undefined],
  ['2 5', undefined],
  ['2e3', undefined],
  ['0x10', undefined],
  ['Infinity', undefined],
  ['', undefined],
  ['two', undefined],
  ['9'.repeat(400), undefined],
])('%s is read as %s', (text, number) => {
  expect(readNumber(text)).toBe(number)
})

test('what cannot be read is told with what was typed', () => {
  expect(noNumber('1,2,3')).toContain('“1,2,3”')
  expect(noNumber(' ')).toBe('a number was expected')
})

test('whatever number is written with a point or a comma is read as itself', () => {
  for (let i = 0; i < 500; i++) {
    const number = Math.round((Math.random() - 0.5) * 1e6) / 1000
    for (const text of [String(number), String(number).replace('.', ',')])
      expect(readNumber(text)).toBe(number)
  }
})
