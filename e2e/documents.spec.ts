import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium as engine, type Page } from '@playwright/test'
import { PNG } from 'pngjs'
import { chromium, open } from './club'
import { expect, expectClean, openDrill, openLesson, test } from './fixtures'

const aFile = 'A file: .json or .zip, or a picture of a code'

/** What a link hands out, and where it was put. */
async function handed(page: Page, name: string) {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name, exact: true }).click(),
  ])
  return { name: download.suggestedFilename(), file: await download.path() }
}

test('a drill and a lesson go to another machine by file, without anybody’s name', async ({
  demo,
  page,
  now,
}) => {
  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Coin in the Corner')
  await page.getByRole('button', { name: 'Duplicate to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Coin in the Corner (my version)' })).toBeVisible()
  await page.getByRole('button', { name: 'Hand out' }).click()
  const drill = await handed(page, 'As a file (.json)')
  await page.getByRole('button', { name: 'Close' }).click()
  expect(drill.name).toBe('Coin in the Corner (my version) (drill).json')
  await openLesson(page, demo, 'Noor and Teo')
  const lesson = await handed(page, 'Hand out')
  expect(lesson.name).toBe('Noor and Teo.zip')

  const other = await open('demo', now)
  await page.goto(`${other.url}/#/drills`)
  await page.getByRole('link', { name: 'Bring in' }).click()
  await page.getByLabel(aFile).setInputFiles({ name: 'x.json', mimeType: '', buffer: Buffer.from('{"a"') })
  await expect(page.getByRole('alert')).toContainText('its text cannot be read as JSON')
  await page.getByLabel(aFile).setInputFiles(drill.file)
  await expect(page.getByRole('status').filter({ hasText: '1 drill.' })).toBeVisible()
  await expectClean(page)
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Coin in the Corner (my version)' })).toBeVisible()
  await expect(page.getByText('1 drill came in.')).toBeVisible()

  // The same again is the same; changed here, both stand side by side, and it comes in beside the one here.
  const address = page.url()
  const text = readFileSync(drill.file, 'utf8')
  const paste = async (typed: string) => {
    await page.goto(`${other.url}/#/documents`)
    await page.getByLabel('Or the text of a document').fill(typed)
    await page.getByRole('button', { name: 'Read this text' }).click()
  }
  await paste(text)
  await expect(page.getByText('You have the same one already.')).toBeVisible()
  await expect(page.getByText('Nothing is to come in.')).toBeVisible()
  await page.getByRole('button', { name: 'Another file' }).click()
  await paste(text.replace('"gap": ', '"gap": 1'))
  await expect(page.getByText('You have a different version of it. What differs:')).toBeVisible()
  await expect(page.getByRole('row', { name: /^Pattern, gap/ })).toBeVisible()
  await expectClean(page)
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  // What is told may still be of the first one.
  await expect(page).toHaveURL(/#\/drills\//)
  await expect(page.getByText('1 drill came in.')).toBeVisible()
  expect(page.url()).not.toBe(address)

  // The lesson is for others, on another day.
  await page.goto(`${other.url}/#/documents`)
  await page.getByLabel(aFile).setInputFiles(lesson.file)
  await expect(page.getByText('Planned for 2 students, 60 min.')).toBeVisible()
  await page.getByLabel('What becomes of Noor and Teo').selectOption('comes in beside the one here')
  await expect(page.getByRole('button', { name: 'Bring in', exact: true })).toBeDisabled()
  await page.getByRole('checkbox', { name: 'Priya Dunmore' }).check()
  await page.getByRole('checkbox', { name: 'Oskar Vance' }).check()
  await page.getByLabel('Day').fill('2026-03-14')
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByText('1 lesson came in.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Noor and Teo', exact: true })).toBeVisible()
  const diary = (await (await fetch(`${other.url}/api/lessons?ahead=7&back=0`)).json()) as {
    lessons: { date: string; people: string[] }[]
  }
  expect(diary.lessons.filter(({ date }) => date === '2026-03-14').map(({ people }) => people)).toEqual([
    ['Priya Dunmore', 'Oskar Vance'],
  ])
  await other.close()
})

