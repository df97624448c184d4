import { describe, expect, it } from 'vitest'
import type { Court } from '../lib/api/client'
import { drawn, frameOf, placeAt } from './view'

const court = { width: 10, length: 20, runOff: { back: 5, side: 3 } } as Court

describe('view', () => {
  it('takes in the court with its run-off', () => {
    expect(frameOf(court)).toEqual({ x: -8, y: -15, width: 16, height: 30 })
  })

  it('finds the place under a pixel, the far end up', () => {
    const box = { left: 100, top: 50, width: 160, height: 300 } as DOMRect
    expect(placeAt(frameOf(court), box, 180, 200)).toEqual({ x: 0, y: 0 })
    expect(placeAt(frameOf(court), box, 260, 50)).toEqual({ x: 8, y: 15 })
    expect(drawn({ x: 1, y: 2 })).toEqual({ x: 1, y: -2 })
  })

  it('keeps a place on the map when the pointer leaves it', () => {
    const box = { left: 0, top: 0, width: 160, height: 300 } as DOMRect
    expect(placeAt(frameOf(court), box, -500, 900)).toEqual({ x: -8, y: -15 })
  })
})
