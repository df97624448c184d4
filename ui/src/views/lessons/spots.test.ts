import { expect, test } from 'vitest'
import { spotsOf, textOf } from './spots'

test('spots are written in a line and read back', () => {
  const spots = [
    { name: 'left', side: 'net' },
    { name: 'back', side: 'far' },
    { name: 'feeds', feeds: true },
  ]
  expect(textOf(spots)).toBe('net: left; far: back; feeds*')
  expect(spotsOf(textOf(spots))).toEqual(spots)
  expect(spotsOf('at the net, feeds from the back')).toEqual([
    { name: 'at the net' },
    { name: 'feeds from the back' },
  ])
  expect(spotsOf(' ; ,')).toEqual([{ name: ',' }])
  expect(spotsOf('')).toEqual([])
})
