import type { Club } from './club'
import { lessonOf } from './fixtures'

/** addresses are those of the main views of the demo, behind #/. */
export async function addresses(club: Club): Promise<string[]> {
  const first = async (of: 'students' | 'drills' | 'games') =>
    ((await (await fetch(`${club.url}/api/${of}`)).json()) as { id: string }[])[0]?.id ?? ''
  const lesson = await lessonOf(club, 'The afternoon six')
  return [
    '',
    'students',
    `students/${await first('students')}`,
    'drills',
    `drills/${await first('drills')}`,
    'games',
    `games/${await first('games')}`,
    'games/ranking',
    'lessons',
    'lessons/calendar',
    `lessons/${lesson}`,
    `lessons/${lesson}/sheet`,
    `lessons/${lesson}/courtside`,
    'reckoner',
    'reckoner/target',
    'reckoner/stand',
    'settings',
    'settings/keeping',
  ]
}

/** The other views of the demo that need no document, behind #/. */
export const otherAddresses = [
  'students/bring-in',
  'games/played',
  'documents',
  'devices',
  'about',
  'limits',
  'how-sure',
  'trust',
  'reckoner/rally',
  'reckoner/angles',
]
