import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { flowerChecks } from '../flowers/checks.ts'
import { piledFlower } from '../flowers/piled.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { addStep, changeStep, moveStep, removeStep, repeatStep, stepWords } from '../flowers/tooling.ts'
import { flowerMesh } from '../mesh/flowerMesh.ts'
import { type Flower, flowerSchema } from '../model/flower.ts'
import { beginStep } from '../model/toolStep.ts'
import { skinned } from '../pile/skins.ts'
import { volumeByThreads } from '../pile/testing.ts'
import type { LaidRope, LaidSheet } from '../solids/laid.ts'
import { firstWork } from './fields.ts'
import { canBeDone, doneTo } from './fits.ts'
import { type ToolKind, toolDefinition, tools, type Work } from './index.ts'

const { tips } = starterWorkshop
const kinds = Object.keys(tools) as ToolKind[]
const known = (id: string) => starterWorkshop.flowers.find((f) => f.id === id)!
const LYING = { kind: 'fan', spanDeg: 64, outMm: 4, tiltStartDeg: 0, tiltEndDeg: 0 }
const DOT = { kind: 'dot', radiusMm: 3, tallMm: 4 }
const GROUND = { kind: 'flood', radiusMm: 6, deepMm: 1.2 }

/** A flower of one layer, and what is done to it. */
function flowerOf(stroke: object, tipId: string, works: readonly Work[], more: object = {}): Flower {
  const { layers, roles, ...rest } = known('blossom')
  const layer = { ...layers[0]!, id: 'a', name: 'A', load: { kind: 'plain', role: roles[0]!.id } }
  const placed = { ...layer, count: 1, ringMm: 0, heightMm: 0, mayWait: false, tipId, stroke, ...more }
  const steps = works.map((work, i) => beginStep(work, `s${i}`))
  return flowerSchema.parse({ ...rest, id: 'one', roles, layers: [{ ...placed, tools: steps }] })
}
const own = (flower: Flower) => fitFlower(flower, { sizeMm: null, tips: {} }, tips)
const pileOf = (flower: Flower) => piledFlower(own(flower).layers)
const petal = (...works: Work[]) => flowerOf(LYING, 'petal-13', works)
const sheetOf = (flower: Flower) => pileOf(flower)[0]!.laid[0] as LaidSheet
const topOf = (flower: Flower, layer = 0) => {
  const { positions } = skinned(pileOf(flower).filter((s) => s.layer === layer))
  return positions.reduce((most, v, o) => (o % 3 === 2 ? Math.max(most, v) : most), 0)
}
/** How far out the middle of the rim of a petal lies that points along x, and its shoulders. */
function rim(flower: Flower): { middle: number; shoulder: number; widest: number } {
  let [middle, shoulder, widest] = [0, 0, 0]
  const { points } = sheetOf(flower)
  for (let o = 0; o < points.length; o += 3) {
    const reach = Math.hypot(points[o]!, points[o + 1]!)
    if (Math.abs(points[o + 1]!) < 0.6) middle = Math.max(middle, points[o]!)
    if (Math.abs(Math.atan2(points[o + 1]!, points[o]!) - 0.32) < 0.06) shoulder = Math.max(shoulder, reach)
    widest = Math.max(widest, reach)
  }
  return { middle, shoulder, widest }
}
const on: Record<ToolKind, (work: Work) => Flower> = {
  drawIn: petal,
  vein: petal,
  notch: petal,
  furrow: petal,
  paintLines: petal,
  wash: petal,
  paintDots: petal,
  flatten: (w) => flowerOf(DOT, 'round-5', [w]),
  press: (w) => flowerOf(DOT, 'round-5', [w]),
  roughen: (w) => flowerOf(DOT, 'round-5', [w]),
  dent: (w) => flowerOf(DOT, 'round-5', [w]),
  flare: (w) => flowerOf(GROUND, 'round-2', [w]),
}

