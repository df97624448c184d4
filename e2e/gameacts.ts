import { expect, type Locator, type Page } from '@playwright/test'

/** What is done with games on a page, for the errands about them; an act is one press, one choice, one filled field. */
export class Acts {
  n = 0
  constructor(readonly page: Page) {}

  async press(name: string | RegExp, within: Locator = this.page.locator('body')) {
    this.n++
    await within
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click()
  }

  async follow(name: string) {
    this.n++
    await this.page.getByRole('link', { name, exact: true }).first().click()
  }

  /** begin chooses players in the dialog that is open, and begins. */
  async begin(...players: string[]) {
    const dialog = this.page.getByRole('dialog')
    for (const player of players) await this.press(new RegExp(`^${player}`), dialog)
    await this.press('Begin', dialog)
  }
}

export const game = (page: Page, name: string) => page.getByRole('article', { name, exact: true }).first()
export const side = (page: Page, which: 'near' | 'far') => page.getByRole('region', { name: `${which} side` })
/** won presses a side, and waits until the rally is counted. */
export async function won(page: Page, which: 'near' | 'far', score: string) {
  await side(page, which)
    .getByRole('button', { name: /wins the rally/ })
    .click()
  await shows(page, score)
}
/** shows waits for a score, near side first. */
export async function shows(page: Page, score: string) {
  const [near, far] = score.split(':')
  await expect(side(page, 'near').locator('.points')).toHaveText(near ?? '')
  await expect(side(page, 'far').locator('.points')).toHaveText(far ?? '')
}
export const enabled = (page: Page) =>
  expect(side(page, 'near').getByRole('button', { name: /wins the rally/ })).toBeEnabled()
export async function award(page: Page, which: 'near' | 'far', name: string) {
  await enabled(page)
  await side(page, which)
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click()
}
/** kept looks the game up in the record. */
export async function kept(page: Page, title: string, result: RegExp) {
  await page.getByRole('link', { name: 'Played', exact: true }).first().click()
  await expect(page.getByRole('listitem').filter({ hasText: title }).first()).toContainText(result)
}
