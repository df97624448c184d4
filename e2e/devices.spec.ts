import type { Page } from '@playwright/test'
import { expect, expectClean, finished, lessonOf, test } from './fixtures'
import { join, opened, switchedOff, switchedOn } from './gear'
import { Phone } from './phone'
import { kitOf, press, wholeLesson } from './wholelesson'

/** A lesson with a ball machine and an eye for landings, simulated, each a program of its own. */
test.use({ viewport: { width: 390, height: 844 } })

test.afterEach(switchedOff)

/** Goes courtside, to the first drill of the six. */
async function atTheDrill(page: Page, url: string, id: string) {
  await page.goto(`${url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('button', { name: 'Hold' })).toBeVisible()
  for (const title of ['Ball warm-up', 'Two and Away']) {
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(page.getByRole('region', { name: 'Time' })).toContainText(title)
  }
}

test('a lesson of six with a machine and an eye: it is counted for everybody, and what goes wrong is told', async ({
  page,
  demo,
}) => {
  const id = await lessonOf(demo, 'The afternoon six')
  const machine = await switchedOn('machine', '--hopper', '12', '--jitter', '0')
  const eye = await switchedOn('eye', '--spread', '1.5', '--flight', '0.2')
  await atTheDrill(page, demo.url, id)
  await join(page, 'Ball machine', machine.address)
  await join(page, 'Eye for landings', eye.address)

  const strip = page.getByRole('region', { name: 'Ball machine' })
  await expect(strip).toContainText('12 left')
  await page.getByLabel(/The eye counts/).check()
  await expectClean(page)
  await strip.getByRole('button', { name: 'One ball' }).click()
  await expect(strip).toContainText('1 thrown, 11 left')
  await expect(page.getByText(/^[01] of 1$/)).toBeVisible()
  const rate = async () => Number(/([\d.]+) balls a minute/.exec((await strip.textContent()) ?? '')?.[1])
  for (let i = 0; i < 5; i++) {
    const before = await rate()
    await strip.getByRole('button', { name: 'Faster' }).click()
    await expect.poll(rate).toBeCloseTo(before * 1.25, 0)
  }
  await strip.getByRole('button', { name: 'Start the machine' }).click()

  // Two balls a turn, one after the other: everybody has had theirs when the hopper is empty.
  await expect(strip.getByRole('alert')).toHaveText('The hopper is empty.', { timeout: 40_000 })
  const counts = async () => {
    const kit = await kitOf(demo, id)
    return kit.counted
      .filter(({ name }) => name === 'Two and Away')
      .map(({ runs }) => runs.flatMap(({ entries }) => entries).filter(({ landing }) => landing).length)
  }
  await expect.poll(counts).toEqual([2, 2, 2, 2, 2, 2])

  await strip.getByRole('button', { name: 'Filled, 60 balls' }).click()
  await expect(strip).toContainText('60 left')
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip).toContainText('13 thrown')
  await strip.getByRole('button', { name: 'Pause the machine' }).click()
  await expect(strip.getByRole('button', { name: 'Start the machine' })).toBeVisible()

  // Held, it stands at once and says so; going on does not start it, and in the next block it is not started by itself.
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await page.getByRole('button', { name: 'Hold' }).click()
  await expect(strip).toContainText('It stopped: the lesson was held.')
  await expect(strip.getByRole('button', { name: 'Start the machine' })).toBeDisabled()
  const standing = await strip.textContent()
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(strip.getByRole('button', { name: 'Start the machine' })).toBeEnabled()
  expect(/\d+ thrown/.exec((await strip.textContent()) ?? '')?.[0]).toBe(
    /\d+ thrown/.exec(standing ?? '')?.[0],
  )

  // Every ball that was thrown is counted once.
  const sum = async () => (await counts()).reduce((all, n) => all + n)
  const thrown = Number(/(\d+) thrown/.exec((await strip.textContent()) ?? '')?.[1])
  await expect.poll(sum).toBe(thrown)
  await expect(page.getByRole('region', { name: 'Eye for landings' })).toContainText(
    `${thrown} of ${thrown} thrown were seen`,
  )

  // The machine is gone: that is told, and the lesson goes on by hand.
  machine.device.kill('SIGKILL')
  await expect(strip.getByRole('alert')).toContainText('lost')
  await strip.getByRole('button', { name: 'Go on without it' }).click()
  await expect(strip).toHaveCount(0)
  await page.getByRole('button', { name: 'Made', exact: true }).click()
  await page.getByRole('button', { name: 'Next block' }).click()
  await expect(page.getByRole('region', { name: 'Time' })).not.toContainText('Two and Away')
  expect(await sum()).toBe(thrown)
})

test('the next block, a closed page and the end of the lesson have it stand, and it is let go', async ({
  page,
  demo,
}) => {
  const id = await lessonOf(demo, 'The afternoon six')
  const machine = await switchedOn('machine', '--hopper', '500', '--jitter', '0')
  await atTheDrill(page, demo.url, id)
  await join(page, 'Ball machine', machine.address)
  const strip = page.getByRole('region', { name: 'Ball machine' })
  interface Joined {
    machine: { stands: { n?: number; running?: boolean }; stopped: string; watcher: string } | null
  }
  const gear = async () => (await (await fetch(`${demo.url}/api/equipment`)).json()) as Joined
  const stands = async (why: string) =>
    expect
      .poll(async () => {
        const { machine } = await gear()
        return [machine?.stopped, machine?.watcher, machine?.stands.running ?? false]
      })
      .toEqual([why, '', false])

  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip).toContainText('1 thrown')
  await page.getByRole('button', { name: 'Next block' }).click()
  await stands('another block came on')
  await expect(strip).toContainText('It stopped: another block came on.')

  // What the block before is from now on, with its rounds, the answer says: until then its last second is on.
  await page.getByRole('button', { name: 'Block before' }).click()
  await expect(page.getByRole('main')).toContainText(/Next, in [\d:]+: Feed/)
  await expect(page.getByRole('region', { name: 'Time' })).toContainText('Two and Away')
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip.getByRole('button', { name: 'Pause the machine' })).toBeVisible()
  await page.goto('about:blank')
  await stands('the page that watches it was not heard for 3 s')

  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await expect(strip.getByRole('button', { name: 'Start the machine' })).toBeEnabled()
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip.getByRole('button', { name: 'Pause the machine' })).toBeVisible()
  await finished(page)
  await expect.poll(async () => (await gear()).machine).toBeNull()
})

test('a jam is told and cleared, and one press brings simulated devices', async ({ page, demo }) => {
  const id = await lessonOf(demo, 'The afternoon six')
  const machine = await switchedOn('machine', '--jams', '1')
  await atTheDrill(page, demo.url, id)
  await join(page, 'Ball machine', machine.address)
  const strip = page.getByRole('region', { name: 'Ball machine' })
  await strip.getByRole('button', { name: 'Start the machine' }).click()
  await expect(strip.getByRole('alert')).toContainText('jammed')
  await strip.getByRole('button', { name: 'The jam is cleared' }).click()
  await expect(strip.getByRole('button', { name: 'Start the machine' })).toBeEnabled()

  const more = await opened(page)
  await more.getByRole('button', { name: 'Let the ball machine go' }).click()
  await more.getByRole('button', { name: 'Try it with a simulated machine and eye' }).click()
  await expect(more.getByRole('group', { name: 'Eye for landings' })).toContainText('joined')
  await expect(more.getByRole('group', { name: 'Ball machine' })).toContainText(
    'Simulated ball machine, joined',
  )
  await page.keyboard.press('Escape')
  await strip.getByRole('button', { name: 'One ball' }).click()
  await expect(strip).toContainText('1 thrown, 59 left')
})

test.describe('before it begins', () => {
  test.use({ now: '2026-03-10T14:22:00' })
  test('a whole lesson of six with a machine and an eye, where nothing can be stored until its end', async ({
    demo,
    now,
  }) => {
    const phone = new Phone()
    const machine = await switchedOn('machine', '--hopper', '12', '--jitter', '0')
    const eye = await switchedOn('eye', '--spread', '1.5', '--flight', '0.2')
    const theStrip = (page: Page) => page.getByRole('region', { name: 'Ball machine' })
    await wholeLesson(phone, demo, now, {
      // The devices are heard, and what is done stays on the phone.
      away: async (page) => void (await page.route('**/acts', (route) => route.abort())),
      back: async (page) => page.unroute('**/acts'),
      courtside: async (page, id) => void (await page.goto(`${demo.url}/#/lessons/${id}/courtside`)),
      everybody: async (page) => {
        await join(page, 'Ball machine', machine.address)
        await join(page, 'Eye for landings', eye.address)
        const strip = theStrip(page)
        await page.getByLabel(/The eye counts/).check()
        await strip.getByRole('button', { name: 'Start the machine' }).click()
        await expect(strip.getByRole('alert')).toHaveText('The hopper is empty.', { timeout: 120_000 })
        await press(page, 'Ottilie') // the last of those whose turn it was
        await expect(page.getByText(/^[012] of 2$/)).toBeVisible()
        return 12
      },
      again: async (page) => {
        const strip = theStrip(page)
        await strip.getByRole('button', { name: 'Filled, 60 balls' }).click()
        await page.getByLabel(/The eye counts/).check()
        await strip.getByRole('button', { name: 'One ball' }).click()
      },
    })
    await phone.end()
  })
})
