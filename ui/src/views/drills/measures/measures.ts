import type { DrillDocument, Measure, MeasureFit, Task, Unit, Vocabulary } from '../../../lib/api/client'
import { ofForm } from '../../../goal/goals'

/** The most measures that a drill has. */
export const mostMeasures = 8

/** The most tasks that a pattern has. */
export const mostTasks = 60

/** The balls of a task, from 0, in the first measure that it belongs to. */
export const ballsOf = (fit: MeasureFit[], task: number) =>
  fit.find((m) => m.balls.some((b) => b.task === task))?.balls.filter((b) => b.task === task) ?? []

/** How many of ten balls of a task are made; undefined where that is not known. */
export function madeOf(fit: MeasureFit[], task: number): number | undefined {
  const balls = ballsOf(fit, task)
  return balls.length ? (10 * balls.reduce((sum, ball) => sum + ball.chance, 0)) / balls.length : undefined
}

/** A measure is counted in another unit: goals that cannot be are put in the place of those that fit least. */
export function countedIn(measure: Measure, what: Unit, vocabulary: Vocabulary): Measure {
  const fits = (kind: string) => vocabulary.goals.find((form) => form.kind === kind)?.units.includes(what)
  const goals = measure.goals.filter((goal) => fits(goal.kind))
  const first = vocabulary.goals.find((form) => form.units.includes(what))
  const was = measure.goals[0]
  if (goals.length === 0 && first && was) goals.push(ofForm(first, was, what))
  return { ...measure, what, goals }
}

/** One more measure is like the one before it, under a number that is free. */
export function another(list: Measure[]): Measure {
  const like = structuredClone(list.at(-1)) ?? {
    number: 1,
    what: 'ball',
    goals: [{ kind: 'total', count: 10 }],
  }
  const number = Array.from({ length: mostMeasures }, (_, i) => i + 1).find(
    (n) => !list.some((measure) => measure.number === n),
  )
  return { ...like, number: number ?? 1, name: undefined }
}

/** The groups, or branches, of a pattern whose task i was task from[i] before: each stays round what is left of it. */
function groupsAfter<Group extends { from: number; to: number }>(
  groups: Group[] | undefined,
  from: number[],
) {
  const after = (groups ?? []).flatMap((group) => {
    const now = from.flatMap((was, i) => (was >= group.from && was <= group.to ? i : []))
    return now.length ? { ...group, from: Math.min(...now), to: Math.max(...now) } : []
  })
  return after.length ? after : undefined
}

/**
 * moveTasks changes the tasks of a drill, and has each measure keep those that were its own. What was put in like
 * another task belongs to the measures of that one. A measure whose tasks are all gone goes with them, and is returned;
 * the only one counts what is left.
 */
export function moveTasks(drill: DrillDocument, change: (tasks: Task[]) => void): Measure[] {
  const before = [...drill.pattern.tasks]
  const like = new Map(before.map((task, i) => [task, i]))
  change(drill.pattern.tasks)
  const from = drill.pattern.tasks.map((task, i) => like.get(task) ?? Math.max(0, i - 1))
  drill.pattern.repeats = groupsAfter(drill.pattern.repeats, from)
  drill.pattern.branches = groupsAfter(drill.pattern.branches, from)?.toSorted((a, b) => a.from - b.from)
  const gone: Measure[] = []
  for (const measure of drill.measures) {
    if (!measure.tasks?.length) continue
    const own = measure.tasks
    const tasks = from.flatMap((was, now) => (own.includes(was) ? now : []))
    if (!tasks.length) gone.push(measure)
    measure.tasks = tasks.length > 0 && tasks.length < from.length ? tasks : undefined
  }
  if (gone.length === drill.measures.length) gone.shift()
  drill.measures = drill.measures.filter((measure) => !gone.includes(measure))
  return gone
}

/** addTask puts in a task like another after it; where it is, or undefined where there is no room. */
export function addTask(drill: DrillDocument, task: number): number | undefined {
  if (drill.pattern.tasks.length >= mostTasks) return undefined
  moveTasks(drill, (tasks) => {
    const like = tasks[task]
    if (like) tasks.splice(task + 1, 0, structuredClone(like))
  })
  return task + 1
}

/** shiftTask takes a task so many places on, or back; where it is then, or undefined beyond either end. */
export function shiftTask(drill: DrillDocument, task: number, by: number): number | undefined {
  const to = task + by
  if (to < 0 || to >= drill.pattern.tasks.length) return undefined
  moveTasks(drill, (tasks) => {
    const [moved] = tasks.splice(task, 1)
    if (moved) tasks.splice(to, 0, moved)
  })
  return to
}

/** What is wrong at a path of a document, or beneath it; undefined where nothing is. */
export const wrongAt = (errors: Record<string, string>, path: string) =>
  Object.entries(errors).find(([at]) => at === path || at.startsWith(`${path}.`))?.[1]
