import { randomUUID } from 'node:crypto'
import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Locator, type Page, type TestInfo } from '@playwright/test'
import { open, usual, type Club } from './club'

interface Clubs {
  /** When the clocks begin, local time. */
  now: string
  demo: Club
  empty: Club
  /** The demo, with a door for other devices. */
  lan: Club
}

/** Runs a club for one test. Where the test fails, its file is left and named. */
async function during(
  command: 'demo' | 'serve',
  now: string,
  use: (club: Club) => Promise<void>,
  info: TestInfo,
  lan = false,
) {
  const club = await open(command, now, undefined, [], lan)
  await use(club)
  const failed = info.status !== info.expectedStatus
  if (failed) console.log(`The data of “${info.title}” at ${now} is left in ${club.file}`)
  await club.close(!failed)
}

/** Every test has a program and a file of its own: the demo, or an empty club. Its pages go by the program's clock. */
export const test = base.extend<Clubs>({
  now: [usual, { option: true }],
  demo: ({ now }, use, info) => during('demo', now, use, info),
  empty: ({ now }, use, info) => during('serve', now, use, info),
  lan: ({ now }, use, info) => during('demo', now, use, info, true),
  context: async ({ context, now }, use) => {
    await context.clock.install({ time: new Date(now) })
    await use(context)
  },
})

/**
 * standStill stops the clock of a page: what time passes then is what the errand lets pass, however slow the machine
 * is.
 */
export async function standStill(page: Page) {
  await page.clock.pauseAt(await page.evaluate(() => Date.now() + 1000))
}

/**
 * toBlock goes on, courtside, until a block is on. Each press is waited for: a block that is drawn late would be passed
 * by.
 */
export async function toBlock(page: Page, block: string) {
  const title = page.getByRole('region', { name: 'Time' }).locator('.title')
  for (let i = 0; i < 12; i++) {
    const on = (await title.textContent()) ?? ''
    if (on.includes(block)) return
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(title).not.toHaveText(on)
  }
  throw new Error(`no block ${block}`)
}

/** lessonOf finds the lesson of a title in a club. */
export async function lessonOf(club: Club, title: string): Promise<string> {
  const diary = (await (await fetch(`${club.url}/api/lessons?ahead=7&back=0`)).json()) as {
    lessons: { id: string; title: string }[]
  }
  const id = diary.lessons.find((lesson) => lesson.title === title)?.id
  if (!id) throw new Error(`no lesson ${title}`)
  return id
}

