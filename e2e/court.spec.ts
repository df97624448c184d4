import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { components } from '../ui/src/lib/api/schema'
import { drawer, duplicate, expect, look, test } from './fixtures'

type Court = components['schemas']['Court']
type Drill = components['schemas']['Drill']

const json = async <T>(url: string): Promise<T> => (await (await fetch(url)).json()) as T

/** keep saves a drill on a court with three plain places, and returns its address. */
async function threeMarks(url: string, court: Court, places: [number, number][]): Promise<string> {
  const { drills } = await json<{ drills: Drill[] }>(`${url}/api/drills`)
  const first = drills.find((each) => each.document.sport === 'tennis')
  if (!first) throw new Error('no drills')
  const kinds = ['start', 'feeder', 'cone'] as const
  const document = {
    ...first.document,
    name: `Marks on ${court.name}`,
    sport: court.sport,
    court: court.id,
    places: places.map(([x, y], i) => ({ kind: kinds[i], mark: { place: { x, y } } })),
    pattern: {
      ...first.document.pattern,
      tasks: [{ stroke: 'forehand', landing: { place: { x: 0, y: -1 } } }],
    },
    measures: [
      {
        number: 1,
        what: 'ball',
        goals: [{ kind: 'total', count: 10 }],
        target: { kind: 'circle', radius: 0.4, mark: { place: { x: 0, y: court.length / 4 } } },
      },
    ],
  }
  const id = v7()
  const headers = { 'Content-Type': 'application/json', 'If-None-Match': '*' }
  const kept = await fetch(`${url}/api/drills/${id}`, {
    method: 'PUT',
    headers,
    body: JSON.stringify(document),
  })
  expect(kept.status, await kept.text()).toBe(200)
  return `${url}/#/drills/${id}`
}

test('drawings agree with the computed places to the pixel on every court', async ({ page, demo }) => {
  for (const court of await json<Court[]>(`${demo.url}/api/courts`)) {
    const places: [number, number][] = [
      [court.width / 3, -court.length / 2.5],
      [-court.width / 2, court.length / 2],
      [court.width / 5, court.length / 7],
    ]
    await page.goto(await threeMarks(demo.url, court, places))
    for (const end of ['near', 'far']) {
      await look(page, 'Nearest end', end)
      const drawing = await page
        .getByRole('group', { name: `Marks on ${court.name} on ${court.name}` })
        .boundingBox()
      if (!drawing) throw new Error('no drawing')
      const scale = drawing.width / (court.width + 2 * court.runOff.side)
      for (const [i, [x, y]] of places.entries()) {
        const sign = await page.locator(`[data-handle="places.${i}.mark"] circle.reach`).boundingBox()
        if (!sign) throw new Error(`mark ${i} is not drawn on ${court.name}`)
        const turn = end === 'far' ? -1 : 1
        expect(
          Math.abs(sign.x + sign.width / 2 - (drawing.x + drawing.width / 2 + turn * x * scale)),
        ).toBeLessThan(1)
        expect(
          Math.abs(sign.y + sign.height / 2 - (drawing.y + drawing.height / 2 - turn * y * scale)),
        ).toBeLessThan(1)
      }
    }
  }
})

/** own duplicates a built-in drill and opens it. */
async function own(page: Page, url: string, name: string) {
  await page.goto(`${url}/#/drills`)
  await duplicate(page, name)
  await expect(page.getByRole('heading', { name: `${name} (my version)`, level: 1 })).toBeVisible()
}

async function type(page: Page, field: string | RegExp, text: string) {
  const input = page.getByRole('textbox', { name: field })
  await input.fill(text)
  await input.press('Tab')
}

const measured = (page: Page) => page.getByLabel('The target, measured')

