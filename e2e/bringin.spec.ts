import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, expectClean, test } from './fixtures'

/** A coach's own table of fourteen juniors, invented, with three mistakes in it. */
const juniors = `Player;Date of birth;Plays with;Backhand;Ball stage;Works towards;Parent's e-mail
Ada Fenn;14.05.2016;R;2H;Green;Serves over the net;a@example.org
Ben Okoro;02.11.2014;L;2H;Green;;b@example.org
Cleo Marsh;31.02.2015;R;1H;Orange;;c@example.org
Dov Lund;09.09.2013;Rihgt;2H;Green;Stays in the rally;d@example.org
Esme Tarn;23.01.2012;L;2H;Green;;e@example.org
Finn Vale;30.06.2016;R;2H;Orange;;f@example.org
Gia Holt;11.12.2015;R;2H;Purple;;g@example.org
Hal Brook;05.03.2013;R;1H;Green;;h@example.org
Ida Crane;17.07.2014;R;2H;Green;;i@example.org
Jon Pell;01.02.2015;R;2H;Orange;;j@example.org
Kit Rowan;08.08.2012;L;2H;Green;;k@example.org
Lia Dorn;19.04.2016;R;2H;Orange;;l@example.org
Mara Quill;27.10.2013;R;2H;Green;;m@example.org
Ned Ashe;03.03.2014;R;2H;Green;;n@example.org
`

test('fourteen students come in from a spreadsheet with three mistakes in it, in eight acts', async ({
  empty,
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-table-'))
  const file = join(folder, 'juniors.csv')
  writeFileSync(file, juniors, 'latin1')
  let acts = 0
  const act = async (does: Promise<unknown>) => {
    acts++
    await does
  }
  await page.goto(`${empty.url}/#/students`)
  await act(page.getByRole('link', { name: 'bring all of them in from a spreadsheet' }).click())
  await act(page.getByLabel('A file: .csv, .xlsx, or text').setInputFiles(file))
  await expect(page.getByText('3 rows need putting right.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Bring in', exact: true })).toBeDisabled()
  await expect(page.getByText('“31.02.2015” is no day')).toBeVisible()
  await expectClean(page)

  const mend = async (label: string, text: string) => {
    await page.getByLabel(label, { exact: true }).fill(text)
    await page.getByLabel(label, { exact: true }).press('Tab')
  }
  await act(mend('birthday, row 4', '28.02.2015'))
  await expect(page.getByText('2 rows need putting right.')).toBeVisible()
  await page.reload() // nothing that was mended is lost
  await expect(page.getByText('2 rows need putting right.')).toBeVisible()
  await act(mend('racket hand, row 5', 'R'))
  await act(mend('level, row 8', 'orange'))
  await expect(page.getByText('14 students are new.')).toBeVisible()
  await act(page.getByRole('button', { name: 'Bring in', exact: true }).click())
  expect(acts).toBeLessThanOrEqual(8)
  await expect(page.getByText('14 students came in.', { exact: true })).toBeVisible()
  await expect(page.getByRole('row', { name: /Cleo Marsh tennis orange ball 11 to 13 right/ })).toBeVisible()
  await expect(page.getByRole('row')).toHaveCount(15)

  // The same table again: nobody of it is new, and it says so.
  await page.getByRole('link', { name: 'Bring in from a spreadsheet' }).click()
  const again = 'Name\tHand\nPia Lorne\tleft\n'
  await page.getByLabel('Or cells, copied').fill(again)
  await page.getByRole('button', { name: 'Read these cells' }).click()
  await expect(page.getByText('1 student is new.')).toBeVisible()
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await page.getByRole('link', { name: 'Bring in from a spreadsheet' }).click()
  await page.getByLabel('Or cells, copied').fill(again)
  await page.getByRole('button', { name: 'Read these cells' }).click()
  await expect(page.getByText('Pia Lorne is here already.')).toBeVisible()
  await expect(page.getByText('1 student is new')).toHaveCount(0)
  await page.getByRole('button', { name: 'Another table' }).click()
  await page.goto('about:blank')
  await page.goto(`${empty.url}/#/students`)
  await page.getByText('Brought in of late').click()
  await page
    .getByRole('button', { name: /^Take back/ })
    .first()
    .click()
  await expect(page.getByText('Pia Lorne')).toHaveCount(0)

  // Brought in again, all of them are here already; what was wrong is found out later, and all of it is taken back.
  await page.getByRole('link', { name: 'Bring in from a spreadsheet' }).click()
  await page.getByLabel('Or cells, copied').fill('Name\tHand\nada fenn\tleft\nOda Blythe\tleft')
  await page.getByRole('button', { name: 'Read these cells' }).click()
  await expect(page.getByText('Ada Fenn is here already.')).toBeVisible()
  await expect(page.getByText('1 student is new, 1 left out.')).toBeVisible()
  await page.getByLabel('What becomes of ada fenn').selectOption('change who is here')
  await expect(page.getByText('1 student is new, 1 is changed.')).toBeVisible()
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByRole('row', { name: /ada fenn tennis green ball 8 to 10 left/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /Ada Fenn tennis green ball 8 to 10 right/ })).toBeVisible()
  await expect(page.getByText('Oda Blythe')).toHaveCount(0)
  await page.reload()
  await page.getByText('Brought in of late').click()
  await page.getByRole('button', { name: /^Take back/ }).click()
  await expect(page.getByText('Nobody here yet.')).toBeVisible()
  rmSync(folder, { recursive: true })
})

test('who was there comes in, is shown with the student, and is handed out', async ({ demo, page }) => {
  await page.goto(`${demo.url}/#/students/bring-in`)
  await page.getByRole('tab', { name: 'Who was there' }).click()
  await page
    .getByLabel('Or cells, copied')
    .fill('Name\t4/11/2023\t11/11/2023\nPriya Dunmore\tx\tx\nSuki Penhalow\tx\t\nOskar Vance\tmaybe\tx')
  await page.getByRole('button', { name: 'Read these cells' }).click()
  await expect(page.getByText('1 cell needs putting right. 1 name is of nobody here.')).toBeVisible()
  await expect(page.getByText('The table does not tell: look at it.')).toBeVisible()
  await page.getByLabel('Suki Penhalow').selectOption('Suki Penhallow')
  await page.getByLabel('Row 4, Oskar Vance: 4/11/2023').fill('')
  await page.getByLabel('Row 4, Oskar Vance: 4/11/2023').press('Tab')
  await expect(page.getByText('6 entries of 3 students on 2 days.')).toBeVisible()
  await expectClean(page)
  await page.getByRole('button', { name: 'Bring in', exact: true }).click()
  await expect(page.getByText('attendance: 6 entries.', { exact: true })).toBeVisible()

  await page.getByText('Hand out as spreadsheets').click()
  await page.getByLabel('From').fill('2023-11-01')
  await page.getByLabel('From').press('Tab')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Attendance (.csv)' }).click(),
  ])
  const chunks: Buffer[] = []
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
  const text = Buffer.concat(chunks).toString()
  expect(text).toContain('Suki Penhallow,2023-11-04,,,yes,')
  expect(text).toContain('Oskar Vance,2023-11-04,,,no,')
  await page.getByRole('link', { name: 'Priya Dunmore' }).click()
  await expect(page.getByRole('heading', { name: 'Attendance' })).toBeVisible()
  await expect(page.getByText(/^Came to \d+ of \d+ lessons since 2025-03-10\.$/)).toBeVisible()
  await expectClean(page)
})
