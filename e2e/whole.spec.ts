import { readFileSync, writeFileSync } from 'node:fs'
import type { Club } from './club'
import { addDrill, duplicate, eight, expect, kept, lessonOf, openLesson, stored, test } from './fixtures'

/** Spoils stored documents in the file itself: text is replaced by text of the same length. */
async function spoil(club: Club, from: string, to: string) {
  await club.stop()
  const file = readFileSync(club.file, 'latin1')
  const spoiled = file.replaceAll(from, to)
  expect(to).toHaveLength(from.length)
  expect(spoiled).not.toBe(file)
  writeFileSync(club.file, spoiled, 'latin1')
  await club.start()
}

test('a part that fails says so, and the rest of the page works', async ({ page, demo }) => {
  const id = await lessonOf(demo, 'Ines and Bram')
  let failing = true
  await page.route(/\/api\/lessons\/(preview|[0-9a-f-]{36})$/, async (route) => {
    const response = await route.fetch()
    const text = await response.text()
    await route.fulfill({
      response,
      body: failing ? text.replaceAll(/"carry":\[.*?\]/g, '"carry":null') : text,
    })
  })
  await page.goto(`${demo.url}/#/lessons/${id}`)
  const failed = page.getByRole('alert').filter({ hasText: 'The courts cannot be shown.' })
  await expect(failed).toContainText('Nothing is lost, and the rest of the page works.')
  await expect(page.getByRole('group', { name: 'The lesson as a road' })).toBeVisible()
  await page.getByLabel('Note for the sheet').fill('The rest works')
  await page.getByLabel('Note for the sheet').press('Tab')
  await expect
    .poll(async () => (await stored<{ note: string }>(demo, 'lessons', id)).document.note)
    .toBe('The rest works')
  failing = false
  await page.reload()
  await expect(page.getByText(/Carry:/)).toBeVisible()
  await expect(failed).toHaveCount(0)
  await page.unrouteAll({ behavior: 'ignoreErrors' })
})

test('a page whose answer fails says so and can be tried again', async ({ page, demo }) => {
  const id = await lessonOf(demo, 'Ines and Bram')
  const out = `**/api/lessons/${id}`
  await page.route(out, (route) => route.abort())
  await page.goto(`${demo.url}/#/lessons/${id}`)
  await expect(page.getByRole('alert').filter({ hasText: 'Hodometer does not answer' })).toBeVisible()
  await expect(page.getByText('Loading…')).toHaveCount(0)
  await page.unroute(out)
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('heading', { name: 'Ines and Bram', exact: true })).toBeVisible()
})

test('what is stored and cannot be read is told, can be saved, and the rest is shown', async ({
  page,
  demo,
}) => {
  const id = await lessonOf(demo, 'Ines and Bram')
  await spoil(demo, '"title":"Ines and Bram"', '"titel":"Ines and Bram"')
  await spoil(demo, '"name":"Teo Brackwell"', '"nome":"Teo Brackwell"')
  await page.goto(`${demo.url}/#/students`)
  await expect(page.getByRole('group', { name: /^Unreadable:/ })).toContainText('cannot be shown')
  await expect(page.getByRole('link', { name: 'Noor Haldane' })).toBeVisible()

  await page.goto(`${demo.url}/#/lessons`)
  const broken = page
    .getByRole('group', { name: /^Unreadable:/ })
    .filter({ has: page.locator(`a[href*="${id}"]`) })
  await expect(broken).toContainText('Nothing of it is lost')
  await expect(page.getByRole('group', { name: '16:00 Noor and Teo' }).first()).toBeVisible()
  const saving = page.waitForEvent('download')
  await broken.getByRole('link', { name: 'Save its text' }).click()
  const text = readFileSync(await (await saving).path(), 'utf8')
  expect(text).toContain('"titel":"Ines and Bram"')
})

test('clashes follow the start as it is typed', async ({ page, demo }) => {
  await openLesson(page, demo, 'Noor and Teo')
  const clash = page.getByText(/Overlaps with The afternoon six, .*; Noor Haldane is in both\./)
  const start = page.getByLabel('Start')
  await expect(clash).toHaveCount(0)
  await start.fill('14:30')
  await start.press('Tab')
  await expect(clash).toBeVisible()
  await start.fill('16:00')
  await start.press('Tab')
  await expect(clash).toHaveCount(0)
})

