import type { Page } from '@playwright/test'
import { drawer, duplicate, expect, openLesson, test } from './fixtures'

/**
 * Ten patterns that coaches make, each from the list of drills, each with its acts counted: an act is one press, drag,
 * key or filled field. The first court of a new drill is that of tennis.
 */
class Acts {
  n = 0
  constructor(readonly page: Page) {}

  async do(done: Promise<unknown>) {
    this.n++
    await done
  }

  press(name: string | RegExp) {
    return this.do(
      this.page
        .getByRole('button', { name, exact: typeof name === 'string' })
        .first()
        .click(),
    )
  }

  /** fill types into a field; the key that leaves it belongs to it. */
  async fill(label: string | RegExp, text: string) {
    await this.do(this.page.getByLabel(label, { exact: typeof label === 'string' }).fill(text))
    await this.page.keyboard.press('Tab')
  }

  choose(label: string, option: string) {
    return this.do(this.page.getByLabel(label, { exact: true }).selectOption(option))
  }

  /** begin opens a new drill and presses the court where the first ball lands, in shares of the drawing. */
  async begin(url: string, x: number, y: number, court?: string) {
    await this.page.goto(`${url}/#/drills`)
    await this.press('New drill')
    if (court) await this.choose('Court', court)
    await this.court(x, y, 'dialog')
    await expect(this.page.getByRole('button', { name: /^Task 1:/ })).toBeVisible()
  }

  async court(x: number, y: number, where = 'main') {
    const court = this.page.locator(`${where} svg.court`)
    const box = await court.boundingBox()
    if (!box) throw new Error('no court')
    await this.do(court.click({ position: { x: x * box.width, y: y * box.height } }))
  }

  /** ball presses where the next ball lands, and waits until it is there. */
  async ball(n: number, x: number, y: number) {
    await this.court(x, y)
    await expect(this.page.getByRole('region', { name: `Task ${n}`, exact: true })).toBeVisible()
  }

  /** drag takes something out of the tray to a place, in shares of the drawing. */
  async drag(kind: string, x: number, y: number) {
    const from = await this.page
      .getByRole('toolbar', { name: 'To be put on court' })
      .getByRole('button', { name: kind })
      .boundingBox()
    const court = await this.page.locator('main svg.court').boundingBox()
    if (!from || !court) throw new Error('nothing to drag')
    this.n++
    await this.page.mouse.move(from.x + 8, from.y + 8)
    await this.page.mouse.down()
    await this.page.mouse.move(court.x + x * court.width, court.y + y * court.height, { steps: 6 })
    await this.page.mouse.up()
    await expect(this.page.getByLabel('Called')).toBeVisible()
  }

  async done(most: number) {
    await expect(this.page.getByText('All changes saved')).toBeVisible()
    expect(this.n, 'acts').toBeLessThanOrEqual(most)
  }
}

const tasks = (page: Page) => page.getByRole('button', { name: /^Task \d+:/ })
const figure = (page: Page, name: RegExp) => expect(page.getByRole('button', { name })).toBeVisible()
const [deep, short] = [0.76, 0.63]

test('a drill from nothing', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.6, deep)
  await acts.ball(2, 0.4, deep)
  await acts.ball(3, 0.6, short)
  await figure(page, /^Balls a turn 6 /)
  await acts.done(8)
})

test('deep, short, deep, for the other wing', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.6, deep)
  await acts.ball(2, 0.68, short)
  await acts.ball(3, 0.7, deep)
  await expect(tasks(page)).toContainText(['forehand', 'forehand', 'forehand'])
  await acts.press('Other wing')
  await expect(tasks(page)).toContainText(['backhand', 'backhand', 'backhand'])
  await acts.done(10)
})

test('five volleys from each of four depths, in and out, with one ball', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, deep)
  await acts.press('Through the depths…')
  await acts.choose('Stroke everywhere', 'forehand volley')
  await acts.do(page.getByLabel('with one ball, played back').check())
  await acts.fill('Balls in each', '5')
  await acts.press('Make it')
  await expect(tasks(page)).toHaveCount(15)
  // Who volleys has 35 of them, whoever plays them back as many and the drop.
  await expect(page.getByRole('list', { name: 'Who runs how far' })).toContainText('35 balls')
  await acts.done(14)
})

