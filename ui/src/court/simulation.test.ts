import { expect, test } from 'vitest'
import type { Simulation } from '../lib/api/client'
import { along, at } from './simulation'

const interception = (release: number, x: number) => ({
  task: 0,
  player: 0,
  release,
  leaves: release + 0.2,
  contact: release + 1.2,
  from: { x: 0, y: -10 },
  body: { x, y: -10 },
  route: [
    { x: 0, y: -10 },
    { x, y: -10 },
  ],
  trail: [
    { t: release, x: 0, y: 8, z: 1 },
    { t: release + 1.2, x, y: -10, z: 1 },
  ],
})
const simulation = {
  timeline: { interceptions: [interception(0, 3), interception(3, -3)], runners: [{}] },
} as unknown as Simulation

test('a route is followed by its length', () => {
  const route = [
    { x: 0, y: 0 },
    { x: 3, y: 0 },
    { x: 3, y: 1 },
  ]
  expect(along(route, 0.5)).toEqual({ x: 2, y: 0 })
  expect(along(route, 1)).toEqual({ x: 3, y: 1 })
  expect(along([], 0.5)).toBeUndefined()
})

test('ball and player are where the timeline has them', () => {
  expect(at(simulation, 0.6).balls).toEqual([{ task: 0, x: 1.5, y: -1, z: 1 }])
  expect(at(simulation, 0.1).players).toEqual([{ x: 0, y: -10 }])
  expect(at(simulation, 0.7).players[0]?.x).toBeCloseTo(1.5)
  expect(at(simulation, 2).balls).toEqual([])
  expect(at(simulation, 2.2).players[0]?.x).toBeCloseTo(1.5)
  expect(at(simulation, 3.5).interception).toBe(1)
  expect(at(simulation, 9).players).toEqual([{ x: -3, y: -10 }])
})
