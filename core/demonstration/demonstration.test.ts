import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { pileLayers } from '../flowers/piled.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { borderRun } from '../flowers/run.ts'
import type { Flower } from '../model/flower.ts'
import { openingSize } from '../tips/index.ts'
import { clockAzimuth } from './bag.ts'
import { CLEAR_DEG, eyeFor } from './eye.ts'
import { demonstrate } from './index.ts'
import { laidSoFar } from './laid.ts'
import { lessonOf } from './lesson.ts'
import { type Pose, poseAt } from './pose.ts'
import { spanOf, stopNear, stopsOf } from './stops.ts'
import { NAIL_DEG_PER_S } from './timing.ts'
import { turnWords } from './turnWords.ts'
import { dot, type Vec } from './vec.ts'

const { flowers, tips } = starterWorkshop
const named = (name: string) => flowers.find((f) => f.name === name)!
function shown(flower: Flower) {
  const fitted = fitFlower(flower, { sizeMm: null, tips: {} }, tips)
  const run = borderRun(flower, fitted.layers, 1)
  return { layers: fitted.layers, ...demonstrate(fitted.layers, 1, 0.35, run) }
}

const FRAME_S = 1 / 60
const degrees = (rad: number) => (rad * 180) / Math.PI
const angle = (a: Vec, b: Vec) => degrees(Math.acos(Math.max(-1, Math.min(1, dot(a, b)))))
const apart = (a: Vec, b: Vec) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

/** The demo order's own flowers, the roses, and one of each kind of stroke and seat. */
const WATCHED = [
  'Classic rose',
  'Hellebore',
  'Scabious',
  'Anemone',
  'Dahlia',
  'Climbing rose',
  'Hydrangea head',
  'Funnel lily',
  'Poppy',
  'Rosette',
  'Shell border',
  'Lavender',
  'Ruffle border',
  'Grass tuft',
]

describe.each(WATCHED)('%s is piped', (name) => {
  const { show, layers, mesh } = shown(named(name))
  const poses: Pose[] = []
  for (let s = 0; s < show.seconds; s += FRAME_S) poses.push(poseAt(show, s))

  it('without a leap: no frame over 5° or 2 mm at full speed', () => {
    for (let i = 1; i < poses.length; i++) {
      const [a, b] = [poses[i - 1]!, poses[i]!]
      expect(apart(a.tip, b.tip)).toBeLessThan(2)
      expect(angle(a.axis, b.axis)).toBeLessThan(5)
      expect(Math.abs(degrees(b.nail - a.nail))).toBeLessThan(5)
      const sameBag = show.strokes[a.stroke]!.layer === show.strokes[b.stroke]!.layer
      if (sameBag) expect(angle(a.slot, b.slot)).toBeLessThan(5)
    }
  })

  it('with the bag off the table, square enough to its slot, and faded wherever it is in what lies there', () => {
    for (const pose of poses) {
      expect(pose.axis[2]).toBeGreaterThan(0.3)
      expect(Math.abs(dot(pose.axis, pose.slot))).toBeLessThan(1e-6)
      const { depth, moments } = show.strokes[pose.stroke]!
      const at = Math.round(pose.laid * (moments.length - 1))
      if (pose.phase === 'over' && depth[at]! > 1.5) expect(pose.faded).toBeGreaterThan(0.9)
    }
  })

  it('no faster than a hand turns the nail while icing comes', () => {
    for (let i = 1; i < poses.length; i++) {
      const [a, b] = [poses[i - 1]!, poses[i]!]
      if (a.phase !== 'over' || b.phase !== 'over' || a.stroke !== b.stroke) continue
      expect(Math.abs(degrees(b.nail - a.nail)) / FRAME_S).toBeLessThan(NAIL_DEG_PER_S * 1.01)
    }
  })

  it('with the bag at its clock position, whatever the petal', () => {
    show.strokes.forEach(({ layer, axes, moments, nail }) => {
      const middle = moments.length >> 1
      const axis = axes[middle]!
      // a slot that has to be kept square turns it from there
      const level = Math.hypot(axis[0], axis[1])
      if (level < 0.3) return
      const azimuth = degrees(Math.atan2(axis[1], axis[0]) + nail[middle]!)
      const off = ((azimuth - degrees(clockAzimuth(show.clocks[layer]!)) + 540) % 360) - 180
      expect(Math.abs(off)).toBeLessThan(75)
    })
  })

  it('with its icing where the opening is, all of it in the end', () => {
    for (const [i, stroke] of mesh.strokes.entries()) {
      const whole = laidSoFar(stroke, 1).reduce((sum, r) => sum + r.count, 0)
      const half = laidSoFar(stroke, 0.5).reduce((sum, r) => sum + r.count, 0)
      expect(whole).toBe(stroke.count)
      expect(half).toBeLessThan(whole)
      expect(half).toBeGreaterThan(0.25 * whole)
      // the last ring that is drawn halfway lies within the opening
      const { moments, layer } = show.strokes[i]!
      const size = openingSize(layers[layer]!.tip.opening)
      const last = laidSoFar(stroke, 0.5)[0]!
      const vertex = mesh.indices[last.start + last.count - 1]! * 3
      // the mesh is not mirrored, the way is
      const there: Vec = [mesh.positions[vertex]!, -mesh.positions[vertex + 1]!, mesh.positions[vertex + 2]!]
      const wide = Math.max(size, 2 * Math.sqrt(moments[moments.length >> 1]!.fullness) * size)
      const near = Math.min(
        ...moments.slice(moments.length / 3, (moments.length * 2) / 3).map((m) => apart(m.tip, there)),
      )
      expect(near).toBeLessThan(wide + 2.5)
    }
  })

  it('looked at from where the bag is in nobody’s way', () => {
    const layer = show.strokes.at(-1)!.layer
    const eye = eyeFor(show, layer)
    const view: Vec = [
      Math.cos(eye.elevation) * Math.cos(eye.azimuth),
      Math.cos(eye.elevation) * Math.sin(eye.azimuth),
      Math.sin(eye.elevation),
    ]
    for (const pose of poses)
      if (show.strokes[pose.stroke]!.layer === layer && pose.phase === 'over')
        expect(angle(view, pose.axis)).toBeGreaterThan(CLEAR_DEG - 8)
  })
})

