import type { Page } from '@playwright/test'
import { drawer, duplicate, expect, look, test } from './fixtures'

/** cutOff lists selects and buttons on screen whose text does not fit into them. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const pen = document.createElement('canvas').getContext('2d')
    if (!pen) throw new Error('no canvas')
    const seen = (each: Element) => each.checkVisibility() && each.getBoundingClientRect().width > 0
    const selects = [...document.querySelectorAll('main select')].flatMap((each) => {
      const select = each as HTMLSelectElement
      if (!seen(select)) return []
      const style = getComputedStyle(select)
      pen.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`
      const room = select.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight)
      const text = select.selectedOptions[0]?.text ?? ''
      return pen.measureText(text).width > room + 1 ? [`select “${text}” has ${Math.round(room)} px`] : []
    })
    const buttons = [...document.querySelectorAll('main :is(button, summary, h1, h2)')].flatMap((each) => {
      const cut = seen(each) && each.scrollWidth > each.clientWidth + 1
      return cut && getComputedStyle(each).display !== 'inline' && !each.closest('.sr-only')
        ? [`${each.tagName} “${each.textContent}”`]
        : []
    })
    return [...selects, ...buttons]
  })

const sizes = [
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
]

for (const size of sizes) {
  test(`the bench at ${size.width} × ${size.height}: the court in full view, nothing cut off`, async ({
    page,
    demo,
  }) => {
    await page.setViewportSize(size)
    await page.goto(`${demo.url}/#/drills`)
    await duplicate(page, 'Three-Corner Round')
    await expect(page.getByText('All changes saved')).toBeVisible()
    // A whole turn of six balls.
    for (let n = 3; n < 6; n++) {
      if (!(await page.getByRole('region', { name: `Task ${n}`, exact: true }).isVisible()))
        await page.getByRole('button', { name: new RegExp(`^Task ${n}:`) }).click()
      await page.getByRole('button', { name: `Add one after Task ${n}` }).click()
      await expect(page.getByRole('button', { name: new RegExp(`^Task ${n + 1}:`) })).toBeVisible()
    }
    await expect(page.getByRole('region', { name: 'Task 6', exact: true })).toBeVisible()
    expect(await cutOff(page), 'with a card open').toEqual([])
    await page.getByRole('button', { name: 'Close Task 6' }).click()

    const court = page.locator('main svg.court')
    const phone = size.width < 700
    for (const way of phone ? ['stands'] : ['stands', 'lies']) {
      if (!phone) await look(page, 'The court', way)
      const box = await court.boundingBox()
      if (!box) throw new Error('no court')
      if (size.width >= 1280 && way === 'stands') expect(box.height).toBeGreaterThanOrEqual(560)
      if (size.width >= 1280 && way === 'lies') expect(box.width).toBeGreaterThanOrEqual(880)
      if (phone) expect(box.width).toBeGreaterThan(size.width - 40)
      else {
        // The page itself does not scroll, and the court and the last of six balls are on it.
        expect(box.y + box.height).toBeLessThan(size.height)
        expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(
          size.height,
        )
        const last = await page.getByRole('button', { name: /^Task 6:/ }).boundingBox()
        const foot = await page.getByRole('region', { name: 'Counts of this plan' }).boundingBox()
        expect(
          (last?.y ?? Infinity) + (last?.height ?? 0),
          `six balls beside a court that ${way}`,
        ).toBeLessThan(foot?.y ?? 0)
      }
      for (const tab of ['What counts', 'Versions', 'Places', 'Turns', 'Words, care', 'Balls'] as const) {
        await drawer(page, tab)
        expect(await cutOff(page), `${tab}, beside a court that ${way}`).toEqual([])
      }
    }
  })
}

test('a squash court lies in full view, with the tray above the drums', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Round the Bollards')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await look(page, 'The court', 'lies')
  const tray = await page.getByRole('toolbar', { name: 'To be put on court' }).boundingBox()
  const foot = await page.getByRole('region', { name: 'Counts of this plan' }).boundingBox()
  expect((tray?.y ?? Infinity) + (tray?.height ?? 0)).toBeLessThanOrEqual(foot?.y ?? 0)
  // There is no net to be cleared.
  await page.getByRole('button', { name: /^Task 1:/ }).click()
  await expect(page.getByRole('region', { name: 'Task 1' })).toBeVisible()
  await expect(page.getByLabel('Over the net')).toHaveCount(0)
})

test('what is wrong on the bench is told without moving the court', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  await expect(page.getByText('All changes saved')).toBeVisible()
  const court = page.getByRole('group', { name: /^Coin in the Corner/ })
  await expect(court).toBeVisible()
  const before = await court.boundingBox()
  // Pressed beyond the net, then a gap of nothing.
  if (!before) throw new Error('no court')
  await court.click({ position: { x: before.width * 0.6, y: before.height * 0.3 } })
  await expect(page.getByRole('alert').filter({ hasText: 'near half' })).toBeVisible()
  expect(await court.boundingBox()).toEqual(before)
  await page.getByLabel('Gap between balls').fill('0')
  await page.keyboard.press('Tab')
  await expect(page.getByText('at least 0.5', { exact: true })).toBeVisible()
  await expect(page.getByText('Not saved: something needs putting right')).toBeVisible()
  expect(await court.boundingBox()).toEqual(before)
  // From another drawer the tab says where it is.
  await drawer(page, 'Places')
  await expect(page.getByRole('tab', { name: /^Balls ?: something needs putting right$/ })).toBeVisible()
  await expect(page.getByRole('tab', { name: 'Words, care', exact: true })).toBeVisible()
})

test('the bench speaks feet, and is a left-hander’s, too', async ({ page, demo }) => {
  const settings = (await (await fetch(`${demo.url}/api/settings`)).json()) as {
    revision: number
    settings: object
  }
  await fetch(`${demo.url}/api/settings`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': `"${settings.revision}"` },
    body: JSON.stringify({ ...settings.settings, units: 'feet' }),
  })
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  const ball = page.getByRole('button', { name: /^ball 1, forehand: / })
  const right = await ball.getAttribute('aria-label')
  expect(right).toMatch(/\d+ (ft|in) .*inside the near baseline/)
  await page.getByLabel('left-hander').check()
  await expect(ball).not.toHaveAttribute('aria-label', right ?? '')
  // A press by a left-hander on their forehand side is a forehand.
  const court = page.locator('main svg.court')
  const box = await court.boundingBox()
  if (!box) throw new Error('no court')
  await court.click({ position: { x: box.width * 0.3, y: box.height * 0.72 } })
  await expect(page.getByRole('button', { name: /^Task 3: forehand/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^Task 3:/ })).toHaveCount(0)
})
