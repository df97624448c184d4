import type { Page } from '@playwright/test'
import type { Club } from './club'
import { expect, finished, lessonOf } from './fixtures'
import { appKept, type Phone } from './phone'

const title = 'The afternoon six'
export const six = ['Noor', 'Ines', 'Bram', 'Wren', 'Callum', 'Ottilie']

interface Kit {
  document: { minutes: number; blocks: { title: string; version?: string; people?: string[] }[] }
  counted: {
    name: string
    student: string
    runs: { entries: { seq: number; kind: string; landing?: object }[] }[]
  }[]
  done: string[]
}

export const kitOf = async (club: Club, id: string) =>
  (await (await fetch(`${club.url}/api/lessons/${id}/kit`)).json()) as Kit

/** What differs between two ways of running the same lesson. */
interface Way {
  /** Takes the network away, and gives it back. */
  away: (page: Page) => Promise<void>
  back: (page: Page) => Promise<void>
  /** Goes courtside. */
  courtside: (page: Page, id: string) => Promise<void>
  /** Gives everybody a turn at the first drill, and returns how many counts that were. */
  everybody: (page: Page) => Promise<number>
  /** What is to be seen to once the browser is open again, and what counts one more ball of Ines. */
  again: (page: Page) => Promise<void>
}

export const counting = (page: Page) => page.getByRole('region', { name: 'Counting' })
export const press = (page: Page, name: string) =>
  counting(page).getByRole('button', { name, exact: true }).click()

/**
 * A whole lesson of six on a phone that delivers nothing until the end: it begins late, players swap, a block is held
 * and blocks are skipped, everybody is counted, a version is changed, the browser is closed in the middle and opened
 * again, one of them has to go, and the lesson ends. Then everything is found, each act once.
 */
export async function wholeLesson(phone: Phone, club: Club, now: string, way: Way) {
  const id = await lessonOf(club, title)
  let page = await phone.open(now)
  const packed = page.waitForResponse((response) => response.url().endsWith(`${id}/kit`))
  await page.goto(club.url)
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible()
  await packed
  await appKept(page)

  await way.away(page)
  await way.courtside(page, id)
  const time = () => page.getByRole('region', { name: 'Time' })
  let acts = 0
  const skipTo = async (block: string) => {
    await page.getByRole('button', { name: 'Next block' }).click()
    acts++
    await expect(time()).toContainText(block)
  }
  await page.getByRole('button', { name: 'Begin' }).click()
  await page
    .getByRole('dialog', { name: /min late$/ })
    .getByRole('button', { name: /^End at 15:30/ })
    .click()
  acts++
  await expect(page.getByText(/min instead of/).first()).toBeVisible()

  await skipTo('Ball warm-up')
  await expect(page.getByText(/Noor Haldane at the net/)).toBeVisible()
  // Rounds go by the minute, after walking over: in a while they have swapped.
  const swapped = page.getByText(/Noor Haldane feeds from the back/)
  for (let i = 0; i < 8 && !(await swapped.isVisible()); i++) {
    await page.clock.fastForward(15_000)
    await page.waitForTimeout(300)
  }
  await expect(swapped).toBeVisible()
  await page.getByRole('button', { name: 'Hold' }).click()
  await expect(time()).toContainText('held')
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(time()).toContainText('left of this block')
  acts += 2
  await skipTo('Two and Away')
  let counts = await way.everybody(page)
  await page.getByRole('button', { name: 'Harder' }).click()
  acts++
  await expect(page.getByRole('button', { name: 'Easier' })).toBeEnabled()

  // The browser is closed in the middle, and opened again.
  page = await phone.open(now.replace(/T.*/, 'T14:32:00'))
  await way.away(page)
  await way.courtside(page, id)
  await expect(time()).toContainText('Two and Away')
  await expect(counting(page).getByText('0 of 0', { exact: true })).toBeVisible() // the harder version is counted anew
  await expect(page.getByRole('button', { name: 'Easier' })).toBeEnabled()
  await press(page, 'Ines')
  await way.again(page)
  counts++
  await expect(counting(page).getByText(/^[01] of 1$/)).toBeVisible()

  await page.getByRole('button', { name: 'Who is here' }).click()
  const here = page.getByRole('dialog', { name: 'Who is here from now on' })
  await here.getByRole('checkbox', { name: 'Wren Abbery' }).uncheck()
  await here.getByRole('button', { name: 'Plan the rest' }).click()
  acts++
  await expect(here.getByRole('status')).toBeVisible()
  await here.getByRole('button', { name: 'Close' }).click()
  await expect(counting(page).getByRole('button', { name: 'Wren', exact: true })).toHaveCount(0)

  // The rest of the lesson, to its end.
  for (const block of ['Water', 'Coin in the Corner']) await skipTo(block)
  for (const name of ['Noor', 'Callum']) {
    await press(page, name)
    await press(page, 'Made')
    counts++
  }
  for (const block of ['Two against two', 'Closing talk']) await skipTo(block)
  await expect(page.getByText(/things you did are kept on this device until Hodometer answers/)).toBeVisible()
  await finished(page)
  acts++

  // Back where there is a network.
  await expect(page.getByText(`${acts + counts} things you did are kept on this device`)).toBeVisible()
  await way.back(page)
  await expect.poll(async () => (await kitOf(club, id)).done.length).toBe(acts)
  const kit = await kitOf(club, id)
  expect(kit.document.minutes).toBe(68) // of 75, seven minutes late
  expect(kit.document.blocks.some((block) => block.version)).toBe(true)
  expect(kit.document.blocks.at(-1)?.people).toHaveLength(5)
  const entries = kit.counted.map(({ runs }) => runs.flatMap((run) => run.entries.map((entry) => entry.seq)))
  expect(entries.flat()).toHaveLength(counts)
  for (const list of entries) expect(list).toEqual(list.map((_, i) => i))
}
