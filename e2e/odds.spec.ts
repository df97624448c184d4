import type { Page } from '@playwright/test'
import { drawer, expect, expectClean, openDrill, test } from './fixtures'

const takes = (page: Page) => page.getByLabel('What the goal takes')
const becomes = (page: Page) => page.getByLabel('What becomes of balls aimed there')

const forTheGoal = (page: Page, balls: number) =>
  page.getByRole('button', { name: `For the goal ${balls} balls` })

async function fill(page: Page, label: string, text: string) {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(text)
  await field.press('Tab')
}

test('the reckoner says what a goal takes, and what is wrong in words', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/reckoner`)
  await expect(takes(page)).toHaveText(
    'about 30 balls, 2.5 min; 9 times in 10 within 64, 5 min and 1 pick-up.',
  )
  await expect(page.getByText('In 6 min it is reached')).toBeVisible()

  // Sliding asks at once, and letting go keeps the goal.
  await page.getByLabel('Slide the goal').focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue('6')
  await expect(takes(page)).toContainText('about 51 balls')
  await page.getByRole('button', { name: 'take the goal that fits' }).click()
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue('5')

  await page.getByLabel('After a miss').selectOption('carries on where it was')
  await expect(takes(page)).toContainText('about 8 balls')
  await page.getByRole('button', { name: 'how this came about' }).click()
  await expect(page.getByRole('dialog')).toContainText('Made')
  await page.keyboard.press('Escape')

  await fill(page, 'Makes', '12')
  await expect(page.getByRole('alert').first()).toContainText('between 0 and 10 of 10')
  await fill(page, 'Makes', '0')
  await expect(page.getByRole('alert').first()).toContainText('never gets there')
  await fill(page, 'Makes', '6')
  await fill(page, 'How many', '10000')
  await expect(page.getByRole('alert').first()).toContainText('1000')
  await fill(page, 'How many', '5')
  await expect(takes(page)).toContainText('about 8 balls')

  // Every kind of goal has an answer.
  const kinds = await page.getByLabel('Goal', { exact: true }).locator('option').allInnerTexts()
  expect(kinds).toHaveLength(11)
  for (const kind of kinds) {
    await page.getByLabel('Goal', { exact: true }).selectOption({ label: kind })
    await expect(takes(page)).toContainText(/balls|points|rallies|strokes|tries/)
  }
})

test('the reckoner finds a fair score, and remembers what was asked', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/reckoner`)
  await page.getByLabel('Goal', { exact: true }).selectOption('first to')
  await fill(page, 'Points won', '6.3')
  await fill(page, 'A point takes', '12')
  await fill(page, 'Points in all, about', '20')
  await expect(page.getByText(/Fair at 6\.3 of 10: \d+ against \d+, about \d+ points/)).toBeVisible()
  await page.getByRole('button', { name: 'take the fair score' }).click()
  await expect(takes(page)).toContainText(/wins it 5 times in 10; about \d+ points, \d+ min/)
  const needed = await page.getByLabel('Points to win').inputValue()
  const other = await page.getByLabel('The other needs').inputValue()
  expect(Number(needed)).toBeGreaterThan(Number(other))

  await page.reload()
  await expect(page.getByLabel('Points to win')).toHaveValue(needed)
  await expect(page.getByLabel('Points won')).toHaveValue('6.3')
  await expect(page.getByLabel('A point takes')).toHaveValue('12')
})

test('the reckoner finds an aim, a size and the pace of a rally on a phone', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demo.url}/#/reckoner/target`)
  const said = page.getByLabel('The answer')
  await expect(said).toContainText('of 100 balls 24 in the target')
  await page.getByLabel('Player').selectOption('tournament player')
  await expect(said).not.toContainText('of 100 balls 24 in')
  await expect(page.getByText(/Best aim: .* inside the far baseline/)).toBeVisible()
  await expect(page.getByText(/is hit 7 of 10/)).toBeVisible()
  await fill(page, 'In from the right', '90 m')
  await expect(page.getByRole('alert').first()).toBeVisible()

  await page.getByRole('link', { name: 'Rally' }).click()
  await expect(said).toContainText('balls a minute')
  await expect(said).toContainText('sets of 2')
  await page.getByLabel('Pace, up to').selectOption('gentle')
  await expect(page.getByRole('alert').first()).toContainText('it takes')
})

