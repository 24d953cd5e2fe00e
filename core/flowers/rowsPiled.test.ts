import { describe, expect, it } from 'vitest'
import type { PiledStroke } from '../pile/piled.ts'
import type { LaidSheet } from '../solids/laid.ts'
import { petalWidthDeg, rowReachMm, topOf } from './rowsPiled.ts'

/** A wall of 4 mm on a circle about an axis, over so many degrees from its azimuth to either side. */
function wall(
  azimuth: number,
  widthDeg: number,
  radiusMm: number,
  axis = { x: 0, y: 0 },
  layer = 0,
): PiledStroke {
  const [tSteps, uSteps] = [24, 1]
  const points: number[] = []
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u <= uSteps; u++) {
      const a = azimuth + ((t / tSteps - 0.5) * widthDeg * Math.PI) / 180
      points.push(axis.x + radiusMm * Math.cos(a), axis.y + radiusMm * Math.sin(a), 4 * u)
    }
  const body: LaidSheet = {
    ...{ kind: 'sheet', tSteps, uSteps, flat: false, up: [0, 0, 1] },
    points: Float64Array.from(points),
    thick: new Float64Array(points.length / 3).fill(1),
  }
  const seat = axis.x || axis.y ? { xMm: axis.x, yMm: axis.y, zMm: 0, lean: 0, towards: 0 } : null
  const laid = [body]
  const at = { ringMm: radiusMm, heightMm: 0, azimuth, seat }
  return { layer, index: 0, at, slips: null, aimed: laid, laid, rested: laid, tongues: 0 }
}

describe('a row as it lies', () => {
  it('covers what its petals cover, wherever they point and whatever their reach', () => {
    const row = [0, 2.1, 4.2, Math.PI].map((a, i) => wall(a, 80, 8 + 3 * i))
    expect(petalWidthDeg(row)).toBeCloseTo(80, 6)
    expect(petalWidthDeg([wall(Math.PI, 100, 9), wall(0, 60, 9)])).toBeCloseTo(80, 6)
    expect(rowReachMm(row)).toBeCloseTo(17, 6)
  })

  it('is measured from its own axis in a floret, and its top from the table', () => {
    const axis = { x: 25, y: -10 }
    expect(petalWidthDeg([wall(1, 70, 5, axis), wall(3, 70, 5, axis)])).toBeCloseTo(70, 6)
    expect(rowReachMm([wall(1, 70, 5, axis)])).toBeCloseTo(5, 6)
    expect(topOf([wall(0, 50, 5), wall(0, 50, 5, axis, 1)], 1)).toBe(4)
    expect(topOf([wall(0, 50, 5)], 3)).toBe(0)
  })
})
