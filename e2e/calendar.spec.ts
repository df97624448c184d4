import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ICAL from 'ical.js'
import { expect, expectClean, lessonOf, test } from './fixtures'

/** A term of a school's club, weekly, with a week off, one that is moved, and a whole day that is no lesson. */
const term = (weeks: number, hour = '16') =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//school//EN',
    'X-WR-CALNAME:School club',
    'BEGIN:VEVENT',
    'UID:club@school.example',
    'DTSTAMP:20260101T000000Z',
    'SUMMARY:Club: Ines\\, Bram',
    `DTSTART:20260312T${hour}0000`,
    'DURATION:PT45M',
    `RRULE:FREQ=WEEKLY;COUNT=${weeks}`,
    `EXDATE:20260326T${hour}0000`,
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:sports@school.example',
    'DTSTAMP:20260101T000000Z',
    'SUMMARY:Sports day',
    'DTSTART;VALUE=DATE:20260320',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n')

test('a term’s calendar comes in, a booking is planned, and the week goes out to another parser', async ({
  demo,
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'hodometer-term-'))
  const file = join(folder, 'term.ics')
  writeFileSync(file, term(10))
  await page.goto(`${demo.url}/#/lessons`)
  await page.getByRole('link', { name: /^Calendar/ }).click()
  await page.getByLabel('A calendar’s file (.ics)').setInputFiles(file)
  await expect(page.getByText('School club: 9 new, 1 that are no bookings.')).toBeVisible()
  const bookings = page.getByRole('region', { name: 'Bookings', exact: true })
  await expect(bookings.getByText('9 to be planned')).toBeVisible()
  await expect(bookings.getByRole('listitem').first()).toContainText('Ines Corrigane, Bram Ostley')
  await page.getByText('What was no booking (1)').click()
  await expect(page.getByText('“Sports day”: it takes whole days')).toBeVisible()
  await expectClean(page)

  // Read again with another hour and one week less, it changes and never doubles.
  writeFileSync(file, term(9, '17'))
  await page.getByLabel('A calendar’s file (.ics)').setInputFiles(file)
  await expect(page.getByText('School club: 8 changed, 1 cancelled, 1 that are no bookings.')).toBeVisible()
  await expect(bookings.getByRole('listitem')).toHaveCount(8)
  await expect(bookings.getByRole('listitem').first()).toContainText('17:00')
  await page.getByRole('button', { name: 'Plan it Club: Ines, Bram, 2026-03-12' }).click()
  const form = page.getByRole('form', { name: 'New lesson' })
  await expect(form.getByLabel('Start')).toHaveValue('17:00')
  await expect(form.getByRole('checkbox', { name: 'Ines Corrigane' })).toBeChecked()
  await form.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByRole('heading', { name: 'Club: Ines, Bram' })).toBeVisible()

  const text = await (await fetch(`${demo.url}/api/out/lessons.ics?from=2026-03-09`)).text()
  const parsed = new ICAL.Component(ICAL.parse(text) as unknown[])
  const zone = parsed.getFirstSubcomponent('vtimezone')
  if (zone) ICAL.TimezoneService.register(new ICAL.Timezone(zone))
  const events = parsed.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
  const id = await lessonOf(demo, 'Club: Ines, Bram')
  const mine = events.find((each) => each.uid.startsWith(id))
  expect(mine?.summary).toBe('Club: Ines, Bram')
  expect(mine?.startDate.toString()).toMatch(/^2026-03-12T17:00:00/)
  expect(mine?.duration.toSeconds()).toBe(45 * 60)
  expect(mine?.description).toContain('Ines Corrigane, Bram Ostley')
  const diary = (await (await fetch(`${demo.url}/api/lessons?ahead=5&back=1`)).json()) as {
    lessons: { title: string }[]
  }
  expect(events.map((each) => each.summary)).toEqual(
    expect.arrayContaining(diary.lessons.map(({ title }) => title)),
  )
  rmSync(folder, { recursive: true })
})

test('an invented club is connected by one press, changes, and a planned lesson follows it', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/#/lessons/calendar`)
  await page.getByRole('button', { name: 'Try it with an invented club' }).click()
  await expect(page.getByText('Club bookings: 7 new.')).toBeVisible()
  await page.getByRole('button', { name: /^Plan it Lesson Priya Dunmore/ }).click()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page).toHaveURL(/lessons\/[0-9a-f-]{36}$/)
  await page.goto(`${demo.url}/#/lessons/calendar`)
  await page.getByRole('button', { name: 'Read again Club bookings' }).click()
  await expect(page.getByText('Club bookings: 1 new, 1 changed, 1 cancelled, 5 as before.')).toBeVisible()
  const priya = page.getByRole('listitem').filter({ hasText: 'Lesson Priya Dunmore' })
  await expect(priya).toContainText('The lesson is planned for 2026-03-12, 18:30, 60 min.')
  await priya.getByRole('link', { name: /^Open/ }).click()
  await expect(page.getByText('Club bookings has it on 2026-03-12, 19:30, 60 min by now.')).toBeVisible()
  await page.goBack()
  await priya.getByRole('button', { name: /^Move the lesson/ }).click()
  await expect(priya).not.toContainText('The lesson is planned')
  await priya.getByRole('link', { name: /^Open/ }).click()
  await expect(page.getByText('19:30').first()).toBeVisible()

  // An address to subscribe to is made, read without anything else, and taken back.
  await page.goto(`${demo.url}/#/lessons/calendar`)
  await page.getByRole('button', { name: 'Make an address' }).click()
  await expect(page.getByText('this must not be empty')).toBeVisible()
  await page.getByLabel('For which calendar program').fill('My phone')
  await page.getByRole('button', { name: 'Make an address' }).click()
  const address = (await page.locator('code').textContent()) ?? ''
  await expect(page.getByText('Only programs on this machine reach it.')).toBeVisible()
  expect(address).toContain(`${demo.url}/calendar/`)
  expect(await (await fetch(address)).text()).toContain('SUMMARY:Lesson Priya Dunmore')
  await expectClean(page)
  await page.getByRole('button', { name: 'Take back My phone' }).click()
  await expect(page.getByText('The address for My phone is taken back.')).toBeVisible()
  expect((await fetch(address)).status).toBe(404)
})
