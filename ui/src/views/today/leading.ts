import type { LessonBrief } from '../../lib/api/client'

/** Minutes of the day that a lesson begins and ends at. */
function span({ start, minutes }: Pick<LessonBrief, 'start' | 'minutes'>) {
  const [hour = 0, minute = 0] = start.split(':').map(Number)
  return { begins: 60 * hour + minute, ends: 60 * hour + minute + minutes }
}

/** The minute of the day. */
const minuteOf = (now: Date) => 60 * now.getHours() + now.getMinutes()

/**
 * leading is the lesson that a coach looks for now: the one that is under way, else the one that is on by the clock,
 * else today's next one.
 */
export function leading<L extends Pick<LessonBrief, 'start' | 'minutes' | 'state' | 'date'>>(
  lessons: L[],
  today: string,
  now: Date,
): L | undefined {
  const open = lessons.filter((lesson) => lesson.date === today && lesson.state !== 'finished')
  const byStart = open.toSorted((a, b) => span(a).begins - span(b).begins)
  return (
    byStart.findLast((lesson) => lesson.state === 'begun') ??
    byStart.find((lesson) => minuteOf(now) < span(lesson).ends)
  )
}

/**
 * whenIs says when a lesson is, seen at an instant of its day: of one that is under way what it has left by its own
 * clock.
 */
export function whenIs(
  { clock, planned, ...lesson }: Pick<LessonBrief, 'start' | 'minutes' | 'clock' | 'planned'>,
  now: Date,
): string {
  if (clock) {
    const since = clock.running ? Math.max(0, now.getTime() - Date.parse(clock.anchor)) / 1000 : 0
    const left = Math.ceil((planned - clock.second - since) / 60)
    const way = clock.running ? 'Under way' : 'Held'
    return left > 0 ? `${way}, ${left} min left` : `${way}, over time`
  }
  const { begins } = span(lesson)
  const minute = minuteOf(now)
  if (minute >= begins) return `On now, since ${minute - begins} min`
  const away = begins - minute
  return away < 60 ? `Next, in ${away} min` : `Next, in ${Math.floor(away / 60)} h ${away % 60} min`
}
