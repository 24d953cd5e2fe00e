import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { SheetPath } from '../geometry/sheet.ts'
import type { TubePath } from '../geometry/tube.ts'
import { seeded, slip } from '../random.ts'
import { strokes } from '../strokes/index.ts'
import { measureStroke } from '../strokes/quantities.ts'
import type { Outline, Slot } from '../tips/family.ts'
import { openingSlot } from '../tips/index.ts'
import { highestSlip } from './hand.ts'
import { type FlowerMesh, newMesh } from './mesh.ts'
import { supportAt, supportOf } from './reach.ts'
import { laySheet, sheetRoom, skinSheet } from './sheetSolid.ts'
import { skinLaid, strokeSolid } from './strokeSolid.ts'
import { layRope, skinRope, tubeRoom } from './tubeSolid.ts'

const steady = () => 0.5

/** Volume by the divergence theorem: the sum of tetrahedra from the origin to every face. */
function volumeOf({ positions: p, indices }: FlowerMesh): number {
  let six = 0
  for (let e = 0; e < indices.length; e += 3) {
    const [a, b, c] = [indices[e]! * 3, indices[e + 1]! * 3, indices[e + 2]! * 3]
    six +=
      p[a]! * (p[b + 1]! * p[c + 2]! - p[b + 2]! * p[c + 1]!) -
      p[a + 1]! * (p[b]! * p[c + 2]! - p[b + 2]! * p[c]!) +
      p[a + 2]! * (p[b]! * p[c + 1]! - p[b + 1]! * p[c]!)
  }
  return six / 6
}

/** Edges that are not walked once each way: a hole, a face turned over, or a skin that meets itself. */
function openEdges({ indices }: FlowerMesh): number {
  const walked = new Map<string, number>()
  for (let e = 0; e < indices.length; e += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [indices[e + k]!, indices[e + ((k + 1) % 3)]!]
      const key = a < b ? `${a} ${b}` : `${b} ${a}`
      walked.set(key, (walked.get(key) ?? 0) + (a < b ? 1 : -1))
    }
  return [...walked.values()].filter((n) => n !== 0).length
}

const near = (found: number, wanted: number, share: number) =>
  expect(Math.abs(found / wanted - 1), `${found} for ${wanted}`).toBeLessThan(share)

describe('the skin of a rope', () => {
  const square: Outline = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ]
  const skinned = (path: TubePath, rings: number, outline: Outline = square, flat = 1) => {
    const room = tubeRoom({ rings }, outline)
    const builder = newMesh(room.vertices, room.triangles)
    skinRope(builder, { ...layRope(path, outline, { rings }, steady), flat }, 0)
    return builder.mesh
  }
  const along =
    (at: (t: number) => [number, number, number], scale = 1, turns = 0): TubePath =>
    (t, out) => {
      const [x, y, z] = at(t)
      Object.assign(out, { x, y, z, scale, twist: turns * 2 * Math.PI * t })
    }

  it('holds its section over its length, however it lies in space', () => {
    for (const way of [
      [40, 0, 0],
      [0, 0, 40],
      [20, -12, 32.5],
    ] as const) {
      const mesh = skinned(
        along((t) => [way[0] * t, way[1] * t, way[2] * t]),
        12,
      )
      near(volumeOf(mesh), 4 * Math.hypot(...way), 0.001)
      expect(openEdges(mesh)).toBe(0)
    }
  })

  it('holds its section over the path of its middle where it bends (Pappus)', () => {
    const round = skinned(
      along((t) => [15 * Math.cos(5 * t), 15 * Math.sin(5 * t), 0]),
      160,
    )
    near(volumeOf(round), 4 * 15 * 5, 0.005)
    const helix = skinned(
      along((t) => [8 * Math.cos(12 * t), 8 * Math.sin(12 * t), 30 * t]),
      240,
    )
    near(volumeOf(helix), 4 * Math.hypot(8 * 12, 30), 0.01)
  })

  it('holds as much turned about its path as not, and with the square of its swelling', () => {
    const straight = (t: number): [number, number, number] => [40 * t, 0, 0]
    // a side of one piece is two flat triangles from ring to ring, one of which cuts into a turned square
    const fine: Outline = square.flatMap(([x, y], k) => {
      const [u, v] = square[(k + 1) % 4]!
      return Array.from({ length: 12 }, (_, i) => [x + ((u - x) * i) / 12, y + ((v - y) * i) / 12] as const)
    })
    near(volumeOf(skinned(along(straight, 1, 2), 200, fine)), 160, 0.005)
    near(volumeOf(skinned(along(straight, 1.5), 12)), 160 * 2.25, 0.001)
  })

  it('keeps what it holds when it sinks, lower and wider', () => {
    const [as, sunk] = [1, 0.6].map((flat) =>
      skinned(
        along((t) => [40 * t, 0, 5]),
        12,
        square,
        flat,
      ),
    )
    near(volumeOf(sunk!), volumeOf(as!), 1e-4)
    const high = ({ positions }: FlowerMesh, axis: number) => {
      const of = [...positions].filter((_, i) => i % 3 === axis)
      return Math.max(...of) - Math.min(...of)
    }
    near(high(sunk!, 2) / high(as!, 2), Math.sqrt(0.6), 1e-4)
    near(high(sunk!, 1) / high(as!, 1), 1 / Math.sqrt(0.6), 1e-4)
  })

  it('does not come out inside out in a turn tighter than itself', () => {
    const mesh = skinned(
      along((t) => [0.4 * Math.cos(3 * t), 0.4 * Math.sin(3 * t), 0]),
      30,
    )
    // the inside of the turn never passes its middle: every corner stays on its own side
    for (let ring = 1; ring <= 30; ring++) {
      const a = (3 * (ring - 1)) / 29
      for (let k = 0; k < 4; k++) {
        const o = (ring * 4 + k) * 3
        const out = mesh.positions[o]! * Math.cos(a) + mesh.positions[o + 1]! * Math.sin(a)
        expect(out).toBeGreaterThan(0)
      }
    }
  })
})

