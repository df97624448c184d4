import { expect, expectClean, finished, lessonOf, test } from './fixtures'

/** Between two lessons, with a phone in one hand. */
test.use({ viewport: { width: 390, height: 844 } })

test('a phone leads with the lesson that is on or next, what to carry and what to walk off', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  const first = page.getByRole('region', { name: 'On or next' })
  await expect(first.getByRole('heading', { name: '16:00 Noor and Teo' })).toBeVisible()
  await expect(first.getByText('Next, in 30 min')).toBeVisible()
  await expect(page.getByRole('article', { name: 'Noor and Teo' })).toHaveCount(0) // it is there once
  const carry = first.getByRole('group').filter({ hasText: 'Carry' })
  const things = carry.getByRole('checkbox')
  await expect(things.first()).toBeVisible()
  const n = await things.count()
  await expect(carry.getByText(`${n} left`)).toBeVisible()
  await things.first().check()
  await expect(carry.getByText(`${n - 1} left`)).toBeVisible()
  await page.reload()
  await expect(carry.getByText(`${n - 1} left`)).toBeVisible() // it is kept
  await expect(
    first.getByRole('group').filter({ hasText: 'Walk off' }).getByRole('checkbox').first(),
  ).toBeVisible()
  await expectClean(page)

  const go = first.getByRole('link', { name: 'Go courtside' })
  expect((await go.boundingBox())?.height).toBeGreaterThanOrEqual(64)
  await go.click()
  const begun = page.waitForResponse((response) => response.url().endsWith('/acts'))
  await page.getByRole('button', { name: 'Begin' }).click()
  await begun
  await page.goto(demo.url)
  await expect(first.getByText(/^Under way, /)).toBeVisible()
  await first.getByRole('link', { name: 'Back courtside' }).click()
  await finished(page)
  await page.goto(demo.url)
  await expect(first.getByRole('heading', { name: /^18:00 / })).toBeVisible()
})

test('on a desk the day stands as it is', async ({ page, demo }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(demo.url)
  const id = await lessonOf(demo, 'Noor and Teo')
  await expect(
    page.getByRole('article', { name: 'Noor and Teo' }).getByRole('link', { name: 'Go courtside' }),
  ).toHaveAttribute('href', `#/lessons/${id}/courtside`)
  await expect(page.getByRole('region', { name: 'On or next' })).toHaveCount(0)
})