describe.each(kinds)('%s', (kind) => {
  const work = firstWork(kind)
  const flower = on[kind](work)

  it('changes what is seen and takes time, and neither adds icing nor pushes any through the table', () => {
    const without = { ...flower, layers: flower.layers.map((l) => ({ ...l, tools: [] })) }
    const [with_, plain] = [flower, without].map((f) => flowerMesh(own(f).layers, 2, 1))
    expect(Buffer.from(with_!.positions.buffer).equals(Buffer.from(plain!.positions.buffer))).toBe(false)
    const [now, was] = [own(flower).measure, own(without).measure]
    expect(now.volumeMm3).toBe(was.volumeMm3)
    expect(now.seconds - was.seconds).toBeCloseTo(toolDefinition(kind).secondsEach, 9)
    expect(Math.abs(volumeByThreads(with_!, 0.12) / was.volumeMm3 - 1)).toBeLessThan(0.06)
    expect(with_!.positions.every((v, o) => o % 3 !== 2 || v >= 0)).toBe(true)
    expect(flowerMesh(own(flower).layers, 2, 1).positions).toEqual(with_!.positions)
  })

  it('is said in bench words, and offered where it can be done', () => {
    const [{ stroke, tipId, tools: steps }] = flower.layers as [Flower['layers'][number]]
    const { opening } = tips.find((t) => t.id === tipId)!
    expect(doneTo(stroke, opening)).toContain(kind)
    expect(stepWords(steps[0]!)).toMatch(/^[A-Z][a-z ]+, with a [a-z ]+, (while|once|when) /)
  })
})

describe('by a ruler', () => {
  it('a notch pushes the middle of the rim in by its depth, and leaves the rest of it', () => {
    // cut alike: barely a line in it, and nothing that is moved along
    const lined = petal({ kind: 'furrow', count: 1, deepMm: 0.05, widthMm: 0.3 })
    const [plain, cut] = [rim(lined), rim(petal({ kind: 'notch', deepMm: 2.5, widthMm: 4, count: 1 }))]
    expect(plain.middle - cut.middle).toBeGreaterThan(1.9)
    expect(plain.middle - cut.middle).toBeLessThan(2.6)
    expect(Math.abs(plain.shoulder - cut.shoulder)).toBeLessThan(0.3)
  })

  it('a vein is as deep as it says in the middle, and the sides are not thinner', () => {
    const thicks = (f: Flower) => {
      const { thick, points, uSteps } = sheetOf(f)
      const at = (y: number) => {
        let [best, near] = [0, Number.POSITIVE_INFINITY]
        for (let v = 0; v < thick.length; v++) {
          const off = Math.hypot(points[v * 3]! - 9, points[v * 3 + 1]! - y)
          if (v % (uSteps + 1) > 0 && off < near) [best, near] = [thick[v]!, off]
        }
        return best
      }
      return { middle: at(0), side: at(3.5) }
    }
    const nicked = petal({ kind: 'notch', deepMm: 0.3, widthMm: 0.5, count: 1 })
    const [plain, cut] = [
      thicks(nicked),
      thicks(petal({ kind: 'vein', deepMm: 0.5, widthMm: 1.6, pairs: 0 })),
    ]
    expect(plain.middle - cut.middle).toBeGreaterThan(0.3)
    expect(plain.middle - cut.middle).toBeLessThan(0.6)
    expect(cut.side).toBeGreaterThanOrEqual(plain.side)
  })

  it('a dot that is pressed is lower by so much, one that is patted by its share', () => {
    const dot = (...works: Work[]) => topOf(flowerOf(DOT, 'round-5', works))
    expect(dot() - dot({ kind: 'press', downMm: 1.5 })).toBeCloseTo(1.5, 0)
    expect(dot({ kind: 'flatten', byShare: 0.4 }) / dot()).toBeCloseTo(0.6, 1)
  })

  it('a flared ground reaches out by the length of its tongues, and they lie on what is there', () => {
    const wide = (...works: Work[]) => own(flowerOf(GROUND, 'round-2', works)).measure.diameterMm
    const grown = wide({ kind: 'flare', count: 24, lengthMm: 5, widthMm: 1 }) - wide()
    expect(grown).toBeGreaterThan(8)
    expect(grown).toBeLessThan(12.5)
    const flared = known('windflower')
    const [ground] = pileOf(flared).filter((s) => flared.layers[s.layer]!.name === 'Ground')
    const tongues = ground!.laid.slice(-ground!.tongues) as LaidRope[]
    // on the petals, which are over a millimetre thick, not on the table beneath them
    const over = tongues.filter((t) => t.centres[(t.rings >> 1) * 3 + 2]! > 1)
    expect(over.length / tongues.length).toBeGreaterThan(0.8)
  })

  it('what is pushed in while it is fresh carries what comes next lower; once it has crusted, too late', () => {
    const mound = { kind: 'mound', shape: 'dome', radiusMm: 8, tallMm: 7 }
    const dented = (when: 'wet' | 'crusted', ...works: Work[]) => {
      const flower = flowerOf(mound, 'round-5', works)
      const steps = flower.layers[0]!.tools.map((s) => ({ ...s, when }))
      const below = { ...flower.layers[0]!, tools: steps }
      const dot = { ...below, id: 'b', name: 'B', tools: [], heightMm: 5, stroke: { ...DOT } }
      return topOf(flowerSchema.parse({ ...flower, layers: [below, dot] }), 1)
    }
    const dent: Work = { kind: 'dent', deepMm: 3, radiusMm: 6 }
    expect(dented('wet') - dented('wet', dent)).toBeGreaterThan(1.2)
    expect(Math.abs(dented('wet') - dented('crusted', dent))).toBeLessThan(0.4)
  })

  it('paint lies on the icing, in its own colour, and has no volume', () => {
    const plain = flowerMesh(own(petal()).layers, 2, 1)
    const painted = flowerMesh(
      own(petal({ kind: 'paintLines', count: 5, widthMm: 0.5, from: 0.2, to: 0.7 })).layers,
      2,
      1,
    )
    const top = plain.positions.reduce((most, v, o) => (o % 3 === 2 ? Math.max(most, v) : most), 0)
    const marks = [...painted.layers.keys()].filter((v) => painted.layers[v] === 1)
    expect(marks.length).toBeGreaterThan(200)
    for (const v of marks) {
      const [x, y, z] = painted.positions.slice(v * 3, v * 3 + 3) as unknown as [number, number, number]
      expect(z).toBeGreaterThan(0.4)
      expect(z).toBeLessThan(top + 0.1)
      expect(Math.hypot(x, y)).toBeLessThan(rim(petal()).widest)
    }
    expect(volumeByThreads(painted, 0.2)).toBeCloseTo(volumeByThreads(plain, 0.2), 3)
  })
})

