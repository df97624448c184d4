import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium as engine, type Page } from '@playwright/test'
import { chromium } from './club'
import { addDrill, eight, expect, kept, lessonOf, moveClock, openLesson, stored, test } from './fixtures'

interface Lesson {
  title: string
  note: string
  minutes: number
  blocks: { title: string; drill?: string }[]
}

const saved = (page: Page) => expect(page.getByText('All changes saved')).toBeVisible()
const unsent = 'Kept on this device: Hodometer does not answer'

/** A browser with files of its own, which a test closes and opens again. */
async function browserIn(folder: string, now: string): Promise<Page> {
  const context = await engine.launchPersistentContext(folder, {
    ...chromium,
    viewport: { width: 1280, height: 800 },
  })
  await context.clock.install({ time: new Date(now) })
  return context.pages()[0] ?? (await context.newPage())
}

test('a lesson of eight outlives a program that stops and a browser that is closed', async ({
  empty,
  now,
}) => {
  for (const student of eight) await kept(empty, 'students', student)
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-browser-'))
  let page = await browserIn(folder, now)
  await page.goto(`${empty.url}/#/lessons`)
  await page.getByRole('button', { name: 'Plan a lesson' }).click()
  for (const { name } of eight) await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Lay it out' }).click()

  // The same drill twice, and a game.
  let road = page.getByRole('group', { name: 'The lesson as a road' })
  for (let i = 0; i < 2; i++) {
    await addDrill(page, 'Last Stretch')
    await expect(road.getByRole('button', { name: /^\d\d:\d\d Last Stretch, / })).toHaveCount(i + 1)
  }
  await addDrill(page, 'Game')
  await expect(road.getByRole('button', { name: /^\d\d:\d\d Game, / })).toBeVisible()
  await saved(page)
  const address = page.url()
  const id = /lessons\/([^/]+)$/.exec(address)?.[1] ?? ''

  // The program stops in mid-edit: what is typed is kept, and sent when it is back.
  await empty.stop()
  await page.getByLabel('Title', { exact: true }).fill('Eight on Tuesday')
  await page.getByLabel('Title', { exact: true }).press('Tab')
  await expect(page.getByText(unsent)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Eight on Tuesday' })).toBeVisible()
  await empty.start()
  await saved(page)
  expect((await stored<Lesson>(empty, 'lessons', id)).document.title).toBe('Eight on Tuesday')

  // The browser is closed in mid-edit, with the program away as well.
  await empty.stop()
  await page.getByLabel('Note for the sheet').fill('Bring the low net')
  await page.getByLabel('Note for the sheet').press('Tab')
  await expect(page.getByText(unsent)).toBeVisible()
  await page.context().close()
  await empty.start()
  page = await browserIn(folder, now)
  road = page.getByRole('group', { name: 'The lesson as a road' })
  await page.goto(address)
  await expect(page.getByLabel('Note for the sheet')).toHaveValue('Bring the low net')
  await saved(page)
  const { document } = await stored<Lesson>(empty, 'lessons', id)
  expect(document.note).toBe('Bring the low net')
  expect(document.blocks.filter((block) => block.title === 'Last Stretch')).toHaveLength(2)
  expect(document.blocks.map((block) => block.title)).toContain('Game')

  // Somebody comes late to the second time of the drill; the lesson opens again after it.
  await kept(empty, 'students', { ...eight[0], name: 'Ivo Late' })
  await page.getByRole('link', { name: 'Go courtside' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next block' }).click()
  await expect(page.getByRole('region', { name: 'Time' })).toContainText('Last Stretch')
  const at = `${empty.url}/api/lessons/${id}`
  const courtside = async () =>
    (await (await page.request.get(`${at}/courtside`)).json()) as {
      second: number
      lesson: { plan: { blocks: { start: number }[] } }
    }
  // All three presses are answered: what was skipped is short, and the fourth block is on.
  const gone = async () => {
    const { second, lesson } = await courtside()
    return second - (lesson.plan.blocks[3]?.start ?? 0)
  }
  await expect.poll(gone).toBeGreaterThanOrEqual(0)
  const begins = (await courtside()).lesson.plan.blocks[3]?.start ?? 0
  await moveClock(empty, id, begins + 90)
  await page.reload()
  await page.getByRole('button', { name: 'Who is here' }).click()
  const here = page.getByRole('dialog', { name: 'Who is here from now on' })
  await here.getByLabel('Somebody else came').selectOption('Ivo Late')
  await here.getByRole('button', { name: 'Plan the rest' }).click()
  await expect(here.getByRole('status')).toBeVisible()
  await here.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('link', { name: 'Back to the plan' }).click()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Eight on Tuesday' })).toBeVisible()
  await expect(page.getByText('Loading…')).toHaveCount(0)
  await expect(page.getByRole('checkbox', { name: 'Ivo Late is here' })).toBeVisible()
  await expect(page.getByText(/cannot be shown/)).toHaveCount(0)
  // The block that was under way was cut in two.
  await expect(road.getByRole('button', { name: /^\d\d:\d\d Last Stretch, / })).toHaveCount(3)
  await page.context().close()
  rmSync(folder, { recursive: true, force: true })
})

test('a page that crashes gives back what was typed', async ({ context, demo }) => {
  const id = await lessonOf(demo, 'Ines and Bram')
  const page = await context.newPage()
  await page.goto(`${demo.url}/#/lessons/${id}`)
  await page.route('**/api/lessons/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.fallback(),
  )
  await page.getByLabel('Note for the sheet').fill('Both hit with the left today')
  await page.getByLabel('Note for the sheet').press('Tab')
  await expect(page.getByText(unsent)).toBeVisible()
  await Promise.all([page.waitForEvent('crash'), page.goto('chrome://crash').catch(() => undefined)])

  const next = await context.newPage()
  await next.goto(demo.url)
  await next.goto(`${demo.url}/#/lessons/${id}`)
  await expect(next.getByLabel('Note for the sheet')).toHaveValue('Both hit with the left today')
  await saved(next)
})

test('what is not sent yet stays when the page is fetched again', async ({ page, demo }) => {
  const id = await openLesson(page, demo, 'Ines and Bram')
  let away = true
  await page.route('**/api/lessons/*', (route) =>
    away && route.request().method() === 'PUT' ? route.abort() : route.fallback(),
  )
  await page.getByLabel('Title', { exact: true }).fill('Ines, Bram and the wind')
  await page.getByLabel('Title', { exact: true }).press('Tab')
  await expect(page.getByText(unsent)).toBeVisible()
  for (const event of ['offline', 'online', 'focus']) {
    await page.evaluate((event) => void dispatchEvent(new Event(event)), event)
  }
  await page.evaluate(() => void document.dispatchEvent(new Event('visibilitychange')))
  await page.getByRole('link', { name: 'Students' }).first().click()
  await expect(page.getByText(/Kept on this device and not saved yet: Ines, Bram and the wind/)).toBeVisible()
  await page.getByRole('link', { name: 'Ines, Bram and the wind' }).click()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Ines, Bram and the wind')
  await expect(page.getByText('All changes saved')).toHaveCount(0)
  away = false
  await saved(page)
  expect((await stored<Lesson>(demo, 'lessons', id)).document.title).toBe('Ines, Bram and the wind')
})

test('a form that is not sent yet outlives a reload', async ({ page, empty }) => {
  await page.goto(`${empty.url}/#/students`)
  await page.getByRole('button', { name: 'Add a student' }).click()
  const student = page.getByRole('form', { name: 'New student' })
  await student.getByLabel('Name').fill('Ivo Late')
  await student.getByLabel('Name').press('Tab')
  await page.reload()
  await expect(student.getByLabel('Name')).toHaveValue('Ivo Late')
  await student.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('heading', { name: 'Ivo Late', exact: true })).toBeVisible()

  await page.getByRole('link', { name: 'Lessons' }).first().click()
  await page.getByRole('button', { name: 'Plan a lesson' }).click()
  const lesson = page.getByRole('form', { name: 'New lesson' })
  await lesson.getByRole('checkbox', { name: 'Ivo Late' }).check()
  await page.reload()
  await expect(lesson.getByRole('checkbox', { name: 'Ivo Late' })).toBeChecked()
  await lesson.getByRole('button', { name: 'Leave it' }).click()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Plan a lesson' })).toBeVisible()
  await expect(lesson).toHaveCount(0)
})

test('pages load after the browser said it is offline', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('heading', { name: /^Today,/ }).waitFor()
  await page.evaluate(() => {
    Object.defineProperty(navigator, 'onLine', { value: false })
    dispatchEvent(new Event('offline'))
  })
  await page.getByRole('link', { name: 'Students' }).first().click()
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  await expect(page.getByText('Drills so far')).toBeVisible()
})

test('a save whose answer was lost is sent again without a quarrel', async ({ page, demo }) => {
  const id = await openLesson(page, demo, 'Ines and Bram')
  const before = (await stored<Lesson>(demo, 'lessons', id)).revision
  let lost = 0
  await page.route('**/api/lessons/*', async (route) => {
    if (route.request().method() !== 'PUT' || lost > 0) return route.fallback()
    lost++
    await route.fetch()
    await route.abort()
  })
  await page.getByLabel('Title', { exact: true }).fill('Ines and Bram, again')
  await page.getByLabel('Title', { exact: true }).press('Tab')
  await expect.poll(() => lost).toBe(1)
  await saved(page)
  await expect(page.getByText('changed somewhere else')).toHaveCount(0)
  const after = await stored<Lesson>(demo, 'lessons', id)
  expect(after.document.title).toBe('Ines and Bram, again')
  expect(after.revision).toBe(before + 1)
})

test('a refusal names its field, also one without an input', async ({ page, demo }) => {
  await openLesson(page, demo, 'Ines and Bram')
  const refused = {
    type: 'about:blank',
    title: 'Unprocessable Entity',
    status: 422,
    detail: 'Nothing was changed. Put this right first.',
    fields: [{ path: 'blocks.3.rotation.spots', message: 'a list is needed' }],
  }
  await page.route('**/api/lessons/*', (route) =>
    route.request().method() === 'PUT'
      ? route.fulfill({ status: 422, contentType: 'application/problem+json', body: JSON.stringify(refused) })
      : route.fallback(),
  )
  await page.getByLabel('Title', { exact: true }).fill('Refused')
  await page.getByLabel('Title', { exact: true }).press('Tab')
  await expect(page.getByRole('alert').getByText('Block 4, rotation, spots: a list is needed')).toBeVisible()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Refused')

  // What would be refused is not offered: this shape is for another sport.
  await page.getByRole('button', { name: 'Add to the lesson' }).click()
  await page.getByRole('combobox', { name: 'What to add' }).fill('table session')
  await expect(page.getByText('Nothing has that name.')).toBeVisible()
})

test('a game and a table session are saved as they are offered', async ({ page, empty }) => {
  for (const student of eight.slice(0, 2)) {
    await kept(empty, 'students', { ...student, sport: 'table tennis', level: 'improver', age: 'adult' })
  }
  await page.goto(`${empty.url}/#/lessons`)
  await page.getByRole('button', { name: 'Plan a lesson' }).click()
  for (const { name } of eight.slice(0, 2)) await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await addDrill(page, 'Game')
  const titles = async () => {
    const id = /lessons\/([^/]+)$/.exec(page.url())?.[1] ?? ''
    return (await stored<Lesson>(empty, 'lessons', id)).document.blocks.map((block) => block.title)
  }
  await expect.poll(titles).toContain('Game')
  await addDrill(page, 'Table session')
  await page.getByRole('button', { name: 'Replace all of it' }).click() // a block was put in before: it asks
  await expect.poll(titles).toContain('Games with a rule')
  await saved(page)
})
