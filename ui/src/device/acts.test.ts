import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type Act } from '../lib/api/client'
import { ActQueue } from './acts'
import { inTime } from './core'
import { OnItsWay } from './onitsway'
import { MemoryRuns } from './runs'

let sent: Act[][] = []
let answerWith: (acts: Act[]) => unknown

const good = (refused: { id: string; fields: { path: string; message: string }[] }[] = []) => ({
  data: { refused },
  response: new Response(),
})
const refusal = (...fields: { path: string; message: string }[]) => ({
  error: { type: '', title: '', status: 422, detail: 'no', fields },
  response: new Response(null, { status: 422 }),
})

beforeEach(() => {
  sent = []
  answerWith = () => good()
  vi.spyOn(api, 'POST').mockImplementation(((_: string, init: { body: { acts: Act[] } }) => {
    sent.push(structuredClone(init.body.acts))
    return Promise.resolve(answerWith(init.body.acts))
  }) as unknown as typeof api.POST)
})
afterEach(() => vi.restoreAllMocks())

/** A device whose disk fails in one way or another. */
class Failing extends MemoryRuns {
  fails = new Set<string>()
  #or<T>(what: string, why: string, good: () => Promise<T>) {
    return this.fails.has(what) ? Promise.reject(new Error(why)) : good()
  }
  override add(...args: Parameters<MemoryRuns['add']>) {
    return this.#or('add', 'the disk is full', () => super.add(...args))
  }
  override list(lesson: string) {
    return this.#or('list', 'the disk is gone', () => super.list(lesson))
  }
  override mark(...args: Parameters<MemoryRuns['mark']>) {
    return this.#or('mark', 'the disk is stuck', () => super.mark(...args))
  }
}

const queueOn = (device = new MemoryRuns()) => new ActQueue(device, new MemoryRuns())
const open = async (queue: ActQueue) =>
  (await queue.list('l')).filter((kept) => !kept.answered && !kept.refused)
const taps = (acts: Act[] = []) =>
  acts.map(({ tap }) => [tap?.student, tap?.measure ?? 1, tap?.entry.seq, tap?.entry.kind])