test('a lesson of last year is found under the earlier ones', async ({ page, demo }) => {
  const id = await lessonOf(demo, 'Ines and Bram')
  const { document } = await stored<object>(demo, 'lessons', id)
  for (let i = 0; i < 25; i++) {
    const date = `2025-0${1 + (i % 9)}-1${Math.floor(i / 9)}`
    await kept(demo, 'lessons', { ...document, title: `Long ago ${i + 1}`, date })
  }
  await page.goto(`${demo.url}/#/lessons`)
  const oldest = page.getByRole('link', { name: 'Long ago 1', exact: true })
  await expect(page.getByRole('heading', { name: 'Past' })).toBeVisible()
  const earlier = page.getByRole('button', { name: 'Earlier lessons' })
  await expect(earlier).toBeVisible()
  await expect(page.getByRole('link', { name: 'Long ago 25', exact: true })).toHaveCount(0)
  for (let weeks = 0; weeks < 40 && (await earlier.count()); weeks++) {
    const before = await page.getByRole('row').count()
    await earlier.click()
    await expect.poll(() => page.getByRole('row').count()).toBeGreaterThan(before)
  }
  await expect(oldest).toBeVisible()
})

test('what was said of one page does not follow to the next', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  const mine = 'Coin in the Corner (my version)'
  await expect(page.getByRole('heading', { name: mine })).toBeVisible()
  await openLesson(page, demo, 'Ines and Bram')
  await addDrill(page, mine)
  await expect(page.getByText('All changes saved')).toBeVisible()

  await page.goto(`${demo.url}/#/drills`)
  await page.getByRole('button', { name: `Archive ${mine}`, exact: true }).click()
  const notice = page.getByText(/is archived\./)
  await expect(notice).toContainText(
    /It stays in the lessons that have it: Ines and Bram on \d{4}-\d\d-\d\d at \d\d:\d\d\./,
  )
  await page.getByRole('link', { name: 'Today' }).first().click()
  await page.getByRole('heading', { name: /^Today,/ }).waitFor()
  await expect(notice).toHaveCount(0)
})

test('a lesson is planned for today, however slow the diary is', async ({ page, empty, now }) => {
  await kept(empty, 'students', eight[0] ?? {})
  let answerNow = () => {}
  const slow = new Promise<void>((resolve) => (answerNow = resolve))
  await page.route('**/api/lessons/week?*', async (route) => (await slow, route.fallback()))
  await page.goto(`${empty.url}/#/lessons`)
  await page.getByRole('button', { name: 'Plan a lesson' }).click()
  await page.getByRole('checkbox', { name: 'Ada Fenn' }).check()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  answerNow()
  await expect(page.getByRole('heading', { name: 'Ada', exact: true })).toBeVisible()
  await expect(page.getByLabel('Day')).toHaveValue(now.slice(0, 10))
})

test('what is called nothing like that is told in the one field, and nothing is put in', async ({
  page,
  demo,
}) => {
  await openLesson(page, demo, 'Ines and Bram')
  const blocks = page.getByRole('group', { name: 'The lesson as a road' }).locator('.stretch')
  const before = await blocks.count()
  await page.getByRole('button', { name: 'Add to the lesson' }).click()
  const field = page.getByRole('combobox', { name: 'What to add' })
  await field.fill('xylophone')
  await expect(page.getByText('Nothing has that name.')).toBeVisible()
  await field.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Put into the lesson' })).toBeVisible()
  await field.press('Escape')
  await expect(blocks).toHaveCount(before)
})

test('a title beyond the shipped letters is printed all the same', async ({ page, demo }) => {
  const id = await openLesson(page, demo, 'Ines and Bram')
  await page.getByLabel('Title', { exact: true }).fill('Backhands 🎾 今日')
  await page.getByLabel('Title', { exact: true }).press('Tab')
  await expect(page.getByText('All changes saved')).toBeVisible()
  for (const paper of ['A4', 'A5']) {
    const answer = await page.request.get(`${demo.url}/api/lessons/${id}/sheet.pdf?paper=${paper}`)
    expect(answer.status()).toBe(200)
    expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-')
  }
})

test.describe('on a Sunday evening', () => {
  test.use({ now: '2026-03-15T18:30:00' })

  test('the lessons of tomorrow are in sight', async ({ page, demo }) => {
    await page.goto(`${demo.url}/#/lessons`)
    await expect(page.getByRole('heading', { name: 'Ines and Bram', exact: true })).toBeVisible()
    await expect(page.getByText('Tomorrow, Monday 16 March').first()).toBeVisible()
  })
})
