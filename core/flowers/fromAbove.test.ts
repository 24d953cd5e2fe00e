import { describe, expect, it } from 'vitest'
import { ownSpots } from '../places/index.ts'
import type { Opening } from '../tips/index.ts'
import { aimedView } from './planView.ts'
import { seenFromAbove } from './seen.ts'
import { laid } from './testing.ts'

const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const slot: Opening = { family: 'petal', lengthMm: 12, wideMm: 2, narrowMm: 1 }
const degrees = (azimuths: number[]) => azimuths.map((a) => Math.round((a * 180) / Math.PI))
const dot = (radiusMm: number, more: object = {}) =>
  laid({ kind: 'dot', radiusMm, tallMm: 2 }, round(3), more)

/** Area between two circles of radius `r` whose centres are `d` apart. */
const lens = (r: number, d: number) =>
  2 * r * r * Math.acos(d / (2 * r)) - (d / 2) * Math.sqrt(4 * r * r - d * d)
/** Cells are counted by their centres: a share of an outline's cells goes either way. */
const within = (found: number, wanted: number, share = 0.025) =>
  expect(Math.abs(found / wanted - 1), `${found} for ${wanted}`).toBeLessThan(share)

describe('where the strokes of a ring begin', () => {
  it('a full ring leaves no two at one place; an arc has one at each end; one alone is in its middle', () => {
    const at = (count: number, spreadDeg: number, startDeg = 0) =>
      degrees(ownSpots({ kind: 'ring' }, dot(1, { count, spreadDeg, startDeg }).layer).map((s) => s.azimuth))
    expect(at(4, 360)).toEqual([0, 90, 180, 270])
    expect(at(3, 360, 30)).toEqual([30, 150, 270])
    expect(at(3, 90)).toEqual([-45, 0, 45])
    expect(at(2, 120, 90)).toEqual([30, 150])
    expect(at(1, 90, 20)).toEqual([20])
    expect(at(1, 360)).toEqual([0])
  })
})

