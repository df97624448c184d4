import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { Core } from './core'

/** Workers that were started and not stopped. */
let at: FakeWorker[] = []

class FakeWorker {
  onmessage?: (event: { data: unknown }) => void
  onerror?: (event: { message: string }) => void
  constructor() {
    at.push(this)
  }
  postMessage({ n }: { n: number }) {
    queueMicrotask(() => this.onmessage?.({ data: { n, text: '{"answer": 1}' } }))
  }
  terminate() {
    at = at.filter((each) => each !== this)
  }
}

beforeEach(() => {
  at = []
  vi.stubGlobal('Worker', FakeWorker)
})
afterEach(() => vi.unstubAllGlobals())

it('starts nothing once its page is left, also where it was to begin before', async () => {
  const core = new Core()
  expect(await core.ask({})).toEqual({ answer: 1 })
  expect(at).toHaveLength(1)
  core.stop()
  expect(at).toHaveLength(0)
  core.warm()
  await expect(core.ask({})).rejects.toThrow('left')
  expect(at).toHaveLength(0)
})

it('is loaded again after it failed', async () => {
  const core = new Core()
  core.warm()
  at[0]?.onerror?.({ message: 'no memory' })
  expect(at).toHaveLength(0)
  expect(await core.ask({})).toEqual({ answer: 1 })
  core.stop()
})
