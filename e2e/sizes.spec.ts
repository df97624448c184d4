import type { Page } from '@playwright/test'
import { addresses, otherAddresses } from './addresses'
import type { Club } from './club'
import { duplicate, expect, lessonOf, moveClock, test } from './fixtures'

/** What a laptop of 1280 × 800 leaves of its screen, a small window, and phones. */
const sizes = [
  { width: 1280, height: 657 },
  { width: 1024, height: 700 },
  { width: 390, height: 844 },
  { width: 360, height: 640 },
]

/** What can be pressed or read and is covered by something else, wherever the page is scrolled to. */
const covered = (page: Page) =>
  page.evaluate(() => {
    const pressed = 'button, a[href], input, select, textarea, summary, [role="tab"], [role="option"]'
    const within = (a: Node, b: Node | null) => b !== null && (a.contains(b) || b.contains(a))
    /** The element that is seen at the middle of a box; undefined outside of the window. */
    const at = ({ left, top, right, bottom }: DOMRect) => {
      const [x, y] = [(left + right) / 2, (top + bottom) / 2]
      return x < 0 || y < 0 || x >= innerWidth || y >= innerHeight
        ? undefined
        : document.elementFromPoint(x, y)
    }
    const seen = (element: Element, box: () => DOMRect) => {
      for (const block of ['nearest', 'center', 'start', 'end'] as const) {
        element.scrollIntoView({ block, inline: 'nearest', behavior: 'instant' })
        const met = at(box())
        if (met && (within(element, met) || within(element.closest('label') ?? element, met))) return true
      }
      return false
    }
    const list: string[] = []
    const name = (element: Element) =>
      `${element.tagName.toLowerCase()} “${(element.getAttribute('aria-label') ?? element.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 50)}”`
    const there = (element: Element) =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
      !element.closest('.sr-only, .skip, dialog:not([open]), [aria-hidden="true"], [inert]')
    for (const element of document.querySelectorAll(pressed)) {
      const box = element.getBoundingClientRect()
      if (!there(element) || box.width < 2 || box.height < 2 || element.matches(':disabled')) continue
      if (!seen(element, () => element.getBoundingClientRect()))
        list.push(`${name(element)} cannot be pressed`)
    }
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const parent = node.parentElement
      if (
        !parent ||
        !node.textContent?.trim() ||
        !there(parent) ||
        parent.closest('svg, option, script, style')
      )
        continue
      const range = document.createRange()
      range.selectNodeContents(node)
      const box = range.getBoundingClientRect()
      if (box.width < 2 || box.height < 2) continue
      if (!seen(parent, () => range.getClientRects()[0] ?? box)) list.push(`${name(parent)} cannot be read`)
    }
    return list
  })

/**
 * What can be pressed and is smaller than so many pixels, links in a sentence aside: of a box to tick the line that it
 * stands in counts.
 */
const small = (page: Page, least: number) =>
  page.evaluate((least) => {
    const all = [
      ...document.querySelectorAll('button, a[href], input, select, textarea, summary, [role="tab"]'),
    ]
    return all.flatMap((element) => {
      const target = element.matches('[type="checkbox"], [type="radio"]')
        ? (element.closest('label') ?? element)
        : element
      const { width, height } = target.getBoundingClientRect()
      const hidden = element.closest('.sr-only, .skip, dialog:not([open]), svg')
      const inText =
        target.matches('a, .link') &&
        (target.parentElement?.innerText.trim() ?? '') !== target.textContent?.trim()
      if (
        !element.checkVisibility() ||
        width < 2 ||
        hidden ||
        (inText && getComputedStyle(target).display === 'inline')
      )
        return []
      // Halves of a pixel come of rounding.
      return Math.min(width, height) < least - 0.5
        ? [
            `${element.tagName} “${(element.textContent || element.getAttribute('aria-label') || '').trim().slice(0, 40)}” ${width.toFixed(1)} × ${height.toFixed(1)}`,
          ]
        : []
    })
  }, least)

/** Waits until nothing moves any more: rows of a list find their places a moment after the window has another size. */
const still = (page: Page) =>
  page.evaluate(async () => {
    const frame = () => new Promise((done) => requestAnimationFrame(done))
    const places = () =>
      [...document.querySelectorAll('main *')].map((each) => each.getBoundingClientRect().top).join()
    for (let same = 0, before = ''; same < 3;) {
      await frame()
      const now = places()
      same = now === before ? same + 1 : 0
      before = now
    }
  })

/** Every view, for what is looked at in it; each at every size. */
async function everyView(page: Page, demo: Club, look: (what: string, dialog?: boolean) => Promise<void>) {
  const go = async (address: string) => {
    await page.goto('about:blank')
    await page.goto(`${demo.url}/#/${address}`)
    await page.locator('main :is(h1, h2), .courtside h1').first().waitFor()
  }
  for (const address of [...(await addresses(demo)), ...otherAddresses]) {
    await go(address)
    await look(address || 'today')
  }
  const id = await lessonOf(demo, 'The afternoon six')
  await moveClock(demo, id, 1500)
  for (const view of ['courtside', 'afterwards']) {
    await go(`lessons/${id}/${view}`)
    await look(view)
    for (const dialog of view === 'courtside' ? ['More', 'Who is here'] : []) {
      await page.getByRole('button', { name: dialog, exact: true }).click()
      await page.locator('dialog[open]').waitFor()
      await page.waitForTimeout(400) // it grows as it comes
      await look(dialog, true)
      await page.keyboard.press('Escape')
    }
  }
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Three-Corner Round')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await look('a drill of the coach’s own')
}

for (const [kind, those] of [
  ['a screen', sizes.filter(({ width }) => width > 600)],
  ['a phone', sizes.filter(({ width }) => width < 600)],
] as const)
  test(`at every size of ${kind} nothing covers what can be pressed or read`, async ({ page, demo }) => {
    await page.setViewportSize(those[0]!)
    await everyView(page, demo, async (what, dialog = false) => {
      await page.waitForLoadState('networkidle')
      await page.evaluate(() => document.fonts.ready)
      for (const size of those) {
        await page.setViewportSize(size)
        await still(page)
        const at = `${what} at ${size.width} × ${size.height}`
        if (!dialog) expect.soft(await covered(page), at).toEqual([])
        const least = dialog || what.endsWith('courtside') ? 44 : 24
        expect.soft(await small(page, least), `targets, ${at}`).toEqual([])
      }
    })
  })

test('a press on a notice goes to what lies beneath it, and the notice out of the way', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demo.url}/#/lessons/calendar`)
  await page.getByLabel('For which calendar program').fill('My phone')
  await page.getByRole('button', { name: 'Make an address' }).click()
  await page.getByRole('button', { name: 'Take back My phone' }).click()
  const notice = page.getByText('The address for My phone is taken back.')
  await expect(notice).toBeVisible()
  const box = await notice.boundingBox()
  if (!box) throw new Error('no notice')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const met = await page.evaluate(([x, y]) => document.elementFromPoint(x, y)?.closest('.alert') === null, [
    x,
    y,
  ] as const)
  expect(met).toBe(true)
  await page.mouse.click(x, y)
  await expect(notice).toHaveCount(0)
})
