import { expect, it } from 'vitest'
import { differences } from './merge'

it('lists what differs as finely as the parts go, and nothing that means the same', () => {
  const mine = {
    name: 'Corner',
    note: '',
    pattern: { gap: 3.5, tasks: [{ pace: 'gentle' }, {}] },
    goals: [1],
  }
  const theirs = { name: 'Corner', pattern: { gap: 4, tasks: [{ pace: 'firm' }, {}] }, goals: [1, 2] }
  expect(differences(mine, theirs)).toEqual([
    { path: 'pattern.gap', mine: 3.5, theirs: 4 },
    { path: 'pattern.tasks.0.pace', mine: 'gentle', theirs: 'firm' },
    { path: 'goals', mine: [1], theirs: [1, 2] },
  ])
  expect(differences(mine, { ...mine, hushed: [] })).toEqual([])
})
