import type { QueryClient } from '@tanstack/svelte-query'
import {
  answer,
  api,
  over,
  type Closing,
  type DrillDocument,
  type GameDocument,
  type LessonDocument,
  type Profile,
  type Remark,
  type Settings,
} from '../api/client'
import { keys } from '../page/data'
import type { Revision } from './draft.svelte'

/** Documents are what a draft can be of, by its kind. */
export interface Documents {
  lesson: LessonDocument
  drill: DrillDocument
  game: GameDocument
  student: Profile
  settings: Settings['settings']
  remark: Remark
  closing: Closing
}

export type Kind = keyof Documents

/** Rules are how drafts of one kind are sent and read, and what to call them. */
interface Rules<T> {
  send: (id: string, document: T, revision: number) => Promise<number>
  load: (id: string) => Promise<Revision<T>>
  /** What shows the document elsewhere and has to ask again after a save. */
  shown: (id: string) => (readonly unknown[])[]
  name: (document: T) => string
  href: (id: string) => string
}

/** A remark has no versions: its identifier is the lesson's and the student's, with a stroke between them. */
const remarkOf = (id: string) => {
  const [lesson = '', student = ''] = id.split('/')
  return { lesson, student }
}

export const rules: { [K in Kind]: Rules<Documents[K]> } = {
  lesson: {
    async send(id, body, revision) {
      const path = { id }
      return (await answer(api.PUT('/api/lessons/{id}', { params: { path, header: over(revision) }, body })))
        .revision
    },
    load: (id) => answer(api.GET('/api/lessons/{id}', { params: { path: { id } } })),
    shown: () => [keys.lessons],
    name: (lesson) => lesson.title || 'a lesson',
    href: (id) => `/lessons/${id}`,
  },
  drill: {
    async send(id, body, revision) {
      const path = { id }
      return (await answer(api.PUT('/api/drills/{id}', { params: { path, header: over(revision) }, body })))
        .revision
    },
    load: (id) => answer(api.GET('/api/drills/{id}', { params: { path: { id } } })),
    shown: () => [keys.drills, keys.lessons],
    name: (drill) => drill.name || 'a drill',
    href: (id) => `/drills/${id}`,
  },
  game: {
    async send(id, body, revision) {
      const path = { id }
      return (await answer(api.PUT('/api/games/{id}', { params: { path, header: over(revision) }, body })))
        .revision
    },
    load: (id) => answer(api.GET('/api/games/{id}', { params: { path: { id } } })),
    shown: () => [keys.games],
    name: (game) => game.name || 'a game',
    href: (id) => `/games/${id}`,
  },
  student: {
    async send(id, body, revision) {
      const path = { id }
      return (await answer(api.PUT('/api/students/{id}', { params: { path, header: over(revision) }, body })))
        .revision
    },
    async load(id) {
      const read = await answer(api.GET('/api/students/{id}', { params: { path: { id } } }))
      return { document: read.profile, revision: read.revision }
    },
    shown: (id) => [keys.students, keys.progress(id)],
    name: (profile) => profile.name || 'a student',
    href: (id) => `/students/${id}`,
  },
  settings: {
    async send(_, body, revision) {
      return (await answer(api.PUT('/api/settings', { params: { header: over(revision) }, body }))).revision
    },
    async load() {
      const read = await answer(api.GET('/api/settings'))
      return { document: read.settings, revision: read.revision }
    },
    shown: () => [keys.settings, keys.lessons, keys.drills, ['regions'], ['situations']],
    name: () => 'the settings',
    href: () => '/settings',
  },
  remark: {
    async send(id, body, revision) {
      const { lesson, student } = remarkOf(id)
      const path = { id: lesson, student }
      await answer(api.PUT('/api/lessons/{id}/remarks/{student}', { params: { path }, body }))
      return revision + 1
    },
    async load(id) {
      const { lesson, student } = remarkOf(id)
      const read = await answer(api.GET('/api/lessons/{id}/afterwards', { params: { path: { id: lesson } } }))
      const of = read.students.find((each) => each.student === student)
      const document = {
        engagement: of?.engagement ?? 0,
        effort: of?.effort ?? undefined,
        remark: of?.remark ?? '',
      }
      return { document, revision: 0 }
    },
    shown: (id) => {
      const { lesson, student } = remarkOf(id)
      return [[...keys.lesson(lesson), 'afterwards'], keys.progress(student)]
    },
    name: () => 'a remark',
    href: (id) => `/lessons/${remarkOf(id).lesson}/afterwards`,
  },
  closing: {
    async send(id, body, revision) {
      await answer(api.PUT('/api/lessons/{id}/closing', { params: { path: { id } }, body }))
      return revision + 1
    },
    async load(id) {
      const read = await answer(api.GET('/api/lessons/{id}/afterwards', { params: { path: { id } } }))
      return { document: read.closing, revision: 0 }
    },
    shown: (id) => [[...keys.lesson(id), 'afterwards'], keys.unclosed],
    name: () => 'the end of a lesson',
    href: (id) => `/lessons/${id}/afterwards`,
  },
}

/** What does not show documents, but what can be chosen for them. */
const choices = ['blocks', 'templates']

/**
 * shownAgain has everything that shows a saved document ask again, at once where it is on screen. The document itself
 * is on the page that edits it and needs no asking.
 */
export function shownAgain(client: QueryClient, kind: Kind, id: string) {
  for (const queryKey of rules[kind].shown(id)) {
    void client.invalidateQueries({ queryKey, refetchType: 'none' })
    void client.refetchQueries({
      queryKey,
      type: 'active',
      predicate: ({ queryKey: [, second, third] }) =>
        !choices.includes(String(second)) && (second !== id || third !== undefined),
    })
  }
}
