import type { Locator, Page } from '@playwright/test'
import type { Club } from './club'
import { eight, expect, kept, lessonWith, rally, standStill, test } from './fixtures'

/** A lesson of two with one drill and a goal of its own for both, open courtside on a phone. */
async function two(page: Page, club: Club, drillName: string, goal?: object): Promise<Locator> {
  const students: string[] = []
  for (const student of eight.slice(0, 2)) students.push(await kept(club, 'students', student))
  const variants = goal
    ? students.map((student) => ({ student, goals: [{ measure: 1, goals: [goal] }] }))
    : undefined
  const id = await lessonWith(club, 'Two and a goal', students, drillName, { variants })
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${club.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  await expect(counting.getByRole('button', { name: 'Ada' })).toBeVisible()
  return counting
}

const press = (counting: Locator, name: string | RegExp) =>
  counting.getByRole('button', { name, exact: typeof name === 'string' }).click()

/** Afterwards reads the lesson's results. */
async function afterwards(page: Page): Promise<Locator> {
  await page.goto(page.url().replace('/courtside', '/afterwards'))
  const ada = page.getByRole('region', { name: eight[0]?.name })
  await expect(ada).toBeVisible()
  return ada
}

test('rallies are counted by their strokes', async ({ page, empty }) => {
  const goal = { kind: 'rallies of a length', count: 3, from: 4, to: 19 }
  const counting = await two(page, empty, 'Four and Out', goal)
  await expect(counting.getByText('Now 0 of 3 rallies')).toBeVisible()
  for (let stroke = 0; stroke < 5; stroke++) await press(counting, 'One more stroke')
  await press(counting, 'Rally over')
  await expect(counting.getByText('Now 1 of 3 rallies')).toBeVisible()
  await expect(counting.getByText('longest 5')).toBeVisible()
  // It was not over: taken back, its strokes are on the pad, also when the page is read again, and go on.
  await press(counting, /^Undo/)
  await expect(counting.getByText('Now 0 of 3 rallies')).toBeVisible()
  await expect(counting.getByRole('button', { name: 'One more stroke' })).toContainText('5')
  await page.reload()
  await expect(counting.getByRole('button', { name: 'One more stroke' })).toContainText('5')
  await press(counting, 'One more stroke')
  await press(counting, /^Undo/) // the last stroke
  await press(counting, 'Rally over')
  await expect(counting.getByText('longest 5')).toBeVisible()

  // By its number, once it is over: three strokes are too short, twenty too long.
  await press(counting, 'Count after the rally')
  await rally(counting, 3)
  await expect(counting.getByText('2 rallies')).toBeVisible()
  await expect(counting.getByText('Now 1 of 3 rallies')).toBeVisible()
  await rally(counting, 20)
  await press(counting, /^Undo/)
  await rally(counting, 4)
  await rally(counting, 19)
  await expect(counting.getByText('Met ✓')).toBeVisible()

  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /Four and Out 4 rallies .* ✓ met/ })).toBeVisible()
})

test('what two count together is added up', async ({ page, empty }) => {
  const counting = await two(page, empty, 'Coin in the Corner', { kind: 'together', count: 3 })
  await press(counting, 'Made')
  await press(counting, 'Made')
  await expect(counting.getByText('Now 2 of 3')).toBeVisible()
  await press(counting, 'Ben')
  await expect(counting.getByText('Now 2 of 3')).toBeVisible()
  await press(counting, 'Made')
  await expect(counting.getByText('Met ✓')).toBeVisible()
  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /3 made together: ✓ met/ })).toBeVisible()
})

test('points are won and lost, and a lost game stays lost', async ({ page, empty }) => {
  const counting = await two(page, empty, 'Coin in the Corner', { kind: 'first to', count: 3, against: 2 })
  await press(counting, 'Point lost')
  await press(counting, 'Point won')
  await expect(counting.getByText('Now 1 : 1')).toBeVisible()
  await press(counting, 'Point lost')
  await expect(counting.getByText('Now lost')).toBeVisible()
  await press(counting, 'Point won')
  await press(counting, 'Point won')
  await expect(counting.getByText('3 : 2')).toBeVisible()
  await expect(counting.getByText('Now lost')).toBeVisible()
})

test('a run on the clock has so many tries', async ({ page, empty }) => {
  const goal = { kind: 'within a time', count: 3, seconds: 40 }
  const counting = await two(page, empty, 'Coin in the Corner', goal)
  await expect(counting.getByText('Now 0 of 3 tries')).toBeVisible()
  await standStill(page)
  await press(counting, /Start$/)
  await page.clock.fastForward(2000)
  await press(counting, /Stop$/)
  await expect(counting.getByText('2.0 s', { exact: true })).toBeVisible()
  await page.clock.resume()
  await press(counting, 'Take it')
  await expect(counting.getByText('Met ✓')).toBeVisible()
  await press(counting, /^Undo/)
  await expect(counting.getByText('Now 0 of 3 tries')).toBeVisible()

  await press(counting, 'Type the time')
  for (const seconds of ['44', '41.2']) {
    await counting.getByLabel('This try took').fill(seconds)
    await counting.getByLabel('This try took').press('Tab')
    await press(counting, 'Take it')
  }
  await expect(counting.getByText('Now 2 of 3 tries, best 41.2 s')).toBeVisible()
  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /2 tries .* best 41.2 s/ })).toBeVisible()
})
