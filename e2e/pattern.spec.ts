import type { Page } from '@playwright/test'
import { drawer, duplicate, expect, openDrill, test } from './fixtures'

async function own(page: Page, url: string, name: string) {
  await page.goto(`${url}/#/drills`)
  await duplicate(page, name)
  await expect(page.getByRole('heading', { name: `${name} (my version)`, level: 1 })).toBeVisible()
}

const sequence = (page: Page) => page.getByRole('region', { name: 'The sequence' })
const row = (page: Page, n: number) => sequence(page).getByRole('row').nth(n)
const task = (page: Page, n: number) =>
  sequence(page).getByRole('button', { name: new RegExp(`^Task ${n}:`) })
/** The card of a task, opened. */
async function card(page: Page, n: number) {
  if ((await task(page, n).getAttribute('aria-expanded')) === 'false') await task(page, n).click()
  return page.getByRole('region', { name: `Task ${n}`, exact: true })
}
/** The rest about a task, opened. */
async function more(page: Page, n: number) {
  const open = await card(page, n)
  const rest = open.locator('details', { hasText: `more about task ${n}` })
  if ((await rest.getAttribute('open')) === null) await rest.locator('summary').click()
  return open
}

test('a coach shapes a pattern with the keyboard and sees what becomes of each ball', async ({
  page,
  demo,
}) => {
  await own(page, demo.url, 'Coin in the Corner')
  await expect(row(page, 1)).toContainText(/(working|easy)/)
  await expect(row(page, 2)).toContainText(/\d\.\d\d s.*\d\.\d of 10/)

  // Plus adds a row like the one it is pressed in; arrows go from row to row and take it along.
  await task(page, 2).focus()
  await page.keyboard.press('+')
  await expect(task(page, 3)).toBeFocused()
  await page.keyboard.press('ArrowUp')
  await expect(task(page, 2)).toBeFocused()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(task(page, 1)).toBeFocused()
  for (const [n, gap] of [
    [3, '0.5'],
    [1, '0.6'],
  ] as const) {
    const open = await more(page, n)
    await open.getByLabel('Gap after it, s').fill(gap)
    await page.keyboard.press('Tab')
  }
  await expect(row(page, 2).getByText(/stretched|out of reach/)).toBeVisible()
  await page.getByRole('button', { name: 'Drop Task 1' }).click()
  await expect(sequence(page).getByRole('row')).toHaveCount(3)
  await card(page, 1)

  // How a figure came about opens, and closes with the keyboard.
  await page.getByRole('button', { name: 'run of Task 1' }).click()
  await expect(page.getByRole('dialog', { name: 'Time to spare' })).toContainText(
    'Acceleration a, top speed v',
  )
  await page.keyboard.press('Escape')
  // And what no figure can know is one step from it.
  await page.getByRole('button', { name: 'run of Task 1' }).click()
  await page.getByRole('link', { name: 'What this model cannot know' }).click()
  await expect(page.getByRole('heading', { name: 'What this model cannot know', level: 1 })).toBeVisible()
  await page.goBack()
  await expect(sequence(page)).toBeVisible()

  // A feed that cannot be is told in the coach's words, beside its row, and is kept all the same.
  const first = await more(page, 1)
  await first.getByLabel('Flight chosen by').selectOption('time')
  await first.getByRole('spinbutton', { name: 'until it lands' }).fill('0.3')
  await page.keyboard.press('Tab')
  await expect(row(page, 1).getByRole('alert')).toContainText(
    /Ball 1 cannot be fed: it (would clip|cannot take)/,
  )
  await first.getByRole('spinbutton', { name: 'until it lands' }).fill('1.4')
  await page.keyboard.press('Tab')
  await expect(row(page, 1).getByRole('alert')).toHaveCount(0)
  await first.getByLabel('Then back').selectOption('own')
  await expect(page.getByRole('button', { name: /^ball 1, forehand, then back to/ })).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()
})

