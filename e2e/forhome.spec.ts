import type { Page } from '@playwright/test'
import { expect, expectClean, test } from './fixtures'
import { pageOf, printed } from './pdf'

/** The students of a club, with what is known of one. */
async function known(url: string, name: string) {
  const all = (await (await fetch(`${url}/api/students`)).json()) as {
    id: string
    profile: { name: string }
  }[]
  const id = all.find((s) => s.profile.name === name)?.id ?? ''
  const results = await (
    await fetch(`${url}/api/out/tables/results.csv?student=${id}&from=2025-12-10`)
  ).text()
  return { id, others: all.map((s) => s.profile.name).filter((other) => other !== name), results }
}

const open = async (page: Page, url: string) => {
  await page.goto(`${url}/#/students`)
  await page.getByRole('link', { name: 'Noor Haldane' }).click()
  await expect(page.getByRole('heading', { name: 'Next step' })).toBeVisible()
}

test('the page for those at home says what was counted, and nothing of others or of notes', async ({
  demo,
  page,
}) => {
  const { id, others, results } = await known(demo.url, 'Noor Haldane')
  const profile = (await (await fetch(`${demo.url}/api/students/${id}`)).json()) as {
    profile: Record<string, string>
    revision: number
  }
  const secrets = { note: 'quarrels with her sister', hurts: 'left heel', objective: 'beat her sister' }
  await fetch(`${demo.url}/api/students/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': `"${profile.revision}"` },
    body: JSON.stringify({ ...profile.profile, ...secrets }),
  })
  await open(page, demo.url)
  await expect(page.getByLabel('Note')).toHaveValue(secrets.note)
  await page.getByText('A page for Noor Haldane and those at home').click()
  await expect(page.getByLabel('From', { exact: true }).first()).toHaveValue('2025-12-10')
  await expectClean(page)
  const { name, data } = await printed(page, 'The page (.pdf)')
  expect(name).toBe('Noor Haldane, 2025-12-10 to 2026-03-10.pdf')
  const { pages, text } = pageOf(data, 0)
  expect(pages).toBe(1)
  expect(text).toContain('From the coach')
  for (const hidden of [...others, ...Object.values(secrets)]) expect(text).not.toContain(hidden)

  // The figures are those of the table of results.
  const rows = results
    .trim()
    .split('\r\n')
    .slice(1)
    .map((row) => row.split(','))
  const head = results.split('\r\n')[0]?.split(',') ?? []
  for (const stroke of ['forehand', 'backhand']) {
    const sum = (column: string) =>
      rows
        .filter((row) => row[head.indexOf('Stroke')] === stroke)
        .reduce((all, row) => all + Number(row[head.indexOf(column)]), 0)
    expect(sum('Tried')).toBeGreaterThan(0)
    expect(text).toContain(`${sum('Made')} of ${sum('Tried')} balls made`)
  }
})

test('a milestone that was passed has a certificate, and a step back takes it back', async ({
  demo,
  page,
}) => {
  await open(page, demo.url)
  await page.getByRole('button', { name: 'Go up to depth' }).click()
  await expect(page.getByText('forehand: now on depth.')).toBeVisible()
  const { data } = await printed(page, 'direction of the forehand (.pdf)')
  const { pages, text } = pageOf(data, 0)
  expect(pages).toBe(1)
  for (const said of ['Noor Haldane', 'Forehand: direction', 'Tuesday, 10 March 2026', 'goes on to depth'])
    expect(text).toContain(said)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(page.getByText('forehand: now on direction.')).toBeVisible()
  await expect(page.getByText('Certificates:')).toBeHidden()
})