describe('the outline of one stroke', () => {
  it('a dot is one disc where its ring and azimuth put it, as high as its top', () => {
    const [shape, ...more] = aimedView([dot(4, { ringMm: 10, heightMm: 3, startDeg: 90 })])
    expect(more).toEqual([])
    expect(shape).toMatchObject({ kind: 'disc', role: 'icing', stroke: 0, heightMm: 5 })
    if (shape?.kind !== 'disc') throw new Error('no disc')
    expect([shape.x, shape.y]).toEqual([expect.closeTo(0, 9), expect.closeTo(10, 9)])
    within(shape.radiusMm, 4, 0.001)
  })

  it('a mound is drawn as rings that grow smaller as they rise, from the foot', () => {
    const shapes = aimedView([
      laid({ kind: 'mound', shape: 'cone', radiusMm: 9, topMm: 3, tallMm: 12 }, round(3), { heightMm: 1 }),
    ])
    const rings = shapes.map((s) => (s.kind === 'disc' ? [s.heightMm, s.radiusMm] : []))
    expect(rings).toHaveLength(6)
    expect(rings[0]).toEqual([1, expect.closeTo(9, 9)])
    // a cone narrows by 6 mm over its 12
    for (const [height, radius] of rings) expect(radius).toBeCloseTo(9 - (height! - 1) / 2, 6)
  })

  it('a line is lengths of rope end to end, as thick as its opening and its pressure make it', () => {
    const shapes = aimedView([laid({ kind: 'line', lengthMm: 40, flow: 1 }, round(6), { ringMm: 5 })])
    expect(shapes).toHaveLength(16)
    const ropes = shapes.map((s) => (s.kind === 'rope' ? s : null)!)
    expect(ropes.every((r) => Math.abs(r.radiusMm - 3) < 1e-9 && !r.ridged)).toBe(true)
    expect(ropes[0]!.points.slice(0, 2)).toEqual([expect.closeTo(5, 9), expect.closeTo(0, 9)])
    expect(ropes[15]!.points.slice(-2)).toEqual([expect.closeTo(45, 9), expect.closeTo(0, 9)])
    for (let i = 1; i < 16; i++) expect(ropes[i]!.points.slice(0, 2)).toEqual(ropes[i - 1]!.points.slice(-2))
  })

  it('a thread thinner than a pencil line is still drawn', () => {
    const shapes = aimedView([
      laid({ kind: 'spike', tallMm: 8, leanDeg: 80, taper: 2 }, round(0.5), { ringMm: 2 }),
    ])
    expect(Math.min(...shapes.map((s) => (s.kind === 'rope' ? s.radiusMm : 9)))).toBe(0.2)
  })

  it('a star leaves ridges', () => {
    const star: Opening = { family: 'star', teeth: 8, outerMm: 4, innerMm: 2.5, closed: false }
    const shapes = aimedView([laid({ kind: 'shell', lengthMm: 16 }, star)])
    expect(shapes.some((s) => s.kind === 'rope')).toBe(true)
    for (const s of shapes) if (s.kind === 'rope') expect(s.ridged).toBe(true)
  })

  it('a petal of two colours is two areas along one seam; of two faces, the inner one alone', () => {
    const petal = { kind: 'petalArc', spanDeg: 60, archMm: 3, dropMm: 0, tiltEndDeg: 30, tiltMidDeg: 60 }
    const striped = aimedView([
      laid(petal, slot, { ringMm: 6, load: { kind: 'striped', wideEnd: 'dark', rest: 'pale', border: 0.5 } }),
    ])
    expect(striped.map((s) => s.role).sort()).toEqual(['dark', 'pale'])
    const along = (role: string) => striped.find((s) => s.role === role)!
    const corners = (shape: (typeof striped)[number]) => {
      const of: string[] = []
      if (shape.kind === 'area')
        for (let o = 0; o < shape.points.length; o += 2)
          of.push(`${shape.points[o]!.toFixed(9)} ${shape.points[o + 1]!.toFixed(9)}`)
      return new Set(of)
    }
    const pale = corners(along('pale'))
    // the seam runs the whole stroke, 17 stations of it
    expect([...corners(along('dark'))].filter((c) => pale.has(c)).length).toBeGreaterThanOrEqual(17)
    const faces = aimedView([
      laid(petal, slot, { ringMm: 6, load: { kind: 'halves', inner: 'in', outer: 'out' } }),
    ])
    expect(faces.map((s) => s.role)).toEqual(['in'])
    const mingled = aimedView([
      laid(petal, slot, { ringMm: 6, load: { kind: 'layered', tones: ['deep', 'mid', 'light'] } }),
    ])
    expect(mingled.map((s) => s.role)).toEqual(['light'])
  })

  it('the seam of a stripe lies where the stripe ends: a sector within a sector', () => {
    const lying = {
      kind: 'fan',
      spanDeg: 90,
      outMm: 0,
      sideMm: 0,
      tiltStartDeg: 0,
      tiltEndDeg: 0,
      endScale: 1,
    }
    const seen = (border: number) =>
      seenFromAbove([laid(lying, slot, { load: { kind: 'striped', wideEnd: 'dark', rest: 'pale', border } })])
    within(seen(0.5).areaMm2, Math.PI * 36, 0.04)
    for (const border of [1 / 3, 1 / 2, 2 / 3])
      within(seen(border).areas.find((a) => a.role === 'dark')!.mm2, Math.PI * 36 * border ** 2, 0.08)
    // a seam at the very end of the slot still leaves a sliver of each
    expect(
      seen(0.02)
        .areas.map((a) => a.role)
        .sort(),
    ).toEqual(['dark', 'pale'])
    expect(
      seen(0.98)
        .areas.map((a) => a.role)
        .sort(),
    ).toEqual(['dark', 'pale'])
  })

  it('lying petals lie in the order they are piped, standing ones by how high they stand', () => {
    const scoop = { kind: 'fan', spanDeg: 60, outMm: 4, tiltStartDeg: 70, tiltEndDeg: 80 }
    const [first, second] = [
      laid(scoop, slot, { id: 'a', heightMm: 2 }),
      laid(scoop, slot, { id: 'b', heightMm: 2 }),
    ]
    expect(aimedView([first, second]).map((s) => [s.layerId, s.heightMm])).toEqual([
      ['a', 2],
      ['b', 2],
    ])
    const arc = {
      kind: 'petalArc',
      spanDeg: 60,
      archMm: 0,
      dropMm: 0,
      tiltEndDeg: 0,
      tiltMidDeg: 0,
      endScale: 1,
    }
    const [standing] = aimedView([laid(arc, slot, { ringMm: 4, heightMm: 2 })])
    // upright on a base 2 mm up, a slot of 12 mm has its middle at 8
    within(standing!.heightMm, 8, 0.07)
  })

  it('every stroke has a number of its own, over all layers', () => {
    const shapes = aimedView([
      laid({ kind: 'line', lengthMm: 20 }, round(3), { id: 'a', count: 3 }),
      dot(2, { id: 'b', count: 4, ringMm: 8, heightMm: 5 }),
    ])
    expect(new Set(shapes.filter((s) => s.layerId === 'a').map((s) => s.stroke))).toEqual(new Set([0, 1, 2]))
    expect(shapes.filter((s) => s.layerId === 'b').map((s) => s.stroke)).toEqual([3, 4, 5, 6])
  })
})

