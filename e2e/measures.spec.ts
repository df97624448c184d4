import type { Locator, Page } from '@playwright/test'
import type { Club } from './club'
import { addDrill, drawer, duplicate, eight, expect, kept, moveClock, rally, test } from './fixtures'

/** A drill of the coach's own, made from a built-in one; its measures are in the answer. */
async function own(page: Page, club: Club, name: string): Promise<Locator> {
  await page.goto(`${club.url}/#/drills`)
  await duplicate(page, name)
  await expect(page.getByRole('heading', { name: `${name} (my version)`, level: 1 })).toBeVisible()
  await drawer(page, 'What counts')
  const counts = page.getByRole('region', { name: 'What counts' })
  await expect(counts).toBeVisible()
  return counts
}

const saved = (page: Page) => expect(page.getByText('All changes saved')).toBeVisible()

/** A lesson of two with the coach's drill, planned on screen; what is to be expected is returned. */
async function planned(page: Page, club: Club, name: string): Promise<Locator> {
  const students: string[] = []
  for (const student of eight.slice(0, 2)) students.push(await kept(club, 'students', student))
  const id = await kept(club, 'lessons', {
    version: 4,
    title: 'Measures',
    date: '2026-03-10',
    start: '16:00',
    minutes: 90,
    space: {},
    note: '',
    students,
    blocks: [],
  })
  await page.goto(`${club.url}/#/lessons/${id}`)
  await addDrill(page, name)
  const expected = page.getByRole('list', { name: 'What to expect' })
  await expect(expected).toBeVisible()
  await saved(page)
  return expected
}

/** Courtside on a phone. */
async function courtside(page: Page): Promise<Locator> {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${page.url()}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  await expect(counting.getByRole('button', { name: 'Ada', exact: true })).toBeVisible()
  return counting
}

const press = (counting: Locator, name: string | RegExp) =>
  counting.getByRole('button', { name, exact: typeof name === 'string' }).click()

/** on waits until a measure is the one that is counted. */
const on = (counting: Locator, name: string) =>
  expect(counting.getByRole('button', { name, pressed: true })).toBeVisible()

async function afterwards(page: Page): Promise<Locator> {
  await page.goto(page.url().replace('/courtside', '/afterwards'))
  const ada = page.getByRole('region', { name: eight[0]?.name })
  await expect(ada).toBeVisible()
  return ada
}

test('the work in four directions is set up from a drill with one, planned, counted and read', async ({
  page,
  empty,
}) => {
  test.slow()
  const counts = await own(page, empty, 'Coin in the Corner')
  // One direction has ten in all, then five in a row; the others are made like it.
  await counts.getByLabel('What measure 1 is called').fill('forehand cross-court')
  await counts.getByLabel('How many').first().fill('10')
  await page.keyboard.press('Tab')
  await counts.getByRole('button', { name: 'Then another goal' }).click()
  await expect(counts.getByText('10 made in all, then 5 in a row')).toBeVisible()
  for (const [n, name] of ['forehand line', 'backhand cross-court', 'backhand line'].entries()) {
    await counts.getByRole('button', { name: 'Add a measure' }).click()
    await counts.getByLabel(`What measure ${n + 2} is called`).fill(name)
    await counts.getByLabel(`What measure ${n + 2} is called`).press('Tab')
  }
  await counts.getByLabel('They run').selectOption('goal by goal')
  // A mistake: its target is taken away, and put back by undo.
  await counts.getByLabel('Target', { exact: true }).selectOption('none')
  await expect(counts.getByText('in is enough.').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(counts.getByLabel('Target', { exact: true })).toHaveValue('circle')
  await counts.getByLabel('Whose ladder it counts on').selectOption('backhand')
  await saved(page)
  await page.reload()
  await expect(counts.getByRole('button', { name: '4 backhand line' })).toBeVisible()

  // 24 balls each, a quarter for each direction: nobody gets through forty makes and four rows, and the plan says so.
  const expected = await planned(page, empty, 'Coin in the Corner (my version)')
  await expect(expected.getByRole('listitem')).toHaveCount(4)
  await expect(expected.getByRole('listitem').first()).toContainText(
    '1 forehand cross-court: 6 balls each; 10 made in all, then 5 in a row: Ada',
  )
  await expect(
    page.getByText(/^warning: ?Coin.* forehand cross-court, 10 made in all, then 5 in a row, is met by Ada/),
  ).toBeVisible()

  const counting = await courtside(page)
  for (let n = 1; n <= 4; n++) {
    await expect(counting.getByText('Now goal 1 of 2: 0 of 10')).toBeVisible()
    await expect(counting.getByRole('button', { name: new RegExp(`^${n}`), pressed: true })).toBeVisible()
    await press(counting, 'Missed')
    for (let ball = 0; ball < 10; ball++) await press(counting, 'Made')
  }
  // All tens are there: the rows begin, with the first direction. An undo goes back to the last one.
  await expect(counting.getByText('Now goal 2 of 2: 0 in a row')).toBeVisible()
  await on(counting, 'forehand cross-court')
  await press(counting, /^Undo/)
  await expect(counting.getByText('Now goal 1 of 2: 9 of 10')).toBeVisible()
  await on(counting, 'backhand line')
  await press(counting, 'Made')
  await on(counting, 'forehand cross-court')
  for (let ball = 0; ball < 5; ball++) await press(counting, 'Made')
  await on(counting, 'forehand line')

  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /forehand cross-court 15 of 16 .* ✓ met/ })).toBeVisible()
  await expect(
    ada.getByRole('row', { name: /backhand line 10 of 11 .* goal 2 of 2: 0 in a row at the end/ }),
  ).toBeVisible()
  await expect(ada.getByText('45 of 49 balls')).toBeVisible()
})

