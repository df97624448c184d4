import { expect, test } from 'vitest'
import { toFourthFormat, toSentences, toThirdFormat } from './formats'

test('a draft of an earlier program keeps what was typed, under the names of this one', () => {
  const drill = {
    version: 2,
    play: 'doubles',
    pattern: { way: 'hand', most: 4, tasks: [{ way: 'racket', landing: { whose: 'far', measures: [] } }] },
    variations: [{ name: 'v', towards: 'easier', steps: [{ change: 'quicken', by: 1 }] }],
  }
  expect(toThirdFormat('drill', drill)).toEqual({
    version: 3,
    format: 'doubles',
    pattern: {
      method: 'hand',
      maxSequences: 4,
      tasks: [{ method: 'racket', landing: { view: 'far', measures: [] } }],
    },
    variations: [{ name: 'v', difficulty: 'easier', steps: [{ kind: 'quicken', by: 1 }] }],
  })
  expect(
    toThirdFormat('lesson', {
      version: 2,
      blocks: [{ least: 4, most: 9, calls: [{ minute: 1, say: 'Go' }] }],
    }),
  ).toEqual({ version: 3, blocks: [{ min: 4, max: 9, calls: [{ minute: 1, text: 'Go' }] }] })
  expect(toThirdFormat('student', { towards: 'a title', limit: { of: 'balls', most: 90 } })).toEqual({
    objective: 'a title',
    limit: { of: 'balls', max: 90 },
  })
  expect(toThirdFormat('remark', { remark: 'say most' })).toEqual({ remark: 'say most' })
})

test('a draft with one goal and one target has one measure', () => {
  const goal = { kind: 'rallies of a length', count: 3, from: 4, to: 19 }
  const target = { kind: 'box', box: 'far-half' }
  expect(
    toFourthFormat('drill', { version: 3, name: 'Mine', goal, target, counts: { noCount: true } }),
  ).toEqual({
    version: 4,
    name: 'Mine',
    measures: [{ number: 1, what: 'rally', goals: [goal], target, counts: { noCount: true } }],
  })
  const variants = [{ student: 'ada', gap: 3, goal }, { student: 'ben' }]
  expect(toFourthFormat('lesson', { version: 3, blocks: [{ id: 'b', variants }, { id: 'c' }] })).toEqual({
    version: 4,
    blocks: [
      {
        id: 'b',
        variants: [{ student: 'ada', gap: 3, goals: [{ measure: 1, goals: [goal] }] }, { student: 'ben' }],
      },
      { id: 'c' },
    ],
  })
  expect(toFourthFormat('lesson', { version: 4, blocks: [] })).toEqual({ version: 4, blocks: [] })
})

test('a reason in words stays what it was', () => {
  const variants = [{ student: 'ada', why: 'her knee' }, { student: 'ben' }]
  expect(toSentences('lesson', { version: 4, blocks: [{ id: 'b', variants }, { id: 'c' }] })).toEqual({
    version: 4,
    blocks: [
      { id: 'b', variants: [{ student: 'ada', why: { words: 'her knee' } }, { student: 'ben' }] },
      { id: 'c' },
    ],
  })
  expect(toSentences('drill', { why: 'x' })).toEqual({ why: 'x' })
})
