import { z } from 'zod'
import { hexSchema, idSchema, nameSchema, noteSchema, stiffnessSchema } from '../common.ts'
import { layerLoadSchema, loadDefinition } from '../loads/index.ts'
import { ON_A_RING, placesSchema } from '../places/index.ts'
import { strokeSchema } from '../strokes/index.ts'
import { placeFaults } from './placeFaults.ts'
import { MOST_STEPS, toolStepSchema } from './toolStep.ts'

/** A part of a flower that has a colour of its own; an order gives each role a colour. */
export const roleSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** What the library shows it in, and what an order starts from. */
  hex: hexSchema,
})
export type Role = z.infer<typeof roleSchema>

/** Where something is set that there are several of: in which way, and how far from each of its places. */
const set = {
  count: z
    .number()
    .int('Whole strokes only.')
    .min(1, 'At least one stroke.')
    .max(400, 'At most 400 strokes.'),
  ringMm: z.number().min(0).max(200),
  heightMm: z.number().min(-20).max(100),
  startDeg: z.number().min(-360).max(360).default(0),
  /** Over how much of the ring the strokes are spread; 360 for a full ring. */
  spreadDeg: z.number().min(1).max(360).default(360),
  /** Round the axis on a ring, or elsewhere; the ring then stands round each of those places. */
  at: placesSchema.default(ON_A_RING),
}

/** A whole small flower that is used as one stroke of a larger one: layers of the recipe that are set together. */
export const floretSchema = z.object({
  id: idSchema,
  name: nameSchema,
  ...set,
  count: z
    .number()
    .int('Whole florets only.')
    .min(1, 'At least one floret.')
    .max(200, 'At most 200 florets.'),
  /** No two alike: each is turned about itself by up to so much, either way, and leans by up to so much. */
  looseDeg: z.number().min(0).max(180).default(0),
  nodsDeg: z.number().min(0).max(60).default(0),
})
export type Floret = z.infer<typeof floretSchema>

/** A stroke repeated around a ring, or wherever else it is set. */
export const layerSchema = z.object({
  id: idSchema,
  name: nameSchema,
  tipId: idSchema,
  stiffness: stiffnessSchema,
  load: layerLoadSchema,
  ...set,
  /** The floret that it is part of, by whose places it is repeated; null for the flower's own. */
  floretId: idSchema.nullable().default(null),
  /** On nails, the layers before it may stand on a batch of squares before it is begun; rows that lean on each other may not. */
  mayWait: z.boolean().default(false),
  /** Takes no part in how wide the flower is made: what one order adds to it. */
  loose: z.boolean().default(false),
  stroke: strokeSchema,
  /** What is done to its strokes without a bag, in that order: fresh ones before the next layer is piped. */
  tools: z
    .array(toolStepSchema)
    .max(MOST_STEPS, `At most ${MOST_STEPS} tool steps on one layer.`)
    .default([]),
})
export type Layer = z.infer<typeof layerSchema>

/** Kinds of floret and layers that one flower has, at the most. */
export const MOST_FLORETS = 12
export const MOST_LAYERS = 40

/** Colours that one flower asks for, at the most. */
export const MOST_ROLES = 12

/** Where a flower is piped: on a nail and lifted, or in place on the piece. */
export const settingSchema = z.enum(['nail', 'inPlace'])

/** What weighing may make of a recipe, and how widely its weights may scatter. */
export const calibrationRange = { least: 0.2, most: 5 }
export const spreadRange = { least: 0, most: 1 }

export const flowerSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    note: noteSchema.default(''),
    form: z.enum(['flower', 'leaf', 'vine', 'border']),
    setting: settingSchema,
    /** Head of the nail it is piped on, mm; null in place. */
    nailMm: z.number().min(20).max(90).nullable(),
    level: z.enum(['first', 'practised', 'skilled']),
    roles: z.array(roleSchema).min(1, 'A flower needs at least one colour role.').max(MOST_ROLES),
    florets: z.array(floretSchema).max(MOST_FLORETS, `At most ${MOST_FLORETS} kinds of floret.`).default([]),
    layers: z.array(layerSchema).min(1, 'A flower needs at least one layer.').max(MOST_LAYERS),
    /** Distance from one border unit to the next, mm; null for anything that is not a border. */
    pitchMm: z.number().min(1).max(200).nullable().default(null),
    /** Minutes until it can be lifted from its nail; null by its width and its icing. */
    firmMinutes: z
      .number()
      .min(0, 'At least 0 min.')
      .max(10080, 'At most 10080 min.')
      .nullable()
      .default(null),
    /** Share of piped flowers expected to spoil. */
    spoilRate: z.number().min(0).max(0.9).default(0.05),
    /** Spread of the weight from one batch of this flower to the next, as a share of it. */
    spread: z.number().min(spreadRange.least).max(spreadRange.most).default(0.15),
    /** Weighed over computed grams; 1 until somebody weighs some. */
    calibration: z.number().min(calibrationRange.least).max(calibrationRange.most).default(1),
    /** Seconds of the bakery's hands over computed ones; 1 until minutes are recorded. */
    pace: z.number().min(0.25).max(4).default(1),
    source: z.enum(['catalogue', 'own']).default('catalogue'),
    basedOn: idSchema.nullable().default(null),
  })
  .superRefine((flower, ctx) => {
    const roles = new Set(flower.roles.map((r) => r.id))
    flower.layers.forEach((layer, i) => {
      for (const { path, role } of loadDefinition(layer.load.kind).roles(layer.load))
        if (!roles.has(role))
          ctx.addIssue({
            code: 'custom',
            path: ['layers', i, 'load', ...path],
            message: `The flower has no colour role "${role}". Add the role or choose another.`,
          })
    })
    for (const { path, message } of placeFaults(flower)) ctx.addIssue({ code: 'custom', path, message })
    for (const list of ['roles', 'florets', 'layers'] as const)
      flower[list].forEach(({ id }, i) => {
        if (flower[list].findIndex((other) => other.id === id) < i)
          ctx.addIssue({
            code: 'custom',
            path: [list, i, 'id'],
            message: `The id "${id}" is used twice. Give one another id.`,
          })
      })
    if (flower.form === 'border' && flower.pitchMm === null)
      ctx.addIssue({
        code: 'custom',
        path: ['pitchMm'],
        message: 'A border needs the distance between its units.',
      })
  })
export type Flower = z.infer<typeof flowerSchema>
