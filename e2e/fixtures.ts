import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Page } from '@playwright/test'
import { open, type Club } from './club'

/** Every worker has a demo of its own, and every test that asks for it a club without any data. */
export const test = base.extend<{ empty: Club }, { demo: Club }>({
  demo: [
    async ({}, use) => {
      const club = await open('demo')
      await use(club)
      await club.close()
    },
    { scope: 'worker' },
  ],
  empty: async ({}, use) => {
    const club = await open('serve')
    await use(club)
    await club.close()
  },
})

/** expectClean fails on anything that axe finds on the page. */
export async function expectClean(page: Page) {
  // At its end, so that the strip of drums covers nothing.
  await page.evaluate(() => scrollTo(0, document.body.scrollHeight))
  const found = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze()
  expect(
    found.violations.map((v) => ({ rule: v.id, where: v.nodes.map((n) => n.html.slice(0, 200)) })),
  ).toEqual([])
}

export { expect }
