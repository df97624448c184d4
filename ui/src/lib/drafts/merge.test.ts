import { describe, expect, it } from 'vitest'
import { merge, same } from './merge'

describe('same', () => {
  it('takes what is left out for nothing', () => {
    expect(same({ a: 1, b: 0, c: '', d: [], e: false, f: {} }, { a: 1 })).toBe(true)
    expect(same({ a: 1 }, { a: 2 })).toBe(false)
    expect(same([1, 2], [2, 1])).toBe(false)
    expect(same({ a: { b: 1 } }, {})).toBe(false)
    expect(same('', null)).toBe(true)
  })
})

describe('merge', () => {
  const base = {
    title: 'Pair',
    space: { courts: 1 },
    blocks: [
      { id: 'a', minutes: 5 },
      { id: 'b', minutes: 6 },
    ],
  }

  it('keeps what either changed', () => {
    const mine = { ...base, title: 'Noor and Teo' }
    const theirs = { ...base, space: { courts: 2 } }
    expect(merge(base, mine, theirs)).toEqual({ merged: { ...mine, space: { courts: 2 } }, conflicts: [] })
    expect(merge(base, theirs, mine).merged).toEqual({ ...mine, space: { courts: 2 } })
  })

  it('merges block by block where the blocks are the same', () => {
    const mine = {
      ...base,
      blocks: [
        { id: 'a', minutes: 9 },
        { id: 'b', minutes: 6 },
      ],
    }
    const theirs = {
      ...base,
      blocks: [
        { id: 'a', minutes: 5 },
        { id: 'b', minutes: 7 },
      ],
    }
    expect(merge(base, mine, theirs)).toEqual({
      merged: {
        ...base,
        blocks: [
          { id: 'a', minutes: 9 },
          { id: 'b', minutes: 7 },
        ],
      },
      conflicts: [],
    })
  })

  it('tells the list where one took a block out and the other changed one', () => {
    const mine = { ...base, blocks: base.blocks.slice(0, 1) }
    const theirs = {
      ...base,
      blocks: [
        { id: 'a', minutes: 5 },
        { id: 'b', minutes: 7 },
      ],
    }
    const { merged, conflicts } = merge(base, mine, theirs)
    expect(conflicts).toEqual([{ path: 'blocks', mine: mine.blocks, theirs: theirs.blocks }])
    expect(merged.blocks).toEqual(mine.blocks)
    expect(merge(base, mine, theirs, 'theirs').merged.blocks).toEqual(theirs.blocks)
  })

  it('is no conflict where both made the same of it, and takes out what one took out', () => {
    const mine: { title: string; goal?: number } = { title: 'Pair', goal: undefined }
    expect(merge<typeof mine>({ title: 'Pair', goal: 5 }, mine, { title: 'Two', goal: 5 })).toEqual({
      merged: { title: 'Two', goal: undefined },
      conflicts: [],
    })
    expect(merge({ n: 1 }, { n: 2 }, { n: 2 }).conflicts).toEqual([])
  })
})
