import { z } from 'zod'
import { hexSchema, idSchema, nameSchema } from '../common.ts'
import { toolDefinition, type Work, workSchema } from '../tools/index.ts'
import { type Instrument, instruments, type When, whens } from '../tools/tool.ts'

/** Tool steps of one layer, at the most. */
export const MOST_STEPS = 6

const oneOf = <K extends string>(words: Readonly<Record<K, string>>) =>
  z.enum(Object.keys(words) as [K, ...K[]])

/** A step that lays no icing: what is done to the strokes of a layer with a brush, a point, a finger, or food colour. */
export const toolStepSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    instrument: oneOf<Instrument>(instruments),
    when: oneOf<When>(whens),
    /** Seconds of the hand for each stroke that it is done to. */
    secondsEach: z.number().min(0).max(600),
    /** Food colour, where it is painted on. */
    paint: z.object({ name: nameSchema, hex: hexSchema }).nullable().default(null),
    work: workSchema,
  })
  .superRefine(({ instrument, when, paint, work }, ctx) => {
    const definition = toolDefinition(work.kind)
    const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message })
    if (!definition.instruments.includes(instrument))
      fault(
        'instrument',
        `Nobody can ${definition.label} with a ${instruments[instrument]}. Choose another tool.`,
      )
    if (!definition.when.includes(when))
      fault(
        'when',
        `It is too early or too late to ${definition.label} ${whens[when]}. Choose another moment.`,
      )
    if (definition.marks && !paint) fault('paint', 'What is painted on needs a food colour. Give it one.')
  })
export type ToolStep = z.infer<typeof toolStepSchema>

/** What a step is called within its flower: layers that were duplicated have steps of the same id. */
export const stepKey = (layer: { id: string }, step: { id: string }): string => `${layer.id}/${step.id}`

/** Food colour that painting begins with. */
const FIRST_PAINT = { name: 'Brown', hex: '#6b4a3a' }

/** A step as it is begun: with the usual tool, at the usual moment, as quickly as a practised hand. */
export function beginStep(work: Work, id: string, more: Partial<ToolStep> = {}): ToolStep {
  const { label, instruments, when, secondsEach, marks } = toolDefinition(work.kind)
  return {
    id,
    name: `${label.charAt(0).toUpperCase()}${label.slice(1)}`,
    instrument: instruments[0]!,
    when: when[0]!,
    secondsEach,
    paint: marks ? FIRST_PAINT : null,
    work,
    ...more,
  }
}
