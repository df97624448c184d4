import type { Page } from '@playwright/test'
import { drawer, duplicate, expect, expectClean, lessonOf, openDrill, test, toBlock } from './fixtures'

const told = (page: Page) => page.getByRole('status', { name: 'The answer' })

async function type(page: Page, label: string, text: string) {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(text)
  await field.press('Tab')
}

test('a coach asks where to wait, says what opponents really play, and makes a drill of it', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/#/reckoner`)
  await page.getByRole('link', { name: 'Where to stand' }).click()
  await page.getByLabel('Court', { exact: true }).selectOption('badminton')
  await expect(told(page)).toContainText('to the side of the ball')
  await expect(told(page)).toContainText('you give up the cross drop (2 in 10)')
  await expect(page.getByText(/Back to the middle costs \d+ of 100/)).toBeVisible()
  await page.getByLabel('You go').selectOption('back to the middle')
  await expect(told(page)).toContainText('In the middle')
  await page.getByLabel('You go').selectOption('to the likely reply')
  await page.getByRole('button', { name: 'how this came about' }).click()
  await expect(page.getByRole('dialog')).toContainText('how often it is reached')
  await page.keyboard.press('Escape')

  await page.getByLabel('what is reached from there, at game pace').check()
  await expect(page.getByText('The fuller a dot, the surer')).toBeVisible()
  await page.getByLabel('what is reached from there, at game pace').uncheck()

  // Chances that do not add up are told where they are typed; what was typed stays.
  await type(page, 'Chance of the cross drop, of 100', '60')
  await expect(page.getByRole('alert').first()).toContainText('add up to 140 of 100')
  await type(page, 'Chance of the straight drop, of 100', '0')
  await expect(told(page)).not.toContainText('you give up the cross drop')
  await expect(page.getByText('These are your own chances.')).toBeVisible()
  await page.getByRole('button', { name: 'The cross drop came' }).click()
  await expect(page.getByRole('button', { name: 'The cross drop came' })).toHaveText('1 +')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Chance of the cross drop, of 100')).toHaveValue('60')
  await expect(page.getByRole('button', { name: 'The cross drop came' })).toHaveText('1 +')
  await page.getByRole('button', { name: 'As usual' }).click()
  await expect(page.getByLabel('Chance of the cross drop, of 100')).toHaveValue('20')

  // The opponent moves by key; on one's own half nobody is an opponent.
  const opponent = page.getByRole('button', { name: /^opponent: / })
  await opponent.focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByText('The opponent was moved.')).toBeVisible()
  for (let i = 0; i < 65; i++) await page.keyboard.press('ArrowDown')
  await expect(page.getByText(/nobody stands in the net|on your own half/)).toBeVisible()
  await page.getByRole('button', { name: 'Back to where they hit from' }).click()
  await expect(told(page)).toContainText('of 100 are held')

  await page.getByRole('button', { name: 'Make a drill of it' }).click()
  await expect(page.getByRole('heading', { name: 'Read It' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Task 4:/ })).toBeVisible()
})

test('angles say what the corner opens, and what makes no sense', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/reckoner/angles`)
  await expect(told(page)).toContainText('From B the steepest ball leaves at')
  const before = await told(page).innerText()
  await page.getByRole('button', { name: /^B: / }).focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft')
  await expect(told(page)).not.toHaveText(before)
  await type(page, 'Over the net, at least', '9 m')
  await expect(page.getByText('over the net is between 0 and 3 m')).toBeVisible()
  await type(page, 'Over the net, at least', '0.2 m')
  await page.getByLabel('Pace').selectOption('gentle')
  expect(await page.getByLabel('Court', { exact: true }).locator('option').allInnerTexts()).not.toContain(
    'Squash',
  )
  await page.getByLabel('Court', { exact: true }).selectOption('table-tennis')
  await expect(told(page)).toContainText('the opening between them')
})

test('a timed run makes a student as quick as they are', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Noor Haldane' }).first().click()
  await expect(page.getByText(/^By age and level: acceleration/)).toBeVisible()
  await page.getByRole('button', { name: 'Add the run' }).click()
  await expect(page.getByText('say how many seconds it took')).toBeVisible()
  await type(page, 'Took', '1.8')
  await page.getByRole('button', { name: 'Add the run' }).click()
  await expect(page.getByText(/^By age, level and 1 timed run: acceleration/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^By age, level and 1 timed run: acceleration/)).toBeVisible()
  await page.getByRole('button', { name: /^Take out the sprint of 10 m/ }).click()
  await expect(page.getByText(/^By age and level: acceleration/)).toBeVisible()
})

test('the bench and the court show the same picture of where to stand', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  await drawer(page, 'Places')
  await page.locator('summary', { hasText: 'Where to stand' }).click()
  await expect(told(page)).toContainText('of 100 are held')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demo.url}/#/lessons/${await lessonOf(demo, 'Noor and Teo')}/courtside`)
  await toBlock(page, 'Coin in the Corner')
  await page.getByRole('button', { name: 'Where to stand' }).click()
  await expect(page.getByRole('dialog').getByRole('status', { name: 'The answer' })).toContainText(
    'of 100 are held',
  )
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('a serve is met at full reach and lands in the box across', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Four Corners')
  await page.getByRole('button', { name: /^Task 1:/ }).click()
  await page.getByText('its figures').click()
  await expect(page.getByText(/out of the air at 2\.7 m/).first()).toBeVisible()
})

for (const [name, path] of [
  ['where to stand', '/reckoner/stand'],
  ['angles', '/reckoner/angles'],
] as const) {
  for (const theme of ['chalk', 'floodlit'] as const) {
    test(`${name} is clean in ${theme}`, async ({ page, demo }) => {
      await page.addInitScript((chosen) => localStorage.setItem('hodometer.theme', chosen), theme)
      await page.goto(`${demo.url}/#${path}`)
      await expect(told(page)).not.toBeEmpty()
      await expectClean(page)
    })
  }
}
