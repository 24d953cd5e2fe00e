import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { strokeBody } from '../solids/body.ts'
import { type Opening, openingArea, openingSlot } from '../tips/index.ts'
import { type Stroke, type StrokeKind, strokeSchema, strokes } from './index.ts'
import { measureStroke } from './quantities.ts'
import { scaleStroke } from './resize.ts'

const round: Opening = { family: 'round', diameterMm: 3 }
const ROUND_MM2 = (Math.PI / 4) * 9
const petal: Opening = { family: 'petal', lengthMm: 14, wideMm: 2.4, narrowMm: 0.8 }
const centre = { ringMm: 0, heightMm: 0, azimuth: 0 }
const volume = (stroke: object, opening: Opening = round, at = centre) =>
  measureStroke(strokeSchema.parse(stroke), at, opening).volumeMm3

/** Simpson's rule: an integral worked out here, by another way than the strokes are. */
function integral(of: (x: number) => number, from: number, to: number, steps = 4000): number {
  const h = (to - from) / steps
  let sum = of(from) + of(to)
  for (let i = 1; i < steps; i++) sum += (i % 2 === 1 ? 4 : 2) * of(from + i * h)
  return (sum * h) / 3
}

describe('icing in a stroke, by the formula of its solid', () => {
  const within = (found: number, wanted: number, share = 0.004) =>
    expect(Math.abs(found / wanted - 1)).toBeLessThan(share)

  it('dome: two thirds of its cylinder; cone: a frustum', () => {
    within(volume({ kind: 'mound', shape: 'dome', radiusMm: 9, tallMm: 7 }), (2 / 3) * Math.PI * 81 * 7)
    within(
      volume({ kind: 'mound', shape: 'cone', radiusMm: 9, topMm: 4, tallMm: 12 }),
      ((Math.PI * 12) / 3) * (81 + 36 + 16),
    )
  })

  it('dot: an ellipsoid cut three tenths of the way below its widest', () => {
    const cut = 1 - (0.7 ** 3 + 0.3 ** 3) / (3 * 0.49)
    within(volume({ kind: 'dot', radiusMm: 2.5, tallMm: 4 }), Math.PI * 2.5 ** 2 * 4 * cut)
  })

  it('drop: a belly that runs out into a point', () => {
    const across = (t: number) => (1 - ((t - 0.22) / 0.78) ** 2) * (1 - 0.55 * t ** 1.5) ** 2
    within(volume({ kind: 'drop', radiusMm: 4, tallMm: 7 }), Math.PI * 16 * 7 * integral(across, 0, 1))
  })

  it('flooded area: its area as deep as it stands', () => {
    within(volume({ kind: 'flood', radiusMm: 20, deepMm: 1.5 }), Math.PI * 400 * 1.5)
  })

  it('line: the opening over its length, times the pressure', () => {
    within(volume({ kind: 'line', lengthMm: 80, flow: 1.2 }), ROUND_MM2 * 80 * 1.2)
  })

  it('disc: the slot turned about its wide end, each part of it as far as it lies out', () => {
    // a slot tapers a little faster at its wide end, and the narrow one is rounded a quarter of its thickness deep
    const thick = (u: number) => 2.4 + (0.8 - 2.4) * (u / 14) ** 0.85
    const lost = 14 * (1 - Math.PI / 4) * 0.25 * 0.8 ** 2
    const swept = integral((u) => u * thick(u), 0, 14) - lost
    within(volume({ kind: 'disc', turns: 1.2, liftDeg: 0, flow: 1 }, petal), 2 * Math.PI * 1.2 * swept, 0.01)
  })

  it('grows with the square of an opening where the tip makes it, not at all where the hand does', () => {
    const wide: Opening = { family: 'round', diameterMm: 6 }
    within(volume({ kind: 'line', lengthMm: 80 }, wide), 4 * volume({ kind: 'line', lengthMm: 80 }))
    within(
      volume({ kind: 'dot', radiusMm: 2, tallMm: 3 }, wide),
      volume({ kind: 'dot', radiusMm: 2, tallMm: 3 }),
    )
  })
})