test('a round of two obstacles', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.3, short)
  await acts.drag('obstacle', 0.5, 0.72)
  await acts.choose('Run round it on the', 'right')
  await acts.drag('obstacle', 0.4, 0.72)
  await acts.choose('Run round it on the', 'left')
  await expect(page.getByRole('button', { name: /^obstacle: / })).toHaveCount(2)
  await acts.done(8)
})

test('backspin, then two with topspin, a pause, for the other wing', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, 0.62, 'table-tennis')
  if (!(await page.getByRole('region', { name: 'Task 1', exact: true }).isVisible()))
    await acts.press(/^Task 1:/)
  await acts.choose('Spin', 'slice')
  await acts.ball(2, 0.42, 0.56)
  await acts.choose('Spin', 'topspin')
  await acts.ball(3, 0.58, 0.56)
  await acts.fill('Pause after each', '12')
  await acts.press('Other wing')
  await expect(page.getByRole('row', { name: /^2 .*topspin/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /^1 .*slice/ })).toBeVisible()
  await acts.done(10)
})

test('a transition from three depths, with the feet', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, deep)
  if (!(await page.getByRole('region', { name: 'Task 1', exact: true }).isVisible()))
    await acts.press(/^Task 1:/)
  for (const [n, y, feet] of [
    [1, deep, 'open'],
    [2, 0.7, 'open'],
    [3, short, 'closed'],
  ] as const) {
    if (n > 1) await acts.ball(n, 0.5 + 0.07 * n, y)
    await acts.fill('Feet', feet)
    await expect(page.getByText('All changes saved')).toBeVisible()
  }
  await acts.done(12)
  await page.reload()
  await page.getByRole('button', { name: /^Task 3:/ }).click()
  await expect(page.getByLabel('Feet')).toHaveValue('closed')
})

test('a depth tour', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, deep)
  await acts.press('Through the depths…')
  await acts.press('Make it')
  // By hand: four regions in and out are seven visits of 20 s.
  await expect(tasks(page)).toHaveCount(7)
  await figure(page, /^One turn 2:2\d /)
  await acts.done(6)
})

test('the two cones of a soft game, told apart', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, deep, 'pickleball')
  await acts.drag('cone', 0.35, 0.45)
  await acts.drag('cone', 0.65, 0.45)
  await expect(page.getByRole('button', { name: /^cone A: / })).toBeVisible()
  await expect(page.getByRole('button', { name: /^cone B: / })).toBeVisible()
  await acts.done(6)
  // Each has a name of the coach's own, and says where it is from the lines.
  await page.getByLabel('Called').fill('the gate')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: /^the gate: .* (far|right) / })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^cone B: / })).toBeVisible()
})

test('random corners on the clock', async ({ page, demo }) => {
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.55, deep, 'badminton')
  await acts.press('To the corners…')
  await acts.press('Make it')
  await expect(tasks(page)).toHaveCount(4)
  await drawer(page, 'Turns')
  await expect(page.getByLabel('Order', { exact: true })).toHaveValue('shuffled')
  await expect(page.getByLabel('Work in each sequence')).toHaveValue('20')
  await acts.done(8)
})

test('a line in words', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Coin in the Corner')
  const acts = new Acts(page)
  await acts.do(page.locator('summary', { hasText: 'In words' }).click())
  await acts.do(page.getByLabel('The pattern in words').fill('deep FH, short FH, deep BH; 4 s; x2'))
  await acts.do(page.keyboard.press('Enter'))
  await expect(tasks(page)).toHaveCount(3)
  await acts.done(3)
})

test('on a phone: press, press, press, and the sequence is a strip', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const acts = new Acts(page)
  await acts.begin(demo.url, 0.6, deep)
  await acts.court(0.4, 0.7)
  await expect(tasks(page)).toHaveCount(2)
  await acts.court(0.6, short)
  await expect(tasks(page)).toHaveCount(3)
  // The strip stands in sight above the rooms, and its card opens over the court.
  const strip = page.getByRole('table', { name: 'The tasks of one sequence, in order' })
  const box = await strip.boundingBox()
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThan(844 - 60)
  await acts.press(/^Task 3:/)
  await acts.choose('Pace', 'gentle')
  await page.getByRole('button', { name: 'Close Task 3' }).click()
  await expect(page.getByRole('button', { name: /^Task 3: .*gentle/ })).toBeVisible()
  // A thing is put down by pressing it, and then the court.
  await page.getByRole('toolbar').getByRole('button', { name: 'cone' }).click()
  await acts.court(0.5, 0.3)
  await expect(page.getByRole('button', { name: /^cone A: / })).toBeVisible()
  await acts.done(8)
})

