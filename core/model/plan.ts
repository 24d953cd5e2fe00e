import { z } from 'zod'
import { allergenSchema, hexSchema, idSchema, stiffnessSchema } from '../common.ts'
import { settingSchema } from './flower.ts'
import { promiseForSchema, safetySchema } from './order.ts'

/** Version of the plan's format; a change that old readers would misread raises it. */
export const planVersion = 4

const grams = z.number().min(0)

/** How colours lie in a bag. */
export const layoutSchema = z.enum(['plain', 'striped', 'halves', 'layered', 'leftBehind'])

/** Why icing beyond what lands on the pieces is mixed. */
export const reservePartsSchema = z.object({
  spoiled: grams.describe('Flowers piped but not good enough, and spares of lifted ones'),
  practice: grams,
  margin: grams.describe('For the chosen chance of running short'),
})

/** How likely icing is to run short, common hand and spoiled flowers and what can be thinned for it taken together. */
export const promisedSchema = z
  .object({
    colours: z.array(z.object({ colourId: z.string(), chanceShort: z.number() })),
    order: z.number().describe('That anything at all runs short'),
    choices: z.array(
      z.object({
        scope: promiseForSchema,
        safety: safetySchema,
        grams: grams.describe('Margin that this choice adds in all'),
        colour: z.number().describe('Chance of the colour that is likeliest to run short'),
        order: z.number(),
      }),
    ),
  })
  // plans that were frozen before chances were worked out for the order as a whole
  .default({ colours: [], order: 0, choices: [] })
export type Promised = z.infer<typeof promisedSchema>

/** One colour's part in a use, in grams. */
export const usePartSchema = z.object({ colourId: z.string(), piped: grams, ...reservePartsSchema.shape })

/** One layer of one flower over all its pieces (or a coat): the grain in which demand is counted. */
export const useSchema = z.object({
  id: z.string(),
  pieceId: idSchema,
  placedId: idSchema.nullable().describe('null for a coat and for words'),
  flowerId: idSchema.nullable(),
  flowerName: z.string(),
  layerId: idSchema.nullable(),
  layerName: z.string(),
  tipId: idSchema.nullable().describe('null when spread with a spatula'),
  icingKindId: idSchema,
  stiffness: stiffnessSchema,
  setting: settingSchema,
  form: z.enum(['flower', 'leaf', 'vine', 'border', 'coat', 'words']),
  layout: layoutSchema,
  border: z.number().nullable(),
  fixedTip: z.boolean().describe('The tip must stay as it is turned, or the stripe runs off'),
  batch: z
    .number()
    .int()
    .describe('Squares piped to a layer that may wait before it is begun; 1: flower by flower'),
  waited: z.boolean().describe('Begun only when a batch of squares stands to it'),
  flowers: z.number().int().describe('Flowers wanted, all pieces together'),
  spares: z.number().int(),
  practice: z.number().int(),
  strokes: z.number().int(),
  seconds: z.number().describe('Of the hand: piping, and what is done to it with tools'),
  tools: z
    .array(z.object({ words: z.string(), fresh: z.boolean() }))
    .describe('What is done to it with brush, scribe, finger or food colour; fresh: before the next layer'),
  parts: z.array(usePartSchema),
})
export type Use = z.infer<typeof useSchema>

export const bagSchema = z.object({
  number: z.number().int(),
  label: z.string(),
  icingKindId: idSchema,
  stiffness: stiffnessSchema,
  coupler: z.enum(['none', 'standard', 'large']),
  bagStockId: idSchema.nullable(),
  tipIds: z.array(idSchema),
  layout: layoutSchema,
  border: z.number().nullable(),
  fixedTip: z.boolean(),
  load: z.array(
    z.object({
      colourId: z.string(),
      grams,
      staysGrams: grams.describe('Of it, what stays in the bag or only tops it up'),
    }),
  ),
  grams,
  residueGrams: grams.describe('Stays in bag, tip and coupler'),
  topUpGrams: grams.describe('Added so that the bag can be worked at all'),
  fillings: z.number().int(),
  changes: z.number().int().describe('Tip changes on its coupler'),
  washes: z.number().int().describe('Times a tip is washed to come to it from another bag'),
  reuses: z.number().int().nullable().describe('Number of the bag it is scraped from, in a chain of colours'),
  keptFor: z
    .string()
    .nullable()
    .describe('In a chain, the last colour that it is kept aside for, because a layer has to wait'),
  useIds: z.array(z.string()),
})
export type Bag = z.infer<typeof bagSchema>

