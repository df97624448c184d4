import { statSync } from 'node:fs'
import { expect, test } from './fixtures'

/** What is carried about: the program as one file, and core as a phone loads it. */
test('the program is one file of at most 36 MB, and core comes to a device in at most 1.5 MB', async ({
  empty,
}) => {
  expect(statSync('bin/hodometer').size).toBeLessThanOrEqual(36_000_000)
  const worker = await (await fetch(new URL('/sw.js', empty.url))).text()
  const core = /assets\/core-[^"]+\.wasm/.exec(worker)?.[0]
  expect(core).toBeTruthy()
  const small = await fetch(new URL(`/${core}`, empty.url), { headers: { 'Accept-Encoding': 'br' } })
  expect(small.headers.get('content-encoding')).toBe('br')
  // Node unpacks what it fetches; how long it was on the way stands in the head.
  const length = Number(small.headers.get('content-length'))
  expect(length).toBeGreaterThan(500_000)
  expect(length).toBeLessThanOrEqual(1_500_000)
  for (const sent of [small, await fetch(new URL('/', empty.url))])
    expect(sent.headers.get('vary')).toContain('Accept-Encoding')
  const whole = await fetch(new URL(`/${core}`, empty.url), { headers: { 'Accept-Encoding': 'identity' } })
  expect(whole.headers.get('content-encoding')).toBeNull()
  expect((await whole.arrayBuffer()).byteLength).toBeGreaterThan(5_000_000)
})