test('sets of two are counted for a minute, two and three', async ({ page, empty }) => {
  const expected = await planned(page, empty, 'One, Two, Again')
  await expect(expected.getByRole('listitem').first()).toContainText(
    '1 60 s: 16 strokes each; as many sets of 2 as possible in 1 min, hoping for 14',
  )
  const counting = await courtside(page)
  await press(counting, 'Count after the rally')
  await rally(counting, 9)
  // A miss resumes where the count was: nine strokes and six are seven sets and one stroke.
  await rally(counting, 6)
  await expect(counting.getByText('Now 7 sets, hoping for 14')).toBeVisible()
  // What was hoped for is no end: the time is.
  await rally(counting, 60)
  await expect(counting.getByText('Now 37 sets, hoping for 14')).toBeVisible()
  await expect(counting.getByRole('group', { name: 'Goal met' })).toHaveCount(0)
  await press(counting, 'Time is up')
  await on(counting, '120 s')
  const ada = await afterwards(page)
  await expect(
    ada.getByRole('row', { name: /60 s 3 rallies .* ✓ 37 sets, hoped for 14; the time is up/ }),
  ).toBeVisible()
  await expect(ada.getByRole('row', { name: /180 s .* not counted/ })).toBeVisible()
})

test('what cannot be counted so is told where it is', async ({ page, empty }) => {
  const counts = await own(page, empty, 'Long Arm')
  await counts.getByLabel('What is tried').selectOption('ball')
  await expect(counts.getByText('nothing in the sequence feeds this measure: it counts balls')).toBeVisible()
  await counts.getByLabel('What is tried').selectOption('repetition')
  await saved(page)
  // Its task goes, and what it counts with it; the other measure keeps its own.
  await drawer(page, 'Balls')
  await page.getByRole('button', { name: /^Task 1:/ }).click()
  await page.getByRole('button', { name: 'Drop task 1' }).click()
  await drawer(page, 'What counts')
  await counts.getByRole('button', { name: '2 with a ball' }).click()
  await expect(counts.getByText('17 made in all')).toBeVisible()
})

test('twenty-five together on both diagonals are on one count, with misses by their kind', async ({
  page,
  empty,
}) => {
  test.slow()
  const counts = await own(page, empty, 'Last Stretch')
  // One measure: 25 in the strip, everybody on one count; the other diagonal is like it.
  await counts.getByLabel('What measure 1 is called').fill('forehand diagonal')
  await counts.getByLabel('Who counts').selectOption('everybody on one count')
  await counts.getByText('What else is marked').click()
  await counts.getByLabel('misses are marked net, long or wide').check()
  await counts.getByRole('button', { name: 'Add a measure' }).click()
  await counts.getByLabel('What measure 2 is called').fill('backhand diagonal')
  await counts.getByLabel('Whose ladder it counts on').selectOption('backhand')
  await counts.getByLabel('They run').selectOption('one after the other')
  await expect(counts.getByText('25 made in all, everybody on one count')).toBeVisible()
  await saved(page)

  await planned(page, empty, 'Last Stretch (my version)')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${page.url()}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const counting = page.getByRole('region', { name: 'Counting' })
  await expect(counting.getByText('Ada + Ben: 25 made in all, everybody on one count')).toBeVisible()
  await press(counting, 'Long')
  await press(counting, 'Net')
  await press(counting, 'Long')
  for (let ball = 0; ball < 25; ball++) await press(counting, 'Made')
  await on(counting, 'backhand diagonal')
  // Its count is as it was, so that only the answer says that the miss has arrived.
  const answered = page.waitForResponse(
    (response) => response.url().endsWith('/acts') && !!response.request().postData()?.includes('"wide"'),
  )
  await press(counting, 'Wide')
  await answered
  await expect(counting.getByText('Now 0 of 25')).toBeVisible()

  const ada = await afterwards(page)
  const ben = page.getByRole('region', { name: eight[1]?.name })
  for (const both of [ada, ben]) {
    await expect(
      both.getByRole('row', { name: /forehand diagonal 25 of 28 1 net, 2 long .* ✓ met/ }),
    ).toBeVisible()
    await expect(both.getByRole('row', { name: /backhand diagonal 0 of 1 1 wide/ })).toBeVisible()
  }
})

