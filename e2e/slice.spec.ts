import { addDrill, drawer, duplicate, expect, test, finished } from './fixtures'

/** One coach's first afternoon: from an empty Hodometer to a student's next step. */
test(
  'a coach plans, runs and follows up a first lesson',
  { tag: '@midnight' },
  async ({ page, context, empty }) => {
    await page.goto(empty.url)
    await expect(page.getByText('No lessons today.')).toBeVisible()

    // A student.
    await page.getByRole('link', { name: 'Students' }).click()
    await page.getByRole('button', { name: 'Add a student' }).click()
    const form = page.getByRole('form', { name: 'New student' })
    await form.getByRole('button', { name: 'Add' }).click()
    await expect(form.getByText('this must not be empty', { exact: true })).toBeVisible()
    await form.getByLabel('Name').fill('Wren Aldous')
    await form.getByLabel('Racket hand').selectOption('left')
    await form.getByLabel('Level or ball stage').selectOption('club player')
    await form.getByRole('button', { name: 'Add' }).click()
    await expect(page.getByRole('heading', { name: 'Wren Aldous', exact: true })).toBeVisible()

    // A drill of their own: places, counts and gap.
    await page.getByRole('link', { name: 'Drills' }).click()
    await duplicate(page, 'Coin in the Corner')
    await expect(page.getByRole('heading', { name: 'Coin in the Corner (my version)' })).toBeVisible()
    await drawer(page, 'Places')
    const firstBall = page.getByRole('row', { name: /ball 1, forehand/ })
    await expect(firstBall).toContainText('1.5 m inside the near baseline')
    const sign = page.getByRole('button', { name: /^ball 1, forehand/ })
    const box = await sign.boundingBox()
    if (!box) throw new Error('the first ball is not drawn')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 - 30, box.y + box.height / 2 - 30, { steps: 6 })
    await page.mouse.up()
    await expect(firstBall).not.toContainText('1.5 m inside the near baseline')
    await drawer(page, 'Balls')
    await page.getByLabel('Gap between balls').fill('4')
    await page.getByLabel('Gap between balls').press('Tab')
    await drawer(page, 'Turns')
    await page.getByLabel('Turns each').fill('2')
    await page.getByLabel('Turns each').press('Tab')
    // 3 × (2 × 4 + 6) = 42 s a turn; two turns of six balls.
    await expect(page.getByRole('button', { name: /One turn 0:42/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /Balls in all 12/ })).toBeVisible()
    await expect(page.getByText('All changes saved')).toBeVisible()

    // A lesson around it.
    await page.getByRole('link', { name: 'Lessons' }).click()
    await page.getByRole('button', { name: 'Plan a lesson' }).click()
    await page.getByRole('checkbox', { name: 'Wren Aldous' }).check()
    await page.getByRole('button', { name: 'Lay it out' }).click()
    await expect(page.getByRole('heading', { name: 'Wren', exact: true })).toBeVisible()
    await page.getByRole('button', { name: /Ball warm-up, / }).click()
    await addDrill(page, 'Coin in the Corner (my version)')
    await expect(page.getByRole('button', { name: /Balls fed 12/ })).toBeVisible()
    await expect(
      page.getByText('2 turns each, 12 balls: fits with 0:01 to spare', { exact: true }),
    ).toBeVisible()
    await expect(page.getByText('All changes saved')).toBeVisible()

    // Courtside, on a phone: two blocks, balls tapped, a reload in between.
    const address = page.url()
    await page.close()
    const phone = await context.newPage()
    await phone.setViewportSize({ width: 390, height: 844 })
    await phone.goto(address)
    await phone.getByRole('link', { name: 'Go courtside' }).click()
    await phone.getByRole('button', { name: 'Begin' }).click()
    await phone.getByRole('button', { name: 'Next block' }).click()
    await expect(phone.getByText('Wren Aldous at the net')).toBeVisible()
    await expect(phone.getByText('Coach feeds from the back')).toBeVisible()
    await phone.getByRole('button', { name: 'Next block' }).click()
    const counting = phone.getByRole('region', { name: 'Counting' })
    for (const tap of ['Made', 'Made', 'Missed', 'Made', 'Missed', 'Undo']) {
      await counting.getByRole('button', { name: tap, exact: true }).click()
    }
    await expect(counting.getByText('3 of 4', { exact: true })).toBeVisible()
    await phone.reload()
    await expect(counting.getByText('3 of 4', { exact: true })).toBeVisible()
    await expect(phone.getByRole('button', { name: 'Hold' })).toBeVisible()
    await counting.getByRole('button', { name: 'Count after the turn' }).click()
    await counting.getByRole('button', { name: '6 of 6' }).click()
    await expect(counting.getByText('9 of 10', { exact: true })).toBeVisible()
    await expect(counting.getByText('in a row 7')).toBeVisible()
    await finished(phone)

    // Afterwards.
    await expect(phone.getByText('9 of 10 balls', { exact: true })).toBeVisible()
    await phone
      .getByRole('group', { name: /^How engaged/ })
      .getByText('8', { exact: true })
      .click()
    await phone.getByLabel('One remark').fill('Steps in on the short ball')
    await phone.getByLabel('One remark').press('Tab')
    await expect(phone.getByText('All changes saved')).toBeVisible()
    await phone.getByRole('link', { name: 'See the next step' }).click()

    // The student's page.
    await expect(
      phone.getByText('Only 10 balls of this stroke counted so far. Count 12 before anything is decided.'),
    ).toBeVisible()
    await expect(phone.getByRole('row', { name: /9 of 10 7 fed: 5 made in all/ })).toBeVisible()
    await expect(phone.getByText('Steps in on the short ball')).toBeVisible()
  },
)