/** Facts of the trade; common practice, no source. */
test.describe('a fact of the trade is set up in a few steps', () => {
  test('the short-ball aim: 4 ft 6 in from the sideline, 6 ft 6 in from the baseline', async ({
    page,
    demo,
  }) => {
    await own(page, demo.url, 'Both Verges')
    await drawer(page, 'Places')
    await type(page, /^target, .* the left singles sideline$/, '4 ft 6 in')
    await type(
      page,
      /^target, .* the far service line to the far baseline$/,
      '6 ft 6 in inside the far baseline',
    )
    await drawer(page, 'What counts')
    await type(page, 'Within', '4 ft 6 in')
    await expect(measured(page)).toContainText('Margin to the left singles sideline 1.37 m')
    await expect(measured(page)).toContainText('Lies out, never counts 0 %')
    await drawer(page, 'Places')
    await expect(
      page.getByText('1.98 m inside the far baseline, 1.37 m inside the left singles sideline').first(),
    ).toBeVisible()
  })

  test('the depth strip, 4 ft 6 in inside the baseline', async ({ page, demo }) => {
    await own(page, demo.url, 'Coin in the Corner')
    await drawer(page, 'What counts')
    await page.getByLabel('Target', { exact: true }).selectOption('strip')
    await page.getByLabel('Along the', { exact: true }).selectOption('far-baseline')
    await type(page, 'Deep', `4' 6"`)
    await expect(page.getByText('strip 1.37 m deep inside the far baseline')).toBeVisible()
    await expect(measured(page)).toContainText('Margin to the far baseline 0.69 m')
  })

  test('the safe cross-court mark, 2 ft inside the singles sideline', async ({ page, demo }) => {
    await own(page, demo.url, 'Coin in the Corner')
    await drawer(page, 'Places')
    await type(page, /^target, .* the left singles sideline$/, '2 ft')
    await drawer(page, 'What counts')
    await expect(measured(page)).toContainText('Margin to the left singles sideline 0.61 m')
    // A circular segment: (arccos(2/4.5) − 2/4.5 × √(1 − (2/4.5)²)) ÷ π.
    await expect(measured(page)).toContainText('Lies out, never counts 22.7 %')
  })

  test('cones 6 in inside the no-volley zone', async ({ page, demo }) => {
    await own(page, demo.url, 'Soft Landing')
    await drawer(page, 'What counts')
    await page.getByLabel('Target', { exact: true }).selectOption('object')
    await drawer(page, 'Places')
    await type(page, /^target, .* the net$/, '6 in inside the far no-volley line')
    await expect(
      page.getByText('0.15 m inside the far no-volley line, 1.2 m inside the left sideline').first(),
    ).toBeVisible()
    await drawer(page, 'What counts')
    await expect(measured(page)).toContainText('Share of the far no-volley zone')
    await expect(measured(page)).toContainText('Margin to the left sideline 1.2 m')
  })

  test('two bounces beyond the net of a table', async ({ page, demo }) => {
    await own(page, demo.url, 'Soft Landing')
    await drawer(page, 'Places')
    await page.getByLabel('Another court').selectOption('Table tennis')
    await page.getByRole('button', { name: 'Look at it there' }).click()
    await page.getByRole('button', { name: 'Take the drill there' }).click()
    await drawer(page, 'What counts')
    await page.getByLabel('Target', { exact: true }).selectOption('double bounce')
    await page.getByLabel('Which').selectOption('far half')
    await expect(page.getByText('into the two bounces in the far half.')).toBeVisible()
    await expect(measured(page)).toContainText('Area 2.09 m²')
    await expect(measured(page)).toContainText('Margin to the far end line 0.69 m')
    await expect(page.getByText('All changes saved')).toBeVisible()
  })
})

test('a mark is dragged by touch, snaps to a line, and is undone and redone', async ({ browser, demo }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 390, height: 844 } })
  const page = await context.newPage()
  await own(page, demo.url, 'Coin in the Corner')
  await drawer(page, 'Places')
  const row = page.getByRole('row', { name: /^2 ball 2/ })
  await expect(row).toContainText('0.6 m inside the near service line')
  const sign = page.getByRole('button', { name: /^ball 2, / })
  await sign.scrollIntoViewIfNeeded()
  const box = await sign.boundingBox()
  if (!box) throw new Error('ball 2 is not drawn')
  const touch = await context.newCDPSession(page)
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] })
  for (let step = 1; step <= 4; step++)
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [{ x, y: y + step * 3 }] })
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await expect(row).toContainText('on the near service line')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('0.6 m inside the near service line')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(row).toContainText('on the near service line')
  await context.close()
})