test('what makes a movement right is chosen, drawn and said on court', async ({ page, empty }) => {
  const counts = await own(page, empty, 'Shadow Six')
  // A mistake: there is no recovery mark to come back to.
  await counts.getByLabel('Right when').selectOption('back at the recovery mark')
  await counts.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(counts.getByText(/no recovery mark to come back to/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await counts.getByLabel('Right when').selectOption('feet in a box')
  await counts.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(counts.getByRole('list', { name: 'What makes it right' })).toContainText('feet in the near')
  await expect(page.getByRole('group', { name: /^Shadow Six/ }).locator('polygon.criterion')).toBeVisible()
  await counts.getByLabel('Constraint').fill('hands behind the back')
  await counts.getByLabel('Constraint').press('Tab')
  await saved(page)
  await planned(page, empty, 'Shadow Six (my version)')
  const counting = await courtside(page)
  await expect(counting.getByText(/feet in the near .*; hands behind the back/)).toBeVisible()
  await expect(counting.getByText('of 0 repetitions')).toBeVisible()
  await press(counting, 'Made')
  await expect(counting.getByText(/of 1 repetition$/)).toBeVisible()
})

test('a technique block is counted: four fingers, three and two, a minute each', async ({ page, empty }) => {
  const students: string[] = []
  for (const student of eight.slice(0, 2)) students.push(await kept(empty, 'students', student))
  const id = await kept(empty, 'lessons', {
    version: 4,
    title: 'Grip',
    date: '2026-03-10',
    start: '16:00',
    minutes: 60,
    space: {},
    note: '',
    students,
    blocks: [],
  })
  await page.goto(`${empty.url}/#/lessons/${id}`)
  await addDrill(page, 'Technique')
  await expect(page.getByText('nothing yet')).toBeVisible()
  await page.getByRole('button', { name: 'Choose by which drill it is counted' }).click()
  await page.getByRole('combobox', { name: 'What to add' }).fill('four three')
  await page.getByRole('option', { name: /^Four, Three, Two / }).click()
  // By hand: a minute of shadow strokes 3 s apart is 20, three times; a third of the 60 for each grip.
  const expected = page.getByRole('list', { name: 'What to expect' })
  await expect(expected.getByRole('listitem')).toHaveCount(3)
  await expect(expected.getByRole('listitem').first()).toContainText('1 four fingers: 20 repetitions each')
  await expect(page.getByRole('heading', { name: 'What to call, and when' })).toBeVisible()
  await saved(page)
  const counting = await courtside(page)
  await press(counting, /^Start the clock/)
  for (let n = 0; n < 12; n++) await press(counting, 'Made')
  await expect(counting.getByText('Now 12, hoping for 12')).toBeVisible()
  await on(counting, 'four fingers')
  // Its minute is up by the clock: what is tapped now is of the next one.
  await expect(counting.getByText(/not answered/)).toHaveCount(0)
  await moveClock(empty, id, 100)
  await on(counting, 'three')
  await press(counting, 'Made')
  const ada = await afterwards(page)
  await expect(
    ada.getByRole('row', {
      name: /Four, Three, Two, four fingers 12 of 12 .* ✓ 12, hoped for 12; the time is up/,
    }),
  ).toBeVisible()
  await expect(ada.getByRole('row', { name: /, two .*not counted/ })).toBeVisible()
})

test('few misses into the net within a time, with a forfeit for whoever wants it', async ({
  page,
  empty,
}) => {
  const counts = await own(page, empty, 'Last Stretch')
  await counts.getByLabel('Goal', { exact: true }).selectOption('few misses')
  // A mistake: more misses than balls.
  await counts.getByLabel('Misses at most').fill('900')
  await counts.getByLabel('Misses at most').press('Tab')
  await expect(counts.getByText(/^with 900 misses in 25 balls nothing has to be made/)).toBeVisible()
  await counts.getByLabel('Misses at most').fill('1')
  await counts.getByLabel('Misses at most').press('Tab')
  await counts.getByLabel('Which misses').selectOption('into the net')
  await counts.getByLabel('Within (0: so many balls)').fill('4')
  await counts.getByLabel('Within (0: so many balls)').press('Tab')
  await expect(counts.getByText('at most 1 ball into the net in 4 min').first()).toBeVisible()
  await counts.getByText('What else is marked').click()
  await counts.getByLabel('Forfeit of measure 1').fill('three split steps')
  await counts.getByLabel('Forfeit of measure 1').press('Tab')
  await saved(page)
  const expected = await planned(page, empty, 'Last Stretch (my version)')
  await expect(expected).toContainText('at most 1 ball into the net in 4 min')
  await page.getByText(/^Cautions that apply/).click()
  await expect(page.getByText(/Forfeits are optional and not for everybody/)).toBeVisible()
  const counting = await courtside(page)
  await expect(counting.getByText('after a miss, for whoever wants: three split steps')).toBeVisible()
  await press(counting, 'Made')
  await press(counting, 'Long')
  await press(counting, 'Net')
  await expect(
    counting.getByText('1 ball into the net of at most 1 until the time is up', { exact: false }),
  ).toBeVisible()
  await press(counting, 'Time is up')
  await expect(counting.getByText('Met ✓')).toBeVisible()
  await press(counting, /^Undo/)
  await press(counting, 'Net')
  await expect(counting.getByText('one miss too many')).toBeVisible()
  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /1 of 4 .*2 net, 1 long/ })).toBeVisible()
})

