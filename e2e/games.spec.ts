import { expect, expectClean, openLesson, test, toBlock } from './fixtures'
import { Acts, award, enabled, game, kept, shows, side, won } from './gameacts'

/**
 * Games set up, scored and found again on a page of a phone's size; an act is one press, one choice, one filled field.
 */
test.use({ viewport: { width: 390, height: 844 } })

const six = [
  'Noor Haldane',
  'Teo Brackwell',
  'Priya Dunmore',
  'Wren Abbery',
  'Callum Fenwright',
  'Ines Corrigane',
]

test('a net game of six with rotation, an unscored round and everybody’s own score', async ({
  page,
  demo,
}) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press(/^Play/, game(page, 'Hold the Line'))
  await acts.begin(...six)
  expect(acts.n).toBeLessThanOrEqual(10)

  await expect(page.getByText(/it does not count yet/)).toBeVisible()
  for (let i = 0; i < 5; i++) {
    await enabled(page)
    await won(page, 'near', '0:0')
    if (i < 4) await expect(page.getByText(/it does not count yet/)).toBeVisible()
    // A press counts once it is answered.
    await expect(page.getByText('Noor Haldane, Teo Brackwell and Priya Dunmore win the rally.')).toBeVisible()
    await page.reload()
  }
  await expect(page.getByText(/it does not count yet/)).toBeHidden()
  const own = page.getByRole('table', { name: 'Own scores' })
  await won(page, 'near', '1:0')
  // Everybody has moved on by one place: who was last on the far side stands on the near one.
  await expect(own.getByRole('row', { name: 'Ines Corrigane 1' })).toBeVisible()
  await expect(own.getByRole('row', { name: 'Priya Dunmore 0' })).toBeVisible()
  await won(page, 'far', '1:1')
  await expect(own.getByRole('row', { name: 'Priya Dunmore 1' })).toBeVisible()
  await page.getByText('Who stands where').click()
  await expect(page.getByRole('listitem').filter({ hasText: '1: Ines Corrigane, near side' })).toBeVisible()
  await page.getByText('End it here').click()
  await page.getByRole('button', { name: /^Time is up/ }).click()
  await expect(page.getByText(/with most points/)).toBeVisible()
  await kept(page, 'Hold the Line', /Noor Haldane 1/)
})

test('a game to 5 with a bonus for the first two shots', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press(/^Play/, game(page, 'Serve, Then One More'))
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  expect(acts.n).toBeLessThanOrEqual(10)

  await award(page, 'near', 'serve and next shot made')
  await expect(page.getByText('+1 once the rally is over')).toBeVisible()
  // A bonus and a serve that was not returned do not go together.
  await expect(side(page, 'near').getByRole('button', { name: /^serve not returned/ })).toBeHidden()
  await won(page, 'near', '2:0')
  await enabled(page)
  await page.getByRole('button', { name: 'Serve out' }).click()
  await expect(page.getByText(/Teo Brackwell serves a second time/)).toBeVisible()
  await page.getByRole('button', { name: 'Serve out' }).click()
  await shows(page, '2:1')
  await expect(side(page, 'far').getByRole('button', { name: /^serve and next/ })).toBeVisible()
  await award(page, 'far', 'serve or next shot missed')
  await shows(page, '3:1')
  // A choice is marked beside the score.
  await page.getByText('Choices', { exact: true }).click()
  await enabled(page)
  await page.getByRole('button', { name: 'Right choice' }).click()
  await expect(page.getByText('Choices: 1 right, 0 wrong')).toBeVisible()
  await shows(page, '3:1')
  await enabled(page)
  await page.getByRole('button', { name: 'Take back' }).click()
  await expect(page.getByText('Choices', { exact: true })).toBeVisible()
  // Taken back, put back.
  await enabled(page)
  await page.getByRole('button', { name: 'Take back' }).click()
  await shows(page, '2:1')
  await enabled(page)
  await page.getByRole('button', { name: 'Put back' }).click()
  await shows(page, '3:1')
  await enabled(page)
  await won(page, 'near', '4:1')
  await enabled(page)
  await won(page, 'near', '5:1')
  await expect(page.getByText('Over: Teo Brackwell won.')).toBeVisible()
  await kept(page, 'Serve, Then One More', /Teo Brackwell – Noor Haldane\s*5 : 1/)
  // It is a result between two, and nobody's balls.
  await page.goto(`${demo.url}/#/games/ranking`)
  await expect(page.getByRole('row', { name: /Teo Brackwell/ })).toBeVisible()
})

