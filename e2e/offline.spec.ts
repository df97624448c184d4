import type { Page } from '@playwright/test'
import { eight, expect, kept, lessonOf, lessonWith, test } from './fixtures'
import { Acts, enabled, shows, won } from './gameacts'
import { appKept, Phone } from './phone'
import { counting, kitOf, press, six, wholeLesson } from './wholelesson'

/** A lesson that is run where there is no network: on a phone, with a browser that is closed in the middle. */
test.use({ now: '2026-03-10T14:22:00' })

test('a whole lesson of six is run without the network, and every act is there once', async ({
  demo,
  now,
}) => {
  const phone = new Phone()
  await wholeLesson(phone, demo, now, {
    away: async (page) => {
      await demo.stop()
      await page.goto(demo.url)
      await expect(page.getByRole('region', { name: 'On this device' })).toBeVisible()
    },
    back: async () => demo.start(),
    courtside: (page) =>
      page
        .getByRole('region', { name: 'On this device' })
        .getByRole('listitem')
        .filter({ hasText: 'The afternoon six' })
        .getByRole('link', { name: 'Go courtside' })
        .click(),
    everybody: async (page) => {
      let counts = 0
      for (const [i, name] of six.entries()) {
        await press(page, name)
        for (const answer of ['Made', 'Missed', ...Array<string>(i + 1).fill('Made')]) {
          await press(page, answer)
          counts++
        }
        await expect(counting(page).getByText(`${i + 2} of ${i + 3}`, { exact: true })).toBeVisible()
        await expect(counting(page).getByText(`in a row ${i + 1}`)).toBeVisible()
      }
      await counting(page).getByRole('button', { name: /^Undo/ }).click() // taken back is an act of its own
      await expect(counting(page).getByText('6 of 7', { exact: true })).toBeVisible()
      return counts + 1
    },
    again: (page) => press(page, 'Made'),
  })
  await phone.end()
})

test('two devices count on one lesson, one of them away for a while', async ({
  demo,
  browser,
  page,
  now,
}) => {
  const id = await lessonOf(demo, 'The afternoon six')
  const second = await browser.newContext()
  await second.clock.install({ time: new Date(now) })
  const other = await second.newPage()
  for (const each of [page, other]) {
    await each.setViewportSize({ width: 390, height: 844 })
    await each.goto(`${demo.url}/#/lessons/${id}/courtside`)
    await expect(each.getByRole('region', { name: 'Time' })).toContainText('Body warm-up')
  }
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: /^The whole lesson/ }).click()
  // The other one watches, and does what is next.
  await expect(other.getByRole('button', { name: 'Hold' })).toBeVisible()
  for (const title of ['Ball warm-up', 'Two and Away']) {
    await other.getByRole('button', { name: 'Next block' }).click()
    await expect(page.getByRole('region', { name: 'Time' })).toContainText(title)
  }
  const press = async (on: Page, name: string, answer: string, times: number) => {
    const counting = on.getByRole('region', { name: 'Counting' })
    await counting.getByRole('button', { name, exact: true }).click()
    for (let i = 0; i < times; i++) await counting.getByRole('button', { name: answer, exact: true }).click()
  }
  await other.route('**/api/**', (route) => route.abort())
  await press(other, 'Ines', 'Made', 3)
  await press(other, 'Noor', 'Missed', 1)
  await expect(
    other.getByText('4 things you did are kept on this device until Hodometer answers.'),
  ).toBeVisible()
  await press(page, 'Noor', 'Made', 2)
  await page.getByRole('button', { name: 'One more minute' }).click()
  await other.unroute('**/api/**')
  await expect(other.getByText(/kept on this device/)).toHaveCount(0)
  // What both counted of Noor is in both, and so is the longer block.
  for (const each of [page, other]) {
    const counting = each.getByRole('region', { name: 'Counting' })
    await counting.getByRole('button', { name: 'Noor', exact: true }).click()
    await expect(counting.getByText('2 of 3', { exact: true })).toBeVisible()
    await counting.getByRole('button', { name: 'Ines', exact: true }).click()
    await expect(counting.getByText('3 of 3', { exact: true })).toBeVisible()
  }
  // One device counts one student: who was counted last on the other one is watched here, until they are taken over.
  const elsewhere = (on: Page) => on.getByText('Ines: counted on another device now.')
  await expect(elsewhere(page)).toBeVisible()
  await expect(elsewhere(other)).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Made', exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Count here' }).click()
  await page.getByRole('button', { name: 'Made', exact: true }).click()
  await expect(page.getByText('4 of 4', { exact: true })).toBeVisible()
  await expect(elsewhere(other)).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Ines', exact: true }).click()
  await expect(page.getByText('4 of 4', { exact: true })).toBeVisible()
  await expect(elsewhere(page)).toHaveCount(0) // this device counts her, also after a reload
  const left = (on: Page) => on.getByRole('region', { name: 'Time' }).locator('.drum .sr-only').textContent()
  const seconds = async (on: Page) => {
    const [minutes, rest] = ((await left(on)) ?? '').split(':').map(Number)
    return (minutes ?? 0) * 60 + (rest ?? 0)
  }
  // Read one after the other: the clock of the second one lies between two looks at the first one.
  const [before, there, after] = [await seconds(page), await seconds(other), await seconds(page)]
  expect(there).toBeLessThanOrEqual(before + 2)
  expect(there).toBeGreaterThanOrEqual(after - 2)
  await second.close()
})

