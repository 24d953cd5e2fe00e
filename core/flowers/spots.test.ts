import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { type Flower, floretSchema, flowerSchema, type Layer, layerSchema } from '../model/flower.ts'
import { MOST_STROKES, strokesOf, withWhatIsSetOn } from '../model/placeFaults.ts'
import { strokeBody } from '../solids/body.ts'
import type { Opening } from '../tips/index.ts'
import { aimedExtent } from './aimed.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower } from './piled.ts'
import { aimedView } from './planView.ts'
import { fitFlower } from './resolve.ts'
import { layerSpots } from './spots.ts'
import { laid, measuredSolid } from './testing.ts'

const ROUND_2: Opening = { family: 'round', diameterMm: 2 }
const dot = (id: string, more: Partial<Layer> = {}) =>
  laid({ kind: 'dot', radiusMm: 1, tallMm: 1.2 }, ROUND_2, { id, ...more })
const spike = (id: string, more: Partial<Layer> = {}) =>
  laid({ kind: 'spike', tallMm: 8, leanDeg: 0, taper: 0.2 }, ROUND_2, { id, ...more })
const floret = (more: object) =>
  floretSchema.parse({ id: 'floret', name: 'Floret', count: 1, ringMm: 0, heightMm: 0, ...more })
const on = (layerId: string, at: 'starts' | 'ends' | 'between') => ({ kind: 'layer', layerId, at }) as const
const places = (of: ResolvedLayer, all: readonly ResolvedLayer[]) =>
  layerSpots(of, all).map(({ azimuth, seat }) => {
    // where its own ring begins
    const x = (seat?.xMm ?? 0) + Math.cos(azimuth) * of.layer.ringMm
    const y = (seat?.yMm ?? 0) + Math.sin(azimuth) * of.layer.ringMm
    return [x, y, (seat?.zMm ?? 0) + of.layer.heightMm].map((v) => Math.round(v * 100) / 100 + 0)
  })
const degrees = (of: ResolvedLayer, all: readonly ResolvedLayer[]) =>
  layerSpots(of, all).map((s) => (Math.round((s.azimuth * 180) / Math.PI) + 720) % 360)

describe('set on another layer', () => {
  const four = spike('four', { count: 4, ringMm: 10, heightMm: 2 })

  it('a dot on the tip of every stamen, or at its foot', () => {
    const tips = dot('tips', { at: on('four', 'ends') })
    const feet = dot('feet', { at: on('four', 'starts') })
    expect(places(feet, [four, feet])).toEqual([
      [10, 0, 2],
      [0, 10, 2],
      [-10, 0, 2],
      [0, -10, 2],
    ])
    expect(places(tips, [four, tips])).toEqual([
      [10, 0, 10],
      [0, 10, 10],
      [-10, 0, 10],
      [0, -10, 10],
    ])
  })

  it('a ring of its own round each: three dots 2 mm from every one of four', () => {
    const trios = dot('trios', { at: on('four', 'starts'), count: 3, ringMm: 2 })
    const found = places(trios, [four, trios])
    expect(found).toHaveLength(12)
    const middles = [
      [10, 0],
      [0, 10],
      [-10, 0],
      [0, -10],
    ]
    found.forEach(([x, y], i) => {
      const [mx, my] = middles[Math.floor(i / 3)]!
      expect(Math.hypot(x! - mx!, y! - my!)).toBeCloseTo(2, 1)
    })
  })

  it('over the joins of the row below, wherever that begins; an open row has one join fewer', () => {
    const row = dot('row', { count: 5, ringMm: 10, startDeg: 20 })
    const next = dot('next', { at: on('row', 'between'), ringMm: 8 })
    expect(degrees(next, [row, next])).toEqual([56, 128, 200, 272, 344])
    const open = dot('row', { count: 3, ringMm: 10, spreadDeg: 90 })
    expect(degrees(next, [open, next])).toEqual([338, 23])
    expect(degrees(next, [dot('row', { count: 1 }), next])).toEqual([0])
  })

  it('on what is itself set on another; and nowhere where that is gone', () => {
    const tips = dot('tips', { at: on('four', 'ends') })
    const more = dot('more', { at: on('tips', 'starts'), heightMm: 1 })
    expect(places(more, [four, tips, more])[1]).toEqual([0, 10, 11])
    expect(() => layerSpots(more, [four, more])).toThrow(/"tips"/)
  })

  it('at the end of a bent stem it faces the way the stem ends', () => {
    const stem = laid({ kind: 'vine', lengthMm: 10 * Math.PI, turnDeg: 90 }, ROUND_2, { id: 'stem' })
    const bud = dot('bud', { at: on('stem', 'ends') })
    const [end] = layerSpots(bud, [stem, bud])
    // a quarter of a circle of 20 mm radius
    expect([end!.seat!.xMm, end!.seat!.yMm].map(Math.round)).toEqual([20, 20])
    expect(Math.abs(end!.azimuth - Math.PI / 2)).toBeLessThan(0.04)
  })
})

