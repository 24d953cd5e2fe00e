// the package's own renderer: it shares nothing with ours but the drawn glyphs
import hershey from 'hersheytext'
import { describe, expect, it } from 'vitest'
import { chartOf } from '../surfaces/index.ts'
import { faces } from './face.ts'
import { faceIds } from './faceIds.ts'
import { fitOffers } from './fit.ts'
import { leastCapitalMm, letter, taken } from './letter.ts'
import { isWhole, linesOn } from './onPiece.ts'
import { roomFor } from './room.ts'

const words = (text: string, more: object = {}) => ({
  ...{ text, faceId: 'hand-print' as const, capitalMm: 12, arcMm: 0 },
  ...more,
})

describe('lettering', () => {
  it('of a greeting, six beads high, comes to what was worked out: 130 by 22 mm, 443 mm in 14 lines, 26 s', () => {
    const made = letter(words('Happy Birthday'), 2)
    expect(made.widthMm).toBeCloseTo(130, -0.5)
    expect(made.heightMm).toBeCloseTo(22, -0.5)
    const { lengthMm, touchDowns, seconds, volumeMm3 } = taken(made, 2)
    expect(lengthMm / 443).toBeCloseTo(1, 1.6)
    expect(touchDowns).toBe(14)
    expect(seconds).toBeCloseTo(0.6 * 14 + lengthMm / 25, 9)
    // 0.9 g/ml: 1.25 g
    expect((volumeMm3 / 1000) * 0.9).toBeCloseTo(1.25, 1)
  })

  it('is as wide as another renderer has it, within half a millimetre, in every face', () => {
    const others = {
      print: 'ems_readability',
      'hand-print': 'ems_tech',
      plain: 'hershey_sans_1',
      school: 'hershey_script_1',
      flowing: 'ems_allure',
    }
    for (const faceId of faceIds) {
      const text = 'First light, 40 Years'
      const drawn = hershey.renderTextArray(text, { font: others[faceId], pos: { x: 0, y: 0 } })
      const xs: number[] = []
      const ys: number[] = []
      let x = 0
      const capital = Math.max(
        ...coordinates(hershey.getFontData(others[faceId]).getChar('H').d).map(([, y]) => y),
      )
      for (const glyph of drawn) {
        for (const [gx, gy] of glyph.d ? coordinates(glyph.d) : []) {
          xs.push(x + gx)
          ys.push(gy)
        }
        x += Number(glyph.width)
      }
      const scale = 12 / capital
      const { widthMm, heightMm } = letter(words(text, { faceId }), 0)
      expect(Math.abs(widthMm - scale * (Math.max(...xs) - Math.min(...xs))), faceId).toBeLessThan(0.5)
      expect(Math.abs(heightMm - scale * (Math.max(...ys) - Math.min(...ys))), faceId).toBeLessThan(0.5)
    }
  })

  it('says which letters a face has not got, and writes curly signs as straight ones', () => {
    expect(letter(words('Ωmega ♥ Ω'), 2).missing).toEqual(['Ω', '♥'])
    expect(letter(words('Mia’s'), 2).missing).toEqual([])
    for (const faceId of faceIds)
      expect(letter(words('Zoë, José, Åse, Größe', { faceId }), 2).missing).toEqual([])
    for (const face of Object.values(faces))
      expect(face.glyphs.H![1].flat().some((v) => v === 1000)).toBe(true)
  })

  it('on an arc stands on it: as long along its foot, its middle upright, smiling for a negative radius', () => {
    const flat = letter(words('light'), 2)
    const up = letter(words('light', { arcMm: 60 }), 2)
    const smile = letter(words('light', { arcMm: -60 }), 2)
    // letters above the foot of an arc are pulled apart, below it pressed together
    expect(taken(up, 2).lengthMm).toBeGreaterThan(taken(flat, 2).lengthMm)
    expect(taken(smile, 2).lengthMm).toBeLessThan(taken(flat, 2).lengthMm)
    // the ends of a row hang lower than its middle by what the arc falls there
    const row = (arcMm: number) => letter(words('nnnnnnnn', { arcMm }), 2)
    const half = row(0).widthMm / 2
    expect(row(80).heightMm - row(0).heightMm).toBeCloseTo(80 * (1 - Math.cos(half / 80)), -0.5)
    expect(taken(letter(words('light', { arcMm: 1e6 }), 2), 2).lengthMm).toBeCloseTo(
      taken(flat, 2).lengthMm,
      2,
    )
  })
})

/** Numbers of a path of moves and lines, two by two. */
const coordinates = (d: string): [number, number][] => {
  const n = [...d.replace(/[A-Z]/g, ' ').matchAll(/-?[\d.]+/g)].map(Number)
  return Array.from({ length: n.length / 2 }, (_, i) => [n[2 * i]!, n[2 * i + 1]!])
}

