import { drawer, duplicate, expect, test } from './fixtures'

test('two tabs that edit the same drill lose nothing', async ({ context, demo }) => {
  const mine = await context.newPage()
  await mine.goto(`${demo.url}/#/drills`)
  await duplicate(mine, 'Soft Landing')
  await expect(mine.getByText('All changes saved')).toBeVisible()
  const yours = await context.newPage()
  await yours.goto(mine.url())
  await expect(yours.getByLabel('Gap between balls')).toHaveValue('3')

  await mine.getByLabel('Gap between balls').fill('5')
  await mine.getByLabel('Gap between balls').press('Tab')
  await expect(mine.getByRole('button', { name: /Feed rate 12/ })).toBeVisible()
  await expect(mine.getByText('All changes saved')).toBeVisible()

  // Different parts are put together; nobody is asked.
  await drawer(yours, 'Turns')
  await yours.getByLabel('Turns each').fill('9')
  await yours.getByLabel('Turns each').press('Tab')
  await drawer(yours, 'Balls')
  await expect(yours.getByLabel('Gap between balls')).toHaveValue('5')
  await expect(yours.getByText('All changes saved')).toBeVisible()

  // The same part is offered side by side.
  await drawer(mine, 'Turns')
  await mine.getByLabel('Turns each').fill('4')
  await mine.getByLabel('Turns each').press('Tab')
  const differs = mine.getByRole('alert').filter({ hasText: 'changed somewhere else' })
  await expect(differs.getByRole('row', { name: 'turns 4 9' })).toBeVisible()
  await differs.getByRole('button', { name: 'Keep mine as a copy' }).click()
  await expect(mine.getByText('Kept as a drill of its own.')).toBeVisible()
  await drawer(mine, 'Turns')
  await expect(mine.getByLabel('Turns each')).toHaveValue('4')

  await yours.reload()
  await expect(yours.getByLabel('Gap between balls')).toHaveValue('5')
  await drawer(yours, 'Turns')
  await expect(yours.getByLabel('Turns each')).toHaveValue('9')
})

test('a wrong number is told beside its field and nothing is lost', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Both Verges')
  const gap = page.getByLabel('Gap between balls')
  await gap.fill('0')
  await gap.press('Tab')
  await expect(page.getByText('at least 0.5', { exact: true })).toBeVisible()
  await expect(page.getByText('Not saved: something needs putting right')).toBeVisible()
  await gap.fill('')
  await gap.press('Tab')
  await expect(page.getByText('a number was expected', { exact: true })).toBeVisible()
  await gap.fill('4.5')
  await gap.press('Tab')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(gap).toHaveValue('4')
})

test('taps outlive a server that is away', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page
    .getByRole('article', { name: 'Oskar and Lotte' })
    .getByRole('link', { name: /courtside/i })
    .click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  await expect(page.getByText('Oskar Vance at the net')).toBeVisible()
  await page.getByRole('button', { name: 'Next block' }).click()
  const made = page.getByRole('button', { name: 'Made', exact: true })
  await made.click()
  await expect(page.getByText('1 of 1', { exact: true })).toBeVisible()
  await expect(page.getByText('in a row 1')).toBeVisible() // that is, it was answered
  await page.route('**/acts', (route) => route.abort())
  await made.click()
  await made.click()
  await expect(
    page.getByText('2 things you did are kept on this device until Hodometer answers.'),
  ).toBeVisible()
  await page.reload()
  await expect(page.getByText('2 things you did are kept')).toBeVisible()
  await page.unroute('**/acts')
  await expect(page.getByText('3 of 3', { exact: true })).toBeVisible()
  await expect(page.getByText(/kept on this device/)).toHaveCount(0)
})
