import { z } from 'zod'
import { beadTail } from './beadTail.ts'
import { beadTrail } from './beadTrail.ts'
import { brushDrag } from './brushDrag.ts'
import { comma } from './comma.ts'
import { curvedSpike } from './curvedSpike.ts'
import { disc } from './disc.ts'
import { dot } from './dot.ts'
import { drop } from './drop.ts'
import { dropStar } from './dropStar.ts'
import { fan } from './fan.ts'
import { flood } from './flood.ts'
import { funnel } from './funnel.ts'
import { grass } from './grass.ts'
import { leafPull } from './leafPull.ts'
import { line } from './line.ts'
import { mound } from './mound.ts'
import { outAndBack } from './outAndBack.ts'
import { petalArc } from './petalArc.ts'
import { ribbon } from './ribbon.ts'
import { rosette } from './rosette.ts'
import { ruffle } from './ruffle.ts'
import { scoop } from './scoop.ts'
import { shell } from './shell.ts'
import { spike } from './spike.ts'
import type { StrokeDefinition } from './stroke.ts'
import { vine } from './vine.ts'
import { wall } from './wall.ts'
import { wrap } from './wrap.ts'
import { zigzag } from './zigzag.ts'

/** The alphabet: every stroke, solid ones first, then petals, then lines. */
export const strokes = {
  mound,
  dot,
  spike,
  wrap,
  petalArc,
  fan,
  wall,
  scoop,
  leafPull,
  rosette,
  shell,
  dropStar,
  vine,
  outAndBack,
  disc,
  funnel,
  brushDrag,
  curvedSpike,
  zigzag,
  drop,
  comma,
  beadTrail,
  flood,
  line,
  ruffle,
  grass,
  beadTail,
  ribbon,
}
export type StrokeKind = keyof typeof strokes

export const strokeSchema = z.discriminatedUnion('kind', [
  mound.schema,
  dot.schema,
  spike.schema,
  wrap.schema,
  petalArc.schema,
  fan.schema,
  wall.schema,
  scoop.schema,
  leafPull.schema,
  rosette.schema,
  shell.schema,
  dropStar.schema,
  vine.schema,
  outAndBack.schema,
  disc.schema,
  funnel.schema,
  brushDrag.schema,
  curvedSpike.schema,
  zigzag.schema,
  drop.schema,
  comma.schema,
  beadTrail.schema,
  flood.schema,
  line.schema,
  ruffle.schema,
  grass.schema,
  beadTail.schema,
  ribbon.schema,
])
export type Stroke = z.infer<typeof strokeSchema>

/** The definition behind any stroke. */
export function strokeDefinition(kind: StrokeKind): StrokeDefinition {
  return strokes[kind] as unknown as StrokeDefinition
}
