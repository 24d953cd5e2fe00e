import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { practiceSettingsSchema, USUAL_FLOWS } from '../model/practice.ts'
import { seeded } from '../random.ts'
import type { Opening } from '../tips/index.ts'
import { type Judged, judge } from './advice.ts'
import type { Sample } from './attempt.ts'
import { compared, outstanding } from './compared.ts'
import { domeRadius, newDeposit, type Outlet } from './deposit.ts'
import type { Drill } from './drill.ts'
import { drillNamed, drillNames } from './drills.ts'
import type { HandFault } from './faults.ts'
import { answerOf, lagged, mouthOf, pressureFor } from './flow.ts'
import { type Ideal, idealOf } from './ideal.ts'
import { layTrace } from './lay.ts'
import { BEGINNER, canGoWrong, EXPERT, NOISY, type Skill, tryOf } from './madeUp.ts'
import { matched } from './match.ts'
import { drillOfLayer, isDrill } from './ofLayer.ts'
import type { PartName } from './parts.ts'
import { partWords } from './partWords.ts'
import { read, type StrokeRead } from './read.ts'
import { scoreOf } from './score.ts'
import { notJudged, type Senses } from './senses.ts'
import { newSteady } from './steady.ts'

const settings = practiceSettingsSchema.parse({})
const ALL: Senses = { squeeze: 'full', height: true, nail: true }
const SURE = settings.sureAt
const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const ideals = drillNames.map((name) => idealOf(drillNamed(name, settings), settings, false))
const named = (name: string) => ideals.find((i) => i.drill.id === name)!

const judged = (ideal: Ideal, trace: readonly Sample[], senses = ALL): Judged =>
  judge(
    ideal,
    read(ideal.drill, ideal.outlet, trace, layTrace(trace, ideal.outlet, ideal.middle)),
    senses,
    SURE,
  )
const tried = (ideal: Ideal, seed: number, skill: Skill, faults: Parameters<typeof tryOf>[3] = []) =>
  judged(ideal, tryOf(ideal.drill, seed, skill, faults))
const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!

describe('icing through a tip', () => {
  const half = (opening: Opening, of: keyof typeof USUAL_FLOWS) => {
    // whole mm³/s that half of a hand of 20 kPa is good for, by walking up to it
    const mouth = mouthOf(opening)
    let q = 0
    while (pressureFor(USUAL_FLOWS[of], mouth, q + 1) < 20_000 * (0.5 - (q + 1) / 1500)) q++
    return q
  }
  it('comes as fast as it does from round openings of 2, 3, 5 and 10 mm', () => {
    expect([2, 3, 5, 10].map((d) => half(round(d), 'medium'))).toEqual([75, 190, 384, 623])
    expect([half(round(3), 'stiff'), half(round(3), 'soft')]).toEqual([33, 404])
  })
  it('answers half a squeeze with the usual flow, and no squeeze, or one below its yield, with none', () => {
    const mouth = mouthOf(round(3))
    const answer = answerOf(USUAL_FLOWS.medium, mouth, 191, 0.5, false)
    expect(answer.flowAt(0.5)).toBeCloseTo(191, 1)
    expect([answer.flowAt(0), answer.flowAt(0.05)]).toEqual([0, 0])
    expect(answer.fallS).toBeCloseTo(0.13, 2)
    // gentle: twice the squeeze is 2^1.5 of the flow
    const gentle = answerOf(USUAL_FLOWS.medium, mouth, 100, 0.5, true)
    expect(gentle.flowAt(1) / gentle.flowAt(0.5)).toBeCloseTo(2 ** 1.5, 3)
  })
  it('comes sooner than it stops', () => {
    const answer = answerOf(USUAL_FLOWS.medium, mouthOf(round(3)), 191, 1, false)
    expect(lagged(0, 1, answer, 0.08)).toBeGreaterThan(0.8)
    expect(lagged(1, 0, answer, 0.08)).toBeGreaterThan(0.55)
  })
})