test('a drill goes to another machine by a line and by a code, from a picture and before a camera', async ({
  demo,
  page,
  now,
}) => {
  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Coin in the Corner')
  await page.getByRole('button', { name: 'Hand out' }).click()
  const dialog = page.getByRole('dialog', { name: 'Hand Coin in the Corner out' })
  const line = (await dialog.locator('code').textContent()) ?? ''
  const picture = await dialog.getByRole('img', { name: 'QR code with Coin in the Corner' }).screenshot()
  await expectClean(page)

  const other = await open('serve', now)
  const bringIn = async (target: Page) => {
    await target.goto(`${other.url}/#/drills`)
    await target.goto(`${other.url}/#/documents`)
  }
  await bringIn(page)
  await page.getByLabel('Or the text of a document, or a line').fill(line)
  await page.getByRole('button', { name: 'Read this text' }).click()
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByText('1 drill came in.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Coin in the Corner' })).toBeVisible()
  await expect(page.getByText('built in')).toHaveCount(0)

  await bringIn(page)
  await page
    .getByLabel(aFile)
    .setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: await page.screenshot() })
  await expect(page.getByRole('alert')).toContainText('No code is seen in this picture')
  await page.getByLabel(aFile).setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: picture })
  await expect(page.getByText('You have the same one already.')).toBeVisible()

  // The same picture, before a camera.
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-camera-'))
  const film = join(folder, 'code.y4m')
  writeFileSync(film, filmOf(picture))
  const browser = await engine.launch({
    ...chromium,
    args: [
      ...chromium.args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  })
  const watching = await browser.newPage()
  await bringIn(watching)
  await watching.getByRole('button', { name: 'Hold a code before the camera' }).click()
  await expect(watching.getByText('You have the same one already.')).toBeVisible()
  await browser.close()
  await other.close()
  rmSync(folder, { recursive: true })
})

/** A film of one picture, as a camera gives it: uncompressed YUV4MPEG2. */
function filmOf(png: Buffer): Buffer {
  const { data, width, height } = PNG.sync.read(png)
  const [w, h] = [1280, 960]
  const luma = Buffer.alloc(w * h, 235)
  const scale = Math.min((w - 40) / width, (h - 40) / height)
  for (let y = 0; y < Math.floor(height * scale); y++)
    for (let x = 0; x < Math.floor(width * scale); x++) {
      const from = 4 * (Math.floor(y / scale) * width + Math.floor(x / scale))
      luma[(y + 20) * w + x + 20] = 16 + Math.round(((data[from] ?? 255) * 219) / 255)
    }
  const frame = Buffer.concat([Buffer.from('FRAME\n'), luma, Buffer.alloc((w * h) / 2, 128)])
  return Buffer.concat([Buffer.from(`YUV4MPEG2 W${w} H${h} F10:1 Ip A1:1 C420jpeg\n`), frame, frame])
}

test('a student’s ladders go to another coach without a name, and are those of whom they say', async ({
  demo,
  page,
  now,
}) => {
  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Noor Haldane' }).click()
  await page.getByText('Hand out as spreadsheets').click()
  const ladders = await handed(page, 'Their ladders, for another coach (.json)')
  expect(ladders.name).toBe('Noor Haldane, ladders.json')
  expect(readFileSync(ladders.file, 'utf8')).not.toContain('Noor')

  const other = await open('demo', now)
  await page.goto(`${other.url}/#/documents`)
  await page.getByLabel(aFile).setInputFiles(ladders.file)
  await expect(page.getByText('backhand: depth, forehand: direction')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Whose they are' })).toBeVisible()
  await expectClean(page)
  await expect(page.getByRole('button', { name: 'Bring in', exact: true })).toBeDisabled()
  await page.getByRole('checkbox', { name: 'Marek Toll' }).check()
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Marek Toll', exact: true })).toBeVisible()
  const here = page.getByRole('list', { name: 'Quality ladder of the backhand' }).locator('[aria-current]')
  await expect(here).toHaveText('depth')
  await other.close()
})
