import { describe, expect, it, vi } from 'vitest'
import { Refusal } from '../api/client'
import type { Stored } from './device'
import { Draft } from './draft.svelte'

const refuse = (status: number, path = '') =>
  new Refusal({
    type: 'about:blank',
    title: '',
    status,
    detail: 'no',
    fields: [{ path, message: 'why not' }],
  })

interface Drill {
  gap: number
  turns?: number
  blocks?: { id: string; minutes: number }[]
}

/** A storage in memory, which can be made to fail. */
function memory() {
  const kept = new Map<string, Stored>()
  return {
    kept,
    mine: () => Promise.resolve([...kept.values()]),
    takeOver: () => Promise.resolve([]),
    broken: false,
    put(draft: Omit<Stored, 'key' | 'tab' | 'changed'>) {
      if (this.broken) return Promise.reject(new Error('the disk is full'))
      kept.set(draft.id, structuredClone({ ...draft, key: draft.id, tab: 't', changed: 0 }))
      return Promise.resolve()
    },
    drop(_: string, id: string) {
      kept.delete(id)
      return Promise.resolve()
    },
  }
}

type Send = (document: Drill, revision: number) => Promise<number>

function drafted(
  read: Drill,
  revision: number,
  send: Send,
  more: {
    load?: () => Promise<{ document: Drill; revision: number }>
    storage?: ReturnType<typeof memory>
    left?: Stored
  } = {},
) {
  const storage = more.storage ?? memory()
  const load = more.load ?? (() => Promise.reject(new Error('not asked for')))
  const source = { kind: 'drill', id: 'd', send, load, storage }
  const draft = new Draft<Drill>({ document: read, revision }, source)
  if (more.left) draft.restore(more.left)
  return draft
}