test('little matches of three balls with a sweep', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press(/^Play/, game(page, 'Three Openings'))
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  expect(acts.n).toBeLessThanOrEqual(10)
  for (const ball of ['second serve', 'volley', 'overhead']) {
    await enabled(page)
    await expect(page.getByText(new RegExp(`: ${ball}\\.`))).toBeVisible()
    await won(page, 'near', ball === 'overhead' ? '2:0' : '0:0')
  }
  for (const which of ['far', 'near', 'far'] as const) {
    await enabled(page)
    await side(page, which)
      .getByRole('button', { name: /wins the rally/ })
      .click()
    await expect(
      page.getByText(`${which === 'far' ? 'Noor Haldane' : 'Teo Brackwell'} wins the rally.`),
    ).toBeVisible()
  }
  await shows(page, '2:1')
  await kept(page, 'Three Openings', /2 : 1/)
})

test('a soft game to 11 with cones that are worth three', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press(/^Play/, game(page, 'Soft and Sharp'))
  await acts.begin('Oskar Vance', 'Lotte Winsome')
  expect(acts.n).toBeLessThanOrEqual(10)
  await award(page, 'near', 'cone hit')
  await shows(page, '3:0')
  await enabled(page)
  await award(page, 'far', 'cone hit')
  await shows(page, '3:3')
  await award(page, 'near', 'not kept: what is out of reach in front')
  await shows(page, '3:4')
  await enabled(page)
  await page.getByRole('button', { name: 'Play it again' }).click()
  await expect(page.getByText('Played again.')).toBeVisible()
  await shows(page, '3:4')
  for (const score of ['3:7', '3:10', '3:13']) {
    await award(page, 'far', 'cone hit')
    await shows(page, score)
  }
  await expect(page.getByText('Over: Lotte Winsome won.')).toBeVisible()
  await kept(page, 'Soft and Sharp', /3 : 13/)
})

test('a duel whose score Hodometer proposed', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press(/^Duplicate/, game(page, 'Ten for Five'))
  acts.n++
  await page.getByRole('tab', { name: /^Try it/ }).click()
  acts.n++
  await page.getByLabel(/The near side wins/).fill('0.6')
  // Or as it is between two who have played.
  await page.getByLabel('Who plays on the near side').selectOption({ label: 'Teo Brackwell' })
  await page.getByLabel('Who plays on the far side').selectOption({ label: 'Noor Haldane' })
  await expect(
    page.getByText(
      /^From \d+ points against each other\. \d+ against \d+: the near side wins \d\.\d of 10 rallies/,
    ),
  ).toBeVisible()
  await page.getByLabel(/The near side wins/).fill('0.6')
  const fair = page.getByRole('region', { name: 'A fair score' }).getByRole('button').first()
  await expect(fair).toContainText(/won (4\.[5-9]|5\.[0-5]) of 10/)
  const proposed = async () =>
    ((await fair.locator('.drum-digits').textContent()) ?? '').split(':').map(Number)
  // The near side is the stronger one now, and needs more.
  await expect.poll(async () => ((pair) => (pair[0] ?? 0) > (pair[1] ?? 0))(await proposed())).toBe(true)
  const [, far] = await proposed()
  acts.n++
  await fair.click()
  await expect(fair).toBeDisabled()
  await expect(page.getByText('All changes saved')).toBeVisible()
  await acts.press(/^Play/)
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  expect(acts.n).toBeLessThanOrEqual(10)
  for (let i = 1; i <= (far ?? 0); i++) {
    await enabled(page)
    await won(page, 'far', `0:${i}`)
  }
  await expect(page.getByText('Over: Noor Haldane won.')).toBeVisible()
  await kept(page, 'Ten for Five (my version)', new RegExp(`0 : ${far}`))
})

test('a round robin of seven with its ranking', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(demo.url)
  await acts.follow('Games')
  await acts.press('Round robin')
  await acts.begin(...six, 'Bram Ostley')
  expect(acts.n).toBeLessThanOrEqual(10)
  await expect(page.getByText('Games, 0 of 21 played')).toBeVisible()
  const rows = page.getByRole('region', { name: 'Games', exact: true }).getByRole('row')
  await expect(rows).toHaveCount(22)
  for (let i = 1; i <= 4; i++) {
    await rows.nth(i).getByRole('textbox').nth(0).fill('11')
    await rows.nth(i).getByRole('textbox').nth(1).fill(String(i))
    await rows.nth(i).getByRole('textbox').nth(1).press('Tab')
  }
  await expect(page.getByText('Games, 4 of 21 played')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Games, 4 of 21 played')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Table of results' }).getByRole('row').nth(1)).toContainText(
    '1',
  )
  // What makes no sense is told, and nothing is recorded.
  await rows.nth(5).getByRole('textbox').nth(0).fill('eleven')
  await rows.nth(5).getByRole('textbox').nth(0).press('Tab')
  await expect(page.getByRole('alert')).toContainText('whole numbers')
  await expect(page.getByText('Games, 4 of 21 played')).toBeVisible()
  await page.getByRole('link', { name: 'Ranking' }).first().click()
  await expect(page.getByText(/A place in this order is \d\.\d of 10 sure/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'Singles' }).getByRole('listitem').first()).toContainText(
    /\d\.\d : \d\.\d/,
  )
  await page.goto(`${demo.url}/#/games/played`)
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Everybody against everybody, 7' }),
  ).toContainText('4 of 21 games')
})

