import type { Page } from '@playwright/test'
import type { Club } from './club'
import { expect, finished, kept, lessonOf, offered, test } from './fixtures'
import { pageOf } from './pdf'

/** Every figure says of what it is; wherever it is shown again, it is the same. */
class Figures {
  readonly #first = new Map<string, { value: string; where: string }>()
  readonly #again = new Map<string, number>()

  /** Reads all figures of a page, and returns how many it had. */
  async read(page: Page, where: string): Promise<number> {
    const list = await page.locator('[data-figure]').evaluateAll((all) =>
      all.map((each) => ({
        of: each.getAttribute('data-figure') ?? '',
        value: (each.getAttribute('data-value') ?? each.textContent).replace(/\s+/g, ' ').trim(),
      })),
    )
    for (const { of, value } of list) {
      const before = this.#first.get(of)
      if (before) {
        expect(`${of}: ${value} (${where})`).toBe(`${of}: ${before.value} (${where})`)
        if (before.where !== where) this.#again.set(of, (this.#again.get(of) ?? 1) + 1)
      } else this.#first.set(of, { value, where })
    }
    return list.length
  }

  /** How many figures stood on several pages. */
  get compared() {
    return this.#again.size
  }

  valuesOf(prefix: string) {
    return [...this.#first].filter(([of]) => of.startsWith(prefix)).map(([, { value }]) => value)
  }
}

/** The text of all pages of a PDF, in one line. */
async function printedText(url: string): Promise<string> {
  const data = Buffer.from(await (await fetch(url)).arrayBuffer())
  const first = pageOf(data, 0)
  const pages = Array.from({ length: first.pages - 1 }, (_, i) => pageOf(data, i + 1).text)
  return [first.text, ...pages].join(' ').replace(/\s+/g, ' ')
}

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
  for (const value of figures.valuesOf(`${id} Carry`)) expect(text).toContain(value)
}

interface Listed<T> {
  drills: { document: T }[]
}

test('a figure of a lesson is the same wherever it stands', async ({ page, demo }) => {
  test.slow()
  const drills = (
    (await (await fetch(`${demo.url}/api/drills`)).json()) as Listed<{ name: string }>
  ).drills.map(({ document }) => document.name)
  const students = (
    (await (await fetch(`${demo.url}/api/students`)).json()) as { id: string; archived: boolean }[]
  ).map(({ id }) => id)
  const figures = new Figures()
  // Thirty lessons by seed: two drills of the library each, one to six players, another number of turns.
  const made: string[] = []
  for (let seed = 0; seed < 30; seed++) {
    const who = students.slice(0, 1 + (seed % Math.min(6, students.length)))
    const blocks = []
    for (const name of [drills[(2 * seed) % drills.length], drills[(2 * seed + 31) % drills.length]]) {
      const block = await offered(demo, name ?? '', who)
      blocks.push({ ...block, id: crypto.randomUUID(), turns: 1 + (seed % 5), minutes: 7 + seed / 7 })
    }
    made.push(
      await kept(demo, 'lessons', {
        version: 4,
        title: `Seeded ${seed}`,
        date: `2026-03-${11 + (seed % 5)}`,
        start: '09:00',
        minutes: 60,
        space: {},
        note: '',
        students: who,
        blocks,
      }),
    )
  }
  await page.goto(`${demo.url}/#/lessons`)
  await expect(page.locator('[data-figure$="Balls fed"]').nth(20)).toBeVisible()
  await figures.read(page, 'week')
  for (const id of made) await plannedAndPrinted(page, demo, id, figures)
  expect(figures.compared).toBeGreaterThan(60)
})

test('a figure of the demo is the same before, on and after court', async ({ page, demo }) => {
  const figures = new Figures()
  await page.goto(demo.url)
  await expect(page.locator('[data-figure$=" Carry"]').first()).toBeVisible()
  await figures.read(page, 'today')
  const id = await lessonOf(demo, 'Noor and Teo')
  await plannedAndPrinted(page, demo, id, figures)
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await figures.read(page, 'courtside')
  await finished(page)
  await figures.read(page, 'afterwards')
  await page.goto(`${demo.url}/#/lessons`)
  await expect(page.locator('[data-figure$="Balls fed"]').first()).toBeVisible()
  await figures.read(page, 'week')
  expect(figures.compared).toBeGreaterThan(8)
})