test('hold, pressed before the next blocks are answered, holds the block that is on', async ({
  demo,
  page,
}) => {
  const id = await lessonOf(demo, 'Priya')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('button', { name: 'Hold' })).toBeVisible()
  // The answers are slow: what is shown goes by the road as it was.
  await page.route('**/acts', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 2500))
    await route.continue()
  })
  const answered = page.waitForResponse((response) => response.url().endsWith('/acts'))
  await page.getByRole('button', { name: 'Next block' }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  const time = page.getByRole('region', { name: 'Time' })
  await expect(time).toContainText('In, Up and Over')
  await page.getByRole('button', { name: 'Hold' }).click()
  await answered
  await page.unroute('**/acts')
  await expect(page.getByText(/kept on this device/)).toHaveCount(0)
  await expect(page.getByText(/10.1 min instead of 8.5/)).toBeVisible()
  await expect(time).toContainText('In, Up and Over')
  await expect(time).toContainText('held')
})

test('a device that is full in mid-lesson goes on in the page, and loses nothing', async ({ demo, page }) => {
  const id = await lessonOf(demo, 'Priya')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  const made = page.getByRole('button', { name: 'Made', exact: true })
  await made.click()
  await expect(page.getByText('1 of 1', { exact: true })).toBeVisible()
  await page.evaluate(() => {
    for (const write of ['add', 'put'] as const)
      IDBObjectStore.prototype[write] = () => {
        throw new DOMException('No room', 'QuotaExceededError')
      }
  })
  await page.route('**/acts', (route) => route.abort())
  await made.click()
  await page.getByRole('button', { name: 'Hold' }).click()
  await made.click()
  await expect(page.getByText('This device cannot keep anything')).toBeVisible()
  await expect(page.getByText('3 of 3', { exact: true })).toBeVisible()
  await page.unroute('**/acts')
  await expect(page.getByText(/kept on this page/)).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Time' })).toContainText('held')
  await expect(page.getByText('in a row 3')).toBeVisible()
})

