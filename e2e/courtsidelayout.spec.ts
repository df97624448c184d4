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

/** A thumb anywhere on a button meets that button, and it is wholly on the screen. */
const reached = (button: Locator) =>
  button.evaluate((element) => {
    element.scrollIntoView({ block: 'nearest' })
    const { left, top, right, bottom } = element.getBoundingClientRect()
    const inside = left >= 0 && top >= 0 && right <= innerWidth + 0.5 && bottom <= innerHeight + 0.5
    return (
      inside &&
      [0.15, 0.5, 0.85].every((x) =>
        [0.15, 0.5, 0.85].every((y) => {
          const met = document.elementFromPoint(left + (right - left) * x, top + (bottom - top) * y)
          return met !== null && element.contains(met)
        }),
      )
    )
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
      for (const button of await page.getByRole('button').or(page.getByRole('link')).all()) {
        if (!(await button.isVisible())) continue
        const what = `${at}: ${(await button.textContent())?.trim() ?? ''} ${(await button.getAttribute('aria-label')) ?? ''}`
        const box = await button.boundingBox()
        const inText = await button.evaluate(
          (element) => element.matches('.link, g, .skip') || element.textContent?.includes('Skip to'),
        )
        if (inText) continue
        expect(box?.height, what).toBeGreaterThanOrEqual(43.95)
        expect(box?.width, what).toBeGreaterThanOrEqual(43.95)
        if (await button.isEnabled()) expect(await reached(button), what).toBe(true)
      }
      for (const answer of ['Made', 'Missed']) {
        const box = await counting.getByRole('button', { name: answer, exact: true }).boundingBox()
        expect(Math.min(box?.height ?? 0, box?.width ?? 0), at).toBeGreaterThanOrEqual(64)
      }
      // After the turn as well each number is reached.
      await counting.getByRole('button', { name: 'Count after the turn' }).click()
      for (const number of await counting.getByRole('button').all()) {
        const what = `${at}: ${(await number.textContent()) ?? ''}`
        if (await number.isEnabled()) expect(await reached(number), what).toBe(true)
        expect((await number.boundingBox())?.height, what).toBeGreaterThanOrEqual(43.95)
      }
      await counting.getByRole('button', { name: 'Count ball by ball' }).click()
      // What ends the lesson is not on this view at all while it runs.
      await expect(page.getByRole('button', { name: /finish/i })).toHaveCount(0)
    }
  })
}