export const batchSchema = z.object({
  id: z.string(),
  colourId: z.string(),
  icingKindId: idSchema,
  stiffness: stiffnessSchema,
  order: z.number().int().describe('Place in the mixing order, lightest first'),
  grams: grams.describe('To mix, liquid included'),
  carriedGrams: grams.describe('Of it, taken on from the bowl before it in a chain'),
  baseGrams: grams.describe('Stiff base that goes in'),
  liquidGrams: grams,
  pipedGrams: grams,
  reserveGrams: grams,
  marginGrams: grams.describe('Of the reserve, what is likely to be left'),
  bagResidueGrams: grams,
  keptGrams: grams.describe('Of it, in bags that are kept aside, which nothing is scraped from'),
  bowlResidueGrams: grams,
  roundingGrams: grams,
  bagNumbers: z.array(z.number().int()),
  useIds: z.array(z.string()),
})
export type Batch = z.infer<typeof batchSchema>

export const baseSchema = z.object({
  kind: idSchema,
  name: z.string(),
  grams: grams.describe('To make, mixer residue included'),
  mixerResidueGrams: grams,
  makes: z.array(grams),
  ingredients: z.array(z.object({ name: z.string(), grams })),
  allergens: z.array(allergenSchema),
})
export type Base = z.infer<typeof baseSchema>

export const supplySchema = z.object({
  kind: z.enum(['tip', 'coupler', 'bag', 'nail', 'square', 'ingredient', 'setOn', 'board', 'support', 'box']),
  id: z.string(),
  name: z.string(),
  needed: z.number(),
  unit: z.enum(['pieces', 'g']),
  owned: z.number().nullable().describe('null where stock is not counted'),
  short: z.number(),
  packs: z.number().int().nullable(),
  cost: z.number().nullable(),
})
export type Supply = z.infer<typeof supplySchema>

/** A change to the order that a person can accept with one click. */
export const remedySchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('useTip'), fromTipId: idSchema, toTipId: idSchema }),
  z.object({ kind: z.literal('mergeColours'), fromColourId: idSchema, intoColourId: idSchema }),
  z.object({ kind: z.literal('takeOff'), pieceId: idSchema, placedId: idSchema }),
  z.object({ kind: z.literal('addCoat'), pieceId: idSchema, colourId: idSchema }),
  z.object({
    kind: z.literal('setPerPiece'),
    pieceId: idSchema,
    placedId: idSchema,
    perPiece: z.number().int(),
  }),
  z.object({
    kind: z.literal('setBatch'),
    pieceId: idSchema,
    placedId: idSchema,
    squares: z.number().int().nullable().describe('null: one flower after another'),
  }),
  z.object({ kind: z.literal('setSize'), pieceId: idSchema, placedId: idSchema, sizeMm: z.number() }),
])
export type Remedy = z.infer<typeof remedySchema>

const boardSchema = z.object({ diameterMm: z.number(), thickMm: z.number() })

/** A cake of one or more tiers, from the lowest up. */
export const cakeSchema = z.object({
  pieceId: idSchema,
  count: z.number().int().describe('Cakes that are alike'),
  grams: grams.describe('One finished cake: cake, fillings, coats and flowers, without boards'),
  tiers: z.array(
    z.object({
      grams,
      supports: z
        .object({
          count: z.number().int(),
          ringMm: z.number().describe('Radius on which they stand'),
          lengthMm: z.number(),
        })
        .nullable()
        .describe('In this tier, under the next one; null in the top tier'),
      board: boardSchema
        .nullable()
        .describe('Under this tier; null for the lowest, which stands on the base'),
    }),
  ),
  base: boardSchema,
  rod: z.boolean().describe('A rod through the middle'),
  box: z.object({ sideMm: z.number(), highMm: z.number() }).describe('Inside'),
})
export type Cake = z.infer<typeof cakeSchema>

