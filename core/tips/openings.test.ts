import { describe, expect, it } from 'vitest'
import { catalogueTips } from '../catalogue/tips.ts'
import { outlineArea } from './family.ts'
import { type Opening, openingArea, openingOutlines, openingSchema, openingSlot } from './index.ts'
import { areaShare } from './slot.ts'
import { nearestScaled, standIns } from './standIns.ts'

const slot13: Opening = { family: 'petal', lengthMm: 13, wideMm: 2.2, narrowMm: 0.7 }

describe('opening areas against hand-worked values', () => {
  it.each<[string, Opening, number]>([
    // pi 4² / 4
    ['round 4', { family: 'round', diameterMm: 4 }, 12.566],
    // 13 (2.2 - 1.5 / 1.85) - (1 - pi/4) / 4 (2.2² + 0.7²) = 18.059 - 0.286
    ['petal 13', slot13, 17.774],
    // the same along an arc: bending an even slot does not change its area
    [
      'curved petal 11',
      { family: 'curvedPetal', lengthMm: 11, wideMm: 1.9, narrowMm: 0.7, bendDeg: 50 },
      13.545,
    ],
    // middle radius 2.05, 200° of it, wall 1.1, and two half discs at the ends: 7.871 + 0.950
    ['half-moon 5.2', { family: 'halfMoon', widthMm: 5.2, wallMm: 1.1, arcDeg: 200 }, 8.822],
    // half of width times height
    ['leaf 10', { family: 'leaf', widthMm: 10, heightMm: 3, cut: 'beak' }, 15],
    // the round within ±1.248, where it is as high as the slit: 5.259; the slit beyond: 2 · 0.728 · 2.252 = 3.279
    ['slit leaf 7', { family: 'leaf', widthMm: 7, heightMm: 2.6, cut: 'slit' }, 8.54],
    // 6 · 1.8 / 2
    ['V-cut bag 6', { family: 'veeCut', widthMm: 6 }, 5.4],
    // 12 pi 1.3² / 4
    ['grass', { family: 'multiHole', holes: 12, holeMm: 1.3 }, 15.928],
    ['cut bag 2', { family: 'cutBag', diameterMm: 2 }, Math.PI],
    // pi (ri² + 2 ri d E1 + d² E2), d = ro - ri, E1 = mean of |cos|^1.5 = 0.5564, E2 = 4 / 3 pi
    ['star 8', { family: 'star', teeth: 8, outerMm: 6.6, innerMm: 3.7, closed: false }, 91.74],
  ])('%s', (_, opening, mm2) => {
    expect(Math.abs(openingArea(opening) - mm2) / mm2).toBeLessThan(0.005)
  })

  it('agree with the area of the drawn outline', () => {
    for (const { opening, id } of catalogueTips) {
      const drawn = openingOutlines(opening).reduce((sum, o) => sum + outlineArea(o), 0)
      expect(Math.abs(drawn - openingArea(opening)) / openingArea(opening), id).toBeLessThan(0.025)
    }
  })
})

describe('a stripe along the wide end', () => {
  const slot = openingSlot(slot13)!
  it('carries more than its share of the length: 0.36 of it is 48 %', () => {
    expect(areaShare(slot, 0.36)).toBeCloseTo(0.48, 2)
  })
  it('shares out the whole and no more', () => {
    expect(areaShare(slot, 0)).toBe(0)
    expect(areaShare(slot, 1)).toBeCloseTo(1, 12)
  })
})

describe('refused openings', () => {
  it('names the field and says why', () => {
    const bad = openingSchema.safeParse({ family: 'star', teeth: 8, outerMm: 3, innerMm: 5, closed: false })
    expect(bad.error?.issues).toMatchObject([{ path: ['innerMm'], message: /smaller than the outer/ }])
  })
})

describe('stand-ins', () => {
  const tip = (id: string) => catalogueTips.find((t) => t.id === id)!
  it('come from the family first, nearest in size', () => {
    const ids = standIns(tip('petal-13').opening, catalogueTips).map((t) => t.id)
    expect(ids.slice(0, 2)).toEqual(['petal-13', 'petal-10'])
    expect(ids).toContain('curve-15')
    expect(ids).not.toContain('round-4')
  })
  it('of another size keep the shape: a larger U stays a U', () => {
    expect(nearestScaled(tip('moon-5').opening, 1.2, catalogueTips)?.id).toBe('moon-5')
    expect(nearestScaled(tip('petal-13').opening, 1.35, catalogueTips)?.id).toBe('petal-17')
  })
})