describe('what is seen from above', () => {
  it('a disc shows its circle; a line, a strip with two round ends', () => {
    within(seenFromAbove([dot(12)]).areaMm2, Math.PI * 144)
    const strip = seenFromAbove([laid({ kind: 'line', lengthMm: 60 }, round(8))])
    within(strip.areaMm2, 60 * 8 + Math.PI * 16)
    expect(strip.areas).toEqual([{ role: 'icing', texture: 'lying', mm2: strip.areaMm2 }])
  })

  it('shifted or turned, it shows as much', () => {
    const at = (ringMm: number, startDeg: number) =>
      seenFromAbove([laid({ kind: 'line', lengthMm: 50 }, round(8), { ringMm, startDeg })])
    const here = at(0, 0)
    for (const [ring, start] of [
      [30, 0],
      [30, 90],
      [12, 217],
      [90, 301],
    ] as const)
      within(at(ring, start).areaMm2, here.areaMm2, 0.03)
  })

  it('what lies higher hides what it covers, and nothing else', () => {
    const low = dot(10, { id: 'low', load: { kind: 'plain', role: 'green' } })
    const high = dot(10, { id: 'high', ringMm: 12, heightMm: 5, load: { kind: 'plain', role: 'red' } })
    for (const order of [
      [low, high],
      [high, low],
    ]) {
      const seen = seenFromAbove(order)
      const circle = Math.PI * 100
      within(seen.layers.get('high')!, circle)
      within(seen.layers.get('low')!, circle - lens(10, 12), 0.04)
      within(seen.areaMm2, 2 * circle - lens(10, 12))
      expect(seen.areas.map((a) => a.role).sort()).toEqual(['green', 'red'])
      expect([...seen.layers.values()].reduce((a, b) => a + b)).toBeCloseTo(seen.areaMm2, 6)
    }
  })

  it('a layer that is wholly covered is not seen, nor its colour', () => {
    const seen = seenFromAbove([
      dot(4, { id: 'under', load: { kind: 'plain', role: 'green' } }),
      dot(9, { id: 'over', heightMm: 6 }),
    ])
    expect(seen.layers.has('under')).toBe(false)
    expect(seen.areas.map((a) => a.role)).toEqual(['icing'])
  })

  it('its edges run around every stroke: over cells, four widths around a circle, and one more per dot', () => {
    within(seenFromAbove([dot(12)]).edgesMm, 8 * 12, 0.04)
    const ring = (count: number) => seenFromAbove([dot(3, { count, ringMm: 20 })]).edgesMm
    within(ring(6), 6 * ring(1), 0.08)
    // two colours of one stroke meet without an edge, two strokes side by side with one
    const [near, far] = [5.5, 7].map((ringMm) => seenFromAbove([dot(6, { count: 2, ringMm })]))
    expect(far!.edgesMm).toBeGreaterThan(near!.edgesMm)
    expect(near!.edgesMm).toBeGreaterThan(8 * 6)
  })

  it('a frill is another texture than the petal it is made of', () => {
    const petal = { kind: 'petalArc', spanDeg: 60, archMm: 3, dropMm: 0, tiltEndDeg: 30, tiltMidDeg: 60 }
    const texture = (stroke: object) => seenFromAbove([laid(stroke, slot, { ringMm: 8 })]).areas[0]!.texture
    expect(texture(petal)).toBe('standing')
    expect(texture({ ...petal, ripple: { ampMm: 1, lengthMm: 5, power: 2 } })).toBe('ruffled')
  })

  it('a petal that folds over itself has no hole where it lies double', () => {
    const turns = (turns: number) => seenFromAbove([laid({ kind: 'disc', turns, liftDeg: 0 }, slot)]).areaMm2
    within(turns(1), Math.PI * 144, 0.06)
    within(turns(1.4), turns(1), 0.03)
    within(turns(0.9), 0.9 * turns(1), 0.03)
  })
})
