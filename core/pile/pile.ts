import type { Spot } from '../places/spot.ts'
import { type Random, seeded, slip } from '../random.ts'
import { CARE_WITH_ONE, STRAY_DEG, STRAY_MM, STRAY_UP_MM } from '../solids/hand.ts'
import { type Laid, type LaidRope, type LaidSheet, ropeRadius } from '../solids/laid.ts'
import { newMesh } from '../solids/mesh.ts'
import { type StrokeSolid, skinLaid, strokeSolid } from '../solids/strokeSolid.ts'
import { drawnFrom, tonguesOf } from '../solids/tongues.ts'
import { worked } from '../solids/worked.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { measureStroke, strokeCycles } from '../strokes/quantities.ts'
import { type Placement, radians, type StrokeDefinition } from '../strokes/stroke.ts'
import { toolDefinition, type Work } from '../tools/index.ts'
import { layAgain } from './again.ts'
import { coil } from './coil.ts'
import { type Bounds, Field } from './field.ts'
import {
  type Axis,
  cutOf,
  PILE_DETAIL,
  type PiledStroke,
  type PileLayer,
  workSeed,
  worksOf,
} from './piled.ts'
import { lieDown, sitDown, standUp, turnIn } from './ropes.ts'
import { settleSheet } from './sheets.ts'
import { swell } from './swell.ts'
import { unionVolume } from './union.ts'

/** What the skins of a stroke fill, over what left the bag: within these it is made up for by thickness. */
const LEAST_FATTENED = 0.7
const MOST_FATTENED = 1.5

/** Drawn close up, the same skins fill so much more than as they are cut for piling: halfway between is aimed at. */
const AS_DRAWN = 0.985

/** Room around everything that is aimed at, mm. */
const ROOM_MM = 7

/** A hand that never slips. */
const steady: Random = () => 0.5

/** The slips of one stroke: none hangs on how the strokes before it were drawn. */
export const slipsOf = (slips: number | null): Random => (slips === null ? steady : seeded(slips))

const slipsFor = (seed: number, layer: number, index: number) =>
  (Math.imul(seed + 1, 7919) + Math.imul(layer + 1, 104729) + Math.imul(index + 1, 1299709)) >>> 0

/**
 * Pipes a flower: in the order of its layers every stroke comes to rest on what is there, and is itself there for the
 * next. What merges comes out elsewhere, so that the pile is as large as what left the bag. The same seed gives the same
 * pile; null is a steady hand.
 */
export function pile(layers: readonly PileLayer[], seed: number | null): PiledStroke[] {
  const planned = layers.map(plan)
  const strokes = layers.flatMap((layer, l) =>
    layer.spots.map((spot, index): PiledStroke => {
      const slips = seed === null ? null : slipsFor(seed, l, index)
      const at = handled(layer, spot, slipsOf(slips))
      const own = planned[l]!.solid.lay(at, slipsOf(slips))
      const pulled = tonguesOf(own, worksOf(layer), workSeed({ slips }), cutOf(layer, PILE_DETAIL))
      const laid = [...fattened(copyOf(own), planned[l]!.fatten), ...copyOf(pulled)]
      if (pulled.length > 0) drawnFrom(laid[0] as LaidRope, pulled)
      const aimed = [...own, ...pulled]
      return { layer: l, index, at, slips, aimed, laid, rested: laid, tongues: pulled.length }
    }),
  )
  let field = new Field(boundsOf(strokes))
  layers.forEach((layer, l) => {
    const own = strokes.filter((s) => s.layer === l)
    for (const stroke of own)
      settle(field, layer, planned[l]!, stroke.laid.slice(0, ownBodies(stroke)), axisOf(stroke.at))
    for (const { laid, tongues } of own)
      for (const rope of laid.slice(laid.length - tongues) as LaidRope[]) lieDown(field, rope, PULLED)
    // what was pushed about while it was fresh is no longer where it came to rest
    if (layer.works.some(({ work, fresh }) => fresh && toolDefinition(work.kind).touch))
      field = fieldOf(strokes, layers, l)
  })
  const bagMm3 = planned.reduce((sum, p, l) => sum + p.bagMm3 * layers[l]!.spots.length, 0)
  swell(strokes, (stroke) => afterTools(stroke, layers[stroke.layer]!), bagMm3 * AS_DRAWN)
  for (const stroke of strokes) {
    stroke.rested = stroke.laid
    stroke.laid = afterTools(stroke, layers[stroke.layer]!)
  }
  return strokes
}

/** Icing that a point has pulled out lies as thinly as icing does that runs. */
const PULLED = 'flood'

const ownBodies = ({ laid, tongues }: PiledStroke): number => laid.length - tongues

/** The bodies of a stroke as its tools have left them. */
function afterTools(stroke: PiledStroke, layer: PileLayer, works: readonly Work[] = worksOf(layer)): Laid[] {
  if (works.length === 0) return stroke.laid
  const own = worked(stroke.laid.slice(0, ownBodies(stroke)), works, axisOf(stroke.at), workSeed(stroke))
  return [...own, ...stroke.laid.slice(ownBodies(stroke))]
}

