import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { borderRun } from '../flowers/run.ts'
import { unionVolume } from '../pile/union.ts'
import type { FlowerMesh } from '../solids/mesh.ts'
import { type FaultId, faultIds, faults } from './faults.ts'
import { faultsOf, wrongMesh } from './index.ts'

const { flowers, tips } = starterWorkshop
function piped(name: string) {
  const flower = flowers.find((f) => f.name === name)!
  const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
  const run = borderRun(flower, layers, 1)
  return {
    faults: faultsOf(layers, null, run),
    mesh: (fault: FaultId | null) => wrongMesh(layers, fault, 1, run),
  }
}

const tall = ({ positions }: FlowerMesh) =>
  positions.reduce((t, z, i) => (i % 3 === 2 ? Math.max(t, z) : t), 0)
const reach = ({ positions }: FlowerMesh) => {
  let r = 0
  for (let o = 0; o < positions.length; o += 3) r = Math.max(r, Math.hypot(positions[o]!, positions[o + 1]!))
  return r
}
/** Total length of a layer's rims over how far they are apart from smooth: how torn they are. */
const angles = ({ strokes, positions, indices }: FlowerMesh, layer: number) =>
  strokes
    .filter((s) => s.layer === layer)
    .map(({ start, count }) => {
      let [x, y] = [0, 0]
      for (let e = start; e < start + count; e++) {
        x += positions[indices[e]! * 3]!
        y += positions[indices[e]! * 3 + 1]!
      }
      return Math.atan2(y, x)
    })
    .sort((a, b) => a - b)
function widestGap(sorted: readonly number[]) {
  return Math.max(
    ...sorted.map((a, i) => (sorted[(i + 1) % sorted.length]! - a + 4 * Math.PI) % (2 * Math.PI)),
  )
}

describe('a rose gone wrong', () => {
  const { mesh, faults: found } = piped('Classic rose')
  const good = mesh(null)
  it('can go wrong in all the ways of petals', () => {
    expect(found).toEqual(faultIds)
  })
  it.each<[FaultId, string, (wrong: FlowerMesh) => boolean]>([
    ['tooSoft', 'is lower', (w) => tall(w) < 0.85 * tall(good)],
    ['tooFast', 'has less icing in it', (w) => unionVolume(w) < 0.8 * unionVolume(good)],
    ['tooSlow', 'has more icing in it', (w) => unionVolume(w) > 1.08 * unionVolume(good)],
    ['uneven', 'has less reach here and there', (w) => unionVolume(w) < unionVolume(good)],
    [
      'tooStiff',
      'has less at its edges',
      (w) => unionVolume(w) < unionVolume(good) && reach(w) <= reach(good) * 1.02,
    ],
    [
      'lateRelease',
      'has more bodies than strokes',
      (w) => w.strokes.every((s, i) => i === 0 || s.bodies.length > good.strokes[i]!.bodies.length),
    ],
    [
      'leanedTooLittle',
      'is narrower and taller',
      (w) => reach(w) < 0.93 * reach(good) && tall(w) > tall(good) + 1,
    ],
    ['moundTooHigh', 'stands taller', (w) => tall(w) > 1.15 * tall(good)],
    [
      'unevenTurn',
      'has a wider gap between two petals of its last row',
      (w) => widestGap(angles(w, 5)) > 1.3 * widestGap(angles(good, 5)),
    ],
  ])('%s: %s', (fault, _, isSo) => {
    expect(isSo(mesh(fault))).toBe(true)
  })
  it('with the wrong end down is thick at the rim and thin at the foot', () => {
    const rimOverFoot = ({ places, thicks, layers }: FlowerMesh) => {
      const mean = (from: number, to: number) => {
        let [sum, n] = [0, 0]
        for (let v = 0; v < places.length; v++)
          if (Math.floor(layers[v]! + 0.02) === 5 && places[v]! >= from && places[v]! <= to) {
            sum += thicks[v]!
            n++
          }
        return sum / n
      }
      return mean(0.75, 0.9) / mean(0.1, 0.25)
    }
    expect(rimOverFoot(good)).toBeLessThan(0.8)
    expect(rimOverFoot(mesh('wrongEndDown'))).toBeGreaterThan(1.2)
  })
})

it('shows for every flower what can go wrong in it, as a solid that is whole', () => {
  for (const flower of flowers) {
    const { faults: found } = piped(flower.name)
    expect(found.length, flower.name).toBeGreaterThan(1)
  }
  for (const name of ['Hellebore', 'Dahlia', 'Shell border', 'Grass tuft', 'Rosette', 'Flooded disc']) {
    const { mesh, faults: found } = piped(name)
    for (const fault of found) {
      const wrong = mesh(fault)
      expect(wrong.positions.every(Number.isFinite), `${name} ${fault}`).toBe(true)
      expect(wrong.strokes.reduce((sum, s) => sum + s.count, 0)).toBe(wrong.indices.length)
    }
  }
})

it('is asked about only where it can be: no shut buds among shells, no high mound without a mound', () => {
  expect(piped('Shell border').faults).toEqual(
    expect.arrayContaining(['tooSoft', 'uneven', 'lateRelease', 'noOverlap']),
  )
  expect(piped('Shell border').faults).not.toContain('leanedTooLittle')
  expect(piped('Poppy').faults).not.toContain('moundTooHigh')
})

it('leads from a look to one cause by one question at the most', () => {
  for (const fault of faultIds) {
    const { causes, ask } = faults[fault]
    expect(causes.length === 2, fault).toBe(ask !== null)
    for (const cause of causes) expect(Object.values(cause).every((words) => words.length > 10)).toBe(true)
  }
})
