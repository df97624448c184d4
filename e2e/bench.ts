import { duplicate } from './fixtures'
import { chromium as browserType } from '@playwright/test'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium, open } from './club'

/** Measures what a coach feels of the whole program, and prints medians for docs/performance.md. */
const rounds = 5
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
  const club = await open('demo', undefined, folder)
  await (await fetch(club.url)).text()
  answered.push(performance.now() - began)
  await page.goto(club.url)
  await page.getByRole('heading', { name: /^Today,/ }).waitFor()
  drawn.push(performance.now() - began)
  for (const room of ['students', 'drills', 'lessons/week'])
    await (await fetch(`${club.url}/api/${room}`)).text()
  memory.push(residentMiB(club.pid))
  await context.close()
  await club.close(false)
}

/** Frames while a mark that was taken hold of is dragged for three seconds on a processor four times as slow. */
async function dragging(): Promise<{ perSecond: number; slowest: number }> {
  const club = await open('demo', undefined, folder)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(`${club.url}/#/drills`)
  await duplicate(page, 'In, Up and Over')
  const sign = page.getByRole('button', { name: /^ball 2, / })
  await sign.waitFor()
  await page.waitForLoadState('networkidle')
  const box = await sign.boundingBox()
  if (!box) throw new Error('ball 2 is not drawn')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const slow = await context.newCDPSession(page)
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, y - 5)
  await page.waitForTimeout(200)
  // As text, since what runs in the page must bring nothing along.
  const frames = page.evaluate<number[]>(`new Promise((resolve) => {
    const times = []
    requestAnimationFrame(function next(now) {
      times.push(now)
      if (now - times[0] < 3000) requestAnimationFrame(next)
      else resolve(times)
    })
  })`)
  // A mouse tells where it is about 125 times a second.
  const until = performance.now() + 2900
  for (let i = 0; performance.now() < until; i++) {
    await page.mouse.move(x + 40 * Math.sin(i / 9), y - 60 + 40 * Math.cos(i / 9))
    await page.waitForTimeout(6)
  }
  const times = await frames
  await page.mouse.up()
  await context.close()
  await club.close(false)
  const gaps = times
    .slice(1)
    .map((time, i) => time - (times[i] ?? 0))
    .sort((a, b) => a - b)
  return {
    perSecond: (1000 * gaps.length) / ((times.at(-1) ?? 0) - (times[0] ?? 0)),
    slowest: gaps[Math.floor(gaps.length * 0.95)] ?? NaN,
  }
}
const drags: Awaited<ReturnType<typeof dragging>>[] = []
for (let round = 0; round < rounds; round++) drags.push(await dragging())

