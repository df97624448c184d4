import { v7 } from 'uuid'
import type { components } from '../ui/src/lib/api/schema'
import { duplicate, expect, expectClean, test } from './fixtures'

type Found = components['schemas']['Found']

test('a drill is looked for as one types, chosen by filters, and kept in a collection', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/#/drills`)
  const count = page.getByRole('status').filter({ hasText: /drills?$/ })
  await expect(count).toContainText(/^\d\d drills$/)
  const look = page.getByLabel('Look for')
  await look.pressSequentially('coi')
  await expect(page.getByRole('article')).toHaveCount(1)
  await expect(page.getByRole('article', { name: 'Coin in the Corner' })).toContainText('forehand, direction')
  // A mistake: nothing is like that, and it says what to do.
  await look.fill('coin squash')
  await expect(page.getByText('No drill is like that.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(look).toHaveValue('')

  await page.getByLabel('Sport').selectOption('badminton')
  await page.getByText('More to choose by').click()
  await page.getByLabel('Stroke').selectOption('clear')
  await page.getByLabel('Minutes, at most').fill('6')
  await page.keyboard.press('Tab')
  for (const article of await page.getByRole('article').all())
    await expect(article).toContainText('badminton')
  await page.getByRole('article', { name: 'Three-Corner Round' }).getByText('Collect').click()
  await page.getByLabel('A new collection for Three-Corner Round').fill('Rainy days')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article', { name: 'Three-Corner Round' }).locator('summary')).toContainText(
    'Rainy days',
  )

  // What was looked for is still there on the way back, and after a reload.
  await page.getByRole('link', { name: 'Three-Corner Round' }).click()
  await expect(page.getByRole('heading', { name: 'Three-Corner Round', level: 1 })).toBeVisible()
  await page.goBack()
  await expect(page.getByLabel('Stroke')).toHaveValue('clear')
  await page.reload()
  await expect(page.getByLabel('Minutes, at most')).toHaveValue('6')
  await page.getByLabel('Minutes, at most').fill('')
  await page.getByLabel('Stroke').selectOption('')
  await page.getByLabel('Sport').selectOption('')
  await page.getByLabel('Collection', { exact: true }).selectOption('Rainy days')
  await expect(count).toHaveText('1 drill')
  await expectClean(page)

  // In the order that serves a student: of their sport, the next step first.
  await page.getByLabel('Collection', { exact: true }).selectOption('')
  await page.getByLabel('Order').selectOption({ label: 'Noor Haldane' })
  await expect(page.getByRole('article').first()).toContainText('The next step of Noor Haldane')
  await page.getByLabel('Order').selectOption('not used lately')
  await expect(page.getByRole('article').first()).not.toContainText('last on')

  // A drill says whom its goal suits: in the list, and beside its pattern, where that changes with the goal.
  await page.getByLabel('Order').selectOption('best match')
  await page.getByLabel('Offered to').selectOption('tournament player')
  await look.fill('verges')
  await expect(page.getByRole('article', { name: 'Both Verges' })).toContainText('tournament player')
  await look.fill('coin in the corner')
  await expect(page.getByText('No drill is like that.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await duplicate(page, 'Coin in the Corner')
  await page.getByRole('tab', { name: 'Turns' }).click()
  await expect(page.getByText(/^Offered to club player:/)).toBeVisible()
  await page.getByLabel('Turns each').fill('8')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/^Offered to .*improver/)).toBeVisible()
})

test('two thousand drills are found and drawn as quickly as forty', async ({ page, demo }) => {
  test.slow()
  const { drills } = (await (await fetch(`${demo.url}/api/drills?text=coin`)).json()) as Found
  const like = drills[0]?.document
  if (!like) throw new Error('the library has changed')
  const names = Array.from(
    { length: 2000 },
    (_, i) => `${['Long', 'Wide', 'Low', 'Quick'][i % 4]} pattern ${i}`,
  )
  for (let i = 0; i < names.length; i += 50)
    await Promise.all(
      names.slice(i, i + 50).map((name) =>
        fetch(`${demo.url}/api/drills/${v7()}`, {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
          body: JSON.stringify({ ...like, name }),
        }),
      ),
    )
  await page.goto(`${demo.url}/#/drills`)
  await expect(page.getByRole('status').filter({ hasText: /^20\d\d drills$/ })).toBeVisible()
  // Only what is on screen is read and drawn.
  await expect(page.getByRole('article').first()).toBeVisible()
  expect(await page.getByRole('article').count()).toBeLessThan(40)
  await page.getByLabel('Look for').pressSequentially('quick 1999')
  await expect(page.getByRole('article')).toHaveCount(1)
  await page.getByLabel('Look for').fill('pattern')
  await expect(page.getByRole('status').filter({ hasText: '2000 drills' })).toBeVisible()
  // At the far end of the list as at its beginning.
  await page.mouse.wheel(0, 400_000)
  await expect(page.getByRole('article', { name: /pattern \d+$/ }).last()).toBeVisible()
  expect(await page.getByRole('article').count()).toBeLessThan(40)
  await duplicate(page, 'Wide pattern 1001')
  await expect(page.getByRole('heading', { name: 'Wide pattern 1001 (my version)' })).toBeVisible()
})
