import type { Page } from '@playwright/test'
import { addDrill, drawer, duplicate, expect, expectClean, openLesson, test, toBlock } from './fixtures'

const block = (page: Page, title: string) =>
  page
    .getByRole('group', { name: 'The lesson as a road' })
    .getByRole('button', { name: new RegExp(`^\\d\\d:\\d\\d ${title}, `) })

const order = async (page: Page) =>
  (
    await page
      .locator('svg .stretch')
      .evaluateAll((all) => all.map((g) => g.getAttribute('aria-label') ?? ''))
  ).map((label) => /^\d\d:\d\d (.*?), /.exec(label)?.[1])

async function middle(page: Page, title: string) {
  const box = await block(page, title).boundingBox()
  if (!box) throw new Error(`${title} is not on the road`)
  return { x: box.x + box.width / 2, y: box.y + box.height - 12, right: box.x + box.width, width: box.width }
}

test('a lesson is shaped on its road with the mouse', async ({ page, demo }) => {
  await openLesson(page, demo, 'The afternoon six')
  // Drag a whole block to another place.
  const water = await middle(page, 'Water')
  const talk = await middle(page, 'Closing talk')
  await page.mouse.move(water.x, water.y)
  await page.mouse.down()
  await page.mouse.move(water.x + 30, water.y, { steps: 3 })
  await page.mouse.move(talk.right - 3, water.y, { steps: 6 })
  await page.mouse.up()
  await expect.poll(async () => (await order(page)).at(-1)).toBe('Water')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect.poll(async () => (await order(page))[3]).toBe('Water')

  // Resize one by its end: it keeps what it was given, the rest is fitted, the drums turn.
  const body = await middle(page, 'Body warm-up')
  await page.mouse.move(body.right - 1, body.y)
  await page.mouse.down()
  await page.mouse.move(body.right + body.width / 2, body.y, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^Planned 75:00/ })).toBeVisible()
  await expect(page.getByRole('status', { name: 'What the last change did' })).toContainText(
    /All blocks together should have .* min and there are 75/,
  )
  await block(page, 'Body warm-up').click()
  await expect(page.getByLabel('Minutes', { exact: true })).toHaveValue('12')
  await expect(page.getByText('All changes saved')).toBeVisible()

  // A sign opens its reason and its remedies; the remedy is done and the sign is gone.
  const sign = page.getByRole('button', { name: /hard work without a break/ })
  await sign.click()
  const opened = page.getByRole('region', { name: 'The sign that is open' })
  await expect(opened).toContainText('are enough')
  await opened.getByRole('button', { name: 'Put a break before it' }).click()
  await expect(opened).toBeHidden()
  await expect(sign).toBeHidden()
  expect((await order(page)).filter((title) => title === 'Water')).toHaveLength(2)
})

test('a lesson is shaped with the keyboard alone', async ({ page, demo }) => {
  await openLesson(page, demo, 'Noor and Teo')
  const last = block(page, 'Last Stretch')
  await last.focus()
  await page.keyboard.press('ArrowLeft')
  await expect.poll(async () => (await order(page))[3]).toBe('Last Stretch')
  await last.focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Shift+ArrowUp')
  await page.keyboard.press('p')
  await page.keyboard.press('Enter')
  await expect(last).toHaveAttribute('aria-pressed', 'true')
  await expect(last).toHaveAttribute('aria-label', /pinned$/)
  await expect(page.getByLabel('Minutes', { exact: true })).toHaveValue('15')
  await expect(page.getByRole('button', { name: /^Planned 60:00/ })).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(last).toBeHidden()
  await expect(page.getByText('All changes saved')).toBeVisible()

  // Signs and tabs are within reach as well.
  const sign = page.getByRole('button', { name: /^(warning|note): / }).first()
  await sign.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'The sign that is open' })).toBeVisible()
})

