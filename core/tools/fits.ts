import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import { type Opening, openingSlot } from '../tips/index.ts'
import { type ToolKind, toolDefinition, tools } from './index.ts'

/** Whether something can be done to a stroke that is piped through an opening. */
export function canBeDone(kind: ToolKind, stroke: Stroke, opening: Opening): boolean {
  const { rests, only, marks } = toolDefinition(kind)
  const definition = strokeDefinition(stroke.kind)
  // what is squeezed on the spot runs round, whatever the slot
  const sheet = openingSlot(opening) !== null && !definition.squeezed
  if (only && (only === 'sheets') !== sheet) return false
  // a rope that lies is too thin to be worked on; it can be painted
  if (definition.rests === 'lies' && !sheet && !marks) return false
  return rests.includes(definition.rests)
}

/** Everything that can be done to a stroke. */
export const doneTo = (stroke: Stroke, opening: Opening): ToolKind[] =>
  (Object.keys(tools) as ToolKind[]).filter((kind) => canBeDone(kind, stroke, opening))