/**
 * The largest stroke of each kind in the library: icing in mm³, seconds, how far it reaches from the axis and up, mm. What
 * moves one of them moves every flower with that stroke.
 */
const LARGEST: [
  kind: StrokeKind,
  flower: string,
  layer: string,
  mm3: number,
  seconds: number,
  reachMm: number,
  topMm: number,
][] = [
  ['mound', 'ranunculus', 'dome', 2261, 1.72, 12.07, 7.5],
  ['wrap', 'ribbon-rose', 'third-winding', 1460, 6.205, 14.81, 9.521],
  ['petalArc', 'peony', 'row-of-7', 708.4, 2.907, 25.96, 8.1],
  ['outAndBack', 'climbing-rose', 'small-teardrops', 78.93, 1.667, 10.83, 13.63],
  ['curvedSpike', 'aster', 'outer-rays', 52.07, 1.336, 16.28, 5.074],
  ['fan', 'anemone', 'outer-petals', 519.5, 2.473, 21.65, 5.823],
  ['dot', 'nigella', 'heart', 97.29, 0.8941, 3.037, 7.4],
  ['comma', 'scroll', 'large-comma', 44, 1.81, 18.2, 2.517],
  ['spike', 'sweet-pea', 'calyx', 8.567, 0.9, 5.642, 2.504],
  ['scoop', 'dahlia', 'row-of-15', 117.1, 1.378, 22.02, 2.481],
  ['vine', 'lavender', 'stem', 70.69, 1.943, 40.01, 1.51],
  ['dropStar', 'drop-star-flower', 'star', 180.5, 0.8667, 6.259, 4.4],
  ['disc', 'footed-blossom', 'disc', 210, 3.139, 8.321, 1.986],
  ['wall', 'narcissus', 'trumpet', 543.6, 3.837, 7.804, 11.23],
  ['brushDrag', 'poppy', 'outer-petals', 232.1, 6.258, 19.62, 4.022],
  ['drop', 'drop-border', 'drop', 83.05, 0.82, 2.951, 5.5],
  ['funnel', 'funnel-lily', 'funnel', 1896, 6.662, 16.27, 15.11],
  ['ruffle', 'ruffle-bloom', 'ruffle-5', 377.4, 2.653, 22.1, 10.58],
  ['beadTrail', 'raceme', 'middle-trail', 154.4, 3.586, 44.18, 4.914],
  ['rosette', 'swirl', 'swirl', 28800, 9.374, 27.73, 38.31],
  ['flood', 'flooded-disc', 'face', 985.2, 6.484, 14.18, 1.6],
  ['zigzag', 'zigzag-border', 'string', 251.2, 2.999, 62.98, 1.913],
  ['leafPull', 'ruffled-leaf', 'leaf', 318.1, 2.333, 23.52, 5.932],
  ['grass', 'grass-tuft', 'tufts', 84.28, 1.109, 9.849, 9.602],
  ['line', 'scroll', 'hairline', 11.78, 1.2, 16.41, 0.9565],
  ['shell', 'shell-border', 'shell', 179.8, 1.236, 10.25, 7.742],
  ['beadTail', 'bead-border', 'bead', 81.76, 1.137, 7.513, 4.849],
  ['ribbon', 'ruffle-border', 'ribbon', 691.7, 3.066, 41.46, 8.389],
]

const resolved = (flowerId: string, layerId: string) => {
  const flower = starterWorkshop.flowers.find((f) => f.id === flowerId)!
  const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  const { layer, tip } = layers.find((l) => l.layer.id === layerId)!
  return {
    stroke: layer.stroke as Stroke,
    opening: tip.opening,
    at: { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 },
  }
}