test('the program is killed fifty times, and of 2 000 counts all are there, each once', async ({ demo }) => {
  const id = await lessonOf(demo, 'The afternoon six')
  const { document } = (await (await fetch(`${demo.url}/api/lessons/${id}/kit`)).json()) as {
    document: { students: string[]; blocks: { id: string; drill?: string }[] }
  }
  const block = document.blocks.find((each) => each.drill)?.id ?? ''
  const runs = new Map(document.students.map((student) => [student, crypto.randomUUID()]))
  const seqs = new Map(document.students.map((student) => [student, 0]))
  const at = '2026-03-10T14:30:00.000Z'
  const acts = Array.from({ length: 2000 }, (_, i) => {
    const student = document.students[i % 6] ?? ''
    const seq = seqs.get(student) ?? 0
    seqs.set(student, seq + 1)
    const entry = { seq, at, kind: i % 3 ? 'made' : 'missed' }
    return { id: crypto.randomUUID(), at, tap: { run: runs.get(student), block, student, entry } }
  })
  let sent = 0
  let answered = 0
  let over = false
  const sending = (async () => {
    while (answered < acts.length) {
      const batch = acts.slice(answered, answered + 20)
      try {
        sent++
        const response = await fetch(`${demo.url}/api/lessons/${id}/acts`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ sent: at, acts: batch }),
        })
        const { refused } = (await response.json()) as { refused: unknown[] }
        if (response.ok && refused.length === 0) answered += batch.length
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 10)) // sent again
      }
    }
    over = true
  })()
  let kills = 0
  for (; kills < 50; kills++) {
    // So that the counts are spread over all of it.
    while (!over && answered < (acts.length / 50) * kills)
      await new Promise((resolve) => setTimeout(resolve, 1))
    await demo.kill()
    await demo.start()
  }
  await sending
  expect(sent).toBeGreaterThan(100)
  const kit = await kitOf(demo, id)
  const entries = kit.counted.map(({ runs }) => runs.flatMap((run) => run.entries.map((entry) => entry.seq)))
  expect(entries.flat()).toHaveLength(2000)
  for (const list of entries) expect(list).toEqual(list.map((_, i) => i))
})

test('a game is begun and scored where there is no network, in a browser that is closed in the middle', async ({
  demo,
  now,
}) => {
  const phone = new Phone()
  const students = await Promise.all(eight.slice(0, 3).map((student) => kept(demo, 'students', student)))
  const games = (await (await fetch(`${demo.url}/api/games`)).json()) as {
    id: string
    document: { name: string }
  }[]
  const game = games.find(({ document }) => document.name === 'Ten for Five')?.id
  const block = {
    drill: undefined,
    id: crypto.randomUUID(),
    kind: 'game',
    title: 'Ten for Five',
    game,
    minutes: 10,
  }
  const id = await lessonWith(demo, 'Points after tea', students, 'Two and Away', block)
  let page = await phone.open(now)
  const packed = page.waitForResponse((response) => response.url().endsWith(`${id}/kit`))
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await packed
  await appKept(page)
  await demo.stop()

  await page.getByRole('button', { name: /^Score it/ }).click()
  const acts = new Acts(page)
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(3)
  await acts.begin('Ada Fenn', 'Ben Okoro')
  await enabled(page)
  await won(page, 'near', '1:0')
  await won(page, 'near', '2:0')
  await won(page, 'far', '2:1')
  await page.getByRole('button', { name: 'Take back', exact: true }).click()
  await shows(page, '2:0')
  const address = page.url()

  page = await phone.open('2026-03-10T14:30:00')
  await page.goto(address)
  await shows(page, '2:0')
  await won(page, 'far', '2:1')
  await expect(page.getByText('Kept on this device until Hodometer answers.')).toBeVisible()
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await expect(page.getByRole('link', { name: /^Ten for Five/ })).toBeVisible()

  // Back where there is a network: the game is told with all that happened in it.
  await demo.start()
  await page.reload()
  await expect
    .poll(async () => {
      const { played } = (await (await fetch(`${demo.url}/api/played`)).json()) as {
        played: { document: { lesson?: string; events?: unknown[] }; state: { points: number[] } }[]
      }
      return played
        .filter(({ document }) => document.lesson === id)
        .map(({ document, state }) => [document.events?.length, state.points.join(':')])
    })
    .toEqual([[5, '2:1']])
  await phone.end()
})
