import { chromium as browserType } from '@playwright/test'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium, open } from './club'

/** Measures what a coach feels of the whole program, and prints medians for docs/performance.md. */
const rounds = 9
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN

/** The scripts that the first page asks for before it shows anything. */
function initialScripts(): number {
  const html = readFileSync('ui/dist/index.html', 'utf8')
  const files = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1] ?? '')
  return files.reduce((sum, file) => sum + gzipSync(readFileSync(join('ui/dist', file))).length, 0)
}

function residentMiB(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8')
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024
}

const folder = mkdtempSync(join(tmpdir(), 'hodometer-bench-'))
const browser = await browserType.launch(chromium)
const answered: number[] = []
const drawn: number[] = []
const memory: number[] = []
for (let round = 0; round < rounds; round++) {
  const context = await browser.newContext()
  const page = await context.newPage()
  const began = performance.now()
  const club = await open('demo', folder)
  await (await fetch(club.url)).text()
  answered.push(performance.now() - began)
  await page.goto(club.url)
  await page.getByRole('heading', { name: /^Today,/ }).waitFor()
  drawn.push(performance.now() - began)
  for (const room of ['students', 'drills', 'lessons'])
    await (await fetch(`${club.url}/api/${room}?back=60&ahead=60`)).text()
  memory.push(residentMiB(club.pid))
  await context.close()
  await club.close(false)
}
await browser.close()
rmSync(folder, { recursive: true, force: true })

console.log(`machine: ${cpus().length} × ${cpus()[0]?.model}, Node ${process.version}`)
console.table({
  'process start to first answer, ms': median(answered).toFixed(0),
  'process start to first page drawn, ms': median(drawn).toFixed(0),
  'initial JavaScript, kB gzipped': (initialScripts() / 1000).toFixed(1),
  'binary, MB': (statSync('bin/hodometer').size / 1e6).toFixed(1),
  'memory after the demo is loaded and listed, MiB': median(memory).toFixed(1),
})
