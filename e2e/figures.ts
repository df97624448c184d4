import type { Page } from '@playwright/test'
import type { Club } from './club'
import { expect, kept, offered } from './fixtures'
import { pageOf } from './pdf'

/** Every figure says of what it is; wherever it is shown again, it is the same. */
export class Figures {
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

  /** The value of a figure that was read. */
  value(of: string) {
    const first = this.#first.get(of)
    if (!first) throw new Error(`no figure called ${of}`)
    return first.value
  }

  /** The values of all figures that were first read on a page of a kind, of what begins so. */
  valuesOn(where: string, prefix: string) {
    return [...this.#first]
      .filter(([of, first]) => of.startsWith(prefix) && first.where === where)
      .map(([, { value }]) => value)
  }
}

/** The text of all pages of a PDF, in one line. */
export async function printedText(url: string): Promise<string> {
  const data = Buffer.from(await (await fetch(url)).arrayBuffer())
  const first = pageOf(data, 0)
  const pages = Array.from({ length: first.pages - 1 }, (_, i) => pageOf(data, i + 1).text)
  return [first.text, ...pages].join(' ').replace(/\s+/g, ' ')
}

/** A lesson with some drills of the library, each with so many turns and minutes. */
export async function lessonWith(
  club: Club,
  title: string,
  day: { date: string; start: string },
  who: string[],
  drills: { name: string; turns: number; minutes: number }[],
) {
  const blocks = []
  for (const { name, turns, minutes } of drills)
    blocks.push({ ...(await offered(club, name, who)), id: crypto.randomUUID(), turns, minutes })
  const lesson = { version: 4, title, ...day, minutes: 60, space: {}, note: '' }
  return kept(club, 'lessons', { ...lesson, students: who, blocks })
}