test('goal and target are fitted to the student a drill is tried on', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Coin in the Corner')
  await drawer(page, 'What counts')
  await expect(page.getByText('nothing was counted')).toBeVisible()
  await expect(forTheGoal(page, 21)).toBeVisible()
  await page.getByLabel('Try it on').selectOption({ label: 'Teo Brackwell' })
  await expect(page.getByText(/from 144 balls at this/)).toBeVisible()
  await expect(page.getByText(/dots are the 144 that were logged/)).toBeVisible()
  await expect(forTheGoal(page, 8)).toBeVisible()

  await page.getByRole('button', { name: 'Duplicate to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Coin in the Corner (my version)' })).toBeVisible()
  await drawer(page, 'What counts')
  await page.getByLabel('Minutes for the goal').fill('3')
  await page.getByRole('button', { name: 'Fit the goal' }).click()
  await expect(page.getByText(/is met 4 times in 5 within 3 min/)).toBeVisible()
  const before = await page.getByLabel('Within', { exact: true }).inputValue()
  await page.getByRole('button', { name: 'Fit the target' }).click()
  await expect(page.getByText(/Made 7 of 10, likely .* nothing was counted/)).toBeVisible()
  await expect(becomes(page)).toContainText(/of 100 balls 6\d in the target/)
  await expect(page.getByLabel('Within', { exact: true })).not.toHaveValue(before)
  await page.getByLabel('Errors of 10, at most').fill('1')
  await page.getByRole('button', { name: 'Move to best aim' }).click()
  await expect(page.getByText(/^Best aim: .*errors (9|10) of 100/)).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()

  // Each of them is undone like any other change.
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Within', { exact: true })).toHaveValue(before)
  await expect(page.getByText('5 made in all')).toBeVisible()
})

test('where balls land is noted courtside and seen on the bench', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(demo.url)
  await page
    .getByRole('region', { name: 'On or next' })
    .getByRole('link', { name: /courtside/i })
    .click()
  await page.getByRole('button', { name: /Begin|Pause|Go on/ }).waitFor()
  if (await page.getByRole('button', { name: 'Begin' }).isVisible())
    await page.getByRole('button', { name: 'Begin' }).click()
  // Over both warm-ups to the first drill.
  for (const title of ['Ball warm-up', 'Coin in the Corner']) {
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(page.getByRole('region', { name: 'Time' })).toContainText(title)
  }
  await expect(page.getByText(/Noor Haldane: 5 made in all. Now 0 of 5/)).toBeVisible()
  await page.getByRole('button', { name: 'Note where balls land' }).click()
  const court = page.getByRole('group', { name: /^Where the ball landed/ })
  for (let i = 0; i < 8; i++) {
    await court.click({ position: { x: 110 + 4 * i, y: 150 } })
    await page.getByRole('button', { name: 'Made' }).click()
  }
  await page.getByRole('button', { name: 'It landed on the mark' }).click()
  await page.getByRole('button', { name: /^ball: / }).press('ArrowDown')
  await page.getByRole('button', { name: 'Missed' }).click()
  await expect(page.getByText('of 9')).toBeVisible()
  await page.getByRole('button', { name: 'Play it again' }).click()
  await expect(page.getByText('of 9')).toBeVisible()
  await page.getByRole('button', { name: 'Note zones instead' }).click()
  await page.getByRole('button', { name: 'deep, left' }).click()
  await page.getByRole('button', { name: 'Missed' }).click()
  await expect(page.getByText('of 10', { exact: false }).first()).toBeVisible()
  await expectClean(page)

  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Coin in the Corner')
  await page.getByLabel('Try it on').selectOption({ label: 'Noor Haldane' })
  await drawer(page, 'What counts')
  await expect(
    page.getByText(/dots are the 9 that were logged by place; 1 more was logged by zone/),
  ).toBeVisible()
})
