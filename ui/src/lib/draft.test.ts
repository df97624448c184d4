import { describe, expect, it, vi } from 'vitest'
import { Refusal } from './api/client'
import { Draft } from './draft.svelte'

const refuse = (status: number, path = '') =>
  new Refusal({
    type: 'about:blank',
    title: '',
    status,
    detail: 'no',
    fields: [{ path, message: 'why not' }],
  })

describe('Draft', () => {
  it('saves the last of several quick changes once, over the version it was read at', async () => {
    const store = vi.fn().mockResolvedValue(4)
    const draft = new Draft({ gap: 3 }, 3, store)
    draft.change((d) => (d.gap = 4))
    draft.change((d) => (d.gap = 5))
    await draft.flush()
    expect(store.mock.calls).toEqual([[{ gap: 5 }, 3]])
    expect(draft.status).toBe('saved')
    draft.change((d) => (d.gap = 6))
    await draft.flush()
    expect(store.mock.calls[1]).toEqual([{ gap: 6 }, 4])
  })

  it('keeps what was typed when it is refused, with the reason by its field', async () => {
    const draft = new Draft({ gap: 3 }, 1, vi.fn().mockRejectedValue(refuse(422, 'gap')))
    draft.change((d) => (d.gap = 0))
    await draft.flush()
    expect(draft.status).toBe('refused')
    expect(draft.document.gap).toBe(0)
    expect(draft.fields).toEqual({ gap: 'why not' })
  })

  it('never saves over a newer version', async () => {
    const store = vi.fn().mockRejectedValue(refuse(412))
    const draft = new Draft({ gap: 3 }, 1, store)
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    draft.change((d) => (d.gap = 5))
    await draft.flush()
    expect(store).toHaveBeenCalledTimes(1)
    expect(draft.status).toBe('stale')
    expect(draft.document.gap).toBe(5)
  })

  it('undoes and redoes every change', () => {
    const draft = new Draft({ gap: 3 }, 1, vi.fn())
    draft.change((d) => (d.gap = 4))
    draft.change((d) => (d.gap = 5))
    draft.undo()
    draft.undo()
    expect(draft.document.gap).toBe(3)
    expect(draft.canUndo).toBe(false)
    draft.redo()
    expect(draft.document.gap).toBe(4)
    draft.change((d) => (d.gap = 9))
    expect(draft.canRedo).toBe(false)
  })

  it('says that nothing was sent when no answer came', async () => {
    const draft = new Draft({ gap: 3 }, 1, vi.fn().mockRejectedValue(new Error('gone')))
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    expect(draft.status).toBe('unsent')
  })
})
