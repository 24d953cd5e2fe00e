import { describe, expect, it } from 'vitest'
import { flowerSchema, type Layer } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import type { Opening } from '../tips/index.ts'
import { flowerChecks } from './checks.ts'
import { flowerExtent } from './extent.ts'
import { measureFlower, roleGrams } from './measure.ts'
import { flowerHeight } from './piled.ts'
import { scaledPitch } from './pitch.ts'
import { fitFlower, UnknownTipError } from './resolve.ts'
import { borderRun } from './run.ts'
import { laid } from './testing.ts'

const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const slot: Opening = { family: 'petal', lengthMm: 12, wideMm: 2, narrowMm: 1 }
const owned = (id: string, opening: Opening, count = 1): OwnedTip => ({
  ...{ id, opening, owned: count },
  ...{ base: 'standard', stamp: '', source: 'own' },
})
const within = (found: number, wanted: number, share = 0.01) =>
  expect(Math.abs(found / wanted - 1), `${found} for ${wanted}`).toBeLessThan(share)

/** A recipe of given layers; each stroke through a tip named beside it. */
function recipe(layers: [stroke: object, tipId: string, more?: Partial<Layer>][], more: object = {}) {
  return flowerSchema.parse({
    ...{ id: 'own', name: 'Own', form: 'flower', setting: 'inPlace', nailMm: null, level: 'first' },
    roles: [
      { id: 'icing', name: 'Icing', hex: '#aabbcc' },
      { id: 'rim', name: 'Rim', hex: '#112233' },
    ],
    layers: layers.map(([stroke, tipId, part], i) => ({
      ...laid(stroke, round(1), { id: `l${i}`, name: `Layer ${i}`, ...part }).layer,
      tipId,
    })),
    ...more,
  })
}
const DOME = { kind: 'mound', shape: 'dome', radiusMm: 10, tallMm: 8 }

describe('one flower, by hand', () => {
  const tips = [owned('r3', round(3)), owned('slot', slot)]
  const flower = recipe([
    [DOME, 'r3', { load: { kind: 'plain', role: 'rim' } }],
    [
      { kind: 'line', lengthMm: 20 },
      'r3',
      { count: 4, load: { kind: 'leftBehind', first: 'rim', next: 'icing', share: 0.25 } },
    ],
  ])
  const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
  const dome = (2 / 3) * Math.PI * 100 * 8
  const line = (Math.PI / 4) * 9 * 20

  it('its icing is that of its strokes, as often as they are piped', () => {
    within(measure.layers[0]!.volumeMm3, dome)
    within(measure.layers[1]!.volumeMm3, 4 * line)
    within(measure.volumeMm3, dome + 4 * line)
    // 25 mm a second along 20 mm, and 0.6 s to begin and end each
    within(measure.layers[1]!.seconds, 4 * (0.6 + 20 / 25))
    expect(measure.seconds).toBeCloseTo(measure.layers[0]!.seconds + measure.layers[1]!.seconds, 9)
  })

  it('a colour weighs its share of the volume at the density of the icing', () => {
    const grams = roleGrams(flower, measure, 1.25)
    within(grams.get('rim')!, ((dome + 0.25 * 4 * line) / 1000) * 1.25)
    within(grams.get('icing')!, ((0.75 * 4 * line) / 1000) * 1.25)
  })

  it('what scales have said of it multiplies grams, not seconds', () => {
    const heavier = measureFlower({ ...flower, calibration: 1.2 }, layers)
    expect(heavier.volumeMm3).toBeCloseTo(1.2 * measure.volumeMm3, 6)
    expect(heavier.seconds).toBe(measure.seconds)
    expect(heavier.diameterMm).toBe(measure.diameterMm)
  })

  it('it is as wide as its widest and as high as its highest', () => {
    const alone = flowerExtent([layers[0]!])
    within(alone.diameterMm, 20, 0.02)
    // squeezed on the table, it stands as high as it was meant, whatever a hand slips
    expect(alone.heightMm).toBeCloseTo(8, 6)
    expect(flowerHeight([laid(DOME, round(3), { count: 12, ringMm: 45 })])).toBeCloseTo(8, 6)
    // four lines of 20 mm crosswise: 40 mm from end to end, along and across
    within(measure.alongMm, 40, 0.02)
    within(measure.acrossMm, measure.alongMm, 0.02)
    const two = flowerExtent([{ ...layers[1]!, layer: { ...layers[1]!.layer, count: 2 } }])
    within(two.alongMm, 40, 0.02)
    expect(two.acrossMm).toBeLessThan(5)
  })

  it('a flower that is not round is turned without changing', () => {
    const at = (startDeg: number) =>
      flowerExtent([laid({ kind: 'line', lengthMm: 30 }, round(3), { startDeg })])
    for (const turn of [0, 20, 45, 90, 130]) within(at(turn).alongMm, at(0).alongMm, 0.02)
  })
})

