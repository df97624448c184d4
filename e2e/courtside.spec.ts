import type { Locator, Page } from '@playwright/test'
import type { Club } from './club'
import { eight, expect, kept, lessonWith, openLesson, test } from './fixtures'

const phone = { width: 390, height: 844 }

/** A lesson of five with one drill, open courtside on a phone, with the clock in the drill. */
async function five(page: Page, club: Club): Promise<Locator> {
  const students = []
  for (const student of eight.slice(0, 5)) students.push(await kept(club, 'students', student))
  const id = await lessonWith(club, 'Five on one court', students, 'Coin in the Corner')
  await page.setViewportSize(phone)
  await page.goto(`${club.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  await expect(counting.getByRole('button', { name: 'Ada' })).toBeVisible()
  return counting
}

const answer = (counting: Locator, name: string) => counting.getByRole('button', { name, exact: true })

/** Whether a thumb anywhere on a button meets that button. */
const uncovered = (button: Locator) =>
  button.evaluate((element) => {
    const { left, top, width, height } = element.getBoundingClientRect()
    return [0.1, 0.5, 0.9].every((x) =>
      [0.1, 0.5, 0.9].every((y) => {
        const met = document.elementFromPoint(left + width * x, top + height * y)
        return met !== null && element.contains(met)
      }),
    )
  })

test('with five names every button is under the thumb and under nothing else', async ({ page, empty }) => {
  const counting = await five(page, empty)
  await answer(counting, 'Made').click()
  const all = [
    ...['Made', 'Missed', 'Undo Ada', 'Count after the turn'].map((name) => answer(counting, name)),
    ...eight.slice(0, 5).map(({ name }) => answer(counting, name.split(' ')[0] ?? '')),
    ...['Hold', 'More', 'Who is here', 'One more minute', 'Next block', 'Block before'].map((name) =>
      page.getByRole('button', { name, exact: true }),
    ),
  ]
  for (const button of all)
    await expect.poll(() => uncovered(button), { message: button.toString() }).toBe(true)
  await answer(counting, 'Count after the turn').click()
  for (const button of await counting.getByRole('button').all()) expect(await uncovered(button)).toBe(true)
})

test('undo takes back the last act, whoever’s it was', async ({ page, empty }) => {
  const counting = await five(page, empty)
  await answer(counting, 'Made').click()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
  await answer(counting, 'Ben').click()
  await answer(counting, 'Count after the turn').click()
  await answer(counting, '4 of 6').click()
  // The turn is Cleo's now; the last act was Ben's.
  await expect(answer(counting, 'Cleo')).toHaveAttribute('aria-pressed', 'true')
  await counting.getByRole('button', { name: 'Undo Ben' }).click()
  await expect(answer(counting, 'Ben')).toHaveAttribute('aria-pressed', 'true')
  await expect(counting.getByText('0 of 0', { exact: true })).toBeVisible()
  await counting.getByRole('button', { name: 'Undo Ada' }).click()
  await expect(counting.getByText('0 of 0', { exact: true })).toBeVisible()
  await expect(answer(counting, 'Ada')).toHaveAttribute('aria-pressed', 'true')
})

test(
  'what is tapped as the page is read again is counted, and undone after it',
  { tag: '@midnight' },
  async ({ page, empty }) => {
    const counting = await five(page, empty)
    await answer(counting, 'Made').click()
    await answer(counting, 'Ben').click()
    await expect(answer(counting, 'Ben')).toHaveAttribute('aria-pressed', 'true')
    const loaded = page.waitForEvent('load')
    await answer(counting, 'Made').evaluate((made: HTMLElement) => {
      for (let tap = 0; tap < 3; tap++) made.click()
      location.reload() // before anything can be written down
    })
    await loaded
    await answer(counting, 'Ben').click()
    await expect(counting.getByText('3 of 3', { exact: true })).toBeVisible()
    await answer(counting, 'Cleo').click()
    await counting.getByRole('button', { name: 'Undo Ben' }).click()
    await expect(counting.getByText('2 of 2', { exact: true })).toBeVisible()
    await expect(answer(counting, 'Ben')).toHaveAttribute('aria-pressed', 'true')
  },
)

test('a lesson is not ended by a thumb that slips', async ({ page, empty }) => {
  const counting = await five(page, empty)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'Changes, calls, and the end of the lesson' })
  await expect(dialog).toContainText(/\d+:\d\d min of it are left/)
  // Pressed and not held it says what to do, and nothing ends.
  await dialog.getByRole('button', { name: 'Hold to finish the lesson' }).click()
  await expect(dialog.getByText('Hold it down')).toBeVisible()
  await dialog.getByRole('button', { name: 'Back to the lesson' }).click()
  await answer(counting, 'Made').click()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
})

test('a finish that was held while the phone was busy is a finish', async ({ page, empty }) => {
  await five(page, empty)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'Hold to finish the lesson' }).hover()
  await page.mouse.down()
  // The page does nothing else from now on, and the button is let go a second later.
  const busy = page.evaluate(() => {
    for (const until = performance.now() + 1500; performance.now() < until;);
  })
  const released = new Promise((resolve) => setTimeout(resolve, 1000)).then(() => page.mouse.up())
  await Promise.all([busy, released])
  await expect(page).toHaveURL(/afterwards$/)
})

test(
  'the clock goes where it was told last, however slow the answers are',
  { tag: '@midnight' },
  async ({ page, demo }) => {
    await page.setViewportSize(phone)
    await openLesson(page, demo, 'Ines and Bram')
    await page.getByRole('link', { name: 'Go courtside' }).click()
    let answered = () => {}
    const slow = new Promise<void>((resolve) => (answered = resolve))
    await page.route('**/acts', async (route) => {
      await slow
      await route.fallback()
    })
    let told = 0
    page.on('response', (response) => {
      const { acts } = (response.request().postDataJSON() ?? {}) as { acts?: unknown[] }
      if (response.ok()) told += acts?.length ?? 0
    })
    const time = page.getByRole('region', { name: 'Time' })
    await page.getByRole('button', { name: 'Begin' }).click()
    await page.getByRole('button', { name: 'Next block' }).click()
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(time).toContainText('Both Verges')
    await expect(page.getByText('3 things you did are kept on this device')).toBeVisible()
    answered()
    await expect.poll(() => told).toBe(3)
    await expect(page.getByText(/kept on this device/)).toHaveCount(0)
    await page.reload()
    await expect(time).toContainText('Both Verges')
    await expect(page.getByRole('button', { name: 'Hold' })).toBeVisible()

    // Without an answer this device works out itself what comes of it, and tells the program later.
    await page.route('**/acts', (route) => route.abort())
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(
      page.getByText('1 thing you did is kept on this device until Hodometer answers.'),
    ).toBeVisible()
    await expect(page.getByText(/min instead of/).first()).toBeVisible()
    await expect(time).not.toContainText('Both Verges')
    const now = await time.locator('.title').textContent()
    await page.unroute('**/acts')
    await expect(page.getByText(/kept on this device/)).toHaveCount(0)
    await page.reload()
    await expect(time.locator('.title')).toHaveText(now ?? '')
  },
)

test('a tick for somebody who came late stays until it is planned or taken back', async ({ page, empty }) => {
  await kept(empty, 'students', { ...eight[0], name: 'Ivo Late' })
  await five(page, empty)
  const dialog = page.getByRole('dialog', { name: 'Who is here from now on' })
  await page.getByRole('button', { name: 'Who is here' }).click()
  await dialog.getByLabel('Somebody else came').selectOption('Ivo Late')
  await dialog.getByRole('button', { name: 'Close' }).click()
  const sign = page.getByRole('button', { name: 'Who is here: not planned' })
  await expect(sign).toBeVisible()
  await page.reload()
  await sign.click()
  await expect(dialog.getByRole('checkbox', { name: 'Ivo Late' })).toBeChecked()
  await dialog.getByRole('button', { name: 'As it was' }).click()
  await expect(dialog.getByRole('checkbox', { name: 'Ivo Late' })).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('button', { name: 'Who is here', exact: true })).toBeVisible()
})

test('counts that are not answered are shown, and undone like any other', async ({ page, empty }) => {
  const counting = await five(page, empty)
  await page.route('**/acts', (route) => route.abort())
  await answer(counting, 'Made').click()
  await answer(counting, 'Made').click()
  await answer(counting, 'Missed').click()
  await expect(counting.getByText('2 of 3', { exact: true })).toBeVisible()
  await expect(
    // the way there may be among them
    page.getByText(/^[3-5] things you did are kept on this device until Hodometer answers\.$/),
  ).toBeVisible()
  await expect(counting.getByText('in a row 0')).toBeVisible() // core on this device says so
  await counting.getByRole('button', { name: /^Undo/ }).click()
  await expect(counting.getByText('2 of 2', { exact: true })).toBeVisible()
  await expect(counting.getByText('in a row 2')).toBeVisible()
  await page.unroute('**/acts')
  await expect(page.getByText(/kept on this device/)).toHaveCount(0)
  await expect(counting.getByText('2 of 2', { exact: true })).toBeVisible()
  await expect(counting.getByText('in a row 2')).toBeVisible()
})

test('a device that keeps nothing still counts, and says so', async ({ page, empty }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('No room', 'QuotaExceededError')
    }
  })
  const counting = await five(page, empty)
  await answer(counting, 'Made').click()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
  await page.route('**/acts', (route) => route.abort())
  await answer(counting, 'Made').click()
  await expect(page.getByText('This device cannot keep anything')).toBeVisible()
  await page.unroute('**/acts')
  await expect(counting.getByText('in a row 2')).toBeVisible()
})

test('one count that is refused condemns no other, and is told', async ({ page, empty }) => {
  const counting = await five(page, empty)
  let held = true
  await page.route('**/acts', async (route) => {
    if (held) return route.abort()
    // The missed one is spoilt on its way; the program itself refuses it.
    const body = route.request().postDataJSON() as { acts: { tap?: { entry: { kind: string } } }[] }
    for (const { tap } of body.acts) if (tap?.entry.kind === 'missed') tap.entry.kind = 'lost in the wind'
    await route.fallback({ postData: JSON.stringify(body) })
  })
  for (const name of ['Made', 'Missed', 'Made']) await answer(counting, name).click()
  await expect(counting.getByText('2 of 3', { exact: true })).toBeVisible()
  held = false
  await expect(page.getByText(/^1 could not be counted and are kept on this device: /)).toBeVisible()
  await expect(counting.getByText('2 of 2', { exact: true })).toBeVisible()
})

test(
  'who leaves in the first half minute shifts nobody’s turn to somebody else',
  { tag: '@midnight' },
  async ({ page, empty }) => {
    const counting = await five(page, empty)
    await answer(counting, 'Cleo').click()
    const dialog = page.getByRole('dialog', { name: 'Who is here from now on' })
    await page.getByRole('button', { name: 'Who is here' }).click()
    await dialog.getByRole('checkbox', { name: /^Ada/ }).uncheck()
    await dialog.getByRole('button', { name: 'Plan the rest' }).click()
    await expect(answer(counting, 'Ada')).toHaveCount(0)
    if (await dialog.isVisible()) await dialog.getByRole('button', { name: 'Close' }).click()
    await expect(answer(counting, 'Cleo')).toHaveAttribute('aria-pressed', 'true')
    await answer(counting, 'Made').click()
    await expect(counting.getByRole('button', { name: 'Undo Cleo' })).toBeVisible()
    await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
    // The one who leaves herself hands on to the first.
    await page.getByRole('button', { name: 'Who is here' }).click()
    await dialog.getByRole('checkbox', { name: /^Cleo/ }).uncheck()
    await dialog.getByRole('button', { name: 'Plan the rest' }).click()
    await expect(answer(counting, 'Cleo')).toHaveCount(0)
    await expect(answer(counting, 'Ben')).toHaveAttribute('aria-pressed', 'true')
  },
)