test('versions are tried with one key and kept only when wanted', async ({ page, demo }) => {
  await own(page, demo.url, 'Both Verges')
  await expect(sequence(page).getByRole('row')).toHaveCount(4)
  await drawer(page, 'Versions')
  await page.locator('body').press('3')
  const told = page.getByRole('status').filter({ hasText: 'The gap is 1 s shorter: 3 s instead of 4 s.' })
  await expect(told).toBeVisible()
  await expect(page.getByRole('button', { name: /Quicker harder$/ })).toHaveAttribute('aria-pressed', 'true')
  await page.locator('body').press('0')
  await expect(told).toHaveCount(0)
  await page.getByLabel('A change to try').selectOption('link one more on')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText(/^One more at the end: ball 4/)).toBeVisible()
  await page.getByRole('button', { name: 'Make it the drill' }).click()
  await drawer(page, 'Balls')
  await expect(sequence(page).getByRole('row')).toHaveCount(5)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(sequence(page).getByRole('row')).toHaveCount(4)
})

test('the turn is played, stepped through and tried on a student', async ({ page, demo }) => {
  await own(page, demo.url, 'Last Stretch')
  const moment = page.getByLabel('Moment of the turn')
  await page.getByRole('button', { name: 'Play', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible()
  await expect(page.locator('svg .ball').first()).toBeVisible()
  await page.getByRole('button', { name: 'Pause' }).click()
  await moment.fill('0')
  await page.getByRole('button', { name: 'Next ball' }).click()
  await expect(moment).not.toHaveValue('0')
  const verdict = sequence(page).getByRole('status')
  await page.getByLabel('Try it on').selectOption('red ball')
  await expect(verdict).toContainText('All can be reached with honest work.')
  await page.getByLabel('Try it on').selectOption('tournament player')
  await expect(verdict).toContainText('All can be reached with ease.')
  await page.getByLabel('Try it on').selectOption('Noor Haldane')
  await expect(verdict).toContainText('reached')
})

test('where a ball is met is dragged along its way', async ({ page, demo }) => {
  await own(page, demo.url, 'Last Stretch')
  await expect((await card(page, 1)).getByLabel('Met', { exact: true })).toHaveValue('')
  const met = page.getByRole('button', { name: /^ball 1 is met/ })
  await met.focus()
  for (let i = 0; i < 40; i++) await met.press('ArrowUp')
  await expect((await card(page, 1)).getByLabel('Met', { exact: true })).toHaveValue(
    /rising|out of the air|at the top/,
  )
})

test('the down-the-line player of a rally runs more', async ({ page, demo }) => {
  await own(page, demo.url, 'Crossroads')
  const runs = page.getByRole('list', { name: 'Who runs how far' }).getByRole('listitem')
  await expect(runs).toHaveCount(2)
  const metres = async (n: number) =>
    Number(/: ([\d.]+) m run/.exec((await runs.nth(n).textContent()) ?? '')?.[1])
  expect(await metres(1)).toBeGreaterThan(await metres(0))
})

const counts = (page: Page, text: RegExp) =>
  expect(
    page.getByRole('region', { name: 'Counts of this plan' }).getByRole('button', { name: text }),
  ).toBeVisible()

async function typed(page: Page, label: string, value: string) {
  await page.getByLabel(label).fill(value)
  await page.keyboard.press('Tab')
}

test('a pattern breathes: groups, branches, areas and balls at the player', async ({ page, demo }) => {
  // By hand: two balls 3.2 s apart and a pause of 3 s.
  await own(page, demo.url, 'Two and Away')
  await counts(page, /Balls a turn 2 /)
  await page.getByRole('button', { name: 'Repeat a group of tasks' }).click()
  await counts(page, /Balls a turn 4 /)
  await page.getByLabel('Times or seconds of group 1').selectOption('seconds')
  await counts(page, /Balls a turn 6 /) // 20 s are six balls and 0.8 s
  await counts(page, /One turn 0:23 /)
  await typed(page, 'Last task of group 1', '9')
  await expect(page.getByText('the sequence has no task 9', { exact: true })).toBeVisible()
  await typed(page, 'Last task of group 1', '2')
  await page.getByLabel('Times or seconds of group 1').selectOption('times')
  await typed(page, 'How often group 1 is played', '3')
  await typed(page, 'Nearer each time (−: further back)', '1 m')
  await counts(page, /Balls a turn 6 /)
  await page.getByRole('button', { name: /^once only/ }).click()
  await counts(page, /Balls a turn 2 /)

  await page.getByRole('button', { name: 'Play task 2 only sometimes' }).click()
  await typed(page, 'How often branch 1 is played, in 100', '60')
  await counts(page, /One turn 0:08 /) // 1.6 × 3.2 s and 3 s
  await typed(page, 'First task of branch 1', '1')
  await expect(page.getByText(/^a branch comes after something/)).toBeVisible()
  await typed(page, 'First task of branch 1', '2')
  await expect(page.getByText(/^a branch comes after something/)).toHaveCount(0)
  await page.getByLabel('When branch 1 is played').selectOption('if it comes high')

  const open = await more(page, 1)
  await open.getByLabel('Anywhere, across (0: its place)').fill('3 m')
  await page.keyboard.press('Tab')
  await expect(page.locator('svg rect.feed')).toHaveCount(1)
  await open.getByLabel('Comes to').selectOption('the body')
  await open.getByText('its figures').click()
  await expect(open).toContainText(/from region \d/)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('When branch 1 is played')).toHaveValue('if it comes high')
  await expect(page.getByLabel('How often branch 1 is played, in 100')).toHaveValue('60')
})

test('one ball is played on by two who change their parts', async ({ page, demo }) => {
  // By hand: five balls a turn, each driven and taken; with a group of three answers the volleyer takes three of each.
  await own(page, demo.url, 'Keeper of the Net')
  const runs = page.getByRole('list', { name: 'Who runs how far' }).getByRole('listitem')
  await expect(runs).toHaveCount(2)
  await expect(runs.nth(1)).toContainText('run for 5 balls')
  await counts(page, /Balls a turn 5 /)
  const open = await more(page, 1)
  await open.getByLabel('Fed by').selectOption('answer')
  await expect(row(page, 1).getByRole('alert')).toContainText('there is no stroke before it')
  await open.getByLabel('Fed by').selectOption('as the pattern')
  await expect(row(page, 1).getByRole('alert')).toHaveCount(0)
  // Another answer goes back to the driver.
  await card(page, 2)
  await page.getByRole('button', { name: 'Add one after Task 2' }).click()
  await (await more(page, 3)).getByLabel('Whose, from 1').fill('1')
  await page.keyboard.press('Tab')
  await expect(runs.nth(0)).toContainText('run for 10 balls')
  await counts(page, /Balls a turn 5 /)
  await expect(page.getByText('All changes saved')).toBeVisible()

  await page.goto(`${demo.url}/#/drills`)
  await own(page, demo.url, 'Coin in the Corner')
  await drawer(page, 'Versions')
  await page.getByLabel('A change to try').selectOption('constrained')
  await page.getByLabel('What it is constrained by').fill('short grip')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText('Constrained: short grip.')).toBeVisible()
  await page.getByLabel('A change to try').selectOption('reply to the other side')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText('Replies go to the other side.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep as harder' }).click()
  await expect(page.getByRole('button', { name: /Version \d harder/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
})

test('a pattern is made by one line in words, and what is not understood is told', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  await page.locator('summary', { hasText: 'In words' }).click()
  const line = page.getByLabel('The pattern in words')
  await expect(line).toHaveValue(/by racket; 3\.5 s; x/)
  const before = await line.inputValue()
  await line.fill('deep FH, shrot FH')
  await expect(page.getByText('shrot: is not a word of this shorthand')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(line).toHaveValue(before)
  await line.fill('deep FH, short FH, deep BH half pace; 4 s; x2; aim 1.4 m in left 2 m deep')
  await expect(page.getByText('comes at half pace')).toBeVisible()
  await line.press('Enter')
  await expect(line).toHaveValue(
    /BH \[-1\.44 -9\.51\] half-pace; by racket; 4 s; x2; aim 1\.4 m in left 2 m deep/,
  )
  await expect(page.getByRole('button', { name: /^Balls a turn 6 / })).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()

  // The line of another drill, pasted, is that drill's pattern; undo takes it back.
  await line.fill('5x { FHV mid }; 2 s; x1')
  await line.press('Enter')
  await expect(page.getByRole('button', { name: /^Balls a turn 5 / })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(page.getByRole('button', { name: /^Balls a turn 6 / })).toBeVisible()
})

test('a drill is made from nothing by pressing the court: five acts for three balls', async ({
  page,
  demo,
}) => {
  let acts = 0
  const act = async (done: Promise<unknown>) => {
    acts++
    await done
  }
  await page.goto(`${demo.url}/#/drills`)
  await act(page.getByRole('button', { name: 'New drill' }).click())
  await act(page.getByLabel('Court', { exact: true }).selectOption('tennis'))
  const empty = page.getByRole('group', { name: 'Tennis, full court: press it' })
  const box = await empty.boundingBox()
  if (!box) throw new Error('no court')
  // A mistake first: beyond the net nothing lands that is for the student.
  await empty.click({ position: { x: box.width / 2, y: box.height * 0.25 } })
  await expect(page.getByRole('alert')).toContainText('near half')
  await act(empty.click({ position: { x: box.width * 0.6, y: box.height * 0.75 } }))
  await expect(page.getByRole('button', { name: /^Balls a turn 2 / })).toBeVisible()
  const court = page.getByRole('group', { name: /court/i }).first()
  const drawn = await court.boundingBox()
  if (!drawn) throw new Error('no court')
  await act(court.click({ position: { x: drawn.width * 0.36, y: drawn.height * 0.76 } }))
  await expect(page.getByRole('button', { name: /^Balls a turn 4 / })).toBeVisible()
  await act(court.click({ position: { x: drawn.width * 0.62, y: drawn.height * 0.63 } }))
  await expect(page.getByRole('button', { name: /^Balls a turn 6 / })).toBeVisible()
  expect(acts).toBeLessThanOrEqual(8)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByRole('button', { name: 'Play', exact: true }).click()
  await expect(page.getByRole('button', { name: /^(Pause|Stop)/ })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: /^Balls a turn 6 / })).toBeVisible()
})

test('whoever a drill is tried on has what hurts and their limits shown', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await openDrill(page, 'Coin in the Corner')
  await page.getByLabel('Try it on').selectOption({ label: 'Noor Haldane' })
  await expect(page.getByRole('note')).toContainText('At most 30 overheads in a lesson.')
  await page.getByLabel('Try it on').selectOption({ label: 'Teo Brackwell' })
  await expect(page.getByRole('note')).toContainText('Hurts: tight left shoulder after long serving.')
  await page.getByLabel('Try it on').selectOption({ label: 'improver' })
  await expect(page.getByRole('note')).toHaveCount(0)
})

