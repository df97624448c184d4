import { chromium as bt } from '@playwright/test'
import { chromium, open } from './club'
const b = await bt.launch(chromium)
const club = await open('demo')
const page = await b.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(club.url + '/#/drills'); await page.getByRole('heading', { name: 'Drills' }).first().waitFor(); await page.waitForTimeout(800)
await page.screenshot({ path: '/tmp/z1.png' })
await page.getByRole('link', { name: 'Coin in the Corner' }).first().click(); await page.waitForTimeout(800)
const tabs = await page.getByRole('button').allTextContents(); console.log(tabs.slice(0, 60).join(' | '))
console.log((await page.getByRole('tab').allTextContents()).join('|')); await page.getByRole('tab', { name: 'Turns' }).first().click({ timeout: 3000 }).catch(() => {}); await page.waitForTimeout(900)
await page.screenshot({ path: '/tmp/z2.png' })
await club.close(); await b.close()