/** moveClock has a lesson under way be at a second of it, or stand there, as another device would. */
export async function moveClock(club: Club, id: string, second: number, running = true) {
  const sent = new Date().toISOString()
  const acts = [{ id: randomUUID(), at: sent, clock: { second, running, finished: false } }]
  await fetch(`${club.url}/api/lessons/${id}/acts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ sent, acts }),
  })
}

/** finished ends a lesson that runs, courtside: under More, by holding. */
export async function finished(page: Page) {
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'Hold to finish the lesson' }).click({ delay: 1000 })
  await expect(page).toHaveURL(/afterwards$/)
}

/** openLesson opens the plan of the lesson of a title. */
export async function openLesson(page: Page, club: Club, title: string): Promise<string> {
  const id = await lessonOf(club, title)
  await page.goto(`${club.url}/#/lessons/${id}`)
  await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible()
  return id
}

/** expectClean fails on anything that axe finds on the page, by all its rules or by those named. */
export async function expectClean(page: Page, rules?: string[]) {
  // At its end, so that the strip of drums covers nothing.
  await page.evaluate(() => scrollTo(0, document.body.scrollHeight))
  const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
  const found = await new AxeBuilder({ page })
    .options({ runOnly: rules ?? tags, resultTypes: ['violations'] })
    .setLegacyMode() // There are no frames to go through.
    .analyze()
  expect(
    found.violations.map((v) => ({ rule: v.id, where: v.nodes.map((n) => n.html.slice(0, 200)) })),
  ).toEqual([])
}

export { expect }

/** choose takes the option of a list that has a text in it, once it is there. */
export async function choose(list: Locator, text: string) {
  const option = list.locator('option', { hasText: text }).first()
  await option.waitFor({ state: 'attached' })
  await list.selectOption({ label: (await option.textContent()) ?? '' })
}

/** kept stores a document of a kind over the interface of the program, and returns its id. */
export async function kept(
  club: Club,
  kind: 'students' | 'lessons' | 'drills',
  document: object,
): Promise<string> {
  const id = randomUUID()
  const answer = await fetch(`${club.url}/api/${kind}/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
    body: JSON.stringify(document),
  })
  if (!answer.ok) throw new Error(`${kind}: ${await answer.text()}`)
  return id
}

/** lessonWith stores a lesson of an hour with one drill for some students, and returns its id. */
export async function lessonWith(
  club: Club,
  title: string,
  students: string[],
  name: string,
  block: object = {},
) {
  const drill = await offered(club, name, students)
  return kept(club, 'lessons', {
    version: 4,
    title,
    date: '2026-03-10',
    start: '16:00',
    minutes: 60,
    space: {},
    note: '',
    students,
    blocks: [{ ...drill, id: crypto.randomUUID(), ...block }],
  })
}

/** stored reads the document of a kind as the program has it. */
export async function stored<T>(
  club: Club,
  kind: string,
  id: string,
): Promise<{ document: T; revision: number }> {
  return (await (await fetch(`${club.url}/api/${kind}/${id}`)).json()) as { document: T; revision: number }
}

/** Eight juniors, invented. */
export const eight = [
  'Ada Fenn',
  'Ben Okoro',
  'Cleo Marsh',
  'Dov Lund',
  'Esme Tarn',
  'Finn Vale',
  'Gia Holt',
  'Hal Brook',
].map((name) => ({
  name,
  age: '8 to 10',
  hand: 'right',
  backhand: 'two-handed',
  sport: 'tennis',
  level: 'green ball',
  objective: '',
  hurts: '',
  note: '',
}))

/** drawer opens one of the drawers beside the court of the bench. */
export const drawer = (
  page: Page,
  name: 'Balls' | 'What counts' | 'Versions' | 'Places' | 'Turns' | 'Words, care',
) =>
  expect(async () => {
    await page.getByRole('tab', { name }).click()
    await expect(page.getByRole('tab', { name })).toHaveAttribute('aria-selected', 'true', { timeout: 2000 })
  }).toPass()

/** look chooses how the court of the bench is shown. */
export async function look(page: Page, field: string, option: string) {
  const menu = page.locator('summary', { hasText: 'View' })
  await menu.click()
  await page.getByLabel(field, { exact: true }).selectOption(option)
  await menu.click()
}

/** duplicate looks for a drill among the drills, and makes one of the coach's own of it. */
export async function duplicate(page: Page, name: string) {
  await page.getByLabel('Look for').fill(name)
  await page.getByRole('button', { name: `Duplicate ${name}`, exact: true }).click()
}

/** openDrill looks for a drill among the drills, and opens it. */
export async function openDrill(page: Page, name: string) {
  await page.getByLabel('Look for').fill(name)
  await page.getByRole('article', { name, exact: true }).getByRole('link', { name, exact: true }).click()
}

/** offered is the block in which a drill is offered to a lesson. */
export async function offered(club: Club, name: string, students: string[]) {
  const query = new URLSearchParams({ text: name, students: students.join(',') })
  const offers = (await (await fetch(`${club.url}/api/lessons/offers?${query.toString()}`)).json()) as {
    kind: string
    title: string
    block: object | null
  }[]
  return offers.find((offer) => offer.kind === 'drill' && offer.title === name)?.block
}

/** addDrill looks for a drill in the one field of a lesson, and puts it in. */
export async function addDrill(page: Page, name: string) {
  await page.getByRole('button', { name: 'Add to the lesson' }).click()
  await page.getByRole('combobox', { name: 'What to add' }).fill(name)
  await page
    .getByRole('option', { name: new RegExp(`^${name.replace(/[()]/g, '\\$&')} `) })
    .first()
    .click()
}

/** rally counts a rally after it is over, by its number of strokes. */
export async function rally(counting: Locator, strokes: number) {
  const pad = counting.getByRole('group', { name: 'How many strokes' })
  for (const digit of `${strokes}`) await pad.getByRole('button', { name: digit, exact: true }).click()
  await pad.getByRole('button', { name: /^Take/ }).click()
}
