import { addresses, otherAddresses } from './addresses'
import { expect, lessonOf, test } from './fixtures'

/**
 * A browser that may keep nothing at all, as some do in a private window: every view works, and what is done is sent.
 */
function keepsNothing() {
  const no = () => {
    throw new DOMException('The operation is insecure.', 'SecurityError')
  }
  for (const name of ['localStorage', 'sessionStorage'])
    Object.defineProperty(window, name, { get: no, configurable: true })
  Object.defineProperty(indexedDB, 'open', { value: no })
  if (!isSecureContext) return
  for (const name of ['request', 'query'])
    Object.defineProperty(navigator.locks, name, {
      value: () => Promise.reject(new DOMException('', 'SecurityError')),
    })
}

test('where the browser may keep nothing, every view works and a lesson is counted', async ({
  page,
  demo,
}) => {
  const thrown: string[] = []
  page.on('pageerror', (error) => thrown.push(String(error)))
  await page.addInitScript(keepsNothing)
  for (const address of [...(await addresses(demo)), ...otherAddresses]) {
    await page.goto('about:blank')
    await page.goto(`${demo.url}/#/${address}`)
    await page.locator('main :is(h1, h2), .courtside h1').first().waitFor()
    await page.waitForLoadState('networkidle')
    expect.soft(thrown, address).toEqual([])
    const alerts = page.getByRole('alert').filter({ hasNotText: 'leave this page open' })
    await expect.soft(alerts, address).toHaveCount(0)
    thrown.length = 0
  }

  const id = await lessonOf(demo, 'The afternoon six')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  while (!(await counting.isVisible())) await page.getByRole('button', { name: 'Next block' }).click()
  await counting.getByRole('button', { name: 'Made', exact: true }).click()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Hold' }).click()
  await expect(page.getByText('held', { exact: true })).toBeVisible()
  await expect
    .poll(async () => {
      const seen = (await (await fetch(`${demo.url}/api/lessons/${id}/courtside`)).json()) as {
        counters: { count: { taps: number } }[]
      }
      return seen.counters.reduce((sum, { count }) => sum + count.taps, 0)
    })
    .toBe(1)
  expect(thrown).toEqual([])
})
