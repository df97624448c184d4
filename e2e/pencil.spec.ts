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
  await page.waitForTimeout(62_000)

  // In the third four are counted by hand, one more of each than of the one before, with a miss; two are not.
  await next(page, 'Both Verges')
  const third = Date.now()
  const whose = counting(page).getByRole('group', { name: 'Whose turn' }).getByRole('button')
  await expect(whose).toHaveCount(6)
  const plan = await page.context().newPage()
  await plan.goto(`${demo.url}/#/lessons/${id}`)
  await plan.getByRole('button', { name: /^\d\d:\d\d Both Verges, / }).click()
  await expect(plan.locator('[data-prospect]')).toHaveCount(6)
  for (let i = 0; i < 4; i++) {
    await whose.nth(i).click()
    // Nothing is counted of them yet: what is told is what the plan, as it became, tells.
    const hope = counting(page).locator('[data-hope]')
    const [, tries, met] = /^(.*) left(?: in the time)?: met (.*)\.$/.exec(await hope.innerText()) ?? []
    const promised = plan.locator(`[data-prospect="${(await hope.getAttribute('data-hope')) ?? ''}"]`)
    await expect(promised).toHaveAttribute('data-tries', tries ?? '')
    await expect(promised).toContainText(met ?? '')
    for (let k = 0; k <= i; k++) await press(page, 'Made')
    await press(page, 'Missed')
    await expect(counting(page).locator('[data-figure$=" counted"]')).toHaveAttribute(
      'data-value',
      `${i + 1} of ${i + 2}`,
    )
    await figures.read(page, 'courtside')
  }
  await next(page, 'Safe Lane')
  const last = Date.now()
  await finished(page)
  await expect(page.locator('[data-figure$=" counted"]')).toHaveCount(24)
  await figures.read(page, 'afterwards')

  // By pencil: what each block took, by this clock; the shortest block is half a minute.
  const after = (await (await fetch(`${demo.url}/api/lessons/${id}/afterwards`)).json()) as Afterwards
  const took = [second - from, third - second, last - third].map((ms) => Math.max(30, ms / 1000))
  expect(after.against.map(({ planned }) => planned)).toEqual([480, 30, 480, 480])
  for (const [i, seconds] of took.entries()) {
    expect(Math.abs((after.against[i]?.ran ?? 0) - seconds)).toBeLessThan(4)
  }
  expect(after.against.map(({ said }) => /\w+$/.exec(said)?.[0])).toEqual([
    'shorter',
    'longer',
    'shorter',
    'shorter',
  ])

  // What each was counted: two balls by the eye, and what was pressed; it is the same on their page and at home.
  const today = new URLSearchParams({ from: '2026-03-10', to: '2026-03-10' }).toString()
  for (const [i, { student, name, made, balls, played }] of after.students.entries()) {
    const counted = (drill: string) => figures.value(`${id} ${student} ${drill} counted`)
    const byEye = /^(\d) of 2$/.exec(counted('Two and Away '))
    expect(byEye, `${name}: two balls by the eye`).not.toBeNull()
    expect(counted('Both Verges ')).toBe(i < 4 ? `${i + 1} of ${i + 2}` : '0 of 0')
    const pencil = [Number(byEye?.[1]) + (i < 4 ? i + 1 : 0), 2 + (i < 4 ? i + 2 : 0)]
    expect([made, balls]).toEqual(pencil)

    // Of what was planned, and for what the time allowed at most.
    const [, strokes, planned, ran, runs] =
      /^(?:about )?(\d+) of (\d+) strokes.*ran about (\d+) m of (\d+ m)/.exec(played) ?? []
    expect(planned).toBe(figures.value(`${id} ${name} strokes`))
    expect(runs).toBe(figures.value(`${id} ${name} runs`))
    expect(Number(strokes)).toBeGreaterThanOrEqual(balls)
    expect(Number(strokes)).toBeLessThan(Number(planned))
    expect(Number(ran)).toBeGreaterThan(0)

    await page.goto(`${demo.url}/#/students/${student}`)
    await expect(page.locator(`[data-figure^="${id} ${student}"]`).first()).toBeVisible()
    await figures.read(page, `the page of ${name}`)
    const home = await printedText(`${demo.url}/api/out/students/${student}/page.pdf?${today}`)
    const sums = [...home.matchAll(/(\d+) of (\d+) balls? made/g)]
    const sum = (part: 1 | 2) => sums.reduce((all, found) => all + Number(found[part]), 0)
    expect([sum(1), sum(2)], `${name} at home`).toEqual(pencil)
  }
  await page.goto(`${demo.url}/#/how-sure`)
  await expect(page.getByText(/forecasts are kept from when a lesson begins/)).toBeVisible()
})
