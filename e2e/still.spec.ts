import type { Page } from '@playwright/test'
import { addresses } from './addresses'
import { drawer, duplicate, expect, test } from './fixtures'

interface Shift extends PerformanceEntry {
  sources: { node: Node | null; previousRect: DOMRectReadOnly; currentRect: DOMRectReadOnly }[]
}
declare global {
  interface Window {
    moved: string[]
  }
}

/**
 * Writes down what moves from under the finger: what is or holds something to be pressed, by more than its least size,
 * 24 px (WCAG 2.2, 2.5.8).
 */
function watch() {
  window.moved = []
  const pressed = 'button, a[href], input, select, summary'
  new PerformanceObserver((list) => {
    for (const { sources } of list.getEntries() as Shift[])
      for (const { node, previousRect, currentRect } of sources) {
        const element = node instanceof Element ? node : node?.parentElement
        if (!element?.isConnected || !(element.matches(pressed) || element.querySelector(pressed))) continue
        const by = [currentRect.left - previousRect.left, currentRect.top - previousRect.top].map(Math.round)
        if (by.some((pixels) => Math.abs(pixels) > 24))
          window.moved.push(
            `${element.tagName} “${element.textContent?.trim().slice(0, 40)}” by ${by.join(', ')}`,
          )
      }
  }).observe({ type: 'layout-shift', buffered: true })
}

/** Answers come late, and not in the order in which they were asked for; it returns when the last one has come. */
async function slowly(page: Page) {
  let [asked, open] = [0, 0]
  await page.route('**/api/**', async (route) => {
    open++
    await new Promise((resolve) => setTimeout(resolve, 80 * (1 + ((asked++ * 7) % 5))))
    const answered = async () => route.fulfill({ response: await route.fetch() })
    await answered().catch(() => undefined) // the page may have been left meanwhile
    open--
  })
  return async () => {
    for (let quiet = 0; quiet < 6; quiet = open ? 0 : quiet + 1) await page.waitForTimeout(100)
  }
}

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
])
  test(`at ${size.width} × ${size.height} nothing that can be pressed moves while a page comes`, async ({
    page,
    demo,
  }) => {
    await page.setViewportSize(size)
    await page.addInitScript(watch)
    const there = await slowly(page)
    for (const view of await addresses(demo)) {
      await page.goto('about:blank')
      await page.goto(`${demo.url}/#/${view}`)
      await page.locator('main, .courtside').first().waitFor()
      await there()
      expect.soft(await page.evaluate(() => window.moved), view || 'today').toEqual([])
    }
    await page.unrouteAll({ behavior: 'ignoreErrors' })
  })

test('a drill that cannot be worked out can still be changed', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await page.route('**/api/drills/preview', (route) => route.abort())
  await duplicate(page, 'Coin in the Corner')
  await expect(page.getByRole('alert')).toBeVisible()
  await drawer(page, 'Words, care')
  await page.getByLabel('Name', { exact: true }).fill('Coin, kept all the same')
  await page.keyboard.press('Tab')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Coin, kept all the same' })).toBeVisible()
  await page.unrouteAll()
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('group', { name: /^Coin, kept all the same on/ })).toBeVisible()
})