test('up and down the courts: winners go up, losers down', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/games/played`)
  const acts = new Acts(page)
  await acts.press('Up and down')
  await acts.begin('Noor Haldane', 'Teo Brackwell', 'Wren Abbery', 'Callum Fenwright')
  const rows = page.getByRole('region', { name: 'Games', exact: true }).getByRole('row')
  await expect(rows).toHaveCount(3)
  for (const [row, near, far] of [
    [1, '11', '7'],
    [2, '5', '11'],
  ] as const) {
    await rows.nth(row).getByRole('textbox').nth(0).fill(near)
    await rows.nth(row).getByRole('textbox').nth(1).fill(far)
    await page.keyboard.press('Tab')
  }
  await expect(rows).toHaveCount(5)
  await expect(rows.nth(3)).toContainText('Noor Haldane – Callum Fenwright')
  await expect(rows.nth(4)).toContainText('Teo Brackwell – Wren Abbery')
})

test('two devices count one game: a rally has one winner', async ({ page, browser, demo }) => {
  const core = page
    .waitForResponse((response) => response.url().endsWith('.wasm'))
    .then((response) => response.finished())
  await page.goto(`${demo.url}/#/games`)
  const acts = new Acts(page)
  await acts.press(/^Play/, game(page, 'Ten for Five'))
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  await enabled(page)
  await core
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await other.goto(page.url())
  await enabled(other)
  await other.getByRole('button', { name: 'Only look on' }).click()
  await won(page, 'near', '1:0')
  await shows(other, '1:0')
  await other.getByRole('button', { name: 'Count here' }).click()
  await won(other, 'far', '1:1')
  await shows(page, '1:1')
  // The program is away for a while: what was tapped waits on the device, and counts afterwards.
  await demo.stop()
  await side(page, 'near')
    .getByRole('button', { name: /wins the rally/ })
    .click()
  await expect(page.getByText('Kept on this device until Hodometer answers.')).toBeVisible()
  await shows(page, '2:1') // worked out on the device
  await demo.start()
  await page.reload()
  await shows(page, '2:1')
  await other.context().close()
})

test('a game is made of sentences, and what makes no sense is told where it stands', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${demo.url}/#/games`)
  await page.getByLabel('Court of a new game').selectOption('badminton')
  await page.getByRole('button', { name: 'New game' }).click()
  await expect(page.getByRole('heading', { name: 'New game', level: 1 })).toBeVisible()
  const minutes = page.getByRole('button', { name: /^Minutes/ })
  await expect(minutes).toBeVisible()
  const before = await minutes.textContent()
  await page.getByLabel('Points of the near side').fill('21')
  await page.keyboard.press('Tab')
  await page.getByLabel('Points of the far side').fill('21')
  await page.keyboard.press('Tab')
  await expect(minutes).not.toHaveText(before ?? '')
  await page.getByLabel('Players on the far side').fill('2')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: /^far side, place 3/ })).toBeVisible()
  await page.getByRole('button', { name: 'Something else is worth points' }).click()
  await page.getByLabel('Bonus 1: name').fill('net cord')
  await page.keyboard.press('Tab')
  await page.getByLabel('Bonus 1: by').selectOption('the side that holds the net')
  await expect(page.getByText('nobody holds the net in this game').first()).toBeVisible()
  await expect(page.getByText(/^Not saved/)).toBeVisible()
  await page.getByLabel('Who holds the net at first').selectOption('far')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByLabel('Points of the near side').fill('two')
  await page.keyboard.press('Tab')
  await expect(page.getByText('a whole number from 0 to 100')).toBeVisible()
  // A start place is moved by key, and everything outlives a reload.
  const place = page.getByRole('button', { name: /^near side, place 1/ })
  const was = await place.getAttribute('aria-label')
  await place.focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp')
  await expect(place).not.toHaveAttribute('aria-label', was ?? '')
  await expect(page.getByText('All changes saved')).toBeVisible()
  const moved = (await place.getAttribute('aria-label')) ?? ''
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(place).not.toHaveAttribute('aria-label', moved)
  await page.getByRole('button', { name: 'Redo', exact: true }).click()
  await expect(place).toHaveAttribute('aria-label', moved)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Bonus 1: name')).toHaveValue('net cord')
  await page.getByRole('tab', { name: /^Try it/ }).click()
  const rows = page.getByRole('region', { name: 'A game played through' }).getByRole('row')
  await expect(rows.last()).toContainText('Over')
  // More of a bonus ends the game sooner.
  const rallies = page.getByRole('button', { name: /^Rallies/ })
  const many = await rallies.textContent()
  await page.getByLabel('net cord').fill('5')
  await page.keyboard.press('Tab')
  await expect(rallies).not.toHaveText(many ?? '')
  // On another court everybody stands where they stood, in its measure.
  await page.getByRole('tab', { name: 'Rules' }).click()
  await page.getByLabel('Court', { exact: true }).selectOption('pickleball')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await expect(page.getByRole('button', { name: /^far side, place 3/ })).toBeVisible()
  await page.getByRole('tab', { name: 'Words, care' }).click()
  await expect(page.getByText('Net cord, by the side that holds the net,', { exact: false })).toBeVisible()
})