describe('icing on the sheet', () => {
  const outlet = (flow: number): Outlet => {
    const mouth = mouthOf(round(3))
    const icing = USUAL_FLOWS.medium
    const answer = { flowAt: (squeeze: number) => (squeeze > 0.05 ? flow : 0), fallS: 0.01 }
    return { icing, mouth, answer, heightShare: icing.heightShare, section: mouth.areaMm2 }
  }
  /** A straight pull of 60 mm at a pace, in steps of 1/240 s. */
  const line = (flow: number, mmPerS: number, height = 2.4) => {
    const deposit = newDeposit(outlet(flow))
    deposit.touch({ x: 0, y: 0 }, 0)
    const dt = 1 / 240
    for (let t = dt; t * mmPerS <= 60; t += dt) deposit.step({ x: mmPerS * t, y: 0 }, 0.5, height, t, dt)
    deposit.lift()
    return deposit
  }
  it('is as wide as its volume says, whatever the pace', () => {
    for (const pace of [15, 25, 40]) {
      const { laid } = line(7.07 * pace, pace)
      const wide = laid.filter((l) => l.kind === 'rope').map((l) => l.widthMm)
      // 7.07 mm² as an ellipse 0.74 as high as wide: √(4·7.07/(0.74π)) = 3.49 mm
      expect(middle(wide)).toBeCloseTo(3.49, 1)
      expect(laid.reduce((sum, l) => sum + l.volumeMm3, 0)).toBeCloseTo(7.07 * 60, -2)
    }
  })
  it('necks and breaks when the hand outruns it, heaps when it lags, gathers when it stays', () => {
    expect(line(100, 60).laid.some((l) => l.gap)).toBe(true)
    expect(line(100, 25).laid.some((l) => l.gap)).toBe(false)
    expect(line(191, 12).laid.some((l) => l.heaped)).toBe(true)
    const still = newDeposit(outlet(191))
    still.touch({ x: 5, y: 5 }, 0)
    for (let i = 1; i <= 80; i++) still.step({ x: 5, y: 5 }, 0.5, 2.4, i / 240, 1 / 240)
    still.lift()
    expect(still.laid).toHaveLength(1)
    // 63.6 mm³: a dome 5.0 mm wide
    expect(still.laid[0]!.widthMm).toBeCloseTo(5, 1)
    expect(domeRadius(8 * 63.6, 0.74)).toBeCloseTo(2 * domeRadius(63.6, 0.74), 6)
  })
  it('draws a tail as long as the bag goes on giving after the lift', () => {
    const tails = [0, 0.1, 0.2].map((late) => {
      const deposit = line(200, 28)
      for (let t = 0; t < 0.5; t += 1 / 240) deposit.after(t < late ? 0.5 : 0, t, 1 / 240)
      return deposit.laid.find((l) => l.kind === 'tail')?.lengthMm ?? 0
    })
    expect(tails[0]!).toBeLessThan(2)
    expect(tails[1]!).toBeGreaterThan(tails[0]! + 2)
    expect(tails[2]!).toBe(7)
  })
  it('cuts the corners under a tip that is held high', () => {
    const corner = (height: number) => {
      const deposit = newDeposit(outlet(191))
      deposit.touch({ x: 0, y: 0 }, 0)
      for (let i = 1; i <= 480; i++) {
        const s = (i * 27) / 240
        deposit.step(s < 27 ? { x: s, y: 0 } : { x: 27, y: s - 27 }, 0.5, height, i / 240, 1 / 240)
      }
      return Math.min(...deposit.laid.map((l) => Math.hypot(l.x - 27, l.y)))
    }
    expect(corner(2.4)).toBeLessThan(0.4)
    expect(corner(9)).toBeGreaterThan(1.2)
  })
})