describe('ActQueue', () => {
  it('sends what was done in its order, counts with the next number of their run', async () => {
    const queue = queueOn()
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    await queue.put('l', { clock: { second: 60, running: false, finished: false } })
    await queue.count('l', 'b', { student: 'noor', measure: 2 }, { kind: 'missed' })
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'undo' })
    await queue.count('other', 'b', { student: 'noor' }, { kind: 'made' })
    expect(await queue.deliver('l')).toBeDefined()
    expect(taps(sent[0])).toEqual([
      ['noor', 1, 0, 'made'],
      [undefined, 1, undefined, undefined],
      ['noor', 2, 0, 'missed'],
      ['noor', 1, 1, 'undo'],
    ])
    expect(sent[0]?.[1]?.clock?.second).toBe(60)
    expect(new Set(sent[0]?.flatMap(({ tap }) => tap?.run ?? [])).size).toBe(2)
    expect(new Set(sent[0]?.map(({ id }) => id)).size).toBe(4)
    expect(await open(queue)).toEqual([])
    expect(await queue.list('l')).toHaveLength(4) // until the kit has them
    await queue.forget(await queue.list('l'))
    expect(await queue.list('l')).toEqual([])
    expect(await queue.deliver('l')).toBeUndefined()
  })

  it('sends many in batches, in order', async () => {
    const queue = queueOn()
    for (let i = 0; i < 1203; i++) await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    await queue.deliver('l')
    expect(sent.map((acts) => acts.length)).toEqual([500, 500, 203])
    expect(sent.flat().map(({ tap }) => tap?.entry.seq)).toEqual(Array.from({ length: 1203 }, (_, i) => i))
  })

  it('goes on in the page where the device keeps nothing, and says so', async () => {
    const device = new Failing()
    device.fails.add('add')
    const queue = queueOn(device)
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    expect(queue.storageError).toBe('the disk is full')
    expect(await open(queue)).toHaveLength(1)
    await queue.deliver('l')
    expect(sent[0]).toHaveLength(1)
    expect(await open(queue)).toEqual([])
  })

  it('goes on delivering after the device failed', async () => {
    const device = new Failing()
    const queue = queueOn(device)
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    device.fails.add('mark')
    await queue.deliver('l')
    expect(await open(queue)).toEqual([]) // this page knows that it was answered
    expect(await open(queueOn(device))).toHaveLength(1) // another sends it again, and it is done once
  })

  it('sends nothing before what was done earlier, whatever the device cannot do meanwhile', async () => {
    const device = new Failing()
    const queue = queueOn(device)
    const noor = { student: 'noor' }
    await queue.count('l', 'b', noor, { kind: 'made' }) // on the device
    device.fails.add('add')
    await queue.count('l', 'b', noor, { kind: 'missed' }) // in the page
    device.fails.clear()
    await queue.count('l', 'b', noor, { kind: 'undo' }) // on the device again
    device.fails.add('list') // which cannot be read now
    await queue.deliver('l')
    expect(sent.map((acts) => acts.map(({ tap }) => tap?.entry.kind))).toEqual([['made', 'missed', 'undo']])
    await queue.forget(await queue.list('l'))
    expect(await queue.list('l')).toEqual([])
  })

  it('keeps only what was refused, and sends the others', async () => {
    const queue = queueOn()
    for (const kind of ['made', 'missed', 'made'] as const)
      await queue.count('l', 'b', { student: 'noor' }, { kind })
    answerWith = (acts) =>
      acts.some(({ tap }) => tap?.entry.seq === 1)
        ? refusal({ path: 'acts.1.tap.entry.at', message: 'in the year 1970' })
        : good([{ id: acts[1]?.id ?? '', fields: [{ path: 'tap.block', message: 'no such drill' }] }])
    await queue.deliver('l')
    expect(sent.map((acts) => acts.map(({ tap }) => tap?.entry.seq))).toEqual([
      [0, 1, 2],
      [0, 2],
    ])
    expect(await open(queue)).toEqual([])
    expect((await queue.list('l')).map((kept) => kept.refused)).toEqual([
      undefined,
      'in the year 1970',
      'no such drill',
    ])
  })

  it('does not send for ever what is refused without a name', async () => {
    const queue = queueOn()
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    answerWith = () => refusal({ path: 'acts.7.tap', message: 'this names somebody else' })
    await queue.deliver('l')
    expect(sent).toHaveLength(1)
    expect((await queue.list('l')).map((kept) => kept.refused)).toEqual(['this names somebody else'])
  })

  it('keeps everything while this device is not let in', async () => {
    const queue = queueOn()
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    for (const status of [401, 403, 421, 429, 500]) {
      answerWith = () => ({
        ...refusal(),
        response: new Response(null, { status }),
        error: { ...refusal().error, status },
      })
      await expect(queue.deliver('l')).rejects.toThrow('no')
      expect(await open(queue)).toHaveLength(1)
    }
    answerWith = () => good()
    await queue.deliver('l')
    expect(await open(queue)).toEqual([])
  })

  it('writes down what the page before was writing down when it was left, in its order and once', async () => {
    const tab = 'a page that is left'
    const device = new MemoryRuns()
    /** A page whose writes never end: it is left before they do. */
    const stuck = new MemoryRuns()
    stuck.add = () => new Promise(() => {})
    const left = new ActQueue(stuck, new MemoryRuns(), new OnItsWay(tab))
    const noor = { student: 'noor' }
    void left.count('l', 'b', noor, { kind: 'made' })
    void left.put('l', { clock: { second: 60, running: false, finished: false } })
    void left.count('l', 'b', noor, { kind: 'undo' })

    const next = new ActQueue(device, new MemoryRuns(), new OnItsWay(tab))
    await next.count('l', 'b', noor, { kind: 'missed' })
    expect(taps((await next.list('l')).map(({ act }) => act))).toEqual([
      ['noor', 1, 0, 'made'],
      [undefined, 1, undefined, undefined],
      ['noor', 1, 1, 'undo'],
      ['noor', 1, 2, 'missed'],
    ])
    const after = new ActQueue(device, new MemoryRuns(), new OnItsWay(tab))
    expect(await after.list('l')).toHaveLength(4)
    // A tab that was doubled meanwhile has the same ones on their way.
    for (const { act } of await after.list('l')) await after.add('l', act)
    expect(await after.list('l')).toHaveLength(4)
  })

  it('keeps everything while no answer comes', async () => {
    const queue = queueOn()
    await queue.count('l', 'b', { student: 'noor' }, { kind: 'made' })
    vi.mocked(api.POST).mockRejectedValue(new TypeError('no network'))
    await expect(queue.deliver('l')).rejects.toThrow('does not answer')
    expect(await open(queue)).toHaveLength(1)
  })
})

describe('inTime', () => {
  const act: Act = {
    id: 'a',
    at: '2026-03-10T16:00:00.000Z',
    tap: {
      run: 'r',
      block: 'b',
      student: 's',
      entry: { seq: 0, kind: 'made', at: '2026-03-10T16:00:00.000Z' },
    },
  }
  it('puts the clock of a device right', () => {
    expect(inTime(act, 60_000).at).toBe('2026-03-10T16:01:00.000Z')
    expect(inTime(act, 60_000).tap?.entry.at).toBe('2026-03-10T16:01:00.000Z')
    expect(inTime(act, 0)).toBe(act)
  })
})