describe('Draft', () => {
  it('saves the last of several quick changes once, over the revision it was read at', async () => {
    const store = vi.fn().mockResolvedValue(4)
    const draft = drafted({ gap: 3 }, 3, store)
    draft.change((d) => (d.gap = 4))
    draft.change((d) => (d.gap = 5))
    await draft.flush()
    expect(store.mock.calls).toEqual([[{ gap: 5 }, 3]])
    expect(draft.status).toBe('saved')
    draft.change((d) => (d.gap = 6))
    await draft.flush()
    expect(store.mock.calls[1]).toEqual([{ gap: 6 }, 4])
  })

  it('has what is made of it made again where something was typed meanwhile', async () => {
    const draft = drafted({ gap: 3, turns: 1 }, 1, vi.fn().mockResolvedValue(2))
    const answers: (() => void)[] = []
    const asked: Drill[] = []
    const doubled = draft.upToDate(async (drill) => {
      asked.push(drill)
      await new Promise<void>((answered) => answers.push(answered))
      return { ...drill, turns: 2 * (drill.turns ?? 0) }
    })
    draft.change((d) => (d.gap = 4))
    answers.shift()?.()
    await vi.waitFor(() => expect(answers).toHaveLength(1))
    answers.shift()?.()
    draft.replace(await doubled)
    expect(draft.document).toEqual({ gap: 4, turns: 2 })
    expect(asked).toEqual([
      { gap: 3, turns: 1 },
      { gap: 4, turns: 1 },
    ])
  })

  it('keeps what was typed when it is refused, with the reason by its field', async () => {
    const draft = drafted({ gap: 3 }, 1, vi.fn().mockRejectedValue(refuse(422, 'gap')))
    draft.change((d) => (d.gap = 0))
    await draft.flush()
    expect(draft.status).toBe('refused')
    expect(draft.document.gap).toBe(0)
    expect(draft.fields).toEqual({ gap: 'why not' })
  })

  it('offers both where the same was changed elsewhere, and saves nothing over it', async () => {
    const store = vi.fn().mockRejectedValue(refuse(412))
    const load = () => Promise.resolve({ document: { gap: 7, turns: 2 }, revision: 2 })
    const draft = drafted({ gap: 3 }, 1, store, { load })
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    draft.change((d) => (d.gap = 5))
    await draft.flush()
    expect(store).toHaveBeenCalledTimes(1)
    expect(draft.status).toBe('stale')
    expect(draft.document.gap).toBe(5)
    expect(draft.conflicts).toEqual([{ path: 'gap', mine: 5, theirs: 7 }])

    store.mockResolvedValue(3)
    draft.settle('mine')
    await draft.flush()
    expect(store.mock.calls[1]).toEqual([{ gap: 5, turns: 2 }, 2])
    expect(draft.status).toBe('saved')
  })

  it('takes the other one where that is wanted, and brings back mine by undo', async () => {
    const load = () => Promise.resolve({ document: { gap: 7 }, revision: 2 })
    const draft = drafted({ gap: 3 }, 1, vi.fn().mockRejectedValue(refuse(412)), { load })
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    draft.settle('theirs')
    expect(draft.document.gap).toBe(7)
    expect(draft.status).toBe('saved')
    draft.undo()
    expect(draft.document.gap).toBe(4)
  })

  it('puts different changes together and saves them over the newer revision', async () => {
    const store = vi.fn<Send>().mockRejectedValueOnce(refuse(412)).mockResolvedValue(3)
    const load = () => Promise.resolve({ document: { gap: 3, turns: 9 }, revision: 2 })
    const draft = drafted({ gap: 3, turns: 1 }, 1, store, { load })
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    await draft.flush()
    expect(store.mock.calls[1]).toEqual([{ gap: 4, turns: 9 }, 2])
    expect(draft.status).toBe('saved')
  })

  it('knows its own save again when the answer to it was lost', async () => {
    const store = vi
      .fn<Send>()
      .mockRejectedValueOnce(new Error('the wire was cut'))
      .mockRejectedValueOnce(refuse(412))
      .mockResolvedValue(3)
    // The first save had arrived, and the server wrote it in its own way.
    const load = () => Promise.resolve({ document: { turns: 0, gap: 4 }, revision: 2 })
    const draft = drafted({ gap: 3 }, 1, store, { load })
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    expect(draft.status).toBe('unsent')
    draft.change((d) => (d.gap = 5))
    await draft.flush()
    expect(draft.conflicts).toEqual([])
    await draft.flush()
    expect(store.mock.calls.at(-1)).toEqual([{ gap: 5 }, 2])
    expect(draft.status).toBe('saved')
  })

  it('is never replaced by what is read again while it is changed', () => {
    const draft = drafted({ gap: 3 }, 1, vi.fn().mockRejectedValue(new Error('gone')))
    draft.change((d) => (d.gap = 4))
    draft.offer({ document: { gap: 3 }, revision: 1 })
    expect(draft.document.gap).toBe(4)
    draft.offer({ document: { gap: 3, turns: 2 }, revision: 2 })
    expect(draft.document).toEqual({ gap: 4, turns: 2 })
    expect(draft.status).toBe('waiting')
  })

  it('takes what is newer where nothing was changed, and nothing that is older', () => {
    const draft = drafted({ gap: 3 }, 4, vi.fn())
    draft.offer({ document: { gap: 9 }, revision: 3 })
    expect(draft.document.gap).toBe(3)
    draft.offer({ document: { gap: 8 }, revision: 5 })
    expect(draft.document.gap).toBe(8)
    expect(draft.status).toBe('saved')
  })

  it('is written down at each change, and taken off once it is saved', async () => {
    const storage = memory()
    const store = vi.fn<Send>().mockRejectedValueOnce(new Error('gone')).mockResolvedValue(2)
    const draft = drafted({ gap: 3 }, 1, store, { storage })
    draft.change((d) => (d.gap = 4))
    await draft.written()
    expect(storage.kept.get('d')).toMatchObject({ base: { gap: 3 }, document: { gap: 4 }, revision: 1 })
    await draft.flush()
    await draft.written()
    expect(storage.kept.get('d')?.sent).toEqual([{ gap: 4 }])
    await draft.flush()
    await draft.written()
    expect(storage.kept.size).toBe(0)
  })

  it('goes on from what an earlier page left', async () => {
    const store = vi.fn<Send>().mockResolvedValue(2)
    const left = {
      key: 'd',
      tab: 't',
      kind: 'drill',
      id: 'd',
      base: { gap: 3 },
      revision: 1,
      document: { gap: 4 },
      sent: [],
      changed: 0,
    }
    const draft = drafted({ gap: 3 }, 1, store, { left })
    expect(draft.document.gap).toBe(4)
    await draft.flush()
    expect(store.mock.calls).toEqual([[{ gap: 4 }, 1]])
  })

  it('takes in what another tab left, also when its page was open already', async () => {
    const left = (document: Drill, base: Drill, revision: number) => ({
      key: 'd',
      tab: 't',
      kind: 'drill',
      id: 'd',
      base,
      revision,
      document,
      sent: [],
      changed: 0,
    })
    // The server has something newer than what the tab built on, and the page shows it.
    const store = vi.fn<Send>().mockResolvedValue(4)
    const draft = drafted({ gap: 3, turns: 9 }, 3, store)
    draft.restore(left({ gap: 4, turns: 2 }, { gap: 3, turns: 2 }, 2))
    expect(draft.document).toEqual({ gap: 4, turns: 9 })
    await draft.flush()
    expect(store.mock.calls).toEqual([[{ gap: 4, turns: 9 }, 3]])

    // Something was typed here before it came.
    const typed = drafted({ gap: 3, turns: 2 }, 2, vi.fn<Send>().mockResolvedValue(3))
    typed.change((d) => (d.turns = 7))
    typed.restore(left({ gap: 4, turns: 2 }, { gap: 3, turns: 2 }, 2))
    expect(typed.document).toEqual({ gap: 4, turns: 7 })
  })

  it('says that this device keeps nothing, and saves all the same', async () => {
    const storage = memory()
    storage.broken = true
    const draft = drafted({ gap: 3 }, 1, vi.fn<Send>().mockResolvedValue(2), { storage })
    draft.change((d) => (d.gap = 4))
    await draft.written()
    expect(draft.storageError).toBe('the disk is full')
    await draft.flush()
    expect(draft.status).toBe('saved')
  })

  it('undoes and redoes every change', () => {
    const draft = drafted({ gap: 3 }, 1, vi.fn())
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
    const draft = drafted({ gap: 3 }, 1, vi.fn().mockRejectedValue(new Error('gone')))
    draft.change((d) => (d.gap = 4))
    await draft.flush()
    expect(draft.status).toBe('unsent')
  })
})
