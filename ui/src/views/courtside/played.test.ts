import { expect, it } from 'vitest'
import { played } from './played'

type Block = Parameters<typeof played>[0]
const block = { id: 'b', drill: 'd', minutes: 12, people: ['ada', 'ben'] } as unknown as Block
const roles = (...names: string[]) => names.map((name) => ({ name, short: name, role: 'at the net' }))

it('is the same in a block that is longer, or whose people came where they are at another second', () => {
  const before = played(block, roles('Ada'))
  expect(played({ ...block, minutes: 15 }, roles('Ada'))).toBe(before)
})

it.each([
  ['another version', { version: 'easier' }, roles('Ada')],
  ['other people', { people: ['ben'] }, roles('Ada')],
  ['a version of their own', { variants: [{ student: 'ada', version: 'easier' }] }, roles('Ada')],
  ['others at the net', {}, roles('Ben')],
] as const)('is another one with %s', (_, change, now) => {
  expect(played({ ...block, ...change } as unknown as Block, now)).not.toBe(played(block, roles('Ada')))
})