test('a cone is put down, measured from lines and taken away in the table alone', async ({ page, demo }) => {
  await own(page, demo.url, 'Coin in the Corner')
  await drawer(page, 'Places')
  // By key a thing comes to a usual place, and is chosen.
  await page.getByRole('toolbar').getByRole('button', { name: 'cone' }).press('Enter')
  await expect(page.getByRole('region', { name: 'cone A' })).toBeVisible()
  await drawer(page, 'Places')
  const row = page.getByRole('row', { name: /^A cone A/ })
  await type(page, /^cone A, .* the near service line/, '2 ft')
  await expect(row).toContainText('0.61 m inside the near service line')
  await row.getByText(/^said /).click()
  await page.getByLabel('cone A: measured').selectOption('along one line')
  await page.getByLabel('cone A: along which line').selectOption('near service line')
  await type(page, 'cone A, along the near service line from its right end', '2 steps')
  await expect(row).toContainText('1.6 m along the near service line from its right end')
  await page.getByLabel('cone A: measured').selectOption('from two lines')
  await page.getByLabel('cone A: line along the net').selectOption('near baseline')
  await page.getByLabel('cone A: whose left and right').selectOption('far')
  await expect(row).toContainText("(the far player's left and right)")
  await row.getByRole('button', { name: /^take away/ }).click()
  await expect(row).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toBeVisible()
})

test('the walls of a squash court are laid flat to scale', async ({ page, demo }) => {
  const squash = (await json<Court[]>(`${demo.url}/api/courts`)).find((court) => court.id === 'squash')
  if (!squash) throw new Error('no squash court')
  await page.goto(
    await threeMarks(demo.url, squash, [
      [0, -1],
      [0, 3],
      [1, 1],
    ]),
  )
  await look(page, 'Show', 'walls')
  const drawing = page.getByRole('group', { name: 'Marks on Squash on Squash' })
  await expect(drawing.locator('line > title')).toHaveText(squash.walls.map((wall) => wall.name))
  const floor = await drawing.locator('rect.surface').boundingBox()
  const board = await drawing.locator('line', { hasText: 'board' }).boundingBox()
  if (!floor || !board) throw new Error('no walls')
  // WSF court specification, from memory: the board is 48 cm high, the floor 9.75 m long.
  expect((floor.y - (board.y + board.height / 2)) / floor.height).toBeCloseTo(0.48 / 9.75, 2)
})

test('regions lie over the court, and the numbering is the coach’s', async ({ page, empty }) => {
  await own(page, empty.url, 'Last Stretch')
  const menu = page.locator('summary', { hasText: 'View' })
  await menu.click()
  await page.getByLabel('Regions').selectOption('four depths')
  const list = page.getByRole('list', { name: 'Depth regions, from the net out' })
  await expect(list.getByRole('listitem').first()).toHaveText('1 close: finish')
  await page.getByLabel('Numbered').selectOption('from the baseline in')
  await expect(list.getByRole('listitem').first()).toHaveText('4 close: finish')
  await page.reload()
  await menu.click()
  await page.getByLabel('Regions').selectOption('four depths')
  await expect(list.getByRole('listitem').first()).toHaveText('4 close: finish')
})

test('a length that cannot be read is told beside its field', async ({ page, demo }) => {
  await own(page, demo.url, 'Three-Corner Round')
  await drawer(page, 'What counts')
  await type(page, 'Deep', 'a bit')
  await expect(
    page.getByRole('alert').filter({ hasText: 'a length was expected, such as 4 ft 6 in' }).first(),
  ).toBeVisible()
  await type(page, 'Deep', '60 cm')
  await expect(page.getByText('strip 0.6 m deep inside the far baseline')).toBeVisible()
  await expect(page.getByText('a length was expected')).toHaveCount(0)
})

test('an obstacle is told on the court on which side it is passed, and on which runs', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/#/drills`)
  await duplicate(page, 'Round the Bollards')
  const obstacle = page.getByRole('button', { name: /^obstacle: / }).first()
  await obstacle.click()
  const side = page.getByLabel('Run round it on the').first()
  const runs = page.getByLabel('It is in the way').first()
  await expect(runs).toHaveValue('on the way back')
  const metres = page.getByRole('button', { name: /^Run a turn / })
  const before = await metres.innerText()
  await side.selectOption('right')
  await runs.selectOption('')
  await expect(metres).not.toHaveText(before)
  await expect(page.getByText('All changes saved')).toBeVisible()
})
