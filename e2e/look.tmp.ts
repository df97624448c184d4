import { chromium } from '@playwright/test'
import { open, usual } from './club'
const club = await open('demo', usual)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] })
const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
await page.clock.install({ time: new Date(usual) })
const shot = (n: string) => page.screenshot({ path: `/tmp/prof/${n}.png` })
const diary = (await (await fetch(`${club.url}/api/lessons?ahead=7&back=0`)).json()) as any
const id = diary.lessons.find((l: any) => l.title === 'The afternoon six').id
await page.goto(`${club.url}/#/lessons/${id}/courtside`)
await page.getByRole('button', { name: 'Begin' }).click()
for (let i = 0; i < 2; i++) { await page.getByRole('button', { name: 'Next block' }).click(); await page.waitForTimeout(500) }
await page.waitForTimeout(1000)
for (const [w, h] of [[390, 844], [360, 640], [844, 390], [1280, 800]] as const) {
  await page.setViewportSize({ width: w, height: h })
  await page.waitForTimeout(300)
  await shot(`run-${w}`)
}
await page.setViewportSize({ width: 390, height: 844 })
await page.getByRole('button', { name: 'More', exact: true }).click()
await page.waitForTimeout(500); await shot('more')
await browser.close()
await club.close(true)
