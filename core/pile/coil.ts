import type { Stiffness } from '../common.ts'
import type { LaidRope } from '../solids/laid.ts'
import { depositRope } from './deposit.ts'
import type { Field } from './field.ts'
import { groundUnder } from './support.ts'

/** Height of a coil's rope over its width. */
const SUNK: Record<Stiffness, number> = { stiff: 0.86, medium: 0.74, soft: 0.56, writing: 0.5, flood: 0.4 }

/** A rope that coils upon itself keeps the path of the hand and sinks; the whole stands on what is there. */
export function coil(field: Field, rope: LaidRope, stiffness: Stiffness): void {
  const { centres, rings } = rope
  rope.flat = SUNK[stiffness]
  const lower = Math.sqrt(rope.flat)
  const [x, y, foot] = [centres[0]!, centres[1]!, centres[2]!]
  const ground = groundUnder(field, x, y, foot + 4)
  const lowest = centres.reduce(
    (least, z, i) => (i % 3 === 2 ? Math.min(least, z) : least),
    Number.POSITIVE_INFINITY,
  )
  for (let t = 0; t < rings; t++) {
    const o = t * 3 + 2
    centres[o] = ground + lowest * lower + (centres[o]! - lowest) * 1
  }
  depositRope(field, rope, 0, rings - 1)
}
