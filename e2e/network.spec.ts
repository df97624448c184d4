import type { Locator, Page } from '@playwright/test'
import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import type { Club } from './club'
import { expect, expectClean, lessonOf, test } from './fixtures'
import { appKept, Phone } from './phone'

/** The coach lets a phone in over the network, and out again. */
const secret = 'seventeen herons under glass'
test.use({ now: '2026-03-10T14:22:00' })

/** What a camera reads of a QR code. */
async function scanned(code: Locator) {
  const { data, width, height } = PNG.sync.read(await code.screenshot())
  return jsQR(new Uint8ClampedArray(data), width, height)?.data ?? ''
}

async function setPassphrase(page: Page, club: Club) {
  await page.goto(`${club.url}/#/settings`)
  await page.getByRole('link', { name: 'Devices and passphrase' }).click()
  await expect(page.getByText('Set a passphrase first')).toBeVisible()
  await page.getByLabel('A passphrase', { exact: true }).fill('too short')
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(page.getByText(/^at least 12 characters/)).toBeVisible()
  await page.getByLabel('A passphrase', { exact: true }).fill(secret)
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(page.getByText('The passphrase is set.', { exact: false })).toBeVisible()
}

test('a phone is paired by its camera, runs a lesson, is taken out, and loses nothing', async ({
  lan,
  page,
  now,
}) => {
  const id = await lessonOf(lan, 'The afternoon six')
  await setPassphrase(page, lan)
  await page.getByRole('button', { name: 'Pair a device' }).click()
  const address = await scanned(page.getByRole('img', { name: /^QR code/ }))
  expect(address).toContain(`${lan.network}/#/pair/`)
  await expectClean(page)

  const phone = new Phone()
  const mobile = await phone.open(now)
  await mobile.goto(address)
  await mobile.getByLabel('What this device is called').fill('Racket bag phone')
  await mobile.getByRole('button', { name: 'Pair', exact: true }).click()
  await expect(mobile.getByRole('heading', { name: 'Today', exact: true })).toBeVisible()
  await expect(page.getByText('Racket bag phone is paired.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Paired devices' })).toContainText('Racket bag phone')
  await mobile.goto(`${lan.network}/#/devices`)
  await expect(mobile.getByText('This device is paired.', { exact: false })).toBeVisible()

  expect((await fetch(`${lan.url}/api/students`)).status).toBe(401) // the passphrase goes for the machine, too
  await mobile.goto(`${lan.network}/#/lessons/${id}/courtside`)
  await mobile.getByRole('button', { name: 'Begin' }).click()
  await mobile.getByRole('button', { name: /^The whole lesson/ }).click()
  await expect(mobile.getByRole('button', { name: 'Hold' })).toBeVisible()
  for (const title of ['Ball warm-up', 'Two and Away']) {
    await mobile.getByRole('button', { name: 'Next block' }).click()
    await expect(mobile.getByRole('region', { name: 'Time' })).toContainText(title)
  }

  // It is taken out in mid-lesson, out of reach of the network: what is counted then stays on it until it is paired
  // again.
  await mobile.context().setOffline(true)
  await page.getByRole('button', { name: 'Take out Racket bag phone' }).click()
  await expect(page.getByText('No device is paired.')).toBeVisible()
  await mobile.getByRole('button', { name: 'Made', exact: true }).click()
  await expect(mobile.getByText('1 of 1', { exact: true })).toBeVisible()
  await mobile.context().setOffline(false)
  await expect(mobile.getByRole('heading', { name: 'Pair this device' })).toBeVisible()
  await page.getByRole('button', { name: 'Pair a device' }).click()
  const code = (await page.locator('.code').textContent()) ?? ''
  await mobile.getByLabel('The code').fill('22222-22222')
  await mobile.getByRole('button', { name: 'Pair', exact: true }).click()
  await expect(mobile.getByText(/^this code is not valid/)).toBeVisible()
  await mobile.getByLabel('The code').fill(code.toLowerCase().replace('-', ' '))
  await mobile.getByRole('button', { name: 'Pair', exact: true }).click()
  await expect(mobile.getByText('1 of 1', { exact: true })).toBeVisible()
  await expect(mobile.getByText(/kept on this device/)).toHaveCount(0)
  await mobile.reload()
  await mobile.getByRole('button', { name: 'Noor', exact: true }).click()
  await expect(mobile.getByText('1 of 1', { exact: true })).toBeVisible()

  // Over this connection the app is kept: it opens while the program is away.
  await appKept(mobile)
  await lan.stop()
  await mobile.goto(lan.network)
  await expect(mobile.getByRole('region', { name: 'On this device' })).toContainText('The afternoon six')
  await phone.end()
})

test('the passphrase is asked for when a session ends, and what was typed stays', async ({
  lan,
  page,
  context,
}) => {
  const id = await lessonOf(lan, 'Priya')
  await setPassphrase(page, lan)
  await page.goto(`${lan.url}/#/lessons/${id}`)
  const title = page.getByLabel('Title', { exact: true }).first()
  await expect(title).toBeVisible()
  await context.setOffline(true) // so that nothing asks before it is typed
  await context.clearCookies()
  await title.fill('Priya, second serve')
  await title.press('Tab')
  await context.setOffline(false)
  await expect(page.getByRole('heading', { name: 'Who is there?' })).toBeVisible()
  await expectClean(page)
  await page.getByLabel('Your passphrase').fill('something else entirely')
  await page.keyboard.press('Enter')
  await expect(page.getByText('this is not the passphrase')).toBeVisible()

  // What was under way at the door says nothing any more once the passphrase is taken, however late it arrives.
  let looked = () => {}
  const late = new Promise<void>((resolve) => (looked = resolve))
  await page.route('**/api/door', async (route) => {
    const seen = await route.fetch()
    await late
    await route.fulfill({ response: seen })
  })
  const asked = page.waitForRequest('**/api/door')
  await page.evaluate(() => dispatchEvent(new Event('online')))
  await asked
  await page.getByLabel('Your passphrase').fill(secret)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Who is there?' })).toHaveCount(0)
  const answered = page.waitForResponse('**/api/door')
  looked()
  await (await answered).finished()
  await page.unrouteAll({ behavior: 'wait' })
  await expect(page.getByRole('heading', { name: 'Who is there?' })).toHaveCount(0)
  await expect(title).toHaveValue('Priya, second serve')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await page.reload()
  await expect(title).toHaveValue('Priya, second serve')

  await page.goto(`${lan.url}/#/devices`)
  await page.getByRole('button', { name: /^Leave/ }).click()
  await expect(page.getByRole('heading', { name: 'Who is there?' })).toBeVisible()
})

test('a phone is told how to trust the machine before it is let in', async ({ lan, page, now }) => {
  const phone = new Phone()
  const mobile = await phone.open(now)
  await mobile.goto(lan.network)
  await mobile.getByRole('link', { name: /^Have it trust/ }).click()
  await expect(mobile.getByRole('heading', { name: 'Have a phone trust your machine' })).toBeVisible()
  const loading = mobile.waitForEvent('download')
  await mobile.getByRole('link', { name: 'get the certificate' }).click()
  expect((await loading).suggestedFilename()).toBe('hodometer.crt')
  await expectClean(mobile)
  await mobile.getByRole('link', { name: 'Pair this device' }).click()
  await expect(mobile.getByLabel('The code')).toBeVisible()
  await phone.end()
  await page.goto(`${lan.url}/#/devices`) // at the machine itself nothing is asked as long as no passphrase is set
  await expect(page.getByLabel('A passphrase', { exact: true })).toBeVisible()
})
