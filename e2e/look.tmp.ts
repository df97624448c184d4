import { chromium as engine } from '@playwright/test'
import { chromium, open, usual } from './club'
import { lessonOf } from './fixtures'
const club = await open('demo', usual)
const browser = await engine.launch(chromium)
const pages = []
for (const n of [1, 2]) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 })
  await context.clock.install({ time: new Date(usual) })
  pages.push(await context.newPage())
}
const id = await lessonOf(club, 'The afternoon six')
const [page, other] = pages
for (const each of pages) await each!.goto(`${club.url}/#/lessons/${id}/courtside`)
await page!.getByRole('button', { name: 'Begin' }).click()
await page!.waitForTimeout(500)
for (const title of ['Ball warm-up', 'Two and Away']) { await page!.getByRole('button', { name: 'Next block' }).click(); await page!.waitForTimeout(500) }
await page!.getByRole('button', { name: 'Made', exact: true }).click()
await other!.waitForTimeout(5000)
await other!.screenshot({ path: '/tmp/prof/elsewhere.png' })
await browser.close()
await club.close(true)