describe('fitting to a size', () => {
  const drawer = [owned('r3', round(3)), owned('r4', round(4)), owned('r6', round(6), 0), owned('slot', slot)]
  const star = recipe([[{ kind: 'line', lengthMm: 20 }, 'r3', { count: 5, ringMm: 2 }]])
  const fitted = (sizeMm: number | null, tips: Record<string, string> = {}) =>
    fitFlower(star, { sizeMm, tips }, drawer)

  it('its own size keeps its own tips and lengths', () => {
    expect(fitted(null)).toMatchObject({ factor: 1, layers: [{ tip: { id: 'r3' }, layer: star.layers[0] }] })
  })

  it('takes the owned tip of its family that is nearest, and the rest is made by the hand', () => {
    const own = fitted(null).measure.diameterMm
    // a third larger: 4 mm is owned and right; twice: 6 mm is right but not owned, 4 mm is too far off
    expect(fitted(own * 1.33).layers[0]!.tip.id).toBe('r4')
    expect(fitted(own * 2).layers[0]!.tip.id).toBe('r6')
    expect(fitted(own * 1.05).layers[0]!.tip.id).toBe('r3')
    for (const by of [0.6, 0.8, 1.05, 1.33, 2]) within(fitted(own * by).measure.diameterMm, own * by, 0.005)
  })

  it('a tip that a person chose stays, in every size', () => {
    for (const size of [20, 40, 80]) expect(fitted(size, { l0: 'r6' }).layers[0]!.tip.id).toBe('r6')
  })

  it('a tip that nobody knows is named with its flower', () => {
    const lost = recipe([[DOME, 'gone']])
    expect(() => fitFlower(lost, { sizeMm: null, tips: {} }, drawer)).toThrow(UnknownTipError)
    expect(() => fitted(30, { l0: 'lost' })).toThrow(/Own is piped with a tip "lost"/)
  })

  it('what is loose takes no part in the width and keeps its tip and its stroke', () => {
    const with_ = recipe([
      [{ kind: 'line', lengthMm: 20 }, 'r3', { count: 5, ringMm: 2 }],
      [{ kind: 'line', lengthMm: 60 }, 'r3', { loose: true }],
    ])
    const all = fitFlower(with_, { sizeMm: 90, tips: {} }, drawer)
    const firm = fitted(90)
    expect(all.factor).toBeCloseTo(firm.factor, 9)
    expect(all.layers[1]!.tip.id).toBe('r3')
  })

  it('a border’s pitch grows with it', () => {
    const beads = recipe([[{ kind: 'dot', radiusMm: 3, tallMm: 4 }, 'r3']], { form: 'border', pitchMm: 5 })
    const twice = fitFlower(beads, { sizeMm: 12, tips: {} }, drawer)
    within(scaledPitch(beads, twice), 10, 0.03)
    const single = { ...beads, form: 'flower' as const, pitchMm: null }
    expect(scaledPitch(single, twice)).toBe(twice.measure.diameterMm)
    // 46 mm of beads 10 mm apart are four, and a dot runs no way
    expect(borderRun(beads, twice.layers, twice.factor)).toMatchObject({ units: 4, heading: 0 })
    expect(borderRun(single, twice.layers, 1)).toBeNull()
  })

  it('a border runs the way its stroke goes', () => {
    const strings = (startDeg: number) =>
      recipe([[{ kind: 'line', lengthMm: 12 }, 'r3', { startDeg }]], { form: 'border', pitchMm: 12 })
    for (const [start, heading] of [
      [0, 0],
      [90, Math.PI / 2],
      [-45, -Math.PI / 4],
    ] as const) {
      const flower = strings(start)
      const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, drawer)
      expect(borderRun(flower, layers, 1)!.heading).toBeCloseTo(heading, 9)
      expect(borderRun(flower, layers, 1)!.units).toBe(3)
    }
    const fine = { ...strings(0), pitchMm: 1 }
    expect(borderRun(fine, fitFlower(fine, { sizeMm: null, tips: {} }, drawer).layers, 1)!.units).toBe(9)
  })
})

