import { expect, test } from './fixtures'

/** What is typed is what is stored. */

test('a comma is the decimal sign as a point is, and what is no number is told where it stands', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/#/settings`)
  const field = page.getByLabel(/^Picking up one ball/)
  await field.fill('2,75')
  await field.press('Enter')
  await field.blur()
  await expect(page.getByText('All changes saved')).toBeVisible()
  const stored = async () =>
    ((await (await fetch(`${demo.url}/api/settings`)).json()) as { settings: { pickUp: number } }).settings
      .pickUp
  await expect.poll(stored).toBe(2.75)
  await field.fill('2,7,5')
  await field.blur()
  await expect(page.getByText('“2,7,5” is no number')).toBeVisible()
  await expect(field).toHaveValue('2,7,5') // nothing typed is lost
  expect(await stored()).toBe(2.75)
  await field.fill('3')
  await field.press('ArrowUp')
  await expect(page.getByText('is no number')).toHaveCount(0)
  await expect.poll(stored).toBeGreaterThan(3)
})
