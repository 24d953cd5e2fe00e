import { z } from 'zod'
import { allergenSchema, hexSchema, idSchema, nameSchema, noteSchema, stiffnessSchema } from '../common.ts'
import { surfaceSchema } from '../surfaces/index.ts'
import { momentSchema, NOTHING_SETTLED, settledSchema } from './day.ts'
import { layerSchema } from './flower.ts'
import { joinTiers } from './joinTiers.ts'
import { layoutSchema, MOST_LAYOUTS } from './layout.ts'
import { placedSetOnSchema, setOnSchema } from './setOn.ts'

/** A colour of the order, before anybody knows how to mix it. */
export const orderColourSchema = z.object({
  id: idSchema,
  name: nameSchema,
  hex: hexSchema,
  /** Dyes a person has settled on for it; null to let the bench choose. */
  dyeIds: z.array(idSchema).max(4, 'At most four dyes in a colour.').nullable().default(null),
})
export type OrderColour = z.infer<typeof orderColourSchema>

/** A layer of icing spread over the piece before anything is piped. */
export const coatSchema = z.object({
  colourId: idSchema,
  thicknessMm: z.number().min(0.3, 'A coat is at least 0.3 mm.').max(20, 'A coat is at most 20 mm.'),
  stiffness: stiffnessSchema,
})

/** Icing between the layers of a cake. */
export const fillingSchema = coatSchema.extend({
  layers: z
    .number()
    .int('Whole layers only.')
    .min(1, 'At least one layer of filling.')
    .max(12, 'At most 12 layers.'),
})

/** How many of a flower go on one piece: a number, or as many as fit round an edge or along lines. */
export const placementSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('each'),
    perPiece: z
      .number()
      .int('Whole flowers only.')
      .min(1, 'At least one.')
      .max(500, 'At most 500 on one piece.'),
  }),
  z.object({
    kind: z.literal('border'),
    edge: z.enum(['top', 'foot']),
    /** Of which tier, counted from the lowest; 0 on what has no tiers. */
    tier: z.number().int().min(0).max(20).default(0),
  }),
  /** A border along the lines that were drawn for it. */
  z.object({ kind: z.literal('line') }),
])

/** A part of a flower in two tones for one order: the second beside, inside or around the part's own colour. */
export const twoToneSchema = z.object({
  kind: z.enum(['striped', 'halves', 'layered']),
  colourId: idSchema,
  /** How much of the slot a stripe takes, from its wide end. */
  share: z
    .number()
    .min(0.05, 'At least 0.05 of the slot.')
    .max(0.95, 'At most 0.95 of the slot.')
    .default(0.3),
})
export type TwoTone = z.infer<typeof twoToneSchema>

/** A layer that one order adds to a flower, piped last, in one colour: loose stamens, pips, dots. */
export const addedLayerSchema = z.object({ layer: layerSchema, colourId: idSchema })
export type AddedLayer = z.infer<typeof addedLayerSchema>

/** A flower on a piece, in this order's size, colours and tips. */
export const placedFlowerSchema = z.object({
  id: idSchema,
  flowerId: idSchema,
  placement: placementSchema,
  /** Wanted diameter in mm; null for the flower's own size. */
  sizeMm: z.number().min(3, 'At least 3 mm.').max(250, 'At most 250 mm.').nullable().default(null),
  /** Role id to colour id. */
  colours: z.record(idSchema, idSchema).default({}),
  /** Layer id to tip id, where a person chose the tip. */
  tips: z.record(idSchema, idSchema).default({}),
  /** Layer id to stiffness, where this order wants another than the recipe. */
  stiffness: z.record(idSchema, stiffnessSchema).default({}),
  /** Layers of the recipe that this order does without. */
  leftOut: z.array(idSchema).max(40).default([]),
  /** Nail squares that are piped up to a layer that may wait before it is begun; null for one flower after another. */
  batch: z
    .number()
    .int('Whole squares only.')
    .min(2, 'At least two squares at a time.')
    .max(60, 'At most 60 squares at a time.')
    .nullable()
    .default(null),
  /** Role id to how that part is piped in two tones here. */
  twoTone: z.record(idSchema, twoToneSchema).default({}),
  /** Layer id to a colour of its own, where this order pipes it in another than its role's: what nobody sees in plain icing. */
  layerColours: z.record(idSchema, idSchema).default({}),
  added: z.array(addedLayerSchema).max(12, 'At most 12 layers added to a flower.').default([]),
})
export type PlacedFlower = z.infer<typeof placedFlowerSchema>

