import type { Locator, Page } from '@playwright/test'
import { expect, test } from './fixtures'

/** tabTo goes through the page with Tab alone until something has the focus. */
async function tabTo(page: Page, wanted: Locator) {
  await wanted.waitFor()
  for (let presses = 0; presses < 120; presses++) {
    if (await wanted.evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`${wanted.toString()} is out of reach of the keyboard`)
}

async function press(page: Page, wanted: Locator, key = 'Enter') {
  await tabTo(page, wanted)
  await page.keyboard.press(key)
}

async function type(page: Page, wanted: Locator, text: string) {
  await tabTo(page, wanted)
  await page.keyboard.press('Control+A')
  await page.keyboard.type(text)
}

test('the whole slice with the keyboard alone', async ({ page, empty }) => {
  await page.goto(empty.url)
  await press(page, page.getByRole('link', { name: 'Students' }))
  await press(page, page.getByRole('button', { name: 'Add a student' }))
  const form = page.getByRole('form', { name: 'New student' })
  await type(page, form.getByLabel('Name'), 'Kit Farrow')
  await press(page, form.getByLabel('Racket hand'), 'l')
  await press(page, form.getByRole('button', { name: 'Add' }))
  await expect(page.getByText('tennis, improver, left-handed')).toBeVisible()

  await press(page, page.getByRole('link', { name: 'Drills' }))
  await type(page, page.getByLabel('Look for'), 'last str')
  await press(page, page.getByRole('button', { name: 'Duplicate Last Stretch' }))
  await press(page, page.getByRole('tab', { name: 'Balls' }), 'ArrowRight')
  await press(page, page.getByRole('tab', { name: 'What counts' }), 'ArrowRight')
  await press(page, page.getByRole('tab', { name: 'Versions' }), 'ArrowRight')
  const start = page.getByRole('row', { name: /start/ })
  await expect(start).toContainText('0.9 m behind the near baseline')
  await press(page, page.getByRole('button', { name: /^start: / }), 'ArrowDown')
  await expect(start).toContainText('1 m behind the near baseline')
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(start).toContainText('0.61 m left of the near centre line')
  await press(page, page.getByRole('tab', { name: 'Places' }), 'ArrowLeft')
  await press(page, page.getByRole('tab', { name: 'Versions' }), 'ArrowLeft')
  await press(page, page.getByRole('tab', { name: 'What counts' }), 'ArrowLeft')
  await type(page, page.getByLabel('Gap between balls'), '3.5')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: /Feed rate 17.1/ })).toBeVisible()
  await press(page, page.getByRole('button', { name: /One turn/ }))
  await expect(page.getByRole('dialog')).toContainText('One sequence')
  await page.keyboard.press('Escape')

  await press(page, page.getByRole('link', { name: 'Lessons' }))
  await press(page, page.getByRole('button', { name: 'Plan a lesson' }))
  await press(page, page.getByRole('checkbox', { name: 'Kit Farrow' }), 'Space')
  await press(page, page.getByRole('button', { name: 'Lay it out' }))
  await press(page, page.getByRole('button', { name: /Body warm-up, / }))
  await press(page, page.getByRole('button', { name: 'Add to the lesson' }))
  await type(page, page.getByRole('combobox', { name: 'What to add' }), 'last stretch my')
  await expect(page.getByRole('option').first()).toContainText('Last Stretch (my version)')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /Balls fed 32/ })).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Later' }))
  await expect(page.getByText('All changes saved')).toBeVisible()

  await press(page, page.getByRole('link', { name: 'Go courtside' }))
  await press(page, page.getByRole('button', { name: 'Begin' }))
  await press(page, page.getByRole('button', { name: 'Next block' }))
  await expect(page.getByText('Kit Farrow at the net')).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Next block' }))
  await press(page, page.getByRole('button', { name: 'Made', exact: true }), 'Space')
  await press(page, page.getByRole('button', { name: 'Missed' }), 'Space')
  await press(page, page.getByRole('button', { name: 'Undo' }), 'Space')
  await expect(page.getByText('1 of 1', { exact: true })).toBeVisible()
  await press(page, page.getByRole('button', { name: 'More', exact: true }))
  const hold = page.getByRole('button', { name: 'Hold to finish the lesson' })
  await press(page, hold)
  await expect(page.getByText('Hold it down')).toBeVisible()
  await page.keyboard.down('Enter')
  await expect(page).toHaveURL(/afterwards$/)
  await page.keyboard.up('Enter')

  await press(page, page.getByRole('radio').first(), 'Space')
  await page.keyboard.press('ArrowRight')
  await type(page, page.getByLabel('One remark'), 'Left the racket bag')
  await press(page, page.getByRole('link', { name: 'See the next step' }))
  await expect(page.getByText(/Only 1 ball of this stroke counted so far/)).toBeVisible()
  await expect(page.getByText('2 of 10')).toBeVisible()
  await expect(page.getByText('Left the racket bag')).toBeVisible()
})