test('two sides play against one another: what one wins the other loses', async ({ page, empty }) => {
  const counts = await own(page, empty, 'Coin in the Corner')
  // A mistake: two sides do not count balls.
  await counts.getByLabel('Who counts').selectOption('two sides, one against the other')
  await expect(counts.getByText(/two sides play points against one another/).first()).toBeVisible()
  await counts.getByLabel('What is tried').selectOption('point')
  await counts.getByLabel('Goal', { exact: true }).selectOption('first to')
  await counts.getByLabel('Points to win').fill('3')
  await counts.getByLabel('Points to win').press('Tab')
  await saved(page)
  await planned(page, empty, 'Coin in the Corner (my version)')
  const counting = await courtside(page)
  await press(counting, 'Point to Ada')
  await press(counting, 'Point to Ben')
  await expect(counting.getByText('Now 1 : 1')).toBeVisible()
  await press(counting, 'Ben')
  await press(counting, 'Point to Ben')
  await expect(counting.getByText('Now 2 : 1')).toBeVisible()
  await press(counting, 'Ada')
  await expect(counting.getByText('Now 1 : 2')).toBeVisible()
  await press(counting, 'Point to Ben')
  await expect(counting.getByText('Now lost')).toBeVisible()
  await afterwards(page)
  const ben = page.getByRole('region', { name: eight[1]?.name })
  await expect(ben.getByRole('row', { name: /3 : 1 .* ✓ met/ })).toBeVisible()
})