describe('florets', () => {
  const petals = { ...dot('petals', { count: 5, ringMm: 3 }) }

  it('every layer of one is repeated at all its places, turned to face as each faces', () => {
    const along = floret({ count: 4, at: { kind: 'line', lengthMm: 30, sides: 'along' }, heightMm: 2 })
    const [five, middle] = [petals, dot('middle', { heightMm: 1 })].map((l) => ({ ...l, floret: along })) as [
      ResolvedLayer,
      ResolvedLayer,
    ]
    expect(places(middle, [five, middle])).toEqual([
      [0, 0, 3],
      [10, 0, 3],
      [20, 0, 3],
      [30, 0, 3],
    ])
    const found = places(five, [five, middle])
    expect(found).toHaveLength(20)
    found.forEach(([x, y, z], i) => {
      expect(Math.hypot(x! - 10 * Math.floor(i / 5), y!)).toBeCloseTo(3, 1)
      expect(z).toBe(2)
    })
  })

  it('on a ring they stand that far out; no two are turned alike where they are loose, and all layers turn together', () => {
    const loose = floret({ count: 6, ringMm: 12, looseDeg: 40, nodsDeg: 20 })
    const [five, one] = [petals, dot('one', { ringMm: 3 })].map((l) => ({ ...l, floret: loose })) as [
      ResolvedLayer,
      ResolvedLayer,
    ]
    const spots = layerSpots(five, [five, one])
    const turns = spots.filter((_, i) => i % 5 === 0).map((s) => s.azimuth)
    expect(new Set(turns.map((t) => t.toFixed(3))).size).toBe(6)
    for (const { seat } of spots) {
      expect(Math.hypot(seat!.xMm, seat!.yMm)).toBeCloseTo(12, 9)
      expect(seat!.lean).toBeLessThanOrEqual((20 * Math.PI) / 180)
    }
    expect(layerSpots(one, [five, one])).toEqual(spots.filter((_, i) => i % 5 === 0))
    expect(layerSpots(five, [five, one])).toEqual(spots)
  })
})