/** Milliseconds of 300 answers to a six-ball pattern, and from an edit to new read-outs on screen. */
async function previews(): Promise<{ answer: number; screen: number }> {
  const club = await open('demo', undefined, folder)
  const { drills } = (await (await fetch(`${club.url}/api/drills?text=three-corner`)).json()) as {
    drills: {
      document: { name: string; pattern: { tasks: unknown[] } }
    }[]
  }
  const balls = drills.find((each) => each.document.name === 'Three-Corner Round')?.document
  if (!balls) throw new Error('the library has changed')
  const six = {
    ...balls,
    pattern: { ...balls.pattern, tasks: [...balls.pattern.tasks, ...balls.pattern.tasks] },
  }
  const body = JSON.stringify({ document: six, people: 1, hand: 'right' })
  const times: number[] = []
  for (let i = 0; i < 300; i++) {
    const from = performance.now()
    const answered = await fetch(`${club.url}/api/drills/preview`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    })
    await answered.text()
    if (!answered.ok) throw new Error(`preview answered ${answered.status}`)
    times.push(performance.now() - from)
  }
  times.sort((a, b) => a - b)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${club.url}/#/drills`)
  await duplicate(page, 'Both Verges')
  await page.getByRole('button', { name: /^Task 1:/ }).click()
  await page.getByRole('region', { name: 'Task 1' }).waitFor()
  const throttle = await page.context().newCDPSession(page)
  await throttle.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  const screens: number[] = []
  for (const pace of [
    'half pace',
    'rally pace',
    'gentle',
    'half pace',
    'rally pace',
    'gentle',
    'half pace',
  ]) {
    await page.waitForTimeout(700)
    // In the page, from the change to the first read-out that differs.
    screens.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const card = document.querySelector('section[aria-label="Task 1"]')
        const select = [...card.querySelectorAll('label')].find((label) => label.textContent === 'Pace').control
        const cell = document.querySelector('tr.chosen')
        const before = cell.textContent
        const from = performance.now()
        new MutationObserver(() => {
          if (cell.textContent !== before) requestAnimationFrame(() => resolve(performance.now() - from))
        }).observe(cell, { subtree: true, childList: true, characterData: true })
        select.value = ${JSON.stringify(pace)}
        select.dispatchEvent(new Event('change', { bubbles: true }))
      })`),
    )
  }
  await page.close()
  await club.close(false)
  return { answer: times[Math.floor(times.length * 0.95)] ?? NaN, screen: median(screens) }
}
const preview = await previews()

/** Milliseconds from letting a dragged block go to the fitted road on screen, for a lesson of six players. */
async function road(): Promise<number[]> {
  const club = await open('demo', undefined, folder)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(club.url)
  await page.getByRole('link', { name: 'The afternoon six' }).click()
  const body = page.getByRole('button', { name: /^\d\d:\d\d Body warm-up, / })
  const times: number[] = []
  for (let i = 0; i < 11; i++) {
    await page.waitForTimeout(700)
    const box = await body.boundingBox()
    if (!box) throw new Error('the body warm-up is not on the road')
    const end = box.x + box.width - 1
    await page.mouse.move(end, box.y + box.height - 20)
    await page.mouse.down()
    await page.mouse.move(end + (i % 2 ? -24 : 24), box.y + box.height - 20, { steps: 4 })
    const answered = page.evaluate<number>(`new Promise((resolve) => {
      const road = document.querySelector('svg.road')
      const drawn = () => [...road.querySelectorAll('.stretch path')].map((p) => p.getAttribute('d')).join()
      const before = drawn()
      let from = 0
      road.addEventListener('pointerup', () => (from = performance.now()), { capture: true, once: true })
      new MutationObserver(() => {
        if (from && drawn() !== before) requestAnimationFrame(() => resolve(performance.now() - from))
      }).observe(road, { subtree: true, attributes: true })
    })`)
    await page.waitForTimeout(50)
    await page.mouse.up()
    times.push(await answered)
  }
  await page.close()
  await club.close(false)
  return times.sort((a, b) => a - b)
}

/** Years of a busy coach: how long they take to make, and what reading costs the first time. */
async function years(count: number) {
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-years-'))
  const began = performance.now()
  const first = await open('demo', undefined, folder, ['--years', String(count)])
  const made = performance.now() - began
  await first.stop()
  const again = performance.now()
  await first.start()
  await (await fetch(first.url)).text()
  const started = performance.now() - again

  const read = async <T>(path: string) => (await (await fetch(first.url + path)).json()) as T
  const slow = async (paths: string[]) => {
    const times: number[] = []
    for (const path of paths) {
      const began = performance.now()
      await (await fetch(first.url + path)).text()
      times.push(performance.now() - began)
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? NaN
  }
  const students = await read<{ id: string }[]>('/api/students')
  const weeks = Array.from({ length: 200 }, (_, i) => `/api/lessons/week?week=${-5 * i}`)
  const lessons: { id: string; title: string }[] = []
  for (const path of weeks.slice(0, 20))
    lessons.push(...(await read<{ lessons: typeof lessons }>(path)).lessons)
  const of = (list: { id: string }[], end = '') => list.map((each) => `/api/lessons/${each.id}${end}`)
  const pages = {
    student: await slow(students.slice(0, 200).map(({ id }) => `/api/students/${id}/progress`)),
    lesson: await slow(of(lessons)),
    week: await slow(weeks.slice(20)),
  }
  const twelve = lessons.find((lesson) => lesson.title === 'The twelve')
  if (!twelve) throw new Error('the regulars have no lesson')
  await first.stop()
  await first.start()
  const cold = await slow(of([twelve]))
  const { document } = await read<{ document: { blocks: { id: string }[] } }>(`/api/lessons/${twelve.id}`)
  const drags: number[] = []
  for (let i = 0; i < 40; i++) {
    const edit = { kind: 'resize', block: document.blocks[2]?.id, minutes: 10 + i / 4 }
    const began = performance.now()
    const answer = await fetch(`${first.url}/api/lessons/edit`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ document, edit }),
    })
    await answer.text()
    if (!answer.ok) throw new Error(`a drag answered ${answer.status}`)
    drags.push(performance.now() - began)
  }
  const memory = residentMiB(first.pid)
  const file = statSync(first.file).size / 1e6
  await first.close()
  rmSync(folder, { recursive: true, force: true })
  const drag = drags.sort((a, b) => a - b)[Math.floor(drags.length * 0.95)] ?? NaN
  return { made, started, pages, cold, drag, memory, file }
}

/** From a tap to its count on screen, in the page, with the processor slowed down. */
async function taps(): Promise<number[]> {
  const club = await open('demo')
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await page.goto(club.url)
  const near = (await (await fetch(`${club.url}/api/lessons?ahead=1&back=0`)).json()) as {
    lessons: { id: string; title: string }[]
  }
  const id = near.lessons.find((lesson) => lesson.title === 'Noor and Teo')?.id ?? ''
  await page.goto(`${club.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Next block' }).click()
    await page.waitForTimeout(500)
  }
  await page.getByRole('button', { name: 'Made', exact: true }).waitFor()
  await page.waitForTimeout(3000)
  const throttle = await page.context().newCDPSession(page)
  await throttle.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  const times: number[] = []
  for (let i = 0; i < 30; i++) {
    times.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const count = document.querySelector('.count strong')
        const before = count.textContent
        const from = performance.now()
        new MutationObserver((_, observer) => {
          if (count.textContent === before) return
          observer.disconnect()
          requestAnimationFrame(() => resolve(performance.now() - from))
        }).observe(count, { characterData: true, childList: true, subtree: true })
        document.querySelector('.answer.made').click()
      })`),
    )
    await page.waitForTimeout(200)
  }
  await page.close()
  await club.close()
  return times.sort((a, b) => a - b)
}

const tapped = await taps()
const fitted = await road()
const busy = await years(20)
await browser.close()
rmSync(folder, { recursive: true, force: true })

console.log(`machine: ${cpus().length} × ${cpus()[0]?.model}, Node ${process.version}`)
console.table({
  'process start to first answer, ms': median(answered).toFixed(0),
  'process start to first page drawn, ms': median(drawn).toFixed(0),
  'initial JavaScript, kB gzipped': (initialScripts() / 1000).toFixed(1),
  'binary, MB': (statSync('bin/hodometer').size / 1e6).toFixed(1),
  'dragging a mark at 4× slow-down, frames a second': median(drags.map((d) => d.perSecond)).toFixed(1),
  'the same, slowest of the rounds': Math.min(...drags.map((d) => d.perSecond)).toFixed(1),
  'the same, 95th percentile of a frame, ms': median(drags.map((d) => d.slowest)).toFixed(1),
  'six balls worked out over loopback, 95th percentile, ms': preview.answer.toFixed(1),
  'from an edit to new read-outs on screen at 4× slow-down, median, ms': preview.screen.toFixed(0),
  'from letting a block go to the fitted road on screen, median, ms': median(fitted).toFixed(0),
  'the same, slowest': (fitted.at(-1) ?? NaN).toFixed(0),
  'from a tap to its count on screen at 4× slow-down, median, ms': median(tapped).toFixed(0),
  'the same, slowest of thirty': (tapped.at(-1) ?? NaN).toFixed(0),
  'memory after the demo is loaded and listed, MiB': median(memory).toFixed(1),
  'twenty years: making them, s': (busy.made / 1000).toFixed(0),
  'twenty years: file, MB': busy.file.toFixed(1),
  'twenty years: process start to first answer, ms': busy.started.toFixed(0),
  'twenty years: student page, 95th percentile, ms': busy.pages.student.toFixed(1),
  'twenty years: lesson page, 95th percentile, ms': busy.pages.lesson.toFixed(1),
  'twenty years: week, 95th percentile, ms': busy.pages.week.toFixed(1),
  'twenty years: lesson of twelve regulars, first read, ms': busy.cold.toFixed(1),
  'twenty years: a drag in it, 95th percentile, ms': busy.drag.toFixed(1),
  'twenty years: memory, MiB': busy.memory.toFixed(1),
})