describe('words that do not fit', () => {
  const room = { widthMm: 100, heightMm: 40 }
  const of = words('Happy Birthday Henrietta')
  it('are offered smaller, on more lines, thinner and shorter; each offer fits, none is too small to read', () => {
    const offers = fitOffers(of, 2, room, [1, 1.5, 2, 3])
    expect(offers.map((o) => o.label.split(/[ :]/)[0])).toEqual(['Thinner', 'Shorter'])
    const wider = fitOffers(of, 2, { widthMm: 140, heightMm: 60 }, [1])
    expect(wider.map((o) => o.change.text)[0]).toBe('Happy Birthday\nHenrietta')
    for (const { change, label } of offers) {
      if (label.startsWith('Shorter')) continue
      const { beadMm = 2, ...part } = change
      const made = letter({ ...of, ...part }, beadMm)
      expect(made.widthMm, label).toBeLessThanOrEqual(room.widthMm)
      expect(made.heightMm, label).toBeLessThanOrEqual(room.heightMm)
      expect((part.capitalMm ?? 12) / beadMm).toBeGreaterThanOrEqual(6)
    }
    expect(fitOffers({ ...of, text: 'Happy' }, 2, room, [1])).toEqual([])
    expect(
      fitOffers({ ...of, text: 'Happy Day', capitalMm: 20 }, 2, room, []).map((o) => o.label)[0],
    ).toMatch(/^Smaller: capitals of 1\d/)
  })
  it('may not be smaller than a face stays open at', () => {
    expect(leastCapitalMm('print', 2)).toBe(10)
    expect(leastCapitalMm('flowing', 2)).toBe(20)
  })
})

describe('words on a piece', () => {
  const cake = chartOf({ kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 })
  const front = {
    place: { zone: 'side' as const, tier: 0, from: 'foot' as const, a: 50, b: -90 },
    turnDeg: 0,
  }
  const line = [-50, 0, 50, 0]
  it('run along a side from left to right, as long as they are', () => {
    const [points] = linesOn(cake, front, [line])
    const [first, last] = [points![0]!, points!.at(-1)!]
    expect(first.x).toBeLessThan(0)
    expect(last.x).toBeCloseTo(100 * Math.sin(0.5), 6)
    expect(first.z).toBeCloseTo(50, 6)
    const [upward] = linesOn(cake, front, [[0, 0, 0, 10]])
    expect(upward!.at(-1)!.z).toBeCloseTo(60, 6)
  })
  it('on a top are read from the front, wherever they lie', () => {
    for (const b of [-90, 0, 45, 90, 180]) {
      const top = { place: { zone: 'top' as const, tier: 0, from: 'middle' as const, a: 30, b }, turnDeg: 0 }
      const [points] = linesOn(cake, top, [[0, 0, 10, 0]])
      expect(points!.at(-1)!.x - points![0]!.x).toBeCloseTo(10, 6)
      expect(points!.at(-1)!.y - points![0]!.y).toBeCloseTo(0, 6)
    }
  })
  it('are whole where they stay on their face', () => {
    expect(isWhole(cake, front, [line], 2)).toBe(true)
    expect(isWhole(cake, front, [[0, -48, 0, 60]], 2)).toBe(false)
    const rim = { place: { zone: 'top' as const, tier: 0, from: 'rim' as const, a: 20, b: 0 }, turnDeg: 0 }
    expect(isWhole(cake, rim, [[0, 0, 10, 0]], 2)).toBe(true)
    expect(isWhole(cake, rim, [[0, 0, 40, 0]], 2)).toBe(false)
  })
})

describe('room for words', () => {
  const cake = chartOf({
    kind: 'cake',
    tiers: [
      { diameterMm: 200, heightMm: 100 },
      { diameterMm: 120, heightMm: 80 },
    ],
    coveredMm: 0,
  })
  it('is three tenths of the way round a side, and to 6 mm off its nearer edge', () => {
    const room = roomFor(cake, { zone: 'side', tier: 0, from: 'foot', a: 40, b: -90 })
    expect(room.widthMm).toBeCloseTo(0.3 * Math.PI * 200, 6)
    expect(room.heightMm).toBeCloseTo(2 * (40 - 6), 6)
  })
  it('is the chord on a round top, its width and depth on a sheet, and less away from the middle', () => {
    const middle = roomFor(cake, { zone: 'top', tier: 1, from: 'middle', a: 0, b: 0 })
    // the rim is where 6 mm of rounding are half over, 45° round; and 6 mm off that
    const half = 60 - 6 * (1 - Math.SQRT1_2) - 6
    expect(middle.widthMm).toBeCloseTo(2 * half, 3)
    expect(middle.heightMm).toBeCloseTo(2 * half, 3)
    const back = roomFor(cake, { zone: 'top', tier: 1, from: 'middle', a: 30, b: 90 })
    expect(back.widthMm).toBeCloseTo(2 * (Math.sqrt((half + 6) ** 2 - 30 ** 2) - 6), 2)
    expect(back.heightMm).toBeCloseTo(2 * (half - 30), 2)
    // on a ledge there is what is left between the upper tier and the rim
    const ledge = roomFor(cake, { zone: 'top', tier: 0, from: 'joint', a: 20, b: -90 })
    expect(ledge.heightMm).toBeLessThan(2 * (20 - 6) + 0.1)
    const sheet = chartOf({ kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 60 })
    const room = roomFor(sheet, { zone: 'top', tier: 0, from: 'middle', a: 0, b: 0.5 })
    expect(room.widthMm).toBeCloseTo(288, 1)
    expect(room.heightMm).toBeCloseTo(88, 1)
  })
})