it('follows an even hand without lagging behind it, and takes the steps of whole pixels out', () => {
  const steady = newSteady()
  steady.touch({ x: 0, y: 0 })
  let [far, rough] = [0, 0]
  for (let i = 1; i <= 240; i++) {
    const exact = (i * 27) / 120
    const at = steady.move({ x: Math.round(exact / 0.26) * 0.26, y: 0 }, 1 / 120)
    if (i > 40) {
      far += (at.x - exact) / 200
      rough = Math.max(rough, Math.abs(at.x - exact))
    }
  }
  expect(Math.abs(far)).toBeLessThan(0.03)
  expect(rough).toBeLessThan(0.16)
})

describe('the drills', () => {
  it.each(drillNames)('%s: an exact hand has all its marks, and nothing stands out', (name) => {
    const ideal = named(name)
    expect(ideal.reads).toHaveLength(ideal.drill.strokes.length)
    const { score, evidence, advice } = judged(ideal, ideal.trace)
    expect(score.total).toBeGreaterThan(99)
    expect(evidence.filter((e) => e.strength > 0.3)).toEqual([])
    expect(advice.says).toBe('steady')
    for (const { path } of ideal.drill.strokes)
      for (const p of path)
        expect(p.x > 4 && p.y > 4 && p.x < ideal.drill.wide - 4 && p.y < ideal.drill.high - 4).toBe(true)
  })
  it.each(drillNames)('%s: has an ideal too for who can only squeeze and let go', (name) => {
    const ideal = idealOf(drillNamed(name, settings), settings, false, 'timing')
    const squeezes = new Set(ideal.trace.filter((s) => s.t > 0.2).map((s) => s.squeeze))
    expect([...squeezes].every((p) => p <= 0.5)).toBe(true)
    const { score, evidence } = judged(ideal, ideal.trace, { squeeze: 'timing', height: false, nail: false })
    expect(score.total).toBeGreaterThan(99)
    expect(evidence.filter((e) => e.strength > 0.3)).toEqual([])
  })
  it('takes any tip and icing, at a pace that a hand can give', () => {
    const big = drillNamed('shells', settings, {
      ...{ opening: { family: 'star', teeth: 8, outerMm: 8, innerMm: 5, closed: false }, stiffness: 'stiff' },
    })
    expect(big.flow).toBeLessThanOrEqual(700)
    const ideal = idealOf(big, settings, true)
    expect(judged(ideal, ideal.trace).score.total).toBeGreaterThan(99)
  })
  it('makes a drill of every stroke of every flower in the library', () => {
    const { flowers, tips } = starterWorkshop
    const off: string[] = []
    let drills = 0
    for (const flower of flowers) {
      const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
      // one layer of each kind of stroke: the library has many alike
      const own = new Map(layers.map((l, i) => [l.layer.stroke.kind, i]))
      for (const index of own.values()) {
        if (!isDrill(layers[index]!.layer)) continue
        const made = drillOfLayer(layers, index, 1)
        if (!made) continue
        drills++
        const drill: Drill = { ...made, id: 'own', label: '', does: '' }
        const ideal = idealOf(drill, settings, false)
        const { score, evidence } = judged(ideal, ideal.trace)
        if (
          ideal.reads.length !== drill.strokes.length ||
          score.total < 97 ||
          evidence.some((e) => e.strength > 0.5)
        )
          off.push(`${flower.name}: ${layers[index]!.layer.name}`)
      }
    }
    expect(drills).toBeGreaterThan(100)
    expect(off).toEqual([])
  })
})

it('takes a stroke for the one that it lies on, and one that went nowhere for none', () => {
  const { drill } = named('shells')
  const gone = [drill.strokes[3]!.path, [], drill.strokes[0]!.path]
  expect(matched(drill, gone)).toEqual([3, null, 0])
})

