import { describe, expect, it } from 'vitest'
import type { Court, Report } from '../lib/api/client'
import { drawn, drawnBox, frameOf, onCourt, placeAt, sign, snap } from './view'

const line = (x1: number, y1: number, x2: number, y2: number) => ({
  from: { x: x1, y: y1 },
  to: { x: x2, y: y2 },
})
const court = {
  width: 10,
  length: 20,
  runOff: { back: 5, side: 3 },
  lines: [line(-5, 10, 5, 10), line(-5, -10, 5, -10), line(-5, -10, -5, 10), line(5, -10, 5, 10)],
} as Court
const box = { left: 100, top: 50, width: 160, height: 300 } as DOMRect

describe('the frame', () => {
  it('takes in the court with its run-off, the far end up', () => {
    const frame = frameOf(court)
    expect([frame.width, frame.height]).toEqual([16, 30])
    expect(drawn(frame, { x: 0, y: 15 })).toEqual({ x: 8, y: 0 })
    expect(placeAt(frame, box, 180, 200)).toEqual({ x: 0, y: 0 })
    expect(placeAt(frame, box, 260, 50)).toEqual({ x: 8, y: 15 })
  })

  it('turns half round for the other end', () => {
    const frame = frameOf(court, 'all', 'down')
    expect(drawn(frame, { x: 2, y: 15 })).toEqual({ x: 6, y: 30 })
    expect(placeAt(frame, box, 260, 50)).toEqual({ x: -8, y: -15 })
  })

  it('lies with the near player looking to the right, or to the left', () => {
    const lying = frameOf(court, 'all', 'right')
    expect([lying.width, lying.height]).toEqual([30, 16])
    // The near player's right is towards the foot of the page, the far end at its right.
    expect(drawn(lying, { x: 2, y: 10 })).toEqual({ x: 25, y: 10 })
    expect(drawn(frameOf(court, 'all', 'left'), { x: 2, y: 10 })).toEqual({ x: 5, y: 6 })
    expect(drawnBox(lying, { x: 0, y: 0 }, 10, 20)).toEqual({ x: 5, y: 3, width: 20, height: 10 })
    // An arrow key to the right takes a place nearer to the far end.
    expect(onCourt('right', { x: 1, y: 0 })).toEqual({ x: 0, y: 1 })
  })

  it('cuts to a half with a little of the other side', () => {
    const frame = frameOf(court, 'near half')
    expect(frame.height).toBe(16)
    expect(drawn(frame, { x: 0, y: 1 }).y).toBe(0)
    expect(drawn(frame, { x: 0, y: -15 }).y).toBe(16)
  })

  it('cuts to a box with a little round it', () => {
    const boxed = {
      ...court,
      boxes: [{ id: 'b', name: 'b', min: { x: 0, y: 0 }, max: { x: 5, y: 10 } }],
    }
    const frame = frameOf(boxed, { box: 'b' })
    expect([frame.middle, frame.width, frame.height]).toEqual([{ x: 2.5, y: 5 }, 8, 13])
  })

  it('finds the pixel of a place and the place of the pixel again', () => {
    for (const frame of [frameOf(court), frameOf(court, 'far half'), frameOf(court, 'all', 'left')]) {
      const place = { x: 1.25, y: frame.middle.y - 2.5 }
      const at = drawn(frame, place)
      const tall = { left: 0, top: 0, width: frame.width * 10, height: frame.height * 10 } as DOMRect
      const back = placeAt(frame, tall, at.x * 10, at.y * 10)
      expect(back.x).toBeCloseTo(place.x, 9)
      expect(back.y).toBeCloseTo(place.y, 9)
    }
  })

  it('keeps a place on the map when the pointer leaves it', () => {
    expect(placeAt(frameOf(court), box, -500, 900)).toEqual({ x: -8, y: -15 })
  })
})

describe('snapping', () => {
  const report = {
    court,
    spots: [
      { handle: 'a', at: { x: 3, y: -4 } },
      { handle: 'own', at: { x: 0, y: 0 } },
    ],
  } as Report

  it('draws a place to a line, to another mark, and to the same offset on the other side', () => {
    expect(snap({ x: 4.9, y: -9.8 }, report, 'own', 0.3).to).toEqual({ x: 5, y: -10 })
    expect(snap({ x: 3.1, y: 1 }, report, 'own', 0.3)).toEqual({ to: { x: 3, y: 1 }, x: 3, y: undefined })
    expect(snap({ x: -2.9, y: 4.1 }, report, 'own', 0.3).to).toEqual({ x: -3, y: 4 })
  })

  it('leaves a place alone that is near nothing, and never snaps to itself', () => {
    expect(snap({ x: 0.1, y: 0.1 }, report, 'own', 0.3).to).toEqual({ x: 0.1, y: 0.1 })
  })
})

it('signs tell balls by number and people by letter', () => {
  expect([
    sign({ handle: 'pattern.tasks.1.landing', label: '' }),
    sign({ handle: 'places.0.mark', label: 'Ada', kind: 'start' }),
    sign({ handle: 'measures.0.target.mark', label: 'target' }),
    sign({ handle: 'noGo.0.area.mark', label: '' }),
    sign({ handle: 'places.3.mark', label: 'the gate', kind: 'cone', letter: 'B' }),
  ]).toEqual(['2', 'S', '+', '×', 'B'])
})
