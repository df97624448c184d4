import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, brotliDecompressSync, constants } from 'node:zlib'

/*
 * Packs what was built: every file of some size is there once, compressed with Brotli, and the program unpacks it for
 * who does not read that. Core takes half a minute at the highest level, so that what was packed once is remembered,
 * and a lower level does while developing.
 *
 *   tsx ui/pack.ts LEVEL
 */
const level = Number(process.argv[2])
const dist = join(import.meta.dirname, 'dist')
const cache = join(import.meta.dirname, '../node_modules/.cache/pack')
const levelFile = join(dist, '.level')
const least = 2048 // bytes: smaller files are left alone
/** What the program itself reads, or browsers ask for by name before anything else. */
const plain = new Set(['index.html', 'third-party.txt'])

/** packed is some bytes compressed at a level; of the same bytes it is remembered. */
function packed(bytes: Buffer): Buffer {
  const name = join(cache, `${createHash('sha256').update(bytes).digest('hex')}-${level}`)
  if (existsSync(name)) return readFileSync(name)
  const result = brotliCompressSync(bytes, {
    params: { [constants.BROTLI_PARAM_QUALITY]: level, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length },
  })
  mkdirSync(cache, { recursive: true })
  writeFileSync(name, result)
  return result
}

const was = existsSync(levelFile) ? Number(readFileSync(levelFile, 'utf8')) : 0
for (const entry of readdirSync(dist, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile()) continue
  const path = join(entry.parentPath, entry.name)
  if (/\.(js|css|svg|txt|wasm)$/.test(path) && !plain.has(entry.name)) {
    const bytes = readFileSync(path)
    if (bytes.length < least) continue
    writeFileSync(`${path}.br`, packed(bytes))
    rmSync(path)
  } else if (path.endsWith('.br') && was < level && existsSync(path)) {
    writeFileSync(path, packed(brotliDecompressSync(readFileSync(path))))
  }
}
writeFileSync(levelFile, String(Math.max(level, was)))
