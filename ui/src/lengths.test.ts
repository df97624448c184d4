import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'

/** No file of the page holds more than one idea: what is longer than this is cut. The client is generated. */
const most = 300
const generated = ['lib/api/schema.d.ts']

test(`no file of the page is longer than ${most} lines`, () => {
  const long = readdirSync(import.meta.dirname, { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.(svelte|ts|css)$/.test(path) && !generated.includes(path))
    .map((path) => ({
      path,
      lines: readFileSync(join(import.meta.dirname, path), 'utf8').split('\n').length - 1,
    }))
    .filter(({ lines }) => lines > most)
  expect(long).toEqual([])
})
