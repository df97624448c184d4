import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../../lib/api/client'
import { MemoryStore, TapQueue } from './queue'

interface Sent {
  block: string
  student: string
  measure?: number
  run: string
  entries: { seq: number; kind: string }[]
}
let sent: Sent[] = []
let answerWith: (body: Sent) => unknown

const refusal = (...fields: { path: string; message: string }[]) => ({
  error: { type: '', title: '', status: 422, detail: 'no', fields },
  response: new Response(null, { status: 422 }),
})
const good = () => ({ data: [{ block: 'b' }], response: new Response() })

beforeEach(() => {
  sent = []
  answerWith = good
  vi.spyOn(api, 'POST').mockImplementation(((_: string, init: { body: Sent }) => {
    sent.push(structuredClone(init.body))
    return Promise.resolve(answerWith(init.body))
  }) as unknown as typeof api.POST)
})
afterEach(() => vi.restoreAllMocks())

/** A device whose disk fails in one way or another. */
class Failing extends MemoryStore {
  fails = new Set<string>()
  override add(...args: Parameters<MemoryStore['add']>) {
    return this.fails.has('add') ? Promise.reject(new Error('the disk is full')) : super.add(...args)
  }
  override list(lesson: string) {
    return this.fails.has('list') ? Promise.reject(new Error('the disk is gone')) : super.list(lesson)
  }
  override remove(taps: Parameters<MemoryStore['remove']>[0]) {
    return this.fails.has('remove') ? Promise.reject(new Error('the disk is stuck')) : super.remove(taps)
  }
}

describe('TapQueue', () => {
  it('sends the taps of each run together and takes them down', async () => {
    const queue = new TapQueue(new MemoryStore(), new MemoryStore())
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'made' })
    await queue.put('l', 'b', { student: 'teo' }, { kind: 'missed' })
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'undo' })
    expect(await queue.deliver('l')).toEqual([{ block: 'b' }])
    expect(sent.map((s) => [s.student, s.entries.map((e) => [e.seq, e.kind])])).toEqual([
      [
        'noor',
        [
          [0, 'made'],
          [1, 'undo'],
        ],
      ],
      ['teo', [[0, 'missed']]],
    ])
    expect(await queue.waiting('l')).toEqual({ open: [], refused: [] })
  })

  it('keeps a run for each measure', async () => {
    const queue = new TapQueue(new MemoryStore(), new MemoryStore())
    await queue.put('l', 'b', { student: 'noor', measure: 1 }, { kind: 'made' })
    await queue.put('l', 'b', { student: 'noor', measure: 2 }, { kind: 'missed' })
    await queue.put('l', 'b', { student: 'noor', measure: 1 }, { kind: 'undo' })
    await queue.deliver('l')
    expect(sent.map((s) => [s.measure, s.entries.map((e) => [e.seq, e.kind])])).toEqual([
      [
        1,
        [
          [0, 'made'],
          [1, 'undo'],
        ],
      ],
      [2, [[0, 'missed']]],
    ])
    expect(new Set(sent.map((s) => s.run)).size).toBe(2)
  })

  it('counts on in the page where the device keeps nothing, and says so', async () => {
    const device = new Failing()
    device.fails.add('add')
    const queue = new TapQueue(device, new MemoryStore())
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'made' })
    expect(queue.storageError).toBe('the disk is full')
    expect((await queue.waiting('l')).open).toHaveLength(1)
    await queue.deliver('l')
    expect(sent[0]?.entries).toHaveLength(1)
    expect((await queue.waiting('l')).open).toEqual([])
  })

  it('goes on delivering after the device failed', async () => {
    const device = new Failing()
    const queue = new TapQueue(device, new MemoryStore())
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'made' })
    device.fails.add('list')
    await queue.deliver('l')
    expect(sent).toHaveLength(0)
    device.fails.clear()
    device.fails.add('remove')
    await queue.deliver('l')
    expect(sent).toHaveLength(1)
    device.fails.clear()
    await queue.deliver('l')
    expect(sent).toHaveLength(2) // sent again, and counted once by its number
    expect((await queue.waiting('l')).open).toEqual([])
  })

  it('keeps only the tap that was refused, and sends the others', async () => {
    const queue = new TapQueue(new MemoryStore(), new MemoryStore())
    for (const kind of ['made', 'missed', 'made'] as const)
      await queue.put('l', 'b', { student: 'noor' }, { kind })
    answerWith = (body) =>
      body.entries.some((e) => e.seq === 1)
        ? refusal({ path: 'entries.1.at', message: 'in the year 1970' })
        : good()
    await queue.deliver('l')
    expect(sent.map((s) => s.entries.map((e) => e.seq))).toEqual([
      [0, 1, 2],
      [0, 2],
    ])
    const { open, refused } = await queue.waiting('l')
    expect(open).toEqual([])
    expect(refused.map((tap) => [tap.entry.seq, tap.refused])).toEqual([[1, 'in the year 1970']])
  })

  it('keeps all of a run that is refused as a whole, and sends the other runs', async () => {
    const queue = new TapQueue(new MemoryStore(), new MemoryStore())
    await queue.put('l', 'gone', { student: 'noor' }, { kind: 'made' })
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'made' })
    answerWith = (body) =>
      body.block === 'gone' ? refusal({ path: 'block', message: 'no such drill' }) : good()
    expect(await queue.deliver('l')).toEqual([{ block: 'b' }])
    expect((await queue.waiting('l')).refused.map((tap) => tap.refused)).toEqual(['no such drill'])
  })

  it('keeps everything while no answer comes', async () => {
    const queue = new TapQueue(new MemoryStore(), new MemoryStore())
    await queue.put('l', 'b', { student: 'noor' }, { kind: 'made' })
    vi.mocked(api.POST).mockRejectedValue(new TypeError('no network'))
    await expect(queue.deliver('l')).rejects.toThrow('does not answer')
    expect((await queue.waiting('l')).open).toHaveLength(1)
  })
})