describe('what all that comes to', () => {
  const number = (min: number, max: number) => fc.integer({ min, max })
  const at = fc.oneof(
    fc.constant({ kind: 'ring' }),
    fc.record({ kind: fc.constant('dome'), radiusMm: number(5, 20), tallMm: number(2, 15) }),
    fc.record({ kind: fc.constant('cone'), radiusMm: number(3, 9), tallMm: number(5, 30) }),
    fc.record({
      kind: fc.constant('line'),
      lengthMm: number(5, 40),
      turnDeg: number(-180, 180),
      sides: fc.constantFrom('both', 'alternate'),
    }),
    fc.record({ kind: fc.constant('scatter'), lengthMm: number(5, 40), wideMm: number(5, 40) }),
  )
  const set = {
    count: number(1, 7),
    ringMm: number(0, 10),
    heightMm: number(0, 5),
    startDeg: number(0, 90),
    spreadDeg: fc.constantFrom(120, 360),
    at,
  }
  const tip = starterWorkshop.tips.find((t) => t.opening.family === 'round')!
  const base = {
    name: 'x',
    tipId: tip.id,
    stiffness: 'medium',
    load: { kind: 'plain', role: 'r' },
    stroke: { kind: 'dot', radiusMm: 1.5, tallMm: 1 },
  }
  const flower = fc
    .record({
      florets: fc.array(fc.record(set), { maxLength: 1 }),
      layers: fc.array(fc.record(set), { minLength: 2, maxLength: 3 }),
      on: fc.constantFrom('starts', 'ends', 'between'),
    })
    .map(({ florets, layers, on: where }) => ({
      ...{
        id: 'f',
        name: 'F',
        form: 'flower',
        setting: 'inPlace',
        nailMm: null,
        level: 'first',
        roles: [{ id: 'r', name: 'R', hex: '#aabbcc' }],
      },
      florets: florets.map((f) => ({ id: 'x', name: 'X', looseDeg: 30, ...f })),
      layers: layers.map((l, i) => ({
        ...base,
        id: `l${i}`,
        ...l,
        floretId: florets.length > 0 ? 'x' : null,
        ...(i === 1 ? { at: { kind: 'layer', layerId: 'l0', at: where } } : {}),
      })),
    }))
    .map((f) => flowerSchema.safeParse(f))
    .filter((f) => f.success)
    .map((f) => f.data as Flower)

  it('as many strokes as are counted without laying them, their icing so many times one, as wide as their points', () => {
    fc.assert(
      fc.property(flower, (f) => {
        const { layers, measure } = fitFlower(f, { sizeMm: null, tips: {} }, starterWorkshop.tips)
        const points: number[] = []
        layers.forEach((resolved, i) => {
          const spots = layerSpots(resolved, layers)
          const { layer, tip: own } = resolved
          expect(spots).toHaveLength(strokesOf(f, layer.id))
          expect(measure.layers[i]!.strokes).toBe(spots.length)
          const alone = {
            ...f,
            florets: [],
            layers: [{ ...layer, count: 1, at: { kind: 'ring' as const }, floretId: null }],
          }
          const one = fitFlower(alone, { sizeMm: null, tips: {} }, starterWorkshop.tips).measure
          expect(measure.layers[i]!.volumeMm3).toBeCloseTo(one.volumeMm3 * spots.length, 6)
          expect(measure.layers[i]!.seconds).toBeCloseTo(one.seconds * spots.length, 6)
          // each traced where it stands, not moved there
          const { stroke, ringMm, heightMm } = layer
          for (const spot of spots)
            points.push(...strokeBody(stroke, { ringMm, heightMm, ...spot }, own.opening))
        })
        const caliper = measuredSolid(Float32Array.from(points))
        expect(Math.abs(aimedExtent(layers).diameterMm / caliper.mean - 1)).toBeLessThan(0.02)
        expect(new Set(aimedView(layers).map((s) => s.stroke)).size).toBe(
          layers.reduce((sum, l) => sum + layerSpots(l, layers).length, 0),
        )
      }),
      { numRuns: 60 },
    )
  })

  it('twice the size has every place twice as far out', () => {
    const fern = flowerOf([
      { id: 'stem', stroke: { kind: 'vine', lengthMm: 30 } },
      { id: 'leaflets', count: 8, at: { kind: 'line', fromMm: 6, lengthMm: 24 } },
      { id: 'tips', at: { kind: 'layer', layerId: 'leaflets', at: 'ends' } },
    ])
    const [small, large] = [1, 2].map((by) => {
      const own = fitFlower(fern, { sizeMm: null, tips: {} }, starterWorkshop.tips)
      return fitFlower(fern, { sizeMm: own.measure.diameterMm * by, tips: {} }, starterWorkshop.tips)
    }) as [ReturnType<typeof fitFlower>, ReturnType<typeof fitFlower>]
    const by = large.factor / small.factor
    expect(by).toBeGreaterThan(1.6)
    const [a, b] = [small, large].map(({ layers }) => layerSpots(layers[1]!, layers).map((s) => s.seat!.xMm))
    b!.forEach((x, i) => {
      expect(x).toBeCloseTo(a![i]! * by, 6)
    })
  })
})

/** A flower of dots in place, each layer otherwise as it says. */
function flowerOf(layers: readonly object[], florets: readonly object[] = []): Flower {
  return flowerSchema.parse({
    ...{ id: 'f', name: 'F', form: 'flower', setting: 'inPlace', nailMm: null, level: 'first' },
    roles: [{ id: 'r', name: 'R', hex: '#aabbcc' }],
    florets,
    layers: layers.map((l) => ({
      ...{ name: 'Layer', tipId: 'round-2', stiffness: 'medium', load: { kind: 'plain', role: 'r' } },
      ...{ count: 1, ringMm: 0, heightMm: 0, stroke: { kind: 'dot', radiusMm: 1.5, tallMm: 1 } },
      ...l,
    })),
  })
}

