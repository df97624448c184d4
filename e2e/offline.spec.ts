import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium as engine, type Page } from '@playwright/test'
import { chromium } from './club'
import { expect, lessonOf, test } from './fixtures'

/** A lesson that is run where there is no network: on a phone, with a browser that is closed in the middle. */
test.use({ now: '2026-03-10T14:22:00' })

async function phoneIn(folder: string, now: string): Promise<Page> {
  const context = await engine.launchPersistentContext(folder, {
    ...chromium,
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
    hasTouch: true,
    isMobile: true,
  })
  await context.clock.install({ time: new Date(now) })
  return context.pages()[0] ?? (await context.newPage())
}

interface Kit {
  document: {
    minutes: number
    start: string
    blocks: { title: string; minutes: number; people?: string[]; version?: string }[]
  }
  counted: { name: string; student: string; runs: { entries: { seq: number; kind: string }[] }[] }[]
  done: string[]
}

test('a lesson of six is run without the network, and every act is there once', async ({ demo, now }) => {
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-phone-'))
  const id = await lessonOf(demo, 'The afternoon six')
  let page = await phoneIn(folder, now)

  // Opened once where there is a network, and shut.
  const packed = page.waitForResponse((response) => response.url().endsWith(`${id}/kit`))
  await page.goto(demo.url)
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible()
  await packed
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect
    .poll(() => page.evaluate(async () => (await caches.keys()).some((name) => name.includes('precache'))))
    .toBe(true)
  await demo.stop()

  // On court: the app opens, and has the lessons of today with it.
  const courtside = async () => {
    await page.goto(demo.url)
    await page
      .getByRole('region', { name: 'On this device' })
      .getByRole('listitem')
      .filter({ hasText: 'The afternoon six' })
      .getByRole('link', { name: 'Go courtside' })
      .click()
  }
  await courtside()
  const time = page.getByRole('region', { name: 'Time' })
  await page.getByRole('button', { name: 'Begin' }).click()
  await page
    .getByRole('dialog', { name: /min late$/ })
    .getByRole('button', { name: /^End at 15:30/ })
    .click()
  await expect(page.getByText(/min instead of/)).toBeVisible()
  let acts = 1

  await page.getByRole('button', { name: 'Next block' }).click()
  await expect(time).toContainText('Ball warm-up')
  await expect(page.getByText(/Noor Haldane at the net/)).toBeVisible() // who is where
  await page.getByRole('button', { name: 'Hold' }).click()
  await expect(time).toContainText('held')
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(time).toContainText('left of this block')
  await page.getByRole('button', { name: 'Next block' }).click()
  await expect(time).toContainText('Two and Away')
  acts += 4

  // Everybody's turn, one of them taken back.
  const counting = () => page.getByRole('region', { name: 'Counting' })
  const press = (name: string) => counting().getByRole('button', { name, exact: true }).click()
  const six = ['Noor', 'Ines', 'Bram', 'Wren', 'Callum', 'Ottilie']
  const taps = new Map(six.map((name) => [name, 0]))
  const tap = async (name: string, answer: string) => {
    await press(answer)
    taps.set(name, (taps.get(name) ?? 0) + 1)
  }
  for (const [i, name] of six.entries()) {
    await press(name)
    await tap(name, 'Made')
    await tap(name, 'Missed')
    for (let n = 0; n <= i; n++) await tap(name, 'Made')
    await expect(counting().getByText(`${i + 2} of ${i + 3}`, { exact: true })).toBeVisible()
    await expect(counting().getByText(`in a row ${i + 1}`)).toBeVisible()
  }
  await counting().getByRole('button', { name: /^Undo/ }).click()
  taps.set('Ottilie', (taps.get('Ottilie') ?? 0) + 1)
  await expect(counting().getByText('6 of 7', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Harder' }).click()
  acts++
  await expect(page.getByRole('button', { name: 'Easier' })).toBeEnabled()

  // The browser is closed in the middle, and opened again.
  await page.context().close()
  page = await phoneIn(folder, '2026-03-10T14:30:00')
  await courtside()
  await expect(page.getByRole('region', { name: 'Time' })).toContainText('Two and Away')
  await expect(counting().getByText('2 of 3', { exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Easier' })).toBeEnabled()

  // One of them has to go.
  await page.getByRole('button', { name: 'Who is here' }).click()
  const here = page.getByRole('dialog', { name: 'Who is here from now on' })
  await here.getByRole('checkbox', { name: 'Wren Abbery' }).uncheck()
  await here.getByRole('button', { name: 'Plan the rest' }).click()
  acts++
  await expect(here.getByRole('status')).toBeVisible()
  await here.getByRole('button', { name: 'Close' }).click()
  await expect(counting().getByRole('button', { name: 'Wren', exact: true })).toHaveCount(0)
  const shown = await page.getByRole('region', { name: 'Time' }).locator('.title').textContent()
  await expect(page.getByText(/things you did are kept on this device until Hodometer answers/)).toBeVisible()

  // Back where there is a network.
  await demo.start()
  await expect(page.getByText(/kept on this device/)).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Time' }).locator('.title')).toHaveText(shown ?? '')
  const kit = (await (await fetch(`${demo.url}/api/lessons/${id}/kit`)).json()) as Kit
  expect(kit.done).toHaveLength(acts)
  expect(kit.document.minutes).toBe(68) // of 75, seven minutes late
  expect(kit.document.blocks.some((block) => block.version)).toBe(true)
  expect(kit.document.blocks.at(-1)?.people).toHaveLength(5)
  const entries = kit.counted.map(({ runs }) => runs.flatMap((run) => run.entries.map((entry) => entry.seq)))
  expect(entries.map((list) => list.length).sort()).toEqual([...taps.values()].sort())
  for (const list of entries) expect(list).toEqual(list.map((_, i) => i))
  await page.context().close()
  rmSync(folder, { recursive: true, force: true })
})