test('on the road: a drill is swapped for its easier version', async ({ page, demo }) => {
  await openLesson(page, demo, 'Noor and Teo')
  const road = page.getByRole('group', { name: 'The lesson as a road' })
  const acts = new Acts(page)
  await acts.do(road.getByRole('button', { name: /^\d\d:\d\d Coin in the Corner, / }).click())
  await acts.press('Swap')
  await acts.do(page.getByRole('option', { name: /^Coin in the Corner: More time / }).click())
  await expect(page.getByLabel('Version', { exact: true })).toHaveValue('More time')
  await acts.done(3)
  // Or for another drill: its minutes and its goals follow.
  await page.getByRole('button', { name: 'Swap', exact: true }).click()
  await page.getByRole('combobox', { name: 'What to add' }).fill('both verges')
  await expect(page.getByRole('option').first()).toContainText('Both Verges')
  await page.keyboard.press('Enter')
  await expect(road.getByRole('button', { name: /^\d\d:\d\d Coin in the Corner/ })).toHaveCount(0)
  // The drill stands in the lesson a second time now.
  await expect(road.getByRole('button', { name: /^\d\d:\d\d Both Verges, / })).toHaveCount(2)
  await expect(page.getByRole('list', { name: 'What to expect' })).toContainText('3 in a row')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(road.getByRole('button', { name: /^\d\d:\d\d Coin in the Corner: More time, / })).toBeVisible()
})

test('on the road: an hour for two from nothing', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/lessons`)
  const acts = new Acts(page)
  await acts.press('Plan a lesson')
  await acts.do(page.getByRole('checkbox', { name: 'Noor Haldane' }).check())
  await acts.do(page.getByRole('checkbox', { name: 'Teo Brackwell' }).check())
  await acts.press('Lay it out')
  await acts.press('Add to the lesson')
  await acts.do(page.getByRole('combobox', { name: 'What to add' }).fill('hour pair'))
  await acts.do(page.getByRole('option', { name: /^Hour for a pair / }).click())
  await figure(page, /^Planned 60:00/)
  await acts.done(12)
})

test('on the road: a block between two, a finding left as it is, the court of the lesson', async ({
  page,
  demo,
}) => {
  const id = await openLesson(page, demo, 'Noor and Teo')
  const road = page.getByRole('group', { name: 'The lesson as a road' })
  await road.getByRole('button', { name: 'Add between Body warm-up and Ball warm-up' }).click()
  await page.getByRole('combobox', { name: 'What to add' }).fill('wat')
  await expect(page.getByRole('option').first()).toContainText('Water')
  await page.keyboard.press('Enter')
  await expect(road.getByRole('button', { name: /Water, / }).first()).toBeVisible()
  await expect(road.locator('.stretch').nth(1)).toHaveAttribute('aria-label', /Water, /)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()

  // A finding is hushed with a reason, and told again.
  const findings = page.getByRole('region', { name: 'What fits and what does not' })
  const first = findings
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Leave it/ }) })
    .first()
  const reason = (await first.locator('p').first().innerText()).slice(0, 40)
  await first.getByRole('button', { name: /^Leave it/ }).click()
  await page.getByLabel('Why it is left as it is').fill('they know it well')
  await page.keyboard.press('Enter')
  await findings.getByText(/^Left as they are \(1\)/).click()
  await expect(findings.getByText('Left as it is: they know it well.')).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await findings.getByText(/^Left as they are \(1\)/).click()
  await findings.getByRole('button', { name: 'Tell it again' }).click()
  await expect(findings.getByText(/^Left as they are/)).toHaveCount(0)
  await expect(findings).toContainText(reason.trim().slice(9))

  // What hurts and what is limited stands by the names; the court is chosen once.
  const group = page.getByRole('region', { name: 'Who comes' })
  await expect(group.getByRole('row', { name: /^Teo Brackwell: / })).toContainText('tight left shoulder')
  await expect(group.getByRole('row', { name: /^Noor Haldane: / })).toContainText('At most 30 overheads')
  await group.getByLabel('On the court').selectOption({ label: 'Tennis, orange stage' })
  await expect(page.getByText('All changes saved')).toBeVisible()
  const sheet = (await (await fetch(`${demo.url}/api/lessons/${id}/sheet`)).json()) as {
    drills: { document: { court: string } }[]
  }
  expect(sheet.drills.map((drill) => drill.document.court)).toEqual(sheet.drills.map(() => 'tennis-orange'))
})
