import { expect, openLesson, test } from './fixtures'
import { Acts, enabled, game, kept, side, won } from './gameacts'

/** The game desk beyond its sentences: a line in words, versions, targets, strokes that are counted, pairs. */
test.use({ viewport: { width: 390, height: 844 } })

test('a game is written as one line, and what is not understood is said', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(`${demo.url}/#/games`)
  await acts.press(/^Duplicate/, game(page, 'Ten for Five'))
  await page.getByRole('tab', { name: 'Words, care' }).click()
  await page.getByText('In words', { exact: true }).click()
  const line = page.getByLabel('The game in words')
  await expect(line).toHaveValue(/^1v1; .*serve then other every 2; to 10:5$/)
  await line.fill('2v2; serve, then winner; bonus "cone hit" 3 wins; to eleven')
  await expect(page.getByText('eleven: is not known here')).toBeVisible()
  await line.press('Enter')
  await expect(page.getByText('One against one.')).toBeVisible()
  await line.fill(
    '2v2; serve, then winner; bonus "cone hit" 3 wins; count lob by receiving; to 11, two ahead',
  )
  await expect(page.getByText('worth 3', { exact: true })).toBeVisible()
  await line.press('Enter')
  await expect(page.getByText('Two against two.')).toBeVisible()
  await expect(page.getByText('Cone hit wins the rally and is 3 points.')).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()
  // It is the game’s own line now, with the places where players usually begin.
  await expect(line).toHaveValue(
    /^2v2; serve then winner; bonus "cone hit" 3 wins; count lob .*to 11 two ahead$/,
  )
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByText('The near side needs 10, the far side 5.')).toBeVisible()
})

test('strokes are counted beside the score, and stand beside the same strokes in drills', async ({
  page,
  demo,
}) => {
  const acts = new Acts(page)
  await page.goto(`${demo.url}/#/games`)
  await acts.press(/^Duplicate/, game(page, 'Ten for Five'))
  await acts.press('A stroke is counted beside the score')
  await page.getByLabel('Counted 1: stroke', { exact: true }).selectOption('backhand')
  await page.getByLabel('Counted 1: by').selectOption({ label: 'either side' })
  await page.getByLabel('Counted 1: name').fill('deep backhand')
  await page.getByLabel('Counted 1: stroke of the rally').fill('0')
  await page.getByLabel('Counted 1: stroke of the rally').press('Tab')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await acts.press(/^Play/)
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  for (const made of ['made', 'missed', 'missed']) {
    await enabled(page)
    await acts.press(new RegExp(`^deep backhand ${made}`), side(page, 'near'))
    await expect(page.getByText(new RegExp(`Teo Brackwell: deep backhand ${made}`))).toBeVisible()
  }
  await won(page, 'near', '1:0')
  const counted = page.getByRole('table', { name: 'Strokes counted' })
  await expect(counted).toContainText('Teo Brackwell: deep backhand')
  await expect(counted).toContainText('1 of 3 made')
  // The last tap was the rally; the one before it was a miss: taken back, both.
  await acts.press('Take back')
  await expect(page.getByText('Teo Brackwell: deep backhand missed.', { exact: true })).toBeVisible()
  await acts.press('Take back')
  await expect(counted).toContainText('1 of 2 made')
  await page.reload()
  await expect(counted).toContainText('1 of 2 made')

  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  const both = page.getByRole('region', { name: 'From drills to games' })
  await expect(both).toContainText('backhand')
  await expect(both).toContainText(/less is made in games \d/)
  await both.getByRole('button', { name: 'How this came about' }).first().click()
  await expect(page.getByRole('dialog')).toContainText('Newcombe')
})

test('a bonus that says that a stroke was made is one tap, and of a pair it is said who', async ({
  page,
  demo,
}) => {
  const acts = new Acts(page)
  await page.goto(`${demo.url}/#/games`)
  await acts.press(/^Play/, game(page, 'The Third Is Soft'))
  await acts.begin('Oskar Vance', 'Lotte Winsome', 'Priya Dunmore', 'Teo Brackwell')
  await enabled(page)
  await acts.press(/^Lotte Winsome: third stroke made/, side(page, 'near'))
  await expect(page.getByText('+1 once the rally is over')).toBeVisible()
  await expect(page.getByRole('button', { name: /third stroke/ })).toHaveCount(0)
  await won(page, 'far', '1:1')
  await expect(page.getByRole('table', { name: 'Strokes counted' })).toContainText('1 of 1 made')
})