describe('the skin of a sheet', () => {
  const plate: Slot = { lengthMm: 10, bendDeg: 0, widthAt: () => 1.5 }
  const cut = { tSteps: 40, uSteps: 10 }
  const skinned = (path: SheetPath, flow = 1) => {
    const room = sheetRoom(cut)
    const builder = newMesh(room.vertices, room.triangles)
    skinSheet(builder, laySheet(path, plate, { flow, flat: false, up: [0, 0, 1] }, null, cut, steady), 0)
    return builder.mesh
  }
  const strip =
    (lip: number): SheetPath =>
    (t, out) =>
      Object.assign(out, {
        px: 30 * t,
        py: 0,
        pz: 4,
        sx: 0,
        sy: 1,
        sz: 0,
        bx: 0,
        by: 0,
        bz: 1,
        scale: 1,
        thick: 1,
        curl: 0,
        lip,
      })

  it('is closed, and about as thick as the slot where it runs straight', () => {
    const mesh = skinned(strip(0))
    expect(openEdges(mesh)).toBe(0)
    // both ends taper, both edges are rounded out
    const volume = volumeOf(mesh)
    expect(volume).toBeGreaterThan(0.85 * 30 * 10 * 1.5)
    expect(volume).toBeLessThan(1.1 * 30 * 10 * 1.5)
  })

  it('is closed when its free edge rolls over, and holds as much', () => {
    const rolled = skinned(strip(1.4))
    expect(openEdges(rolled)).toBe(0)
    near(volumeOf(rolled), volumeOf(skinned(strip(0))), 0.08)
  })

  it('is thicker where more is squeezed', () => {
    near(volumeOf(skinned(strip(0), 1.4)) / volumeOf(skinned(strip(0), 1)), 1.4, 0.05)
  })
})

describe('every stroke of the library', () => {
  const layers = starterWorkshop.flowers.flatMap((f) =>
    f.layers.map((layer) => ({
      name: `${f.id} ${layer.id}`,
      layer,
      opening: starterWorkshop.tips.find((t) => t.id === layer.tipId)!.opening,
    })),
  )

  it('of every kind is in it', () => {
    expect(new Set(layers.map((l) => l.layer.stroke.kind)).size).toBe(Object.keys(strokes).length)
  })

  it.each(layers.map((l) => [l.name, l] as const))('%s is a closed skin', (_, { layer, opening }) => {
    const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0.7 }
    for (const detail of [1, 0.35]) {
      const solid = strokeSolid(layer.stroke, at, opening, detail)
      const builder = newMesh(solid.room.vertices, solid.room.triangles)
      skinLaid(builder, solid.lay(at, seeded(3)), 0)
      // room is made for exactly what is laid, for a steady hand and another
      expect(builder.vertices).toBe(solid.room.vertices)
      expect(builder.entries).toBe(3 * solid.room.triangles)
      expect(openEdges(builder.mesh)).toBe(0)
      expect(volumeOf(builder.mesh)).toBeGreaterThan(0)
    }
  })

  it.each(
    layers
      .filter((l) => openingSlot(l.opening) === null && strokes[l.layer.stroke.kind].squeezed === undefined)
      .map((l) => [l.name, l] as const),
  )('%s, a rope, holds what leaves the bag', (_, { layer, opening }) => {
    const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const solid = strokeSolid(layer.stroke, at, opening, 1)
    const builder = newMesh(solid.room.vertices, solid.room.triangles)
    skinLaid(builder, solid.lay(at, steady), 0)
    near(volumeOf(builder.mesh), measureStroke(layer.stroke, at, opening).volumeMm3, 0.2)
  })
})

describe('how far points reach', () => {
  it('is found in any direction, from any cloud of points', () => {
    const cloud = fc.array(
      fc.tuple(fc.double({ min: -40, max: 40, noNaN: true }), fc.double({ min: -40, max: 40, noNaN: true })),
      {
        minLength: 1,
        maxLength: 60,
      },
    )
    fc.assert(
      fc.property(cloud, fc.double({ min: -10, max: 10, noNaN: true }), (points, angle) => {
        const support = supportOf(Float32Array.from(points.flatMap(([x, y]) => [x, y, 1])))
        const reach = Math.max(...points.map(([x, y]) => x * Math.cos(angle) + y * Math.sin(angle)))
        const far = Math.max(...points.map(([x, y]) => Math.hypot(x, y)))
        // read off a straight line between directions three degrees apart
        expect(Math.abs(supportAt(support, angle) - reach)).toBeLessThan(4e-4 * far + 1e-4)
      }),
      { seed: 4, numRuns: 300 },
    )
  })
})

describe('the highest of many slips', () => {
  it.each([5, 12, 40])('of %i strokes is as high as in half of all flowers', (count) => {
    const random = seeded(9)
    const highest = Array.from({ length: 4000 }, () =>
      Math.max(...Array.from({ length: count }, () => slip(random))),
    ).sort((a, b) => a - b)
    expect(highestSlip(count)).toBeCloseTo(highest[2000]!, 1)
  })

  it('is none for a stroke that is by itself', () => {
    expect(highestSlip(1)).toBe(0)
  })
})
