import type { Page } from '@playwright/test'
import { drawer, duplicate, expect, expectClean, test } from './fixtures'

const link = (page: Page, name: string | RegExp) => page.getByRole('link', { name }).first().click()

/** On a phone the rest of a lesson is behind one press. */
const more = async (page: Page) => {
  const rest = page.getByText(/^More of this lesson/)
  if (await rest.isVisible()) await rest.click()
}

const views: [string, (page: Page) => Promise<unknown>][] = [
  ['today', () => Promise.resolve()],
  [
    'about',
    async (page) => (
      await link(page, 'Settings'),
      await link(page, /^About Hodometer/),
      page.getByText('All licences').waitFor()
    ),
  ],
  [
    'what the model cannot know',
    async (page) => (
      await link(page, 'Settings'),
      await link(page, /^About Hodometer/),
      await link(page, 'What this model cannot know'),
      page.getByRole('heading', { name: 'The player' }).waitFor()
    ),
  ],
  [
    'devices and passphrase',
    async (page) => (
      await link(page, 'Settings'),
      await link(page, 'Devices and passphrase'),
      page.getByRole('button', { name: 'Set it' }).waitFor()
    ),
  ],
  [
    'students',
    async (page) => (
      await link(page, 'Students'),
      page.getByRole('button', { name: 'Add a student' }).click()
    ),
  ],
  [
    'a student',
    async (page) => (
      await link(page, 'Students'),
      await link(page, 'Teo Brackwell'),
      page.getByText('Drills so far').waitFor()
    ),
  ],
  ['drills', async (page) => (await link(page, 'Drills'), page.getByRole('article').first().waitFor())],
  [
    'a drill',
    async (page) => {
      await link(page, 'Drills')
      await duplicate(page, 'Three-Corner Round')
      await page.getByRole('button', { name: /^Task 1:/ }).click()
      await page.locator('summary', { hasText: 'more about task 1' }).click()
      await page.getByRole('region', { name: 'Task 1' }).waitFor()
    },
  ],
  ...(['What counts', 'Versions', 'Places', 'Turns', 'Words, care'] as const).map(
    (name): [string, (page: Page) => Promise<unknown>] => [
      `a drill: ${name}`,
      async (page) => {
        await link(page, 'Drills')
        await duplicate(page, 'Three-Corner Round')
        await drawer(page, name)
      },
    ],
  ),
  [
    'lessons',
    async (page) => (
      await link(page, 'Lessons'),
      page.getByRole('button', { name: 'Plan a lesson' }).click()
    ),
  ],
  [
    'a lesson',
    async (page) => {
      await link(page, 'Noor and Teo')
      await page.getByRole('button', { name: /^\d\d:\d\d Ball warm-up, / }).click()
      await more(page)
      await page.getByText('What to call, and when').waitFor()
    },
  ],
  [
    'who is where in a lesson',
    async (page) => {
      await link(page, 'The afternoon six')
      await page.getByRole('button', { name: /^\d\d:\d\d Two against two, one place on, / }).click()
      await more(page)
      await page.getByRole('tab', { name: 'Who is where' }).click()
      await page.getByText('Faults to watch').click()
      await page
        .getByRole('button', { name: /^warning: / })
        .first()
        .click()
    },
  ],
  [
    'each player of a drill',
    async (page) => {
      await link(page, 'The afternoon six')
      await page.getByRole('button', { name: /^\d\d:\d\d Two and Away, / }).click()
      await more(page)
      await page.getByRole('tab', { name: 'Each player' }).click()
      await page.getByText('plays it as it is').first().waitFor()
    },
  ],
  [
    'a run sheet',
    async (page) => (
      await page
        .getByRole('article', { name: 'The afternoon six' })
        .getByRole('link', { name: 'Run sheet' })
        .click(),
      page.getByText('Take your places').first().waitFor()
    ),
  ],
  [
    'how a figure came about',
    async (page) => {
      await link(page, 'Noor and Teo')
      await page.getByRole('button', { name: /^Balls fed \d/ }).click()
      await page.getByRole('dialog').waitFor()
    },
  ],
  [
    'courtside',
    async (page) => {
      await page
        .getByRole('article', { name: 'Kwame and Suki' })
        .getByRole('link', { name: /courtside/i })
        .click()
      await page.getByRole('button', { name: /Begin|Pause|Go on/ }).waitFor()
      if (await page.getByRole('button', { name: 'Begin' }).isVisible()) {
        await page.getByRole('button', { name: 'Begin' }).click()
        await page.getByRole('button', { name: 'Next block' }).click()
        await page.getByText('at the net').waitFor()
        await page.getByRole('button', { name: 'Next block' }).click()
      }
      await page.getByRole('button', { name: 'Made' }).waitFor()
    },
  ],
  [
    'afterwards',
    async (page) => (
      await link(page, 'Lessons'),
      await link(page, /^Afterwards of/),
      page.getByText('One remark').first().waitFor()
    ),
  ],
  [
    'the reckoner, a goal',
    async (page) => (
      await link(page, 'Reckoner'),
      await page.getByLabel('Goal', { exact: true }).selectOption('in stages'),
      page.getByLabel('What the goal takes').waitFor()
    ),
  ],
  [
    'the reckoner, a target',
    async (page) => (
      await link(page, 'Reckoner'),
      await link(page, 'Target'),
      page.getByLabel('The answer').waitFor()
    ),
  ],
  [
    'the reckoner, a rally',
    async (page) => (
      await link(page, 'Reckoner'),
      await link(page, 'Rally'),
      page.getByLabel('The answer').waitFor()
    ),
  ],
  ['settings', async (page) => (await link(page, 'Settings'), page.getByText('Balls in a basket').waitFor())],
]

for (const [name, go] of views) {
  test(`axe finds nothing on ${name}, in both themes`, async ({ page, demo }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await page.goto(demo.url)
    await page.getByRole('heading', { name: /^Today,/ }).waitFor()
    await go(page)
    await page.waitForLoadState('networkidle')
    await expectClean(page)
    // The other theme changes colours and nothing else.
    await page.evaluate(() => (document.documentElement.dataset.theme = 'floodlit'))
    await expectClean(page, ['color-contrast', 'link-in-text-block'])
  })
}

test('no view is wider than a small phone', async ({ page, demo }) => {
  await page.setViewportSize({ width: 320, height: 700 })
  for (const [name, go] of views.filter(([name]) => name !== 'how a figure came about')) {
    await page.goto('about:blank')
    await page.goto(demo.url)
    await page.getByRole('heading', { name: /^Today,/ }).waitFor()
    await go(page)
    const wider = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect.soft(wider, `${name} is wider than the screen`).toBeLessThanOrEqual(0)
  }
})