test('a game is added to a lesson in two acts, is on its road and sheet, and is scored on court', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const id = await openLesson(page, demo, 'Noor and Teo')
  const road = page.getByRole('group', { name: 'The lesson as a road' })
  const acts = new Acts(page)
  await acts.press('Add to the lesson')
  acts.n++
  await page.getByRole('option', { name: /^Ten for Five game, tennis/ }).click()
  expect(acts.n).toBe(2)
  await expect(road.getByRole('button', { name: /Ten for Five, / })).toBeVisible()
  // In three minutes there is no game of it: that is told, with what could be done.
  const editor = page.getByRole('region', { name: 'Ten for Five', exact: true })
  await editor.getByLabel('Minutes', { exact: true }).fill('3')
  await page.keyboard.press('Tab')
  await expect(editor.getByText(/not one game in four of five; to \d against \d it would be/)).toBeVisible()
  await expect(editor.getByText(/Ten for Five takes \d to \d min, four times of five/)).toBeVisible()
  await editor.getByRole('button', { name: /^Give it \d min/ }).click()
  await expect(editor.getByText(/min of it to play: one game/)).toBeVisible()
  await editor.getByText(/^Ten for Five: \d to \d min, four times of five/).click()
  await expect(page.getByText('The near side needs 10, the far side 5.')).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()

  await page.goto(`${demo.url}/#/lessons/${id}/sheet`)
  await expect(page.getByRole('group', { name: 'Start places of Ten for Five' })).toBeVisible()
  await expect(page.getByText('The near side needs 10, the far side 5.')).toBeVisible()

  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  const score = page.getByRole('button', { name: /^Score it/ })
  await toBlock(page, 'Ten for Five')
  await score.click()
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(2)
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  await enabled(page)
  await won(page, 'near', '1:0')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await expect(score).toBeVisible()
  await expect(page.getByRole('link', { name: /^Ten for Five 1 : 0/ })).toBeVisible()
  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  await expect(page.getByRole('region', { name: 'Games so far' })).toContainText('1 : 0')
})

for (const theme of ['chalk', 'floodlit'] as const) {
  test(`axe finds nothing on the pages about games: ${theme}`, async ({ page, demo }) => {
    await page.addInitScript((name) => localStorage.setItem('hodometer.theme', name), theme)
    await page.goto(`${demo.url}/#/games`)
    await expect(game(page, 'Hold the Line')).toBeVisible()
    await expectClean(page)
    await page.getByRole('link', { name: 'Serve, Then One More' }).click()
    for (const tab of ['Rules', /^Try it/, 'Versions', 'Words, care']) {
      await page.getByRole('tab', { name: tab }).click()
      await expect(page.getByRole('button', { name: /^Rallies/ })).toBeVisible()
      await expectClean(page)
    }
    await page.goto(`${demo.url}/#/games/ranking`)
    await expect(page.getByRole('region', { name: 'Singles' })).toBeVisible()
    await expectClean(page)
    await page.goto(`${demo.url}/#/games/played`)
    await expect(page.getByRole('listitem').filter({ hasText: 'Games to 11' }).first()).toBeVisible()
    await expectClean(page)
    await page.getByRole('link', { name: 'Games to 11' }).first().click()
    await expect(page.getByRole('region', { name: 'Results' })).toBeVisible()
    await expectClean(page)
    await page.goto(`${demo.url}/#/games`)
    await game(page, 'Hold the Line').getByRole('button', { name: /^Play/ }).click()
    await expectClean(page)
    await new Acts(page).begin(...six)
    await enabled(page)
    await expectClean(page)
  })
}