test('where a reply goes is chosen in words, and told by them until it is dragged', async ({
  page,
  demo,
}) => {
  await own(page, demo.url, 'Coin in the Corner')
  const reply = (await card(page, 1)).getByLabel('The reply goes')
  const sign = page.getByRole('button', { name: /^ball 1, forehand, reply: / })
  await reply.selectOption({ label: 'deep cross-court' })
  await expect(sign).toBeVisible()
  await expect(reply).toHaveValue('deep cross-court')
  // The ball comes to the right: the reply goes to the far left, as the near player sees it.
  const net = page.getByRole('group', { name: /on / }).locator('.net')
  const far = async () => {
    const [at, line] = [await sign.boundingBox(), await net.boundingBox()]
    if (!at || !line) throw new Error('nothing is drawn')
    return { left: at.x + at.width / 2 < line.x + line.width / 2, beyond: at.y < line.y }
  }
  expect(await far()).toEqual({ left: true, beyond: true })
  await page.getByRole('radio', { name: 'left-hander' }).check()
  await expect(reply).toHaveValue('deep cross-court')
  await expect.poll(far).toEqual({ left: false, beyond: true })
  await sign.focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp')
  await expect(reply).toHaveValue('own')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await reply.selectOption({ label: 'to the target' })
  await expect(sign).toBeHidden()
})
