import type { LessonBrief } from '../../lib/api/client'

/** Minutes of the day that a lesson begins and ends at. */
function span({ start, minutes }: Pick<LessonBrief, 'start' | 'minutes'>) {
  const [hour = 0, minute = 0] = start.split(':').map(Number)
  return { begins: 60 * hour + minute, ends: 60 * hour + minute + minutes }
}

/** leading is the lesson that a coach looks for now: the one that is under way, else the one that is on by the clock, else today's next one. */
export function leading<L extends Pick<LessonBrief, 'start' | 'minutes' | 'state' | 'date'>>(
  lessons: L[],
  today: string,
  minute: number,
): L | undefined {
  const open = lessons.filter((lesson) => lesson.date === today && lesson.state !== 'finished')
  const byStart = open.toSorted((a, b) => span(a).begins - span(b).begins)
  return (
    byStart.findLast((lesson) => lesson.state === 'begun') ??
    byStart.find((lesson) => minute < span(lesson).ends)
  )
}

/** whenIs says when a lesson is, seen from a minute of its day. */
export function whenIs(lesson: Pick<LessonBrief, 'start' | 'minutes' | 'state'>, minute: number): string {
  const { begins, ends } = span(lesson)
  if (lesson.state === 'begun')
    return minute < ends ? `Under way, ${ends - minute} min left` : 'Under way, over time'
  if (minute >= begins) return `On now, since ${minute - begins} min`
  const away = begins - minute
  return away < 60 ? `Next, in ${away} min` : `Next, in ${Math.floor(away / 60)} h ${away % 60} min`
}