describe('what cannot be set where it says is refused with the field', () => {
  const issues = (layers: readonly object[], florets: readonly object[] = []) => {
    try {
      flowerOf(layers, florets)
      return []
    } catch (error) {
      return (error as { issues: { path: unknown[]; message: string }[] }).issues.map((i) => i.path.join('.'))
    }
  }
  const onA = { kind: 'layer', layerId: 'a', at: 'ends' }

  it('on a layer that comes later, is not there, or belongs to another floret; in a floret that is not there', () => {
    expect(issues([{ id: 'a' }, { id: 'b', at: onA }])).toEqual([])
    expect(issues([{ id: 'b', at: onA }, { id: 'a' }])).toEqual(['layers.0.at.layerId'])
    expect(issues([{ id: 'b', at: onA }])).toEqual(['layers.0.at.layerId'])
    const x = { id: 'x', name: 'X', count: 3, ringMm: 9, heightMm: 0 }
    expect(issues([{ id: 'a' }, { id: 'b', at: onA, floretId: 'x' }], [x])).toEqual(['layers.1.at.layerId'])
    expect(issues([{ id: 'a', floretId: 'y' }], [x])).toEqual(['layers.0.floretId'])
    // florets on the tips of what is piped before them
    expect(issues([{ id: 'a' }, { id: 'b', floretId: 'x' }], [{ ...x, at: onA }])).toEqual([])
    expect(issues([{ id: 'b', floretId: 'x' }, { id: 'a' }], [{ ...x, at: onA }])).toEqual([
      'florets.0.at.layerId',
    ])
  })

  it('more strokes than anybody pipes, however they come together', () => {
    const x = { id: 'x', name: 'X', count: 100, ringMm: 9, heightMm: 0 }
    expect(issues([{ id: 'a', count: MOST_STROKES / 100, floretId: 'x' }], [x])).toEqual([])
    expect(issues([{ id: 'a', count: MOST_STROKES / 100 + 1, floretId: 'x' }], [x])).toEqual([
      'layers.0.count',
    ])
  })

  it('a recipe from before there were other places stands on rings', () => {
    const { at: _, floretId: __, ...old } = catalogueFlowers[0]!.layers[0]!
    expect(layerSchema.parse(old)).toMatchObject({ at: { kind: 'ring' }, floretId: null })
  })
})

it('leaving a layer out takes with it what is set on it, however far removed', () => {
  const f = flowerOf(
    [
      { id: 'a' },
      { id: 'b', at: { kind: 'layer', layerId: 'a' } },
      { id: 'c', at: { kind: 'layer', layerId: 'b' } },
      { id: 'd' },
      { id: 'e', floretId: 'x' },
    ],
    [{ id: 'x', name: 'X', count: 1, ringMm: 0, heightMm: 0, at: { kind: 'layer', layerId: 'c' } }],
  )
  expect([...withWhatIsSetOn(f, ['a'])].sort()).toEqual(['a', 'b', 'c', 'e'])
  expect([...withWhatIsSetOn(f, ['d'])]).toEqual(['d'])
})

it('dots over a dome rest on the mound that is there, and lean on nothing else', () => {
  const mound = laid(
    { kind: 'mound', shape: 'dome', radiusMm: 12, tallMm: 9 },
    { family: 'round', diameterMm: 8 },
  )
  const dots = dot('dots', {
    count: 20,
    at: { kind: 'dome', radiusMm: 12, tallMm: 9, fromDeg: 0, toDeg: 65 },
  })
  for (const { layer, laid: bodies } of piledFlower([mound, dots])) {
    if (layer === 0) continue
    const [body] = bodies
    if (body?.kind !== 'rope') throw new Error('a dot is squeezed on the spot')
    const [x, y, z] = body.centres as unknown as [number, number, number]
    const surface = 9 * Math.sqrt(Math.max(0, 1 - (x * x + y * y) / 144))
    expect(Math.abs(z - surface)).toBeLessThan(1.2)
  }
})
