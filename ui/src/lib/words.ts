const clock = (whole: number) => `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`

/** minutes writes seconds as minutes and seconds, for a clock that runs down on the page. */
export const minutes = (seconds: number) => clock(Math.max(0, Math.ceil(seconds - 1e-9)))

/** lasting writes how long something lasts: 4:00. */
export const lasting = (seconds: number) => clock(Math.max(0, Math.round(seconds)))

/** elapsed writes a time after something began, so that it is no time of day: +4:00. */
export const elapsed = (seconds: number) => `+${lasting(seconds)}`

/** dayName writes a day as people say it, seen from today. */
export function dayName(date: string, today: string): string {
  const day = (text: string) => new Date(`${text}T12:00:00`)
  const away = Math.round((day(date).getTime() - day(today).getTime()) / 86_400_000)
  const long = day(date).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
  if (away === 0) return `Today, ${long}`
  if (away === 1) return `Tomorrow, ${long}`
  return long
}

/** listed writes pieces of equipment in one line. */
export const listed = (pieces: { count: number; name: string }[]) =>
  pieces.map((piece) => `${piece.count} ${piece.name}`).join(', ')
