import type { Page } from '@playwright/test'
import { Figures, lessonWith, printedText } from './figures'
import { expect, finished, lessonOf, test } from './fixtures'
import { join, switchedOff, switchedOn } from './gear'
import { counting, press } from './wholelesson'

test.afterEach(switchedOff)

interface Afterwards {
  students: { student: string; name: string; made: number; balls: number; played: string }[]
  against: { title: string; planned: number; ran: number; said: string }[]
}

/** Goes on to the next block. */
async function next(page: Page, title: string) {
  await page.getByRole('button', { name: 'Next block' }).click()
  await expect(page.getByRole('region', { name: 'Time' })).toContainText(title)
}

test('four blocks of six players agree with a pencil wherever they are told', async ({ page, demo }) => {
  test.slow()
  const six = (
    (await (await fetch(`${demo.url}/api/lessons/${await lessonOf(demo, 'The afternoon six')}`)).json()) as {
      document: { students: string[] }
    }
  ).document.students
  const id = await lessonWith(demo, 'By pencil', { date: '2026-03-10', start: '15:30' }, six, [
    { name: 'Two and Away', turns: 2, minutes: 8 },
    { name: 'Coin in the Corner', turns: 1, minutes: 0.5 },
    { name: 'Both Verges', turns: 1, minutes: 8 },
    { name: 'Safe Lane', turns: 1, minutes: 8 },
  ])
  const figures = new Figures()
  await page.goto(`${demo.url}/#/lessons/${id}`)
  await expect(page.locator('[data-figure$=" strokes"]')).toHaveCount(6)
  await figures.read(page, 'plan')

  // The first block: a machine throws twelve balls, an eye counts them, two for each; then it is cut short.
  const machine = await switchedOn('machine', '--hopper', '12', '--jitter', '0')
  const eye = await switchedOn('eye', '--spread', '1.5', '--flight', '0.2')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await expect(page.getByRole('region', { name: 'Time' })).toContainText('Two and Away')
  const from = Date.now()
  await join(page, 'Ball machine', machine.address)
  await join(page, 'Eye for landings', eye.address)
  await page.getByLabel(/The eye counts/).check()
  const strip = page.getByRole('region', { name: 'Ball machine' })
  for (let i = 0; i < 5; i++) await strip.getByRole('button', { name: 'Faster' }).click()
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip.getByRole('alert')).toHaveText('The hopper is empty.', { timeout: 60_000 })
  await expect(page.getByRole('region', { name: 'Eye for landings' })).toContainText(
    '12 of 12 thrown were seen',
  )

  // The second runs long, and nobody counts it.
  await next(page, 'Coin in the Corner')
  const second = Date.now()
  await page.getByRole('button', { name: 'One more minute' }).click()
  await page.waitForTimeout(40_000)

  // In the third four are counted by hand, and two are not.
  await next(page, 'Both Verges')
  const third = Date.now()
  const people = counting(page).getByRole('group', { name: 'Whose ball' }).getByRole('button')
  console.log(await counting(page).innerHTML())
  console.log(from, second, third, await people.count())
  for (let i = 0; i < 4; i++) {
    for (let k = 0; k <= i; k++) await press(page, 'Made')
    await press(page, 'Missed')
  }
  await next(page, 'Safe Lane')
  await finished(page)
  await figures.read(page, 'afterwards')
  const after = (await (await fetch(`${demo.url}/api/lessons/${id}/afterwards`)).json()) as Afterwards
  console.log(JSON.stringify(after.students, null, 1), JSON.stringify(after.against))
  console.log(await page.locator('main').innerText())
  const today = new URLSearchParams({ from: '2026-03-10', to: '2026-03-10' }).toString()
  console.log(await printedText(`${demo.url}/api/out/students/${six[0] ?? ''}/page.pdf?${today}`))
  await page.goto(`${demo.url}/#/how-sure`)
  await page.waitForTimeout(1000)
  console.log(await page.locator('main').innerText())
})
