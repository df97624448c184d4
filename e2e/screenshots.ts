import { chromium as browserType, type Page } from '@playwright/test'
import { chromium, open } from './club'
import { drawer, duplicate, look } from './fixtures'

/** Takes one picture of each main view on the demo data, into docs/screenshots or the folder named. */
const folder = process.argv[2] ?? 'docs/screenshots'
const only = process.argv[3]
const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

interface View {
  name: string
  size: typeof desk
  theme?: 'chalk' | 'floodlit'
  go: (page: Page) => Promise<unknown>
}

const first = (page: Page, name: string) => page.getByRole('link', { name }).first().click()

const views: View[] = [
  { name: 'today', size: desk, go: async (page) => page.getByRole('heading', { name: /^Today,/ }).waitFor() },
  {
    name: 'student',
    size: desk,
    go: async (page) => {
      await first(page, 'Students')
      await first(page, 'Noor Haldane')
      await page.getByRole('heading', { name: 'Drills so far' }).waitFor()
    },
  },
  { name: 'drills', size: desk, go: async (page) => first(page, 'Drills') },
  {
    name: 'drill',
    size: desk,
    go: async (page) => {
      await first(page, 'Drills')
      await duplicate(page, 'Coin in the Corner')
      await look(page, 'Regions', 'four depths')
      await page.getByRole('button', { name: /^Task 2:/ }).click()
    },
  },
  {
    name: 'goal',
    size: desk,
    go: async (page) => {
      await first(page, 'Drills')
      await duplicate(page, 'Forty and Four')
      await page.getByLabel('Try it on').selectOption({ label: 'Teo Brackwell' })
      await drawer(page, 'What counts')
      await page.getByRole('region', { name: 'What counts' }).waitFor()
    },
  },
  {
    name: 'game',
    size: desk,
    go: async (page) => {
      await first(page, 'Games')
      await page
        .getByRole('article', { name: 'Serve, Then One More' })
        .getByRole('button', { name: /^Duplicate/ })
        .click()
      await page.getByRole('button', { name: /^Rallies/ }).waitFor()
    },
  },
  {
    name: 'scoreboard',
    size: phone,
    go: async (page) => {
      await first(page, 'Games')
      await page
        .getByRole('article', { name: 'Serve, Then One More', exact: true })
        .getByRole('button', { name: /^Play/ })
        .click()
      for (const name of ['Teo Brackwell', 'Noor Haldane'])
        await page
          .getByRole('dialog')
          .getByRole('button', { name: new RegExp(`^${name}`) })
          .click()
      await page.getByRole('button', { name: 'Begin' }).click()
      await page.getByRole('button', { name: /^serve and next shot made/ }).click()
      await page.getByText('+1 once the rally is over').waitFor()
    },
  },
  {
    name: 'ranking',
    size: desk,
    go: async (page) => {
      await first(page, 'Games')
      await page.getByRole('link', { name: 'Ranking' }).click()
      await page.getByRole('region', { name: 'Singles' }).waitFor()
    },
  },
  {
    name: 'reckoner',
    size: phone,
    go: async (page) => {
      await first(page, 'Reckoner')
      await page.getByLabel('What the goal takes').waitFor()
    },
  },
  {
    name: 'stand',
    size: desk,
    go: async (page) => {
      await first(page, 'Reckoner')
      await first(page, 'Where to stand')
      await page.getByLabel('Court', { exact: true }).selectOption('badminton')
      await page.getByText('to the side of the ball').waitFor()
    },
  },
  {
    name: 'lesson',
    size: desk,
    go: async (page) => {
      await first(page, 'Noor and Teo')
      await page.getByRole('button', { name: /^\d\d:\d\d Last Stretch, / }).click()
    },
  },
  {
    name: 'group',
    size: { width: 1280, height: 1200 },
    go: async (page) => {
      await first(page, 'The afternoon six')
      await page.getByRole('button', { name: /^\d\d:\d\d Two against two, one place on, / }).click()
      await page.getByRole('tab', { name: 'Who is where' }).click()
      await page.getByRole('table', { name: 'Who is where in each round' }).waitFor()
    },
  },
  {
    name: 'sheet',
    size: { width: 1280, height: 1000 },
    go: async (page) => {
      await page
        .getByRole('article', { name: 'The afternoon six' })
        .getByRole('link', { name: 'Run sheet' })
        .click()
      await page.getByText('Take your places').first().waitFor()
    },
  },
  { name: 'lessons', size: desk, go: async (page) => first(page, 'Lessons') },
  {
    name: 'courtside',
    size: phone,
    theme: 'chalk',
    go: async (page) => {
      await page
        .getByRole('article', { name: 'Noor and Teo' })
        .getByRole('link', { name: /courtside/ })
        .click()
      await page.getByRole('button', { name: 'Begin' }).click()
      await page.getByRole('button', { name: 'Next block' }).click()
      await page.getByText('At the net').or(page.getByText('at the net')).first().waitFor()
      await page.getByRole('button', { name: 'Next block' }).click()
      for (const tap of ['Made', 'Made', 'Missed', 'Made'])
        await page.getByRole('button', { name: tap }).click()
      await page.getByText('3 of 4', { exact: true }).waitFor()
    },
  },
  {
    name: 'afterwards',
    size: desk,
    go: async (page) => {
      await first(page, 'Lessons')
      await page
        .getByRole('link', { name: /^Afterwards of Noor and Teo/ })
        .first()
        .click()
      await page.getByText('How engaged they felt').first().waitFor()
    },
  },
  { name: 'settings', size: desk, go: async (page) => first(page, 'Settings') },
  {
    name: 'keeping',
    size: desk,
    theme: 'floodlit',
    go: async (page) => {
      await first(page, 'Settings')
      await page.getByRole('link', { name: /^Keeping it safe/ }).click()
      await page.getByRole('button', { name: 'Make a copy now' }).click()
      await page.getByText('The last good copy').waitFor()
    },
  },
  {
    name: 'calendar',
    size: phone,
    go: async (page) => {
      await first(page, 'Lessons')
      await page
        .getByRole('link', { name: /[Cc]alendar/ })
        .first()
        .click()
      await page.getByRole('button', { name: 'Try it with an invented club' }).first().click()
      await page
        .getByRole('button', { name: /^Plan it/ })
        .first()
        .waitFor()
    },
  },
]

const club = await open('demo')
const browser = await browserType.launch(chromium)
for (const view of views) {
  if (only && !only.split(',').includes(view.name)) continue
  const page = await browser.newPage({
    viewport: view.size,
    colorScheme: view.theme === 'floodlit' ? 'dark' : 'light',
  })
  page.on('pageerror', (error) => console.error(view.name, error.message))
  page.on('console', (message) => message.type() === 'error' && console.error(view.name, message.text()))
  await page.goto(club.url)
  await view.go(page)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(600)
  await page.screenshot({ path: `${folder}/${view.name}.png` })
  await page.close()
}
await browser.close()
await club.close()