test('versions of a game: made in one press, seen, played, and chosen in a lesson', async ({
  page,
  demo,
}) => {
  const acts = new Acts(page)
  await page.goto(`${demo.url}/#/games`)
  await acts.press(/^Duplicate/, game(page, 'Ten for Five'))
  await page.getByRole('tab', { name: 'Versions' }).click()
  await acts.press('half court')
  await acts.press('ad side')
  await page.getByLabel('Version 2: points of the near side').fill('7')
  await page.getByLabel('Version 2: points of the near side').press('Tab')
  await acts.press('ad side')
  await page.getByRole('tab', { name: 'Words, care' }).click()
  await expect(page.getByText('The near side needs 7, the far side 5.')).toBeVisible()
  await expect(page.getByText('From the left of the middle.')).toBeVisible()
  await expect(page.getByText('All changes saved')).toBeVisible()
  // A version without a name is told where it stands.
  await page.getByRole('tab', { name: 'Versions' }).click()
  await page.getByLabel('Version 1: name').fill('')
  await page.getByLabel('Version 1: name').press('Tab')
  await expect(page.getByText('this must not be empty').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.getByRole('button', { name: /^Play/ }).click()
  await page.getByRole('dialog').getByLabel('Version').selectOption('half court')
  await acts.begin('Teo Brackwell', 'Noor Haldane')
  await enabled(page)
  await expect(page.getByRole('button', { name: 'not kept: on half of the court' })).toHaveCount(2)
  await won(page, 'far', '0:1')
  await kept(page, 'Ten for Five (my version): half court', /0 : 1/)

  await page.setViewportSize({ width: 1280, height: 800 })
  await openLesson(page, demo, 'Noor and Teo')
  await page.getByRole('button', { name: 'Add to the lesson' }).click()
  await page.getByLabel('What to add').fill('four and four')
  await page.getByRole('option', { name: /^Four and Four: orange court / }).click()
  const road = page.getByRole('group', { name: 'The lesson as a road' })
  await expect(road.getByRole('button', { name: /Four and Four: orange court, / })).toBeVisible()
  const version = page.getByLabel('Version', { exact: true })
  await expect(version).toHaveValue('orange court')
  await version.selectOption('deuce side')
  await expect(road.getByRole('button', { name: /Four and Four: deuce side, / })).toBeVisible()
})

test('what is typed while a change is being worked out stays', async ({ page, demo }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${demo.url}/#/games`)
  await new Acts(page).press(/^Duplicate/, game(page, 'Ten for Five'))
  await expect(page.getByRole('button', { name: /^near side, place 1/ })).toBeVisible()
  let answered = () => {}
  const slow = new Promise<void>((resolve) => (answered = resolve))
  await page.route('**/api/games/preview', async (route) => {
    if (route.request().postData()?.includes('"size"')) await slow
    await route.continue()
  })
  const asked = page.waitForRequest((request) => request.postData()?.includes('"size"') === true)
  await page.getByLabel('Players on the near side').fill('3')
  await page.keyboard.press('Tab')
  await asked
  await page.getByLabel('Points of the near side').fill('14')
  await page.keyboard.press('Tab')
  answered()
  await expect(page.getByRole('button', { name: /^near side, place 3/ })).toBeVisible()
  await expect(page.getByLabel('Points of the near side')).toHaveValue('14')
  await expect(page.getByText('All changes saved')).toBeVisible()
})

test('a target of a bonus is put on the court, sized in words and moved by key', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${demo.url}/#/games`)
  await acts.press(/^Duplicate/, game(page, 'Ten for Five'))
  await acts.press('Something else is worth points')
  await page.getByLabel('Bonus 1: target').selectOption('circle')
  const size = page.getByLabel(/^Bonus 1: (within|across)/)
  await size.fill('a lot')
  await size.press('Tab')
  await expect(page.getByRole('alert').first()).toBeVisible()
  await size.fill('1.2 m')
  await size.press('Tab')
  await expect(size).toHaveValue('1.2 m')
  const spot = page.getByRole('button', { name: /^target hit: / })
  const before = await spot.getAttribute('aria-label')
  await spot.focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(() => spot.getAttribute('aria-label')).not.toBe(before)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await expect(size).toHaveValue('1.2 m')
})

test('a round robin of pairs, with its table by pair', async ({ page, demo }) => {
  const acts = new Acts(page)
  await page.goto(`${demo.url}/#/games/played`)
  await acts.press('Round robin')
  await page.getByRole('checkbox', { name: /^Two against two/ }).check()
  await acts.begin('Noor Haldane', 'Teo Brackwell', 'Wren Abbery')
  await expect(page.getByRole('alert')).toContainText('even number')
  await acts.begin('Callum Fenwright')
  const rows = page.getByRole('region', { name: 'Games', exact: true }).getByRole('row')
  await expect(rows).toHaveCount(2)
  await rows.nth(1).getByRole('textbox').nth(0).fill('6')
  await rows.nth(1).getByRole('textbox').nth(1).fill('4')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('region', { name: 'Table of results' }).getByRole('row').nth(1)).toContainText(
    'Noor Haldane and Teo Brackwell',
  )
})

test('by who feeds and by side chances differ, and the fair score follows', async ({ page, demo }) => {
  await page.goto(`${demo.url}/#/games`)
  await game(page, 'Serve, Then One More').getByRole('link').first().click()
  await page.getByRole('tab', { name: /^Try it/ }).click()
  await page.getByRole('checkbox', { name: /^who serves makes a difference/ }).check()
  const serving = page.getByRole('slider', { name: /^The near side wins, where it serves,/ })
  await serving.fill('0.8')
  await page.getByRole('slider', { name: /^and where the far side serves/ }).fill('0.2')
  const drum = page.getByRole('button', { name: /^Near side wins/ })
  const wins = async () => Number(/ (\d\.\d) of 10/.exec((await drum.textContent()) ?? '')?.[1])
  await expect.poll(wins).toBeLessThan(8) // it serves first: that is worth something even among equals
  await expect.poll(wins).toBeGreaterThan(6)
  await serving.fill('0.6')
  await expect.poll(wins).toBeLessThan(5.5)
  await page.getByRole('checkbox', { name: /^who serves makes a difference/ }).uncheck()
  await expect(page.getByRole('slider', { name: /^The near side wins/ })).toHaveValue('0.6')
  await expect.poll(wins).toBeGreaterThan(6)
  // What is thought of both sides is there when the game is opened again.
  await page.goto('about:blank')
  await page.goto(`${demo.url}/#/games`)
  await game(page, 'Serve, Then One More').getByRole('link').first().click()
  await page.getByRole('tab', { name: /^Try it/ }).click()
  await expect(page.getByRole('slider', { name: /^The near side wins/ })).toHaveValue('0.6')
})