describe('where a check begins', () => {
  const tips = [owned('r3', round(3)), owned('r1', round(1)), owned('r2', round(2)), owned('slot', slot)]
  const codes = (layers: Parameters<typeof recipe>[0], more: object = {}) => {
    const flower = recipe(layers, more)
    const fitted = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
    return flowerChecks(flower, fitted.layers, fitted.measure).map((c) => c.code)
  }
  const WALL = { kind: 'wall', turns: 1, tiltFootDeg: 0, tiltRimDeg: 10 }
  const mound = (tallMm: number) => ({ kind: 'mound', shape: 'dome', radiusMm: 5, tallMm })
  const ARC = {
    kind: 'petalArc',
    spanDeg: 60,
    archMm: 2,
    dropMm: 0,
    tiltEndDeg: 0,
    tiltMidDeg: 20,
    overlapMm: 0,
  }

  it('a mound as high as the wall around it is right, a millimetre more pushes it open', () => {
    const round_ = (tall: number, more: Partial<Layer> = {}, wall: Partial<Layer> = {}) =>
      codes([
        [mound(tall), 'r3', more],
        [WALL, 'slot', { ringMm: 6, ...wall }],
      ])
    expect(round_(12)).not.toContain('mound-too-high')
    expect(round_(12.5)).toContain('mound-too-high')
    // aimed higher over nothing a wall stands on the table all the same; a mound beside the axis is none of its own
    expect(round_(12.5, {}, { heightMm: 1 })).toContain('mound-too-high')
    expect(round_(12.5, { heightMm: 1 })).toContain('mound-too-high')
    expect(round_(20, { ringMm: 1 })).not.toContain('mound-too-high')
    // a wall further out than the foot and 2 mm is not pushed
    expect(round_(20, {}, { ringMm: 7 })).toContain('mound-too-high')
    expect(round_(20, {}, { ringMm: 7.1 })).not.toContain('mound-too-high')
  })

  it('a wall piped before the mound is not pushed open by it', () => {
    expect(
      codes([
        [WALL, 'slot', { ringMm: 6 }],
        [mound(20), 'r3'],
      ]),
    ).not.toContain('mound-too-high')
  })

  it('petals of 60° close from six on; two deep they have room, three deep they have not', () => {
    const row = (count: number, ringMm = 12) => codes([[ARC, 'slot', { count, ringMm }]])
    expect(row(4)).toContain('row-gaps')
    expect(row(6)).not.toContain('row-gaps')
    expect(row(12)).not.toContain('row-full')
    expect(row(19)).toContain('row-full')
    // the innermost are meant to wrap each other
    expect(row(19, 3.4)).not.toContain('row-full')
    // one petal, or a row over part of the ring, is no row that closes
    expect(row(1)).not.toContain('row-gaps')
    expect(codes([[ARC, 'slot', { count: 3, ringMm: 12, spreadDeg: 180 }]])).not.toContain('row-gaps')
    // nor are petals along a line, or over a dome
    const line = { kind: 'line', fromMm: 0, lengthMm: 30, turnDeg: 0, angleDeg: 50, sides: 'both' } as const
    expect(codes([[ARC, 'slot', { count: 4, ringMm: 12, at: line }]])).not.toContain('row-gaps')
  })

  it('a mound beside a wall does not push it open', () => {
    const beside = { kind: 'line', fromMm: 20, lengthMm: 1, turnDeg: 0, angleDeg: 0, sides: 'along' } as const
    const high = (more: object) =>
      codes([
        [mound(20), 'r3', more],
        [WALL, 'slot', { ringMm: 6 }],
      ])
    expect(high({})).toContain('mound-too-high')
    expect(high({ at: beside })).not.toContain('mound-too-high')
  })

  it('what is offered instead is as many as close, or lie two deep, and a mound a millimetre under its wall', () => {
    const remedy = (layers: Parameters<typeof recipe>[0], code: string) => {
      const flower = recipe(layers)
      const fitted = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
      const { layer } = flowerChecks(flower, fitted.layers, fitted.measure).find((c) => c.code === code)!
        .remedy!
      return layer!.part
    }
    // 60° and what the thickness and the overlap add: five or six close, and twice as many lie two deep
    const enough = remedy([[ARC, 'slot', { count: 3, ringMm: 12 }]], 'row-gaps').count!
    const room = remedy([[ARC, 'slot', { count: 19, ringMm: 12 }]], 'row-full').count!
    expect([5, 6]).toContain(enough)
    expect(room).toBeGreaterThanOrEqual(2 * (enough - 1))
    expect(room).toBeLessThanOrEqual(2 * enough)
    const lowered = remedy(
      [
        [mound(20), 'r3'],
        [WALL, 'slot', { ringMm: 6 }],
      ],
      'mound-too-high',
    )
    expect(lowered).toMatchObject({ stroke: { tallMm: 11 } })
  })

  it('two and four petals stand opposite, three and five do not; of two rows the outer one is looked at', () => {
    const row = (count: number, ringMm: number): [object, string, Partial<Layer>] => [
      ARC,
      'slot',
      { count, ringMm },
    ]
    const opposite = (...rows: ReturnType<typeof row>[]) => codes(rows).includes('petals-opposite')
    expect([1, 2, 3, 4, 5, 6].map((n) => opposite(row(n, 12)))).toEqual([
      false,
      true,
      false,
      true,
      false,
      false,
    ])
    expect(opposite(row(4, 8), row(5, 18))).toBe(false)
    expect(opposite(row(5, 8), row(4, 18))).toBe(true)
  })

  it('a flower as wide as its nail sits on it; wider, the next nail that is wide enough is offered', () => {
    const disc = (radiusMm: number, nailMm: number) => {
      const flower = recipe([[{ kind: 'mound', shape: 'dome', radiusMm, tallMm: 4 }, 'r3']], {
        setting: 'nail',
        nailMm,
      })
      const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
      return flowerChecks(flower, layers, measure).find((c) => c.code === 'wider-than-nail')
    }
    expect(disc(14, 30)).toBeUndefined()
    expect(disc(17, 30)?.remedy?.flower?.nailMm).toBe(40)
    expect(disc(32, 40)?.remedy?.flower?.nailMm).toBe(70)
    expect(disc(44, 60)).toMatchObject({ remedy: null })
  })

  it('what is scraped off a nail is piped in place; what begins near the axis holds together', () => {
    const onNail = { setting: 'nail', nailMm: 80 }
    expect(codes([[{ kind: 'rosette', outerMm: 10, turns: 2 }, 'r3']], onNail)).toContain('in-place-only')
    const petals = (ringMm: number) =>
      codes(
        [
          [
            { kind: 'fan', spanDeg: 60, outMm: 8, tiltStartDeg: 10, tiltEndDeg: 20 },
            'slot',
            { count: 5, ringMm },
          ],
        ],
        onNail,
      )
    expect(petals(2.4)).not.toContain('no-foot')
    expect(petals(2.5)).toContain('no-foot')
    expect(codes([[mound(4), 'r3']], onNail)).not.toContain('no-foot')
  })

  it('stiff icing through less than 2 mm² strains the hand: a round of 1 mm, not one of 2', () => {
    const spike = (tipId: string, stiffness: Layer['stiffness']) =>
      codes([[{ kind: 'spike', tallMm: 5 }, tipId, { stiffness }]]).includes('hand-strain')
    expect([spike('r1', 'stiff'), spike('r2', 'stiff'), spike('r1', 'medium')]).toEqual([true, false, false])
  })

  it('what wants a decision comes before what is only to be known', () => {
    const found = codes([
      [ARC, 'slot', { count: 4, ringMm: 12 }],
      [{ kind: 'spike', tallMm: 5 }, 'r1', { stiffness: 'stiff' }],
    ])
    expect(found).toEqual(['row-gaps', 'petals-opposite', 'hand-strain'])
  })
})
