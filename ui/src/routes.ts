import type { RouteDefinition } from 'svelte-spa-router'
import { wrap } from 'svelte-spa-router/wrap'
import NotFound from './views/NotFound.svelte'
import Today from './views/today/Today.svelte'

/** Every view but the first is loaded when it is opened. */
export const routes: RouteDefinition = {
  '/': Today,
  '/students': wrap({ asyncComponent: () => import('./views/students/Students.svelte') }),
  '/students/:id': wrap({ asyncComponent: () => import('./views/students/Student.svelte') }),
  '/drills': wrap({ asyncComponent: () => import('./views/drills/Drills.svelte') }),
  '/drills/:id': wrap({ asyncComponent: () => import('./views/drills/Drill.svelte') }),
  '/lessons': wrap({ asyncComponent: () => import('./views/lessons/Lessons.svelte') }),
  '/lessons/:id': wrap({ asyncComponent: () => import('./views/lessons/Lesson.svelte') }),
  '/lessons/:id/sheet': wrap({ asyncComponent: () => import('./views/sheet/Sheet.svelte') }),
  '/lessons/:id/courtside': wrap({ asyncComponent: () => import('./views/courtside/Courtside.svelte') }),
  '/lessons/:id/afterwards': wrap({ asyncComponent: () => import('./views/afterwards/Afterwards.svelte') }),
  '/reckoner': wrap({ asyncComponent: () => import('./views/reckoner/Reckoner.svelte') }),
  '/reckoner/:question': wrap({ asyncComponent: () => import('./views/reckoner/Reckoner.svelte') }),
  '/settings': wrap({ asyncComponent: () => import('./views/settings/Settings.svelte') }),
  '*': NotFound,
}