/** What is spread on one body of a piece: between its layers, thinly over the crumb, and to be seen. */
const spreadShape = {
  /** A first thin coat that holds the crumbs, chilled before the coat goes on. */
  crumbCoat: coatSchema.nullable().default(null),
  coat: coatSchema.nullable().default(null),
  filling: fillingSchema.nullable().default(null),
}

/** A tier that is filled and coated otherwise than the rest of its cake. */
export const ownTierSchema = z.object({
  /** Counted from the lowest, which is 0. */
  tier: z.number().int('Whole tiers only.').min(0).max(20),
  ...spreadShape,
})
export type OwnTier = z.infer<typeof ownTierSchema>
export type Spreads = Pick<OwnTier, keyof typeof spreadShape>

/** Longest picture that an order carries, as text: about 220 kB. */
const MOST_PICTURE = 300_000

/** A photograph or drawing of what somebody wants, to lie under the piece as it is looked at from above. */
export const wishSchema = z.object({
  data: z
    .string()
    .max(MOST_PICTURE, 'The picture is too large: choose a smaller one.')
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'A picture as JPEG, PNG or WebP.'),
  /** Where its middle lies, mm to the right and to the back, and how wide it is there. */
  x: z.number().min(-3000).max(3000),
  y: z.number().min(-3000).max(3000),
  widthMm: z.number().min(5, 'At least 5 mm wide.').max(5000, 'At most 5,000 mm wide.'),
  /** How strongly it shows. */
  strength: z.number().min(0.05).max(1).default(0.6),
})
export type Wish = z.infer<typeof wishSchema>

export const pieceSchema = z.object({
  id: idSchema,
  name: nameSchema,
  count: z
    .number()
    .int('Whole pieces only.')
    .min(1, 'At least one piece.')
    .max(5000, 'At most 5,000 pieces.'),
  shape: surfaceSchema,
  /** Icing kind of this piece; null for the order's. */
  icingKindId: idSchema.nullable().default(null),
  ...spreadShape,
  ownTiers: z.array(ownTierSchema).max(20).default([]),
  flowers: z.array(placedFlowerSchema).max(80, 'At most 80 different flowers on a piece.').default([]),
  /** What is put on it that is not piped. */
  setOns: z.array(placedSetOnSchema).max(40, 'At most 40 different things on a piece.').default([]),
  wish: wishSchema.nullable().default(null),
  /** Where the flowers stand: none while only their number is said; several where like pieces are not arranged alike. */
  layouts: z
    .array(layoutSchema)
    .max(MOST_LAYOUTS, `At most ${MOST_LAYOUTS} arrangements of a piece.`)
    .default([]),
})
export type Piece = z.infer<typeof pieceSchema>

/** How surely each colour must last: the accepted chance of running short. */
export const safetySchema = z.enum(['tight', 'safe', 'unmatchable'])
export type Safety = z.infer<typeof safetySchema>
export const promiseForSchema = z.enum(['colour', 'order'])

/**
 * Which school the order is mixed by: each colour a bowl of its own, or one bowl that passes from colour to colour, in
 * this order, each step taking on so large a share of what it needs from the one before.
 */
export const mixingSchema = z.discriminatedUnion('school', [
  z.object({ school: z.literal('separate') }),
  z.object({
    school: z.literal('carryOver'),
    chain: z
      .array(z.object({ colourId: idSchema, carriedShare: z.number().min(0).max(1) }))
      .min(1, 'A chain needs at least one colour.')
      .max(60),
  }),
])
export type Mixing = z.infer<typeof mixingSchema>

/** A load through a tip, as a pin or an arrangement names it. */
const pairKeySchema = z.string().min(1).max(400)