describe('marks and advice', () => {
  const SEEDS = [11, 12, 13, 14, 15, 16]
  it('gives a steady hand 88 or more in the middle, a beginner under 45', () => {
    const expert = ideals.flatMap((i) => SEEDS.map((seed) => tried(i, 70_000 + seed, EXPERT).score.total))
    const beginner = ideals.flatMap((i, n) =>
      SEEDS.map((seed) => {
        const random = seeded(100 * n + seed)
        const can = canGoWrong(i.drill)
        const two = [0, 1].map(() => [can[Math.floor(random() * can.length)]!, random()] as const)
        return tried(i, 71_000 + seed, BEGINNER, two).score.total
      }),
    )
    expect(middle(expert)).toBeGreaterThanOrEqual(88)
    expect(middle(beginner)).toBeLessThan(45)
  })
  it('blames hardly any hand without a fault, though it trembles', () => {
    const says = ideals.flatMap((i) =>
      [EXPERT, NOISY].flatMap((skill) => SEEDS.map((seed) => tried(i, 72_000 + seed, skill).advice.says)),
    )
    const blamed = says.filter((s) => s !== 'steady' && s !== 'unsteady')
    expect(blamed.length / says.length).toBeLessThan(0.03)
  })
  it('names the fault that a hand has', () => {
    const tries = ideals.flatMap((i, n) =>
      canGoWrong(i.drill).flatMap((fault) =>
        SEEDS.map((seed) => ({
          fault,
          says: tried(i, 73_000 + seed, EXPERT, [[fault, seeded(100 * n + seed)()]]).advice.says,
        })),
      ),
    )
    const right = tries.filter((t) => t.fault === t.says).length / tries.length
    const wrong = tries.filter((t) => !['steady', 'unsteady', t.fault].includes(t.says)).length / tries.length
    expect(right).toBeGreaterThan(0.9)
    expect(wrong).toBeLessThan(0.03)
  })
  it('says how many have a tail, and how late', () => {
    // squeezes on as it did, and lets go a quarter of a second after lifting
    const shells = named('shells')
    const trace = shells.trace.flatMap((s) => {
      if (s.down) return [{ ...s, squeeze: s.squeeze < 0.05 ? 0.4 : s.squeeze }]
      return [s, { ...s, t: s.t + 0.25 }].map((lifted) => ({ ...lifted, squeeze: 0.4 }))
    })
    const { advice } = judged(shells, trace)
    expect(advice.headline).toBe('Stop squeezing before you lift: all twelve have a tail.')
    expect(advice.detail).toMatch(/^You let go about [¼½¾1 ]+s late\./)
  })
  it('says nothing of what the device does not tell, and says so', () => {
    const timing: Senses = { squeeze: 'timing', height: false, nail: false }
    const cases: [string, HandFault][] = [
      ['line', 'much'],
      ['line', 'high'],
      ['petals', 'nail'],
    ]
    for (const [name, fault] of cases) {
      const trace = tryOf(named(name).drill, 3, EXPERT, [[fault, 0.6]])
      expect(judged(named(name), trace).advice.says).toBe(fault)
      expect(judged(named(name), trace, timing).advice.says).not.toBe(fault)
    }
    expect(notJudged(timing, true)).toBe(
      'How hard you squeeze, how high you hold the tip and how you turn the nail, which turns by itself: not sensed here, so not judged.',
    )
    expect(notJudged(ALL, true)).toBeNull()
  })
  it('counts a line that was taken up again as one: nothing is missing, and nobody let go too soon', () => {
    const line = named('line')
    // off the sheet for half a second in the middle of it, with the squeeze let go of
    const middleS = line.trace.at(-1)!.t / 2
    const trace = line.trace.flatMap((s, i) => {
      if (s.t < middleS) return [s]
      const before = line.trace[i - 1]!
      const pause =
        before.t < middleS
          ? [0.01, 0.4].map((t) => ({ ...before, t: before.t + t, squeeze: 0, down: false }))
          : []
      return [...pause, { ...s, t: s.t + 0.5 }]
    })
    const reads = read(line.drill, line.outlet, trace, layTrace(trace, line.outlet, line.middle))
    expect(reads).toHaveLength(1)
    expect(reads[0]!.attempts).toEqual([0, 1])
    expect(reads[0]!.volume / line.reads[0]!.volume).toBeCloseTo(1, 1)
    expect(reads[0]!.seconds).toBeCloseTo(line.reads[0]!.seconds, 1)
    const { score, advice } = judged(line, trace)
    expect(score.parts.find((p) => p.part === 'width')!.marks).toBeGreaterThan(95)
    expect(['steady', 'unsteady']).toContain(advice.says)
  })
  it('counts what is left out', () => {
    const line = named('line')
    const half = line.trace.filter((s) => s.t < line.trace.at(-1)!.t / 2)
    expect(judged(line, half).score.total).toBeLessThan(60)
    const dots = named('dots')
    const few = dots.trace.filter((s) => s.t < dots.trace.at(-1)!.t / 2)
    expect(judged(dots, few).score.parts.find((p) => p.part === 'all')!.marks).toBeLessThan(15)
    expect(judged(dots, []).advice.says).toBe('nothing')
  })
})