export const adviceSchema = z.object({
  code: z.string(),
  /** note: good to know; decide: wants a decision; stop: do not start like this. */
  severity: z.enum(['note', 'decide', 'stop']),
  message: z.string(),
  about: z.object({
    kind: z.enum(['order', 'piece', 'flower', 'colour', 'bag', 'tip', 'icing', 'drawer']),
    id: z.string(),
  }),
  remedy: z.object({ label: z.string(), change: remedySchema }).nullable(),
})
export type Advice = z.infer<typeof adviceSchema>

export const planSchema = z.object({
  schemaVersion: z.literal(planVersion),
  orderId: idSchema,
  totals: z.object({
    pieces: z.number().int(),
    flowers: z.number().int(),
    mixedGrams: grams,
    pipedGrams: grams,
    handsOnMinutes: z.number(),
    changes: z.number().int(),
    washes: z.number().int(),
    cost: z.number(),
  }),
  colours: z.array(z.object({ id: z.string(), name: z.string(), hex: hexSchema, grams })),
  uses: z.array(useSchema),
  hands: z
    .object({
      base: z.number(),
      bowls: z.number(),
      bags: z.number(),
      kept: z.number().describe('Bags kept aside in a chain of colours'),
      changes: z.number().describe('Tips changed and washed'),
      coats: z.number(),
      piping: z.number().describe('Spares and practice included'),
      nails: z.number().describe('Squares, lifting and placing'),
      setOns: z.number().describe('What is put on and not piped'),
    })
    .describe('Minutes of hands by what they go into; they sum to handsOnMinutes'),
  reserve: z.object({ ...reservePartsSchema.shape, chanceShort: z.number() }),
  promise: promisedSchema,
  setOns: z
    .array(
      z.object({
        pieceId: idSchema,
        placedId: idSchema,
        setOnId: idSchema,
        amount: z.number().describe('On all pieces of the kind: so many, or so many grams of what is strewn'),
        when: z.enum(['wet', 'last']),
        minutes: z.number(),
      }),
    )
    .describe('What is put on and not piped'),
  cakes: z.array(cakeSchema),
  boards: z
    .array(
      z.object({
        pieceId: idSchema,
        count: z.number().int(),
        wideMm: z.number(),
        deepMm: z.number(),
        thickMm: z.number(),
        boxHighMm: z.number().describe('Inside'),
        cutFrom: z
          .object({ wideMm: z.number(), deepMm: z.number() })
          .nullable()
          .describe('The least cake that a vase is cut from'),
      }),
    )
    .describe('What else stands on a board: bouquets, sheets, cut-out cakes'),
  bags: z.array(bagSchema),
  sequence: z
    .array(
      z.object({
        kind: z
          .enum(['spread', 'chill', 'dry', 'pipe', 'work', 'lift', 'setOn'])
          .describe(
            'With a spatula, into the cold or left to dry, from bags, with tools once it has crusted or dried, from nails onto the piece, or put on without piping',
          ),
        pieceIds: z.array(idSchema),
        useIds: z.array(z.string()),
        bagNumbers: z.array(z.number().int()).describe('In the order in which they are taken up'),
        repeats: z.number().int().describe('Times the whole is gone through: flowers on nails'),
        colourId: z.string().nullable().describe('Colour in the bowl meanwhile, in a chain of colours'),
        setOnIds: z.array(z.string()).describe('Things that are put on, as they are placed on the piece'),
      }),
    )
    .describe('The order of work'),
  conflicts: z
    .array(z.object({ tipId: idSchema, bagNumbers: z.array(z.number().int()) }))
    .describe('Tips that are wanted on more bags at once than there are of them'),
  batches: z.array(batchSchema),
  base: baseSchema.describe("The order's own icing kind"),
  otherBases: z.array(baseSchema).describe('Icing kinds that single pieces ask for'),
  residues: z.object({ bags: grams, topUps: grams, bowls: grams, rounding: grams, mixer: grams }),
  supplies: z.array(supplySchema),
  advice: z.array(adviceSchema),
})
export type Plan = z.infer<typeof planSchema>
/** A plan without what it advises: all that its figures are. */
export type PlanFigures = Omit<Plan, 'advice' | 'cakes' | 'boards'>