/** What a person has settled about bags; the rest of the plan adapts around it. */
export const bagPinSchema = z.discriminatedUnion('kind', [
  /** This load and tip on a bag of its own, its tip fixed. */
  z.object({ kind: z.literal('alone'), pair: pairKeySchema }),
  z.object({ kind: z.literal('apart'), pairs: z.tuple([pairKeySchema, pairKeySchema]) }),
  /** This tip is mounted once and not washed for another bag. */
  z.object({ kind: z.literal('tipOnce'), tipId: idSchema }),
  /** This size of bag for a load and tip. */
  z.object({ kind: z.literal('bagSize'), pair: pairKeySchema, bagStockId: idSchema }),
])
export type BagPin = z.infer<typeof bagPinSchema>

/** Which bags and which order of work a person has chosen among those found: names of loads and jobs, not numbers. */
export const arrangementChoiceSchema = z.object({
  bags: z.array(z.object({ pairs: z.array(pairKeySchema).min(1).max(60), coupler: z.boolean() })).max(400),
  sequence: z.array(z.string().min(1).max(400)).max(5000),
})
export type ArrangementChoice = z.infer<typeof arrangementChoiceSchema>

/** What the customer is offered: a price for one of each piece, as somebody has set it. */
export const offerSchema = z.object({
  prices: z.record(idSchema, z.number().min(0, 'At least 0.').max(100_000, 'At most 100,000.')),
  /** What is said under the prices: deposit, delivery, how long it holds. */
  words: z.string().max(1000, 'At most 1,000 characters.'),
})
export type Offer = z.infer<typeof offerSchema>
export const NO_OFFER: Offer = { prices: {}, words: '' }

/** An order field by field, as this version of the model has it. */
export const orderFields = z.object({
  id: idSchema,
  title: nameSchema,
  customer: z.string().max(120).default(''),
  /** Local date and time of collection. */
  collectAt: momentSchema,
  note: noteSchema.default(''),
  travel: z.enum(['collected', 'delivered', 'onSite']).default('collected'),
  /** Clear height in mm that the box leaves above the rim of a piece; null when nobody has measured it. */
  boxMm: z
    .number()
    .min(5, 'A box leaves at least 5 mm.')
    .max(400, 'A box leaves at most 400 mm.')
    .nullable()
    .default(null),
  /** What must not be in it. */
  avoid: z.array(allergenSchema).default([]),
  icingKindId: idSchema,
  safety: safetySchema.default('safe'),
  /** What that chance is promised for: every colour by itself, or the order as a whole. */
  promiseFor: promiseForSchema.default('colour'),
  /** Flowers of each kind piped for practice before the real ones. */
  practicePerFlower: z.number().int().min(0).max(50, 'At most 50 practice flowers of a kind.').default(1),
  /** Who pipes it, where that is settled: plans then go by what is learnt of that hand. */
  piper: z.string().trim().max(80, 'At most 80 characters.').default(''),
  /** Drills before the first flower, as the timeline has them. */
  drills: z
    .array(
      z.object({
        drill: z.string().min(1).max(200),
        label: nameSchema,
        minutes: z.number().min(1, 'At least 1 min.').max(120, 'At most 120 min.'),
      }),
    )
    .max(6, 'At most six drills before an order.')
    .default([]),
  mixing: mixingSchema.default({ school: 'separate' }),
  bagPins: z.array(bagPinSchema).max(200).default([]),
  /** Advice that somebody has waved off, by what it is known by. */
  wavedOff: z.array(z.string().min(1).max(200)).max(200).default([]),
  arrangement: arrangementChoiceSchema.nullable().default(null),
  settled: settledSchema.default(NOTHING_SETTLED),
  offer: offerSchema.default(NO_OFFER),
  colours: z.array(orderColourSchema).max(60).default([]),
  /** Everything that is put on some piece and not piped. */
  setOns: z.array(setOnSchema).max(60, 'At most 60 different things.').default([]),
  pieces: z.array(pieceSchema).max(200).default([]),
})

/** An order, read from whatever earlier version of the model it was stored or sent in. */
export const orderSchema = z.preprocess(joinTiers, orderFields)
export type Order = z.infer<typeof orderFields>
