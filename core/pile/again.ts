import type { Laid } from '../solids/laid.ts'
import type { Rest } from '../strokes/stroke.ts'
import { depositRope, depositSheet } from './deposit.ts'
import type { Field } from './field.ts'
import { turnIn } from './ropes.ts'

/** Lays a body in a field just where it is: it has come to rest before. */
export function layAgain(field: Field, body: Laid, rests: Rest): void {
  if (body.kind === 'sheet') depositSheet(field, body, 0, body.tSteps)
  else if (rests === 'sits' || rests === 'spreads') turnIn(field, body)
  else depositRope(field, body, 0, body.rings - 1)
}