describe('a tool step', () => {
  it('grows with its flower: a petal of twice the size is notched twice as deep', () => {
    const small = petal({ kind: 'notch', deepMm: 1, widthMm: 3, count: 1 })
    const { layers, factor } = fitFlower(
      small,
      { sizeMm: own(small).measure.diameterMm * 1.5, tips: {} },
      tips,
    )
    expect(layers[0]!.layer.tools[0]!.work).toMatchObject({ deepMm: factor, widthMm: 3 * factor, count: 1 })
  })

  it('is refused with the wrong tool, at the wrong moment, or as paint without a colour, each at its field', () => {
    const spoiled = (part: object, work: Work = firstWork('notch')) => {
      const flower = petal(work)
      const bad = {
        ...flower,
        layers: [{ ...flower.layers[0]!, tools: [{ ...flower.layers[0]!.tools[0]!, ...part }] }],
      }
      return flowerSchema.safeParse(bad).error!.issues.map((i) => [i.path.join('/'), i.message])
    }
    expect(spoiled({ instrument: 'paintBrush' })).toEqual([
      [
        'layers/0/tools/0/instrument',
        'Nobody can notch the edge with a fine paint brush. Choose another tool.',
      ],
    ])
    expect(spoiled({ when: 'dry' })[0]![0]).toBe('layers/0/tools/0/when')
    expect(spoiled({ paint: null }, firstWork('wash'))[0]![0]).toBe('layers/0/tools/0/paint')
    expect(spoiled({ secondsEach: -1 })[0]![0]).toBe('layers/0/tools/0/secondsEach')
  })

  it('that was meant for another stroke moves nothing, and is said with the step to leave out', () => {
    const dot = flowerOf(DOT, 'round-5', [firstWork('notch')])
    expect(canBeDone('notch', dot.layers[0]!.stroke, tips.find((t) => t.id === 'round-5')!.opening)).toBe(
      false,
    )
    const { layers, measure } = own(dot)
    const check = flowerChecks(dot, layers, measure).find((c) => c.code === 'tool-idle')!
    expect(check.message).toMatch(/“Notch the edge” cannot be done to “A”/)
    expect(check.remedy!.layer!.part.tools).toEqual([])
  })

  it('is added, repeated, moved, changed and taken away', () => {
    let flower = addStep(addStep(petal(), 'a', 'notch', 'n'), 'a', 'wash', 'w')
    const names = () => flower.layers[0]!.tools.map((s) => s.id)
    flower = repeatStep(flower, 'a', 'n', 'm')
    expect(names()).toEqual(['n', 'm', 'w'])
    flower = moveStep(flower, 'a', 'w', -2)
    expect(names()).toEqual(['w', 'n', 'm'])
    flower = changeStep(removeStep(flower, 'a', 'n'), 'a', 'm', { name: 'Nick', secondsEach: 7 })
    expect(flower.layers[0]!.tools.map((s) => s.name)).toEqual(['Wash the heart with colour', 'Nick'])
    expect(own(flower).measure.seconds - own(petal()).measure.seconds).toBeCloseTo(11, 9)
  })
})
