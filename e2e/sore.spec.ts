import { expect, expectClean, lessonOf, openLesson, test } from './fixtures'

/** What hurts is said once, and heeded by everything that proposes. */

test('what hurts is ticked, told in the plan with a remedy for that player, and stands by the name courtside', async ({
  page,
  demo,
}) => {
  // Free text of before is asked about once: what it says stays.
  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  const hurts = page.getByRole('group', { name: 'What hurts', exact: true })
  await expect(hurts.getByRole('status')).toContainText('“tight left shoulder after long serving”')
  await hurts.getByRole('button', { name: 'Say what it is spared' }).click()
  await expect(hurts.getByRole('status')).toHaveCount(0)
  const one = hurts.getByRole('group', { name: 'What hurts, 1' })
  await expect(one.getByLabel('In your words')).toHaveValue('tight left shoulder after long serving')
  await expect(one.getByRole('checkbox', { checked: true })).toHaveCount(0)

  // What is usual for a part is proposed, and changed by the coach.
  await one.getByLabel('Where').selectOption('wrist')
  await expect(one.getByLabel('backhand')).toBeChecked()
  await expect(one.getByLabel('serves and overheads')).toBeChecked()
  await expect(one.getByLabel('jumps')).not.toBeChecked()
  await one.getByLabel('full pace').uncheck()
  await one.getByLabel('Side').selectOption('left')
  await expect(page.getByText('All changes saved')).toBeVisible()
  await expectClean(page)
  await page.reload()
  await expect(one.getByLabel('full pace')).not.toBeChecked()
  await expect(one.getByLabel('backhand')).toBeChecked()

  // The plan says who is asked for it, with something for them alone; nothing of why is on court.
  await openLesson(page, demo, 'Noor and Teo')
  const asks = page
    .getByRole('listitem')
    .filter({ hasText: /asks for .*(backhand|serves).*, and Teo rests that/ })
  await expect(asks.first()).toBeVisible()
  await expect(
    asks
      .first()
      .getByRole('button', { name: /^Teo (plays|sits it out)|not for Teo/ })
      .first(),
  ).toBeVisible()

  const id = await lessonOf(demo, 'Noor and Teo')
  const kit = await (await fetch(`${demo.url}/api/lessons/${id}/kit`)).text()
  expect(kit).not.toContain('tight left shoulder')
  expect(kit).toContain('serves and overheads')
  await page.goto(`${demo.url}/#/lessons/${id}/courtside`)
  await page.getByRole('button', { name: 'Begin' }).click()
  const time = page.getByRole('region', { name: 'Time' }).locator('.title')
  const counting = page.getByRole('region', { name: 'Counting' })
  for (let i = 0; i < 6 && !(await counting.isVisible()); i++) {
    const on = (await time.textContent()) ?? ''
    await page.getByRole('button', { name: 'Next block' }).click()
    await expect(time).not.toHaveText(on)
  }
  await counting.getByRole('button', { name: 'Teo', exact: true }).click()
  await expect(counting).toContainText('Teo rests serves and overheads, backhand')

  // On the run sheet too, and gone once it hurts no more.
  const printed = (await (await fetch(`${demo.url}/api/lessons/${id}/sheet`)).json()) as { content: object }
  const sheet = JSON.stringify(printed.content)
  expect(sheet).toContain('rests serves and overheads, backhand')
  expect(sheet).not.toContain('tight left shoulder')
  await page.goto(`${demo.url}/#/students`)
  await page.getByRole('link', { name: 'Teo Brackwell' }).click()
  await one.getByRole('button', { name: /^It hurts no more/ }).click()
  await expect(one).toHaveCount(0)
  await expect(page.getByText('All changes saved')).toBeVisible()
  await openLesson(page, demo, 'Noor and Teo')
  await expect(asks).toHaveCount(0)
})