test('who turned up: the plan, the rotation and what is carried follow', async ({ page, demo }) => {
  await openLesson(page, demo, 'The afternoon six')
  await block(page, 'Two against two, one place on').click()
  await page.getByRole('tab', { name: 'Who is where' }).click()
  const table = page.getByRole('table', { name: 'Who is where in each round' })
  await expect(table.getByRole('row')).toHaveCount(7)
  await expect(table.getByRole('row', { name: /^Wren/ })).toContainText('waits')
  await expect(page.getByText(/Everybody plays 12:00 min and waits 6:00 min/)).toBeVisible()

  await page.getByRole('checkbox', { name: 'Ottilie Marsh is here' }).uncheck()
  await page.getByRole('checkbox', { name: 'Bram Ostley is here' }).uncheck()
  await expect(table.getByRole('row')).toHaveCount(5)
  await expect(table).not.toContainText('waits')
  await page.getByRole('checkbox', { name: 'Only half a court' }).check()
  const findings = page.getByRole('region', { name: 'What fits and what does not' })
  await expect(findings.getByText(/Coin in the Corner needs the whole width/)).toBeVisible()
  await page.getByRole('checkbox', { name: 'Only half a court' }).uncheck()

  // Another way to change places.
  await page.getByText('How places change').click()
  await page.getByLabel('Places', { exact: true }).selectOption('everybody plays everybody')
  await expect(table.getByRole('row', { name: /^Noor/ })).toContainText('v ')
  await page.getByLabel('Places', { exact: true }).selectOption('two against one')
  await expect(table).toContainText('the one')
  await page.getByRole('checkbox', { name: 'Bram Ostley is here' }).check()
  await expect(table.getByRole('row')).toHaveCount(6)
  await expect(page.getByText('All changes saved')).toBeVisible()
})

test('each player gets a variant, proposed and changed', async ({ page, demo }) => {
  await openLesson(page, demo, 'Noor and Teo')
  await block(page, 'Coin in the Corner').click()
  await page.getByRole('tab', { name: 'Each player' }).click()
  await page.getByRole('button', { name: 'Propose for everybody' }).click()
  const players = page.getByRole('tabpanel', { name: 'Each player' })
  await expect(players.getByText(/is hit .* of 10/).first()).toBeVisible()
  const teo = players.getByRole('listitem').filter({ hasText: 'Teo Brackwell' })
  await expect(teo.getByText(/met 4 times in 5/)).toBeVisible()
  await teo.getByLabel('Gap (0: as drawn)').fill('4.5')
  await teo.getByLabel('Gap (0: as drawn)').press('Tab')
  await teo.getByLabel('Sides').selectOption('as drawn')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByText(/as drawn, though left-handed; 4.5 s apart/)).toBeVisible()

  await page.getByRole('link', { name: 'Back to the plan' }).click()
  await block(page, 'Coin in the Corner').click()
  await page.getByRole('tab', { name: 'Each player' }).click()
  await players.getByRole('button', { name: 'As it is for Teo Brackwell' }).click()
  await expect(teo.getByText('plays it as it is')).toBeVisible()
})

