import { createInfiniteQuery, createQuery, type QueryClient } from '@tanstack/svelte-query'
import {
  answer,
  api,
  type Game,
  type GoalAsked,
  type Profile,
  type StandAsked,
  type AnglesAsked,
  type RallyAsked,
  type Settings,
  type Sought,
  type Student,
  type TargetAsked,
  type Unreadable,
  type Vocabulary,
  type Week,
} from '../api/client'
import { door } from './door.svelte'

/** The keys under which answers are kept. */
export const keys = {
  students: ['students'] as const,
  arrivals: ['arrivals'] as const,
  /** What a table would bring: it depends on who is here already. */
  looks: (about: 'students' | 'attendance') => ['looks', about] as const,
  bookings: ['bookings'] as const,
  feeds: ['feeds'] as const,
  student: (id: string) => ['students', id] as const,
  progress: (id: string) => ['students', id, 'progress'] as const,
  drills: ['drills'] as const,
  drill: (id: string) => ['drills', id] as const,
  games: ['games'] as const,
  game: (id: string) => ['games', id] as const,
  played: ['played'] as const,
  playedGame: (id: string) => ['played', id] as const,
  lessons: ['lessons'] as const,
  weeks: ['lessons', 'weeks'] as const,
  unclosed: ['lessons', 'unclosed'] as const,
  week: (week: number) => ['lessons', 'week', week] as const,
  lesson: (id: string) => ['lessons', id] as const,
  offers: (asked: object) => ['drills', 'offers', asked] as const,
  sheet: (id: string) => ['lessons', id, 'sheet'] as const,
  settings: ['settings'] as const,
  courts: ['courts'] as const,
  devices: ['devices'] as const,
  keeping: ['keeping'] as const,
  work: ['work'] as const,
  vocabulary: ['vocabulary'] as const,
  length: (metres: number, units: string) => ['lengths', metres, units] as const,
  goal: (asked: GoalAsked) => ['reckoner', 'goal', asked] as const,
  target: (asked: TargetAsked) => ['reckoner', 'target', asked] as const,
  rally: (asked: RallyAsked) => ['reckoner', 'rally', asked] as const,
  situations: (sport: string) => ['situations', sport] as const,
  stand: (asked: StandAsked | undefined) => ['reckoner', 'stand', asked] as const,
  angles: (asked: AnglesAsked | undefined) => ['reckoner', 'angles', asked] as const,
  versions: (asked: unknown) => ['versions', asked] as const,
  regions: (court: string) => ['regions', court] as const,
}

export const students = (archived: boolean) =>
  answer(api.GET('/api/students', { params: { query: { archived } } }))

/** keepingQuery reads what is known of the safe copies; at the coach's machine only. */
export const keepingQuery = () =>
  createQuery(() => ({
    queryKey: keys.keeping,
    queryFn: () => answer(api.GET('/api/keeping')),
    enabled: door.state?.coach === true,
  }))

/** gamesQuery reads all games, the coach's own first. */
export const gamesQuery = () =>
  createQuery<Game[]>(() => ({ queryKey: keys.games, queryFn: () => answer(api.GET('/api/games')) }))

/** studentsQuery reads who there is. */
export const studentsQuery = (wanted = () => true) =>
  createQuery<Student[]>(() => ({
    queryKey: keys.students,
    queryFn: () => students(false),
    enabled: wanted(),
  }))

/** How many drills are read at once. */
export const drillsAtOnce = 24

/** drillPage reads some of the drills that are looked for. */
export const drillPage = (sought: Sought, page: number) => ({
  queryKey: [...keys.drills, 'sought', sought, page],
  queryFn: () =>
    answer(
      api.GET('/api/drills', {
        params: { query: { ...sought, offset: page * drillsAtOnce, limit: drillsAtOnce } },
      }),
    ),
})
export const diary = (back: number, ahead: number) =>
  answer(api.GET('/api/lessons', { params: { query: { back, ahead } } }))

/** week reads the lessons of the week that lies so many weeks after this one. */
export const week = (week: number) => answer(api.GET('/api/lessons/week', { params: { query: { week } } }))

/** weeksQuery reads weeks with lessons one after the other, from this one on into the past or the future. */
export const weeksQuery = (direction: 'earlier' | 'later') =>
  createInfiniteQuery(() => ({
    queryKey: [...keys.weeks, direction],
    queryFn: ({ pageParam }: { pageParam: number }) => week(pageParam),
    initialPageParam: 0,
    getNextPageParam: (last: Week) => last[direction],
  }))

export const settingsQuery = () =>
  createQuery<Settings>(() => ({ queryKey: keys.settings, queryFn: () => answer(api.GET('/api/settings')) }))

/** courtsQuery reads the courts there are; they do not change while the page is open. */
export const courtsQuery = () =>
  createQuery(() => ({
    queryKey: keys.courts,
    queryFn: () => answer(api.GET('/api/courts')),
    staleTime: Infinity,
  }))

export const vocabularyQuery = () =>
  createQuery<Vocabulary>(() => ({
    queryKey: keys.vocabulary,
    queryFn: () => answer(api.GET('/api/vocabulary')),
    staleTime: Infinity,
  }))

/** levelsOf lists the levels of a sport. The one that is chosen stays in sight, also where it is not one of them. */
export const levelsOf = (
  vocabulary: Vocabulary | undefined,
  sport: Profile['sport'] | undefined,
  chosen: Profile['level'],
) => [...new Set([...(vocabulary?.sports.find((each) => each.sport === sport)?.levels ?? []), chosen])]

/** Students or drills that are stored and cannot be shown. */
export const unreadableQuery = (kind: 'student' | 'drill') =>
  createQuery<Unreadable[]>(() => ({
    queryKey: ['unreadable', kind],
    queryFn: () => answer(api.GET('/api/unreadable', { params: { query: { kind } } })),
  }))

export const bookingsQuery = () =>
  createQuery(() => ({ queryKey: keys.bookings, queryFn: () => answer(api.GET('/api/bookings')) }))

/** renew makes everything that may show a changed thing ask again. */
export const renew = (client: QueryClient, ...which: (readonly unknown[])[]) =>
  Promise.all(which.map((queryKey) => client.invalidateQueries({ queryKey })))
