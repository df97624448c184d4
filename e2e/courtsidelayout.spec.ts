import type { Locator } from '@playwright/test'
import { eight, expect, kept, lessonWith, test } from './fixtures'

/** At every size, with one to twelve names, nothing covers anything, and everything is large enough for a thumb. */
const sizes = [
  { width: 360, height: 640 },
  { width: 390, height: 844 },
  { width: 844, height: 390 },
  { width: 1280, height: 800 },
]
const names = ['Ada', 'Ben', 'Cleo', 'Dan', 'Eve', 'Finn', 'Gil', 'Hana', 'Ivo', 'Jule', 'Kit', 'Lou']

/**
 * What can be pressed within something and is smaller than a thumb needs, or, where it can be pressed now, is not met
 * by a thumb anywhere on it, or lies partly off the screen; links in a sentence aside.
 */
const unreached = (within: Locator) =>
  within.evaluate((all) => {
    const least = 43.95 // pixels; the fractions come of rounding
    const list: string[] = []
    for (const element of all.querySelectorAll('button, a[href], [role="button"], summary')) {
      if (!element.checkVisibility({ visibilityProperty: true }) || element.matches('.link, g, .skip'))
        continue
      const what = `${element.textContent?.trim() ?? ''} ${element.getAttribute('aria-label') ?? ''}`
      const { width, height } = element.getBoundingClientRect()
      if (width === 0 && height === 0) continue
      if (Math.min(width, height) < least) list.push(`${what}: ${width} × ${height}`)
      if (element.matches(':disabled')) continue
      element.scrollIntoView({ block: 'nearest' })
      const { left, top, right, bottom } = element.getBoundingClientRect()
      const inside = left >= 0 && top >= 0 && right <= innerWidth + 0.5 && bottom <= innerHeight + 0.5
      const met = [0.15, 0.5, 0.85].every((x) =>
        [0.15, 0.5, 0.85].every((y) => {
          const found = document.elementFromPoint(left + (right - left) * x, top + (bottom - top) * y)
          return found !== null && element.contains(found)
        }),
      )
      if (!inside || !met) list.push(`${what}: ${inside ? 'something covers it' : 'it is not on the screen'}`)
    }
    return list
  })

for (const many of [1, 6, 12]) {
  test(`courtside with ${many} on the list`, async ({ page, empty }) => {
    const students = []
    for (const name of names.slice(0, many))
      students.push(await kept(empty, 'students', { ...eight[0], name: `${name} Longbottom-Field` }))
    const id = await lessonWith(empty, 'Everybody on one court, Tuesday', students, 'Coin in the Corner', {
      minutes: 40,
    })
    await page.setViewportSize(sizes[1]!)
    await page.goto(`${empty.url}/#/lessons/${id}/courtside`)
    await page.getByRole('button', { name: 'Begin' }).click()
    const counting = page.getByRole('region', { name: 'Counting' })
    await counting.getByRole('button', { name: 'Made', exact: true }).click()
    for (const size of sizes) {
      await page.setViewportSize(size)
      await page.getByRole('region', { name: 'The lesson as it runs' }).evaluate((all) => (all.scrollTop = 0))
      const at = `${many} at ${size.width} × ${size.height}`
      await expect(page.locator('.now')).toBeInViewport({ ratio: 0.6 })
      await expect(page.locator('.drum').first()).toBeInViewport({ ratio: 1 })
      await expect(counting.locator('.count')).toBeInViewport({ ratio: 0.6 })
      expect(await unreached(page.locator('body')), at).toEqual([])
      for (const answer of ['Made', 'Missed']) {
        const box = await counting.getByRole('button', { name: answer, exact: true }).boundingBox()
        expect(Math.min(box?.height ?? 0, box?.width ?? 0), at).toBeGreaterThanOrEqual(64)
      }
      // After the turn as well each number is reached.
      await counting.getByRole('button', { name: 'Count after the turn' }).click()
      expect(await unreached(counting), `${at}, after the turn`).toEqual([])
      await counting.getByRole('button', { name: 'Count ball by ball' }).click()
      // What ends the lesson is not on this view at all while it runs.
      await expect(page.getByRole('button', { name: /finish/i })).toHaveCount(0)
    }
  })
}