test('a shape of lesson fills itself with next steps', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/lessons`)
  await page.getByRole('button', { name: 'Plan a lesson' }).click()
  await page.getByRole('checkbox', { name: 'Noor Haldane' }).check()
  await page.getByRole('checkbox', { name: 'Teo Brackwell' }).check()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await addDrill(page, 'Hour for a pair')
  await expect(page.getByRole('status', { name: 'What the last change did' })).toContainText(
    /the next step of (Noor|Teo)/,
  )
  await expect(page.getByRole('button', { name: /^Planned 60:00/ })).toBeVisible()
  await expect(page.getByText(/Carry:/)).toBeVisible()

  // What is there is not replaced unasked.
  const blocks = await page.getByRole('button', { name: /^Block \d/ }).count()
  await addDrill(page, 'Before an event')
  const asks = page.getByRole('alert').filter({ hasText: 'takes the place of all that is in the lesson' })
  await expect(asks).toBeVisible()
  await asks.getByRole('button', { name: 'Leave it' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('button', { name: /^Planned 60:00/ })).toBeVisible()
  expect(await page.getByRole('button', { name: /^Block \d/ }).count()).toBe(blocks)

  // Mistakes are told in words, and nothing is lost.
  await page.getByLabel('Length').fill('0')
  await page.getByLabel('Length').press('Tab')
  await expect(page.getByText('at least 5', { exact: true })).toBeVisible()
  await page.getByLabel('Length').fill('15')
  await page.getByLabel('Length').press('Tab')
  await page.getByRole('button', { name: 'Fit to the booking' }).click()
  await expect(page.getByText(/Even the least of all blocks takes .* the booking has 15/)).toBeVisible()
  await page
    .getByRole('button', { name: /^Take out / })
    .last()
    .click()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByLabel('Length').fill('600')
  await page.getByLabel('Length').press('Tab')
  await expect(page.getByRole('button', { name: /^To spare 5\d\d:/ })).toBeVisible()
  await page.getByRole('button', { name: 'Archive' }).click()
})

test('the week: a lesson moves, repeats, and clashes are told', async ({ page, demo }) => {
  await openLesson(page, demo, 'Ines and Bram')
  await page.getByRole('button', { name: 'Copy or repeat' }).click()
  const dialog = page.getByRole('dialog', { name: 'Copy this lesson' })
  await dialog.getByLabel('How many weeks').fill('3')
  await dialog.getByRole('button', { name: 'Copy', exact: true }).click()
  await expect(dialog.getByRole('link')).toHaveCount(3)
  await dialog.getByRole('button', { name: 'Close' }).click()

  // Into the hour of another lesson of this week.
  await page.getByRole('link', { name: 'Lessons' }).first().click()
  await page.getByRole('button', { name: 'Week after' }).click()
  await page.getByRole('button', { name: 'This week' }).click()
  // One that can still be moved: those that are over stand in the week too.
  const card = page
    .getByRole('group', { name: '16:00 Noor and Teo' })
    .filter({ has: page.getByRole('button', { name: /^Move/ }) })
    .first()
  await card.getByRole('button', { name: 'Move' }).click()
  const move = page.getByRole('dialog', { name: /^Move / })
  await move.getByLabel('Start').fill('14:30')
  await move.getByRole('button', { name: 'Move it' }).click()
  await expect(
    page.getByText(/Overlaps with The afternoon six.*; Noor Haldane is in both/).first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(card).toBeVisible()
  await expect(page.getByText(/Overlaps with The afternoon six/)).toHaveCount(0)
})

test('the run sheet on paper', async ({ page, demo }) => {
  await openLesson(page, demo, 'The afternoon six')
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('heading', { name: /The afternoon six/ })).toBeVisible()
  await expect(page.getByText('Take your places').first()).toBeVisible()
  for (const paper of ['A4', 'A5']) {
    const link = page.getByRole('link', { name: new RegExp(`^${paper} `) })
    const answer = await page.request.get(demo.url + ((await link.getAttribute('href')) ?? ''))
    expect(answer.headers()['content-type']).toBe('application/pdf')
    expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-')
  }
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print this page' })).toBeHidden()
  await expect(page.getByRole('navigation')).toBeHidden()
  await expect(page.getByText('Take your places').first()).toBeVisible()
})

test('somebody comes late to a lesson that runs', async ({ page, demo }) => {
  await openLesson(page, demo, 'Ines and Bram')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('link', { name: 'Go courtside' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  await page.getByText('at the net').waitFor()
  await page.getByRole('button', { name: 'Next block' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  await counting.getByRole('button', { name: 'Made', exact: true }).click()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'Who is here' }).click()
  const dialog = page.getByRole('dialog', { name: 'Who is here from now on' })
  await dialog.getByLabel('Somebody else came').selectOption('Wren Abbery')
  await dialog.getByRole('button', { name: 'Plan the rest' }).click()
  await expect(dialog.getByRole('status')).toBeVisible()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(counting.getByRole('button', { name: 'Wren' })).toBeVisible()
  await expect(counting.getByText('1 of 1', { exact: true })).toBeVisible()
  await counting.getByRole('button', { name: 'Wren' }).click()
  await counting.getByRole('button', { name: 'Missed', exact: true }).click()
  await expect(counting.getByText('0 of 1', { exact: true })).toBeVisible()
  await page.reload()
  await expect(counting.getByRole('button', { name: 'Wren', exact: true })).toBeVisible()
})

test('a drill is begun from a lesson, in its sport, and stands in it at once', async ({ page, demo }) => {
  await openLesson(page, demo, 'Kwame and Suki')
  await page.getByRole('button', { name: 'Add to the lesson' }).click()
  await page.getByRole('button', { name: 'New drill' }).click()
  const court = page.getByRole('group', { name: /: press it$/ })
  await expect(
    page.getByRole('dialog', { name: 'New drill' }).getByLabel('Court', { exact: true }),
  ).toHaveValue('badminton')
  const box = await court.boundingBox()
  if (!box) throw new Error('no court')
  await court.click({ position: { x: box.width * 0.6, y: box.height * 0.7 } })
  await expect(page.getByRole('button', { name: /^Shuttles a turn 2 / })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('button', { name: /^\d\d:\d\d New drill, / })).toBeVisible()
})

test('a drill has a ladder of versions, chosen for a block, for one player, and on court', async ({
  page,
  demo,
}) => {
  // The ladder on the bench: one more version, renamed and moved, each seen beside the drill as it is written.
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  await drawer(page, 'Versions')
  const ladder = page.getByRole('list', { name: 'Versions, from the easiest to the hardest' })
  await expect(ladder.getByRole('button', { name: 'as written' })).toBeVisible()
  const before = await ladder.getByRole('listitem').count()
  // A mistake first: a change that changes nothing is refused.
  await page.getByLabel('A change to try').selectOption('free')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(
    page.getByRole('alert').filter({ hasText: 'changes nothing in this drill' }).first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Without the last change' }).click()
  await page.getByLabel('A change to try').selectOption('slow')
  await page.getByRole('button', { name: 'Try it' }).click()
  await page.getByLabel('Name of this version').fill('All the time there is')
  await page.getByRole('button', { name: 'Keep as harder' }).click()
  await expect(ladder.getByRole('listitem')).toHaveCount(before + 1)
  // Kept on the wrong side by mistake: it goes over the drill as it is written, to the easier ones.
  const easier = page.getByRole('button', { name: 'All the time there is: easier than the one before' })
  for (
    let i = 0;
    i < before && !(await page.getByRole('button', { name: /All the time there is easier$/ }).isVisible());
    i++
  )
    await easier.click()
  await expect(page.getByRole('button', { name: /All the time there is easier$/ })).toBeVisible()
  // It counts something of its own; the drill itself counts on as before.
  const rung = page.getByRole('listitem').filter({ hasText: 'All the time' })
  await rung.getByLabel('measures of its own').check()
  await rung.getByRole('button', { name: 'Change what counts in it' }).click()
  await expect(page.getByText('The measures of All the time there is, which has its own.')).toBeVisible()
  const counts = page.getByRole('region', { name: 'What counts' })
  await counts.getByLabel('How many').first().fill('6')
  await page.keyboard.press('Tab')
  await counts.getByLabel('Within', { exact: true }).fill('2 m')
  await page.keyboard.press('Tab')
  await expect(counts.getByText('6 made in all').first()).toBeVisible()
  await expect(counts.getByText(/into the circle within 2 m/).first()).toBeVisible()
  await drawer(page, 'Versions')
  await page.getByRole('button', { name: /as written$/ }).click()
  await drawer(page, 'What counts')
  await expect(counts.getByText('5 made in all').first()).toBeVisible()
  await expect(counts.getByText(/into the circle within 1\.37 m/).first()).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()

  // In a lesson: for the block, then for one player of it.
  await openLesson(page, demo, 'Noor and Teo')
  await addDrill(page, 'Coin in the Corner (my version)')
  const expected = page.getByRole('list', { name: 'What to expect' })
  await expect(expected).toContainText('5 made in all')
  await page.getByLabel('Version', { exact: true }).selectOption('All the time there is')
  await expect(expected).toContainText('6 made in all')
  await page.getByRole('tab', { name: 'Each player' }).click()
  await page.getByLabel('Version', { exact: true }).last().selectOption('as written')
  await expect(page.getByText('All changes saved')).toBeVisible()

  // On court one press makes it harder for all.
  const lesson = page.url()
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${lesson}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const version = page.getByRole('group', { name: 'Version of the drill' })
  await toBlock(page, 'Coin in the Corner (my version)')
  await expect(version).toContainText('All the time there is')
  await version.getByRole('button', { name: 'Harder' }).click()
  await expect(version).not.toContainText('All the time there is')
  await version.getByRole('button', { name: 'Easier' }).click()
  await expect(version).toContainText('All the time there is')
})

test('a lesson is changed with a thumb: two blocks swapped, five minutes less, another drill', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openLesson(page, demo, 'The afternoon six')
  const blocks = page.getByRole('list', { name: 'The blocks' })
  const titles = () =>
    blocks
      .getByRole('button', { expanded: false })
      .or(blocks.getByRole('button', { expanded: true }))
      .allTextContents()
  await expect(page.getByText(/Keys on a block|Drag a block/)).toHaveCount(0)
  await expect(page.getByText('Press a block to change it; the rest is fitted.')).toBeVisible()
  let acts = 0
  const press = async (name: RegExp | string) => {
    acts++
    await blocks
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click()
  }
  await press(/Water/)
  await press('Later')
  await expect
    .poll(async () => (await titles()).map((text) => /Water|Coin/.exec(text)?.[0]).filter(Boolean))
    .toEqual(['Coin', 'Water'])
  await press(/Coin in the Corner/)
  await press('5 min less')
  await expect(page.getByRole('status', { name: 'What the last change did' })).toContainText(
    'Coin in the Corner',
  )
  await press('Another drill')
  acts++
  const other = page
    .getByRole('dialog', { name: /^Swap/ })
    .getByRole('option')
    .filter({ hasNotText: 'Coin in the Corner' })
    .first()
  await other.click()
  expect(acts).toBe(6)
  await expect(blocks.getByRole('button', { name: /Coin in the Corner/ })).toHaveCount(0)
  await expect(page.getByText('All changes saved')).toBeVisible()
  for (const button of await blocks.getByRole('button').all())
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44)
  await expectClean(page)
  await page.reload()
  await expect(blocks.getByRole('button', { name: /Water/ })).toBeVisible()
  await expect(blocks.getByRole('button', { name: /Coin in the Corner/ })).toHaveCount(0)
})
