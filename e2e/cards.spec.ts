import { expect, lessonOf, test } from './fixtures'
import { pageOf, printed } from './pdf'

test('a drill is printed as a card, whose code brings it back, and a collection as a book', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/#/drills`)
  await page.getByRole('link', { name: 'Last Stretch', exact: true }).click()
  await page.getByRole('button', { name: 'Hand out' }).click()
  const small = await printed(page, 'As a card, A6 (.pdf)')
  expect(small.name).toBe('Last Stretch A6.pdf')
  const card = await printed(page, 'As a card, A5 (.pdf)')
  const { pages, text, code } = pageOf(card.data, 0)
  expect(pages).toBe(1)
  expect(text).toContain('Last Stretch')
  expect(text).toContain('25 made in all')
  expect(code).toMatch(/^HODOMETER:DRILL1:/)
  const looked = (await (
    await fetch(`${demo.url}/api/documents/look`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: code ?? '',
    })
  ).json()) as { documents: { name: string; there: string }[] }
  expect(looked.documents.map(({ name, there }) => [name, there])).toEqual([['Last Stretch', 'the same']])

  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Duplicate to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Last Stretch (my version)' })).toBeVisible()
  await page.goto(`${demo.url}/#/drills`)
  const book = await printed(page, 'Print my own')
  expect(pageOf(book.data, 0).text).toContain('Last Stretch (my version)')
  expect(pageOf(book.data, 1).text).toContain('25 made in all')
})

test('counting sheets are printed, a page for each player and each game, with nothing of others on it', async ({
  demo,
  page,
}) => {
  const id = await lessonOf(demo, 'The afternoon six')
  await page.goto(`${demo.url}/#/lessons/${id}/sheet`)
  const { data } = await printed(page, 'Counting sheets as PDF')
  const { pages } = pageOf(data, 0)
  const texts = Array.from({ length: pages }, (_, i) => pageOf(data, i).text)
  const names = ['Noor', 'Ines', 'Bram', 'Wren', 'Callum', 'Ottilie']
  const mine = (name: string) => texts.find((text) => text.startsWith(name)) ?? ''
  for (const name of names) {
    expect(mine(name)).toContain('Two and Away')
    for (const other of names.filter((each) => each !== name)) expect(mine(name)).not.toContain(other)
  }
  expect(texts.at(-1)).toContain('Two against two')
})
