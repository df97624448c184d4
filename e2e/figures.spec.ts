import type { Page } from '@playwright/test'
import type { Club } from './club'
import { Figures, lessonWith, printedText } from './figures'
import { drawer, expect, finished, lessonOf, test } from './fixtures'

/** A plan, its sheet, and its PDF. */
async function plannedAndPrinted(page: Page, club: Club, id: string, figures: Figures) {
  await page.goto(`${club.url}/#/lessons/${id}`)
  await expect(page.getByRole('button', { name: /^Planned/ })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'On court' })).toBeVisible()
  await expect(page.locator(`[data-figure$=" runs"]`).first()).toBeVisible()
  expect(await figures.read(page, 'plan')).toBeGreaterThan(6)
  await page.goto(`${club.url}/#/lessons/${id}/sheet`)
  await expect(page.getByRole('link', { name: 'A4 sheet as PDF' })).toBeVisible()
  expect(await figures.read(page, 'sheet')).toBeGreaterThan(0)
  const text = await printedText(`${club.url}/api/lessons/${id}/sheet.pdf?paper=A4`)
  expect(text).toContain(figures.value(`${id} Carry`))
  for (const value of figures.valuesOn('sheet', id)) expect(text).toContain(value)
}

/** A lesson is run as far as its first count, counted a little, finished, and told afterwards. */
async function onCourt(page: Page, club: Club, id: string, figures: Figures) {
  await page.goto(`${club.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await expect(page.getByRole('button', { name: 'Hold' })).toBeVisible()
  const counting = page.getByRole('region', { name: 'Counting' })
  for (let i = 0; i < 8 && !(await counting.isVisible()); i++) {
    await page.getByRole('button', { name: 'Next block' }).click()
    await page.waitForTimeout(300)
  }
  const made = counting.getByRole('button', { name: 'Made', exact: true })
  await expect(counting).toBeVisible()
  if (await made.isVisible()) {
    for (const act of ['Made', 'Made', 'Missed', 'Made'])
      await counting.getByRole('button', { name: act, exact: true }).click()
    await expect(counting.locator('[data-value^="3 "], [data-value^="1 "]').first()).toBeVisible()
  }
  await figures.read(page, 'courtside')
  await finished(page)
  await expect(page.locator('[data-figure$=" counted"]').first()).toBeVisible()
  await figures.read(page, 'afterwards')
}

/** What a student's own page says. */
async function ownPage(page: Page, club: Club, student: string, figures: Figures) {
  await page.goto('about:blank') // the page of another student may stand there
  await page.goto(`${club.url}/#/students/${student}`)
  await expect(page.getByRole('heading', { name: 'Drills so far' })).toBeVisible()
  await figures.read(page, `the page of ${student}`)
}

interface Listed {
  drills: { id: string; document: { name: string; turns: number } }[]
}

const drillsOf = async (club: Club, text = '') =>
  (
    (await (
      await fetch(`${club.url}/api/drills?${new URLSearchParams({ text, limit: '60' }).toString()}`)
    ).json()) as Listed
  ).drills

const studentsOf = async (club: Club) =>
  ((await (await fetch(`${club.url}/api/students`)).json()) as { id: string }[]).map(({ id }) => id)

test('a figure of a lesson is the same wherever it stands', async ({ page, demo }) => {
  test.slow()
  const drills = await drillsOf(demo)
  const students = await studentsOf(demo)
  const figures = new Figures()
  // Thirty lessons by seed: two drills of the library each, one to six players, another number of turns.
  const made: string[] = []
  const at = (i: number) => drills[i % drills.length]?.document.name ?? ''
  for (let seed = 0; seed < 30; seed++) {
    const like = { turns: 1 + (seed % 5), minutes: 7 + seed / 7 }
    made.push(
      await lessonWith(
        demo,
        `Seeded ${seed}`,
        { date: `2026-03-${11 + (seed % 5)}`, start: '09:00' },
        students.slice(0, 1 + (seed % Math.min(6, students.length))),
        [2 * seed, 2 * seed + 31].map((i) => ({ name: at(i), ...like })),
      ),
    )
  }
  await page.goto(`${demo.url}/#/lessons`)
  await expect(page.locator('[data-figure$="Balls fed"]').nth(20)).toBeVisible()
  await figures.read(page, 'week')
  for (const id of made) await plannedAndPrinted(page, demo, id, figures)
  // Some of them are run as well.
  for (const id of made.filter((_, i) => i % 6 === 0)) {
    await onCourt(page, demo, id, figures)
    await ownPage(page, demo, students[0] ?? '', figures)
  }
  expect(figures.compared).toBeGreaterThan(60)
})

test('a drill has the same figures on the bench and in a lesson', async ({ page, demo }) => {
  const figures = new Figures()
  const students = await studentsOf(demo)
  const names = ['Coin in the Corner', 'Round the Bollards', 'Forehand Diagonal', 'Safe Lane', 'Both Verges']
  for (const [i, name] of names.entries()) {
    const drill = (await drillsOf(demo, name)).find(({ document }) => document.name === name)
    if (!drill) throw new Error(`no drill called ${name}`)
    const people = 1 + (i % 3)
    const id = await lessonWith(
      demo,
      `Only ${name}`,
      { date: '2026-03-17', start: '09:00' },
      students.slice(0, people),
      [{ name, turns: drill.document.turns, minutes: 30 }],
    )
    await plannedAndPrinted(page, demo, id, figures)
    await page.goto(`${demo.url}/#/drills/${drill.id}`)
    await drawer(page, 'Turns')
    await page.getByLabel('Worked out for').fill(String(people))
    await page.keyboard.press('Tab')
    const own = `${drill.id} for ${people}`
    await expect(page.locator(`[data-figure="${own} Time"]`)).toBeVisible()
    expect(await figures.read(page, 'bench')).toBeGreaterThan(6)
    const rally = name === 'Safe Lane'
    expect(figures.value(`${own} ${rally ? 'Rallies' : 'Balls'} in all`)).toBe(
      figures.value(`${id} ${rally ? 'Rallies' : 'Balls fed'}`),
    )
  }
})

test('a figure of the demo is the same before, on and after court, and at home', async ({ page, demo }) => {
  const figures = new Figures()
  await page.goto(demo.url)
  await expect(page.locator('[data-figure$=" Carry"]').first()).toBeVisible()
  await figures.read(page, 'today')
  const id = await lessonOf(demo, 'Noor and Teo')
  await plannedAndPrinted(page, demo, id, figures)
  await onCourt(page, demo, id, figures)
  // The lesson became another one on court: its list and its plan say the same of it.
  const after = new Figures()
  await page.goto(`${demo.url}/#/lessons`)
  await page.reload()
  await expect(page.locator(`[data-figure="${id} Balls fed"]`).nth(1)).toBeVisible()
  await after.read(page, 'week')
  await plannedAndPrinted(page, demo, id, after)
  expect(after.compared).toBeGreaterThan(2)
  const pair = (await (await fetch(`${demo.url}/api/lessons/${id}`)).json()) as {
    document: { students: string[] }
  }
  for (const student of pair.document.students) await ownPage(page, demo, student, figures)
  for (const question of ['', '/target', '/rally']) {
    await page.goto(`${demo.url}/#/reckoner${question}`)
    await expect(page.getByRole('status').filter({ hasText: /\d/ }).first()).toBeVisible()
    await figures.read(page, 'reckoner')
  }
  expect(figures.compared).toBeGreaterThan(10)
})
