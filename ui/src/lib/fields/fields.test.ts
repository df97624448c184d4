import { expect, it } from 'vitest'
import { inWords, shortly } from './fields'

it('says where a field is as a coach counts', () => {
  expect(inWords('blocks.3.rotation.spots')).toBe('Block 4, rotation, spots')
  expect(inWords('pattern.tasks.0.replySpin')).toBe('Pattern, task 1, reply spin')
  expect(inWords('minutes')).toBe('Length')
  expect(inWords('')).toBe('')
})

it('tells two values apart in a few words', () => {
  expect(shortly('Pair')).toBe('“Pair”')
  expect(shortly('x'.repeat(90))).toHaveLength(62)
  expect(shortly(undefined)).toBe('nothing')
  expect(shortly(4.5)).toBe('4.5')
  expect(shortly(true)).toBe('yes')
  expect(shortly([{ title: 'Water' }, { title: 'Game' }])).toBe('Water, Game')
  expect(shortly([{}, {}])).toBe('2 parts')
  expect(shortly({ kind: 'circle' })).toBe('circle')
})