test('a rally of 4 to 19 strokes is set up, planned, counted and read', async ({ page, empty }) => {
  const counts = await own(page, empty, 'Four and Out')
  await counts.getByLabel('Strokes, at least').fill('4')
  await counts.getByLabel('Strokes, at least').press('Tab')
  // A mistake: the longest is shorter than the shortest.
  await counts.getByLabel('At most', { exact: true }).fill('3')
  await counts.getByLabel('At most', { exact: true }).press('Tab')
  await expect(
    counts.getByText('the longest rally is shorter than the shortest', { exact: true }),
  ).toBeVisible()
  await counts.getByLabel('At most', { exact: true }).fill('19')
  await counts.getByLabel('At most', { exact: true }).press('Tab')
  await counts.getByLabel('How many', { exact: true }).fill('2')
  await counts.getByLabel('How many', { exact: true }).press('Tab')
  await expect(counts.getByText('2 rallies of 4 to 19 strokes').first()).toBeVisible()
  await saved(page)
  const expected = await planned(page, empty, 'Four and Out (my version)')
  // By hand: three turns of six rallies of 4 × 1.6 s and a pause of 12 s are 331 s. Ada, a child on the full court,
  // plays 3 of 10 over, high and slow, a stroke every 2.16 s: 1.43 strokes and the pause are 15.1 s, so there are 21.
  await expect(expected).toContainText(/21 rallies each; 2 rallies of 4 to 19 strokes: Ada/)
  const counting = await courtside(page)
  await press(counting, 'Count after the rally')
  await rally(counting, 5)
  await expect(counting.getByText('Now 1 of 2 rallies')).toBeVisible()
  await rally(counting, 20)
  await expect(
    counting.getByText('Now 1 of 2 rallies; the last one got to 20 strokes: too slow'),
  ).toBeVisible()
  await rally(counting, 19)
  await expect(counting.getByText('Met ✓')).toBeVisible()
  const ada = await afterwards(page)
  // By hand: 5 + 20 + 19 strokes, and two misses, as the long one was stopped.
  await expect(ada.getByRole('row', { name: /Four and Out \(my version\) 3 rallies .* ✓ met/ })).toBeVisible()
  await expect(ada.getByText('44 of 46 balls', { exact: true })).toBeVisible()
})

test('a timed run with three tries is set up, planned, counted and read', async ({ page, empty }) => {
  const counts = await own(page, empty, 'Round the Posts')
  await counts.getByLabel('Within', { exact: true }).fill('35')
  await counts.getByLabel('Within', { exact: true }).press('Tab')
  await counts.getByLabel('Tries', { exact: true }).fill('3')
  await counts.getByLabel('Tries', { exact: true }).press('Tab')
  await expect(counts.getByText('within 35 s, the best of 3 tries').first()).toBeVisible()
  await saved(page)
  const expected = await planned(page, empty, 'Round the Posts (my version)')
  await expect(expected).toContainText('within 35 s, the best of 3 tries')
  const counting = await courtside(page)
  await press(counting, 'Type the time')
  for (const seconds of ['39.5', '36', '34.8']) {
    await counting.getByLabel('This try took').fill(seconds)
    await counting.getByLabel('This try took').press('Tab')
    await press(counting, 'Take it')
  }
  await expect(counting.getByText('Met ✓')).toBeVisible()
  const ada = await afterwards(page)
  await expect(ada.getByRole('row', { name: /3 tries .* ✓ met, 34.8 s|3 tries .*best 34.8 s/ })).toBeVisible()
})

test('x of y is counted after a turn of any length', async ({ page, empty }) => {
  await planned(page, empty, 'Two and Away')
  const counting = await courtside(page)
  await press(counting, 'Count after the turn')
  await press(counting, 'One more in this turn')
  await press(counting, 'One more in this turn')
  await press(counting, '3 of 4')
  await press(counting, 'Ada')
  await expect(counting.getByText('Now 3 of 5')).toBeVisible()
  // The next turn is as long as planned again.
  await expect(counting.getByRole('button', { name: '2 of 2' })).toBeVisible()
})

test('together is never on one count, a measure keeps a task, and what is refused is put right on a page that is there', async ({
  page,
  empty,
}) => {
  const counts = await own(page, empty, 'Last Stretch')
  await counts.getByLabel('Who counts').selectOption('each pair on one count')
  await counts.getByLabel('Goal', { exact: true }).selectOption('together')
  await expect(counts.getByLabel('Who counts')).toHaveValue('each player')
  await saved(page)
  await counts.getByLabel('Who counts').selectOption('each pair on one count')
  await expect(counts.getByLabel('Goal', { exact: true })).toHaveValue('total')
  await saved(page)

  await counts.getByText('task 1').click()
  await expect(counts.getByLabel('task 2')).toBeDisabled()
  await saved(page)

  // Sequences beyond what a turn can have are refused: after a reload all is there, to be put right or left.
  await drawer(page, 'Balls')
  const sequences = page.getByLabel('Sequences a turn')
  await sequences.fill('24')
  await sequences.press('Tab')
  await saved(page)
  await sequences.fill('199')
  await sequences.press('Tab')
  await expect(page.getByText('Not saved: something needs putting right')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Not saved: something needs putting right')).toBeVisible()
  await expect(page.getByRole('group', { name: /^Last Stretch \(my version\) on/ })).toBeVisible()
  await drawer(page, 'Balls')
  await expect(sequences).toHaveValue('199')
  await page.getByRole('button', { name: 'Back to what is saved' }).click()
  await expect(sequences).toHaveValue('24')
  await saved(page)
})