describe('every stroke', () => {
  it('is in the table', () => {
    expect(LARGEST.map(([kind]) => kind).sort()).toEqual(Object.keys(strokes).sort())
  })

  it.each(LARGEST)('%s of the %s, %s: as much, as long, as far and as high as it was', (...row) => {
    const [, flowerId, layerId, mm3, seconds, reachMm, topMm] = row
    const { stroke, opening, at } = resolved(flowerId, layerId)
    const measured = measureStroke(stroke, at, opening)
    const body = strokeBody(stroke, at, opening)
    let [reach, top] = [0, 0]
    for (let o = 0; o < body.length; o += 3) {
      reach = Math.max(reach, Math.hypot(body[o]!, body[o + 1]!))
      top = Math.max(top, body[o + 2]!)
    }
    for (const [now, then] of [
      [measured.volumeMm3, mm3],
      [measured.seconds, seconds],
      [reach, reachMm],
      [top, topMm],
    ] as const)
      expect(Math.abs(now / then - 1)).toBeLessThan(0.005)
  })

  it.each(LARGEST)('%s of the %s, %s: eight times as much at twice the size, tip and all', (...row) => {
    const [, flowerId, layerId] = row
    const { stroke, opening, at } = resolved(flowerId, layerId)
    const twice = Object.fromEntries(
      Object.entries(opening).map(([key, value]) => [
        key,
        key.endsWith('Mm') ? 2 * (value as number) : value,
      ]),
    ) as Opening
    const now = measureStroke(stroke, at, opening).volumeMm3
    const then = measureStroke(
      scaleStroke(stroke, 2),
      { ringMm: 2 * at.ringMm, heightMm: 2 * at.heightMm, azimuth: 0 },
      twice,
    ).volumeMm3
    // a foot never stands lower than 0.2 mm over its table, at any size: it shifts a little
    expect(Math.abs(then / (8 * now) - 1)).toBeLessThan(0.01)
  })

  it.each(LARGEST)('%s of the %s, %s: the same wherever on the ring it is piped', (...row) => {
    const [, flowerId, layerId] = row
    const { stroke, opening, at } = resolved(flowerId, layerId)
    const here = measureStroke(stroke, at, opening)
    const there = measureStroke(stroke, { ...at, azimuth: 2.3 }, opening)
    expect(there.volumeMm3 / here.volumeMm3).toBeCloseTo(1, 6)
    expect(there.seconds).toBeCloseTo(here.seconds, 6)
  })

  it.each(LARGEST)('%s of the %s, %s: never squeezed faster than 40 mm a second', (...row) => {
    const [, flowerId, layerId] = row
    const { stroke, opening, at } = resolved(flowerId, layerId)
    const { volumeMm3, seconds } = measureStroke(stroke, at, opening)
    expect(seconds).toBeGreaterThan(volumeMm3 / (40 * openingArea(opening)))
  })

  it.each(LARGEST)('%s of the %s, %s: every figure of it does something', (...row) => {
    const [, flowerId, layerId] = row
    const { stroke, opening, at } = resolved(flowerId, layerId)
    const shape = (of: Stroke) => {
      const body = strokeBody(of, at, opening)
      return [measureStroke(of, at, opening).volumeMm3, ...body].map((n) => n.toFixed(5)).join()
    }
    const now = shape(stroke)
    const dead = Object.entries(stroke)
      .filter((entry): entry is [string, number] => typeof entry[1] === 'number')
      .filter(([key, value]) => {
        const tried = [
          value * 0.8,
          value * 0.9 + 0.1,
          value - 0.25,
          value + 0.25,
          Math.max(1, Math.round(value) - 1),
        ]
        return !tried.some((next) => {
          const parsed = strokeSchema.safeParse({ ...stroke, [key]: next })
          return parsed.success && next !== value && shape(parsed.data) !== now
        })
      })
      .map(([key]) => key)
    // a dome has no top, and a straight stem no waves, whatever is written for them
    const idle = ['mound topMm', 'vine waves']
    expect(dead.map((key) => `${row[0]} ${key}`).filter((d) => !idle.includes(d))).toEqual([])
  })
})

describe('a sheet', () => {
  it('cannot be piped through a round hole, and says so', () => {
    const fan = resolved('anemone', 'outer-petals').stroke
    expect(() => measureStroke(fan, centre, round)).toThrow(/needs a slot/)
    expect(openingSlot(round)).toBeNull()
  })
})
