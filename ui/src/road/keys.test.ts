import { expect, test } from 'vitest'
import { actOf, dropAt } from './keys'

test('keys shape a block of the road', () => {
  expect(actOf('ArrowLeft', false)).toEqual({ kind: 'move', by: -1 })
  expect(actOf('ArrowUp', false)).toEqual({ kind: 'resize', by: 0.5 })
  expect(actOf('ArrowDown', true)).toEqual({ kind: 'resize', by: -2 })
  expect(actOf('p', false)).toEqual({ kind: 'pin' })
  expect(actOf('Delete', false)).toEqual({ kind: 'remove' })
  expect(actOf(' ', false)).toEqual({ kind: 'choose' })
  expect(actOf('Tab', false)).toBeUndefined()
})

test('a dragged block is let go between the middles of the others', () => {
  const blocks = [
    { block: 'a', start: 0, end: 600 },
    { block: 'b', start: 600, end: 1200 },
    { block: 'c', start: 1200, end: 1800 },
  ]
  expect(dropAt(100, blocks, 'c')).toBe(0)
  expect(dropAt(700, blocks, 'c')).toBe(1)
  expect(dropAt(1000, blocks, 'c')).toBe(2)
  expect(dropAt(1700, blocks, 'a')).toBe(2)
  expect(dropAt(0, blocks, 'a')).toBe(0)
})
