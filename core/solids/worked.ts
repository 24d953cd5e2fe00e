import { type Random, seeded } from '../random.ts'
import { toolDefinition, type Work } from '../tools/index.ts'
import type { Moved, Point } from '../tools/tool.ts'
import { type Laid, type LaidRope, type LaidSheet, outlineMiddle, ropeRadius } from './laid.ts'
import { type Lie, lieOf, pointAt } from './lie.ts'

/** Of a sheet or a rope no tool leaves less than this share. */
const LEAST_LEFT = 0.25
/** Seeds of the tools of one stroke lie so far apart. */
const NEXT_TOOL = 4391

type Touch = NonNullable<ReturnType<NonNullable<ReturnType<typeof toolDefinition>['touch']>>>

/**
 * The bodies of a stroke after tools have been at them, one after the other: what they take away in one place is in the
 * rest, as it is when icing is pushed about.
 * @param seed the same one gives the same hand.
 */
export function worked(bodies: readonly Laid[], works: readonly Work[], axis: Axis, seed: number): Laid[] {
  return works.reduce<readonly Laid[]>((now, work, i) => {
    const definition = toolDefinition(work.kind)
    if (!definition.touch) return now
    const lie = lieOf(now, axis)
    const touch = definition.touch(work, handOf(seed, i))
    return now.map((body) =>
      body.kind === 'sheet'
        ? touchedSheet(body, lie, touch)
        : touchedRope(body, lie, touch, definition.allRound === true),
    )
  }, bodies) as Laid[]
}

/** The slips of the hand at one tool of a stroke. */
export const handOf = (seed: number, step: number): Random => seeded(seed + NEXT_TOOL * (step + 1))

/** The upright that a flower stands round, mm. */
interface Axis {
  x: number
  y: number
}

const blankPoint = (lie: Lie): Point => ({
  ...{ out: 0, outMm: 0, asideMm: 0, halfHereMm: lie.halfMm, upMm: 0, awayMm: 0 },
  ...{ lengthMm: lie.lengthMm, halfMm: lie.halfMm, tallMm: lie.tallMm },
})

function touchedSheet(body: LaidSheet, lie: Lie, touch: Touch): LaidSheet {
  const points = body.points.slice()
  const thick = body.thick.slice()
  const at = blankPoint(lie)
  const moved: Moved = { thinMm: 0, downMm: 0, inMm: 0 }
  let [before, after] = [0, 0]
  const [ux, uy, uz] = body.up
  for (let v = 0; v < thick.length; v++) {
    const o = v * 3
    pointAt(lie, points[o]!, points[o + 1]!, points[o + 2]!, at)
    Object.assign(moved, NOTHING)
    touch(at, moved)
    const was = thick[v]!
    const thin = Math.min(was * (1 - LEAST_LEFT), Math.max(-was, moved.thinMm))
    thick[v] = was - thin
    before += was
    after += was - thin
    // what is taken away is taken from above: the underside stays where it lies
    const down = thin / 2 + moved.downMm
    const level = Math.hypot(points[o]! - lie.x, points[o + 1]! - lie.y) || 1
    const [wx, wy] = lie.central
      ? [(points[o]! - lie.x) / level, (points[o + 1]! - lie.y) / level]
      : [lie.dx, lie.dy]
    points[o]! -= ux * down + wx * moved.inMm
    points[o + 1]! -= uy * down + wy * moved.inMm
    points[o + 2]! -= uz * down
  }
  const rest = after > 0 ? before / after : 1
  for (let v = 0; v < thick.length; v++) thick[v]! *= rest
  return { ...body, points, thick }
}

const NOTHING: Moved = { thinMm: 0, downMm: 0, inMm: 0 }

function touchedRope(body: LaidRope, lie: Lie, touch: Touch, allRound: boolean): LaidRope {
  const centres = body.centres.slice()
  const scale = body.scale.slice()
  const wide = ropeRadius(body)
  const at = blankPoint(lie)
  const moved: Moved = { ...NOTHING }
  for (let t = 0; t < body.rings; t++) {
    const o = t * 3
    pointAt(lie, centres[o]!, centres[o + 1]!, centres[o + 2]!, at)
    // a ring is touched where it is widest
    const radius = wide * scale[t]!
    at.awayMm += lie.central ? radius : 0
    Object.assign(moved, NOTHING)
    touch(at, moved)
    const left = Math.max(LEAST_LEFT, 1 - moved.thinMm / Math.max(radius, 1e-6))
    scale[t]! *= left
    centres[o + 2] = Math.max(0, centres[o + 2]! - moved.downMm)
  }
  return { ...body, centres, scale, outline: allRound ? roughOutline(body, lie, touch) : body.outline }
}

/** The outline of a rope as a tool leaves it that goes all round, halfway along. */
function roughOutline({ outline, scale, rings }: LaidRope, lie: Lie, touch: Touch): LaidRope['outline'] {
  const middle = outlineMiddle(outline)
  const times = scale[Math.floor(rings / 2)]!
  const at = blankPoint(lie)
  return outline.map(([x, y]) => {
    const [dx, dy] = [x - middle[0], y - middle[1]]
    const radius = Math.hypot(dx, dy) * times
    const moved: Moved = { ...NOTHING }
    Object.assign(at, { outMm: dx * times, asideMm: dy * times, upMm: lie.tallMm / 2, awayMm: radius })
    touch(at, moved)
    const left = Math.max(LEAST_LEFT, 1 - moved.thinMm / Math.max(radius, 1e-6))
    return [middle[0] + dx * left, middle[1] + dy * left]
  })
}
