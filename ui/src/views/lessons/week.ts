/** later is the day so many days after another. */
export function later(date: string, days: number): string {
  const day = new Date(`${date}T12:00:00Z`)
  day.setUTCDate(day.getUTCDate() + days)
  return day.toISOString().slice(0, 10)
}

/** weekOf lists the seven days of the week that a day is in, from Monday. */
export function weekOf(date: string): string[] {
  const weekday = (new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7
  return Array.from({ length: 7 }, (_, i) => later(date, i - weekday))
}

/** daysBetween is how many days the second day comes after the first. */
export const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000)