describe('a rose', () => {
  const { show, layers } = shown(named('Classic rose'))
  const say = (mm: number) => `${Math.round(mm * 2) / 2} mm`
  const lessons = layers.map((_, l) => lessonOf(show, pileLayers(layers), l, 'nail', say))

  it('is four lessons in its four rows: each leans further out, from lower down, by less of a turn', () => {
    const rows = lessons.slice(-4).map(({ figures }) => figures.map((f) => f.value))
    for (let i = 1; i < rows.length; i++) {
      expect(rows[i]![0]!).toBeGreaterThan(rows[i - 1]![0]! + 8)
      expect(rows[i]![1]!).toBeLessThan(rows[i - 1]![1]!)
      expect(rows[i]![2]!).toBeLessThan(rows[i - 1]![2]!)
    }
    expect(new Set(lessons.map((l) => l.headline)).size).toBe(lessons.length)
    // by hand from the recipe: the row of 5 spans 124°, tilts 10° in its middle, and begins 5.9 − 2.8 mm up
    expect(lessons[3]!.headline).toBe('Lean it 10° out; start 3 mm up; a third of a turn of the nail.')
  })

  it('turns against the clock under a right hand, and the squeeze has ended before the tip lifts', () => {
    for (const { nail, timing } of show.strokes) {
      expect(nail.at(-1)!).toBeGreaterThanOrEqual(nail[0]!)
      expect(timing.letGo).toBeLessThan(timing.begins.away)
    }
    for (const { begins, timing } of show.strokes)
      expect(poseAt(show, begins + (timing.begins.away + timing.seconds) / 2).squeeze).toBe(0)
  })

  it('is stepped through stop by stop, there and back', () => {
    const span = spanOf(show, 3)
    const stops = stopsOf(show, span)
    expect(stops).toHaveLength(5 * 5)
    const forth: number[] = []
    for (let at = stopNear(stops, span[0] - 1, true); at; at = stopNear(stops, at.second, true))
      forth.push(at.second)
    const back: number[] = []
    for (let at = stopNear(stops, span[1] + 1, false); at; at = stopNear(stops, at.second, false))
      back.unshift(at.second)
    expect(forth).toEqual(stops.map((s) => s.second))
    expect(back).toEqual(forth)
  })

  it('is piped alike every time', () => {
    expect(shown(named('Classic rose')).show).toEqual(show)
  })
})

it('says parts of a turn as a hand tells them apart', () => {
  expect(turnWords(5, 'nail')).toBe('hardly turn the nail')
  expect(turnWords(124, 'nail')).toBe('a third of a turn of the nail')
  expect(turnWords(175, 'nail')).toBe('half a turn of the nail')
  expect(turnWords(360, 'turntable')).toBe('a whole turn of the turntable')
  expect(turnWords(612, 'nail')).toBe('1¾ turns of the nail')
})