/** Everything up to a layer laid anew, as fresh tools have left it. */
function fieldOf(strokes: readonly PiledStroke[], layers: readonly PileLayer[], upTo: number): Field {
  const field = new Field(boundsOf(strokes))
  for (const stroke of strokes) {
    if (stroke.layer > upTo) continue
    const layer = layers[stroke.layer]!
    const { rests } = strokeDefinition(layer.stroke.kind)
    const fresh = layer.works.filter((w) => w.fresh).map((w) => w.work)
    const bodies = afterTools(stroke, layer, fresh)
    for (const [i, body] of bodies.entries()) layAgain(field, body, i < ownBodies(stroke) ? rests : 'lies')
  }
  return field
}

interface Planned {
  solid: StrokeSolid
  definition: StrokeDefinition
  cycles: number
  bagMm3: number
  /** Bag volume over what the stroke's own skins fill. */
  fatten: number
}

function plan(layer: PileLayer): Planned {
  const { stroke, opening, ringMm, heightMm } = layer
  const at: Placement = { ringMm, heightMm, azimuth: 0 }
  const solid = strokeSolid(stroke, at, opening, cutOf(layer, PILE_DETAIL))
  const builder = newMesh(solid.room.vertices, solid.room.triangles)
  skinLaid(builder, solid.lay(at, steady), 0)
  const alone = unionVolume(builder.mesh)
  const { volumeMm3 } = measureStroke(stroke, at, opening)
  return {
    solid,
    definition: strokeDefinition(stroke.kind),
    cycles: strokeCycles(stroke),
    bagMm3: volumeMm3,
    fatten: Math.min(MOST_FATTENED, Math.max(LEAST_FATTENED, volumeMm3 / Math.max(1e-6, alone))),
  }
}

/** Where a hand sets a stroke down that was meant for a place. */
function handled({ ringMm, heightMm, spots }: PileLayer, { azimuth, seat }: Spot, random: Random): Placement {
  const stray = spots.length > 1 ? 1 : CARE_WITH_ONE
  return {
    seat,
    azimuth: azimuth + radians(STRAY_DEG) * slip(random) * stray,
    ringMm: Math.max(0, ringMm + Math.min(STRAY_MM, ringMm * 0.2) * slip(random)),
    heightMm: heightMm + STRAY_UP_MM * slip(random) * stray,
  }
}

const copyOf = (bodies: readonly Laid[]): Laid[] =>
  bodies.map((b) =>
    b.kind === 'sheet'
      ? { ...b, points: b.points.slice(), thick: b.thick.slice() }
      : { ...b, centres: b.centres.slice(), scale: b.scale.slice() },
  )

/** Makes bodies so many times as full: sheets by their thickness, ropes by the width of their section. In place. */
export function fattened(laid: Laid[], by: number): Laid[] {
  for (const body of laid) {
    const of = body.kind === 'sheet' ? body.thick : body.scale
    const each = body.kind === 'sheet' ? by : Math.sqrt(by)
    for (let i = 0; i < of.length; i++) of[i]! *= each
  }
  return laid
}

/** The axis that a stroke stands round: what is in its way pushes it away from there. */
export const axisOf = ({ seat }: Placement): Axis => ({ x: seat?.xMm ?? 0, y: seat?.yMm ?? 0 })

function settle(
  field: Field,
  layer: PileLayer,
  { definition, cycles }: Planned,
  laid: Laid[],
  axis: Axis,
): void {
  const { rests } = definition
  const sheets = laid.filter((b): b is LaidSheet => b.kind === 'sheet')
  const ropes = laid.filter((b) => b.kind === 'rope')
  for (const sheet of sheets) settleSheet(field, sheet, definition, cycles, axis)
  if (ropes.length === 0) return
  if (rests === 'sits') for (const rope of ropes) sitDown(field, rope)
  else if (rests === 'rises') standUp(field, ropes, axis)
  else if (rests === 'coils') for (const rope of ropes) coil(field, rope, layer.stiffness)
  else if (rests === 'lies') for (const rope of ropes) lieDown(field, rope, layer.stiffness)
  else for (const rope of ropes) turnIn(field, rope)
}

/** Room for all strokes and what moves them. */
export function boundsOf(strokes: readonly PiledStroke[]): Bounds {
  let [reach, top] = [0, 0]
  for (const { laid } of strokes)
    for (const body of laid) {
      const points = body.kind === 'sheet' ? body.points : body.centres
      const extra =
        body.kind === 'sheet' ? 0 : ropeRadius(body) * body.scale.reduce((a, b) => Math.max(a, b), 0)
      for (let o = 0; o < points.length; o += 3) {
        reach = Math.max(reach, Math.abs(points[o]!) + extra, Math.abs(points[o + 1]!) + extra)
        top = Math.max(top, points[o + 2]! + extra)
      }
    }
  const side = reach + ROOM_MM
  return { low: [-side, -side, -ROOM_MM], high: [side, side, top + ROOM_MM] }
}
