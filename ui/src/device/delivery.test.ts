import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Refusal, Unreachable } from '../lib/api/client'
import { Delivery } from './delivery.svelte'
import type { Kept } from './log'

interface Act {
  id: string
}

/** Whoever waits for something is let go on by hand. */
class Gate {
  #waiting: (() => void)[] = []
  pass = () => new Promise<void>((open) => this.#waiting.push(open))
  get waits() {
    return this.#waiting.length
  }
  open() {
    this.#waiting.splice(0).forEach((open) => open())
  }
}

/** A lesson whose answers and whose core are as slow as the test has them be; what is shown is the acts in it. */
function lesson() {
  const kept: Kept<Act>[] = []
  const sending = new Gate()
  const seeing = new Gate()
  const asking = new Gate()
  const shown: string[] = []
  /** What sending comes to, where it fails. */
  const fails: { with?: Error } = {}
  const said = (list: Kept<Act>[]) => list.map(({ act }) => act.id).join()
  const open = () => kept.filter((each) => !each.answered)
  const delivery = new Delivery<Act, string>({
    of: 'l',
    queue: {
      storageError: '',
      list: () => Promise.resolve(kept.map((each) => ({ ...each }))),
      deliver: async () => {
        const sent = open()
        if (!sent.length) return undefined
        await sending.pass()
        if (fails.with) throw fails.with
        sent.forEach((each) => (each.answered = true))
        return `answered ${said(sent)}`
      },
      forget: () => Promise.resolve(),
    },
    ask: async () => {
      const now = said(kept)
      await asking.pass()
      return `asked ${now}`
    },
    computeHere: async (list) => {
      await seeing.pass()
      return `seen ${said(list)}`
    },
    show: (answer) => void shown.push(answer),
    pack: () => Promise.resolve(),
    reportRefused: () => true,
  })
  const write = (id: string) =>
    delivery.write(() => Promise.resolve(void kept.push({ of: 'l', act: { id } })))
  return { delivery, write, sending, seeing, asking, shown, fails }
}

beforeEach(() => {
  vi.useFakeTimers()
  let writes = 0
  vi.spyOn(api, 'GET').mockImplementation(() =>
    Promise.resolve({
      data: { write: `${++writes}` },
      response: new Response(),
    }),
  )
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})

describe('Delivery', () => {
  it('shows nothing of before what was done last, where the answer is late and the core is slow', async () => {
    const { delivery, write, sending, seeing, shown } = lesson()
    void write('begin')
    await vi.advanceTimersByTimeAsync(1000)
    expect(delivery.slow).toBe(true)
    expect(seeing.waits).toBe(1) // the core works out what comes of the first
    void write('next')
    await vi.advanceTimersByTimeAsync(1)
    seeing.open() // to what was asked first, too
    await vi.advanceTimersByTimeAsync(1)
    expect(shown).toEqual(['seen begin,next'])

    sending.open() // the answer to the first alone is not shown over both
    await vi.advanceTimersByTimeAsync(1)
    expect(delivery.slow).toBe(true) // the second one waits as it did
    sending.open()
    await vi.advanceTimersByTimeAsync(1)
    expect(delivery.slow).toBe(false)
    expect(shown).toEqual(['seen begin,next', 'answered next'])
    delivery.stop()
  })

  it.each([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10])(
    'never shows it undone, where it is done %i steps after the answer to what was before',
    async (steps) => {
      const { delivery, write, sending, seeing, shown } = lesson()
      void write('begin')
      await vi.advanceTimersByTimeAsync(1000)
      sending.open()
      for (let i = 0; i < steps; i++) await Promise.resolve()
      const before = shown.length
      void write('next')
      await vi.advanceTimersByTimeAsync(1)
      seeing.open()
      await vi.advanceTimersByTimeAsync(1)
      sending.open()
      await vi.advanceTimersByTimeAsync(1)
      expect(shown.slice(before).filter((each) => !each.includes('next'))).toEqual([])
      expect(shown.at(-1)).toBe('answered next')
      delivery.stop()
    },
  )

  it('shows what another device did, but not over what is done here meanwhile', async () => {
    const { delivery, write, sending, asking, shown } = lesson()
    void delivery.deliver()
    await vi.advanceTimersByTimeAsync(1)
    asking.open()
    await vi.advanceTimersByTimeAsync(1)
    expect(shown).toEqual(['asked '])

    void delivery.deliver()
    await vi.advanceTimersByTimeAsync(1)
    void write('begin')
    await vi.advanceTimersByTimeAsync(1)
    asking.open() // it was asked before
    await vi.advanceTimersByTimeAsync(1)
    expect(shown).toEqual(['asked '])
    sending.open()
    await vi.advanceTimersByTimeAsync(1)
    expect(shown).toEqual(['asked ', 'answered begin'])
    delivery.stop()
  })

  const refusal = (status: number, detail: string) =>
    new Refusal({ type: '', title: '', status, detail, fields: [] })
  it.each([
    ['no answer', new Unreachable(), false, ''],
    ['a lesson that is gone', refusal(404, 'There is no such lesson.'), true, 'There is no such lesson.'],
    ['a fault of the program', refusal(500, 'Something failed.'), true, 'Something failed.'],
    ['a fault of this page', new TypeError('x is undefined'), true, 'x is undefined'],
  ])('tells %s from the others, keeps what was done, and goes on', async (_, failure, reached, wrong) => {
    const { delivery, write, sending, seeing, shown, fails } = lesson()
    fails.with = failure
    void write('begin')
    await vi.advanceTimersByTimeAsync(1)
    sending.open()
    await vi.advanceTimersByTimeAsync(1)
    seeing.open()
    await vi.advanceTimersByTimeAsync(1)
    expect([delivery.reached, delivery.wrong]).toEqual([reached, wrong])
    expect(delivery.open).toHaveLength(1)
    expect(shown).toEqual(['seen begin']) // this device works it out meanwhile
    fails.with = undefined
    await vi.advanceTimersByTimeAsync(3000)
    sending.open()
    await vi.advanceTimersByTimeAsync(1)
    expect([delivery.reached, delivery.wrong]).toEqual([true, ''])
    expect(shown.at(-1)).toBe('answered begin')
    delivery.stop()
  })
})
