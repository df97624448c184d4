/** The day so many months before another, both year-month-day; the last of the month where it has no such day. */
export function back(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  const at = new Date(Date.UTC(year, month - 1 - months, 1))
  const last = new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + 1, 0)).getUTCDate()
  at.setUTCDate(Math.min(date, last))
  return at.toISOString().slice(0, 10)
}
