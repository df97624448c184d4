import type { RouteDefinition } from 'svelte-spa-router'
import { wrap } from 'svelte-spa-router/wrap'
import Unreached from './lib/parts/Unreached.svelte'
import NotFound from './views/NotFound.svelte'
import Today from './views/today/Today.svelte'

type Loads = NonNullable<Parameters<typeof wrap>[0]['asyncComponent']>

/** A view that is loaded when it is opened, or says that it could not be. */
const later = (load: Loads) =>
  wrap({ asyncComponent: () => load().catch(() => ({ default: Unreached })) as ReturnType<Loads> })

/** Every view but the first is loaded when it is opened. */
export const routes: RouteDefinition = {
  '/': Today,
  '/students': later(() => import('./views/students/Students.svelte')),
  '/students/bring-in': later(() => import('./views/students/bringin/BringIn.svelte')),
  '/students/:id': later(() => import('./views/students/Student.svelte')),
  '/drills': later(() => import('./views/drills/list/Drills.svelte')),
  '/drills/:id': later(() => import('./views/drills/Drill.svelte')),
  '/games': later(() => import('./views/games/Games.svelte')),
  '/games/played': later(() => import('./views/games/PlayedGames.svelte')),
  '/games/played/:id': later(() => import('./views/games/PlayedGame.svelte')),
  '/games/ranking': later(() => import('./views/games/Ranking.svelte')),
  '/games/:id': later(() => import('./views/games/Game.svelte')),
  '/lessons': later(() => import('./views/lessons/Lessons.svelte')),
  '/lessons/calendar': later(() => import('./views/lessons/calendar/Calendar.svelte')),
  '/lessons/:id': later(() => import('./views/lessons/Lesson.svelte')),
  '/lessons/:id/sheet': later(() => import('./views/sheet/Sheet.svelte')),
  '/lessons/:id/courtside': later(() => import('./views/courtside/Courtside.svelte')),
  '/lessons/:id/afterwards': later(() => import('./views/afterwards/Afterwards.svelte')),
  '/documents': later(() => import('./views/documents/Documents.svelte')),
  '/reckoner': later(() => import('./views/reckoner/Reckoner.svelte')),
  '/reckoner/:question': later(() => import('./views/reckoner/Reckoner.svelte')),
  '/settings': later(() => import('./views/settings/Settings.svelte')),
  '/settings/keeping': later(() => import('./views/keeping/Keeping.svelte')),
  '/devices': later(() => import('./views/devices/Devices.svelte')),
  '/pair/:code': later(() => import('./views/entrance/Paired.svelte')),
  '/trust': later(() => import('./views/entrance/Trust.svelte')),
  '/about': later(() => import('./views/about/About.svelte')),
  '/how-sure': later(() => import('./views/about/HowSure.svelte')),
  '/limits': later(() => import('./views/about/Limits.svelte')),
  '*': NotFound,
}
