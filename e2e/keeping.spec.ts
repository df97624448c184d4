import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import type { Page } from '@playwright/test'
import { open } from './club'
import { expect, expectClean, kept, test } from './fixtures'
import { appKept } from './phone'

const player = (name: string) => ({
  name,
  age: '11 to 13',
  hand: 'right',
  backhand: 'two-handed',
  sport: 'tennis',
  level: 'club player',
  objective: '',
  hurts: '',
  note: '',
})

/** The safe copies beside a file; none before the first one is made. */
const copies = (file: string) => {
  const folder = join(dirname(file), 'copies')
  return existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.db')) : []
}

async function keeping(page: Page, url: string) {
  await page.goto(`${url}/#/settings`)
  await page.getByRole('link', { name: 'Keeping it safe: copies, everything out and in' }).click()
  await expect(page.getByRole('heading', { name: 'Safe copies' })).toBeVisible()
}

test.describe('the day after', () => {
  test.use({ now: '2026-03-11T09:00:00' })

  test('yesterday’s copy is restored with two acts, and what was there can be had back', async ({
    now,
    page,
  }) => {
    const yesterday = await open('serve', '2026-03-10T15:30:00')
    await expect.poll(() => copies(yesterday.file).length).toBe(1)
    await kept(yesterday, 'students', player('Ada Fenn'))
    await keeping(page, yesterday.url)
    await page.getByRole('button', { name: 'Make a copy now' }).click()
    await expect(page.getByText('A safe copy is made, and was looked at.')).toBeVisible()
    await yesterday.stop()

    const today = await open('serve', now, dirname(yesterday.file))
    await expect.poll(() => copies(today.file).length).toBe(2)
    await kept(today, 'students', player('Ben Okoro'))
    await keeping(page, today.url)
    await expect(page.getByText('The last good copy is of').getByText('11')).toBeVisible()
    await expectClean(page)
    await page.getByRole('button', { name: /Restore… the copy of .*10.*, on demand/ }).click()
    await expect(page.getByRole('heading', { name: /Restore the copy of .*10/ })).toBeVisible()
    await page.getByRole('button', { name: 'Restore it' }).click()
    await expect(page.getByText('Restored: 1 student, 0 lessons.')).toBeVisible()
    await page.goto(`${today.url}/#/students`)
    await expect(page.getByRole('link', { name: 'Ada Fenn' })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Ben Okoro' })).toBeHidden()

    await keeping(page, today.url)
    await page.getByRole('button', { name: /before a restore/ }).click()
    await page.getByRole('button', { name: 'Restore it' }).click()
    await expect(page.getByText('Restored: 2 students, 0 lessons.')).toBeVisible()
    await page.goto(`${today.url}/#/students`)
    await expect(page.getByRole('link', { name: 'Ben Okoro' })).toBeVisible()
    await today.close()
  })
})

test('the copies go to a folder of choice, and a wrong one is told where it is typed', async ({
  empty,
  page,
}) => {
  await keeping(page, empty.url)
  const field = page.getByLabel('Folder')
  await field.fill('my stick')
  await page.getByRole('button', { name: 'Use this folder' }).click()
  await expect(page.getByText('write the whole path of the folder')).toBeVisible()
  const stick = mkdtempSync(join(tmpdir(), 'hodometer-stick-'))
  await field.fill(stick)
  await field.press('Enter')
  await expect(page.getByText('Copies are made in this folder from now on.')).toBeVisible()
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText('The last good copy is of')).toBeVisible()
  expect(readdirSync(stick)).toHaveLength(1)
  await page.reload()
  await expect(field).toHaveValue(stick)

  // The stick is pulled: it is told here and on Today, until a copy is made again.
  rmSync(stick, { recursive: true })
  writeFileSync(stick, '')
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText('The last copy could not be made')).toBeVisible()
  await page.goto(`${empty.url}/#/`)
  await page.getByRole('link', { name: 'See what is wrong' }).click()
  await page.getByRole('button', { name: 'Use the usual one again' }).click()
  await expect(field).not.toHaveValue(stick)
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText('The last copy could not be made')).toBeHidden()
})

test.describe('with the app kept', () => {
  test.use({ serviceWorkers: 'allow' })

  test('a damaged file is told at the start, to a page that the browser kept, too, and its newest copy restored', async ({
    empty,
    page,
  }) => {
    await kept(empty, 'students', player('Ada Fenn'))
    await keeping(page, empty.url)
    await page.getByRole('button', { name: 'Make a copy now' }).click()
    await expect(page.getByText('A safe copy is made, and was looked at.')).toBeVisible()
    await appKept(page)
    await empty.stop()
    const data = readFileSync(empty.file)
    for (let i = 4096; i < data.length; i += 5) data[i] = (data[i] ?? 0) ^ 0x3c
    writeFileSync(empty.file, data)
    const started = empty.start()
    await expect(async () => {
      await page.goto(`${empty.url}/#/students`)
      await expect(page.getByRole('heading', { name: 'Your file is damaged' })).toBeVisible({ timeout: 2000 })
    }).toPass()
    expect(readFileSync(empty.file).equals(data)).toBe(true)
    await page.getByRole('button', { name: 'Restore this copy' }).click()
    await started
    await page.goto(`${empty.url}/#/students`)
    await expect(page.getByRole('link', { name: 'Ada Fenn' })).toBeVisible()
  })
})

test('the machine is replaced by a new one, with everything there', async ({ demo, page }) => {
  await keeping(page, demo.url)
  await page.getByRole('button', { name: 'Export all' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: /Save the export/ }).click(),
  ])
  expect(download.suggestedFilename()).toBe('hodometer 2026-03-10.zip')
  const file = join(mkdtempSync(join(tmpdir(), 'hodometer-export-')), 'everything.zip')
  await download.saveAs(file)
  await expectClean(page)
  await page.getByRole('button', { name: 'Forget it' }).click()
  await expect(page.getByRole('link', { name: /Save the export/ })).toBeHidden()

  const fresh = await open('serve', '2026-03-10T15:30:00')
  await keeping(page, fresh.url)
  const take = page.getByLabel('An export to bring in (.zip)')
  await take.setInputFiles({ name: 'wrong.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByText('Nothing was brought in: this is no .zip, or a damaged one.')).toBeVisible()
  await take.setInputFiles(file)
  await expect(page.getByText('Came in, from the export of')).toBeVisible()
  await expectClean(page)
  for (const path of ['/api/students', '/api/lessons?ahead=30&back=60', '/api/settings']) {
    const [here, there] = await Promise.all(
      [demo, fresh].map(async ({ url }) => (await fetch(`${url}${path}`)).text()),
    )
    expect(there).toBe(here)
  }
  await page.goto(`${fresh.url}/#/students`)
  await page.getByRole('link', { name: 'Noor Haldane' }).click()
  await expect(page.getByText(/of 10 go .* are wanted/).first()).toBeVisible()

  // Erasing says what older copies hold, and one student's everything goes out before.
  await keeping(page, fresh.url)
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText('A safe copy is made, and was looked at.')).toBeVisible()
  await page.goto(`${fresh.url}/#/students`)
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  await page.getByText('Hand out as spreadsheets').click()
  const [theirs] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'All that is held about them (.zip)' }).click(),
  ])
  expect(theirs.suggestedFilename()).toBe('Teo Brackwell, everything.zip')
  await page.getByRole('button', { name: 'Erase for good…' }).click()
  await page.getByRole('button', { name: 'Erase for good', exact: true }).click()
  await expect(page.getByText(/is erased for good\. .* of before still holds? them/)).toBeVisible()
  await fresh.close()
})