describe('parts in words', () => {
  const ideal = named('shells')
  /** The ideal's own readings, changed as one says. */
  const said = (part: PartName, change: (r: StrokeRead, k: number) => Partial<StrokeRead>) => {
    const reads = ideal.reads.map((r, k) => ({ ...r, ...change(r, k) }))
    const found = scoreOf(ideal, reads).parts.find((p) => p.part === part)!
    return [partWords(ideal, reads, found), Math.round(found.marks)]
  }
  it('say how much, in what a decorator sees', () => {
    expect(said('size', () => ({}))).toEqual(['as wanted', 100])
    // a third more icing is a tenth more across: 1.331 is 1.1 cubed; marks: 100/(1 + (0.286/0.45)^1.6)
    expect(said('size', (r) => ({ volume: 1.331 * r.volume }))).toEqual(['10 % too large', 67])
    expect(said('size', (r) => ({ volume: r.volume / 1.331 }))).toEqual(['9 % too small', 67])
    expect(said('alike', (r, k) => ({ volume: r.volume * (k === 3 || k === 6 ? 2 : 1) }))[0]).toBe(
      'fat: 4 and 7',
    )
    expect(said('alike', (r, k) => ({ volume: r.volume * (k === 0 ? 2 : k === 11 ? 0.5 : 1) }))[0]).toBe(
      'fat: 1; thin: 12',
    )
    // seven of twelve, 3.5 mm in the middle of all: 100/(1 + (3.5/3)^1.6) = 44
    expect(said('tails', (_, k) => ({ tail: k < 7 ? 6 : 0 }))).toEqual(['7, up to 6 mm', 44])
    expect(said('place', () => ({ startOff: 1.4 }))).toEqual(['1.4 mm off', 50])
    expect(said('order', () => ({}))[0]).toBe('one after the other')
  })
  it('point out the strokes with tails, and those that are much fatter or thinner', () => {
    const reads = ideal.reads.map((r, k) => ({
      ...r,
      tail: k === 2 ? 4 : r.tail,
      volume: r.volume * (k === 5 ? 1.6 : k === 8 ? 1.2 : 1),
    }))
    expect(outstanding(compared(ideal, reads))).toEqual([2, 5])
  })
  it('say of a rope how thick it is, and of the whole what is left out', () => {
    const line = named('line')
    const thick = line.reads.map((r) => ({ ...r, bins: r.bins.map((b) => 1.44 * b) }))
    const of = (part: PartName, reads: readonly StrokeRead[], by = line) =>
      partWords(by, reads, scoreOf(by, reads).parts.find((p) => p.part === part)!)
    // 1.44 of the section is 1.2 of the width
    expect(of('width', thick)).toBe('20 % too thick')
    expect(of('all', ideal.reads.slice(0, 10), ideal)).toBe('2 strokes left out')
  })
})
