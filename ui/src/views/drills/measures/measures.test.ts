import { expect, test } from 'vitest'
import type { DrillDocument, Measure, Task, Vocabulary } from '../../../lib/api/client'
import { addTask, another, countedIn, mostMeasures, mostTasks, moveTasks, shiftTask } from './measures'

const task = (stroke: string) => ({ stroke, landing: {} }) as unknown as Task
const measure = (number: number, tasks?: number[]): Measure => ({
  number,
  what: 'ball',
  tasks,
  goals: [{ kind: 'total', count: 10 }],
})
const drill = (...measures: Measure[]) =>
  ({
    pattern: { tasks: [task('forehand'), task('backhand'), task('serve')] },
    measures,
  }) as unknown as DrillDocument

/** The strokes that a measure counts, so that it can be seen whether they are still its own. */
const strokes = (d: DrillDocument, nth: number) =>
  (d.measures[nth]?.tasks ?? d.pattern.tasks.map((_, i) => i)).map((i) => d.pattern.tasks[i]?.stroke)

test('measures keep their tasks when tasks come, go and change places', () => {
  const d = drill(measure(1, [0, 2]), measure(2, [1]), measure(3))
  moveTasks(d, (tasks) => tasks.reverse())
  expect([strokes(d, 0), strokes(d, 1)]).toEqual([['serve', 'forehand'], ['backhand']])
  moveTasks(d, (tasks) => tasks.splice(2, 0, structuredClone(tasks[1]!)))
  expect(strokes(d, 1)).toEqual(['backhand', 'backhand'])
  expect(d.measures[2]?.tasks).toBeUndefined()
  expect(moveTasks(d, (tasks) => tasks.splice(1, 2)).map(({ number }) => number)).toEqual([2])
  expect(strokes(d, 0)).toEqual(['serve', 'forehand'])
  expect(
    d.measures.map(({ number }) => number),
    'a measure goes with its tasks',
  ).toEqual([1, 3])
})

test('the only measure counts what is left, and of several that lose their tasks one stays', () => {
  const d = drill(measure(1, [0]))
  expect(moveTasks(d, (tasks) => tasks.splice(0, 1))).toEqual([])
  expect(strokes(d, 0)).toEqual(['backhand', 'serve'])
  const two = drill(measure(1, [0]), measure(2, [0]))
  moveTasks(two, (tasks) => tasks.splice(0, 1))
  expect(two.measures.map(({ number }) => number)).toEqual([1])
})

test('groups stay round their tasks', () => {
  const d = drill(measure(1))
  d.pattern.repeats = [{ from: 1, to: 2, times: 3 }]
  moveTasks(d, (tasks) => tasks.splice(1, 0, structuredClone(tasks[0]!)))
  expect(d.pattern.repeats).toEqual([{ from: 2, to: 3, times: 3 }])
  moveTasks(d, (tasks) => tasks.splice(2, 1))
  expect(d.pattern.repeats).toEqual([{ from: 2, to: 2, times: 3 }])
  moveTasks(d, (tasks) => tasks.splice(2, 1))
  expect(d.pattern.repeats).toBeUndefined()
})

test('a task is added like the one before it, until there is no room', () => {
  const d = drill(measure(1))
  expect(addTask(d, 1)).toBe(2)
  expect(strokes(d, 0)).toEqual(['forehand', 'backhand', 'backhand', 'serve'])
  while (d.pattern.tasks.length < mostTasks) addTask(d, 0)
  expect(addTask(d, 0)).toBeUndefined()
  expect(d.pattern.tasks).toHaveLength(mostTasks)
})

test('a task is shifted within the sequence, and no farther', () => {
  const d = drill(measure(1))
  expect([shiftTask(d, 0, -1), shiftTask(d, 2, 1)]).toEqual([undefined, undefined])
  expect(strokes(d, 0)).toEqual(['forehand', 'backhand', 'serve'])
  expect(shiftTask(d, 0, 2)).toBe(2)
  expect(strokes(d, 0)).toEqual(['backhand', 'serve', 'forehand'])
})

test('one more measure takes a number that is free', () => {
  expect(another([measure(1), measure(3)]).number).toBe(2)
  const full = Array.from({ length: mostMeasures - 1 }, (_, i) => measure(i + 1))
  expect(another(full).number).toBe(mostMeasures)
})

test('goals that are not counted in the unit make room for one that is', () => {
  const form = (kind: string, units: string[], unit: string) => ({
    kind,
    units,
    unit,
    first: { kind, count: 3 },
    least: 1,
    most: 5,
    misses: [],
  })
  const vocabulary = {
    goals: [
      form('total', ['ball', 'point'], 'ball'),
      form('first to', ['point'], 'point'),
      form('rallies of a length', ['rally'], 'rally'),
    ],
  } as unknown as Vocabulary
  expect(countedIn(measure(1), 'point', vocabulary).goals).toEqual([{ kind: 'total', count: 10 }])
  expect(countedIn(measure(1), 'rally', vocabulary)).toEqual({
    ...measure(1),
    what: 'rally',
    goals: [{ kind: 'rallies of a length', count: 5 }],
  })
})
