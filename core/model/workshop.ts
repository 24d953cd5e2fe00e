import { z } from 'zod'
import { idSchema, nameSchema } from '../common.ts'
import { daySettingsSchema } from './day.ts'
import { dyeSchema } from './dye.ts'
import { flowerSchema } from './flower.ts'
import { icingKindSchema } from './icing.ts'
import { ALLERGENS_HERE, labelMediaSchema, USUAL_LABELS } from './labels.ts'
import { practiceSettingsSchema } from './practice.ts'
import { setOnSchema } from './setOn.ts'
import { ownedTipSchema } from './tip.ts'

/** A size of piping bag. */
export const bagStockSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['disposable', 'washable', 'parchment']),
  lengthMm: z.number().min(80).max(700),
  /** What cannot be squeezed out of it, g. */
  residueGrams: z.number().min(0).max(200),
  owned: z.number().int().min(0).max(9999),
})
export type BagStock = z.infer<typeof bagStockSchema>

/** How the bakery works: every figure the plan rests on that is not the order's. */
export const settingsSchema = z.object({
  bakery: nameSchema,
  units: z.enum(['grams', 'ounces']),
  /** What pieces, flowers and boxes are measured in; openings and recipes are always in millimetres. */
  lengths: z.enum(['millimetres', 'inches']).default('millimetres'),
  hand: z.enum(['right', 'left']),
  theme: z.enum(['light', 'dark']),
  largeType: z.boolean(),
  currency: z.string().min(1).max(6),
  /** How times are shown, and which day a week begins with; as the browser does unless somebody says otherwise. */
  clock: z.enum(['browser', '24', '12']).default('browser'),
  firstDay: z.enum(['browser', 'monday', 'saturday', 'sunday']).default('browser'),
  /** Kitchen scale's step for a bowl, g. */
  scaleStepGrams: z.number().min(0.1).max(50),
  /** What stays in every bowl, g. */
  bowlResidueGrams: z.number().min(0).max(100),
  /** What stays in a coupler, g. */
  couplerResidueGrams: z.number().min(0).max(50),
  /** Least that a bag can be worked with, and a parchment cone, g. */
  leastBagGrams: z.number().min(0).max(300),
  leastConeGrams: z.number().min(0).max(100),
  /** Most icing a hand controls in one filling, g. */
  handfulGrams: z.number().min(20).max(1000),
  /** What the mixer bowl takes in one make, and what stays in it, g. */
  mixerGrams: z.number().min(100).max(100000),
  mixerResidueGrams: z.number().min(0).max(1000),
  /** Minutes to fill a bag, and to change a tip on a coupler. */
  bagMinutes: z.number().min(0).max(60),
  changeMinutes: z.number().min(0).max(30),
  /** Minutes to fill a bag again, to fit a coupler, and to wash a tip for another bag. */
  refillMinutes: z.number().min(0).max(30),
  couplerMinutes: z.number().min(0).max(30),
  washMinutes: z.number().min(0).max(30),
  /** Minutes to weigh in, scrape down and empty one make of base; the mixer runs by itself. */
  makeMinutes: z.number().min(0).max(240).default(8),
  /** Minutes to weigh, colour or thin, and wash up after one portion: a bowl's colour at one stiffness. */
  bowlMinutes: z.number().min(0).max(120).default(5),
  /** Of them, what a bowl saves that is scraped and tinted on instead of washed and begun anew. */
  tintedOnMinutes: z.number().min(0).max(120).default(2),
  /** Seconds to stick a square on a nail and take it off again, for every flower. */
  squareSeconds: z.number().min(0).max(120).default(9),
  /** What it costs to keep a filled bag aside while one bowl goes on to other colours: it is not used again. */
  keptBagMinutes: z.number().min(0).max(60).default(4),
  /** What a gram of icing left in a bag is worth in minutes, when ways to work are compared. */
  minutesPerGram: z.number().min(0).max(5),
  /** What an hour of hands costs, for a quote. */
  hourlyRate: z.number().min(0).max(1000),
  /** How far the top of a tier is coated where another one stands on it: not at all, by the crumb coat, or by both coats. */
  underUpper: z.enum(['none', 'crumb', 'full']).default('crumb'),
  /** What a millilitre of baked cake weighs, g. */
  cakeDensity: z.number().min(0.1).max(2).default(0.55),
  /** Supports in a tier: never fewer, one for so much of the diameter above, and for so many kilograms. */
  leastSupports: z.number().int().min(3).max(20).default(4),
  supportEveryMm: z.number().min(10).max(200).default(45),
  supportKg: z.number().min(0.1).max(20).default(1),
  /** How far out they stand, as a share of the radius of the tier that they carry. */
  supportRingShare: z.number().min(0.2).max(0.95).default(0.7),
  /** Board around the lowest tier, and air over what stands highest, mm. */
  boardMarginMm: z.number().min(0).max(200).default(50),
  lidClearMm: z.number().min(0).max(200).default(20),
  /** What may hang on a side: how hard a flower may pull there, Pa, and how heavy it may be, g. */
  hangMostPa: z.number().min(1).max(10000).default(400),
  hangMostGrams: z.number().min(0.1).max(100).default(6),
  /** Seconds to lift a flower from its square onto a piece, and to put on one thing that is not piped. */
  liftSeconds: z.number().min(1).max(600).default(12),
  setOnSeconds: z.number().min(0.5).max(600).default(6),
  /** At the bench a tip is wiped after so many strokes. */
  wipeEveryStrokes: z.number().int().min(1).max(5000).default(60),
  /** What labels are printed on unless somebody chooses otherwise. */
  labels: labelMediaSchema.default(USUAL_LABELS),
  /** What the label of a box says: as the rules where it is sold want it, with what the icing contains in its place. */
  boxWords: z
    .string()
    .max(300, 'At most 300 characters.')
    .refine((text) => text.includes(ALLERGENS_HERE), `Keep ${ALLERGENS_HERE}: there stands what it contains.`)
    .default(`Icing and decorations contain ${ALLERGENS_HERE}. Ask us what the cake itself contains.`),
  keepWords: z.string().max(300, 'At most 300 characters.').default('Keep cool, level and out of the sun.'),
  /** Things to put on that orders choose from. */
  setOns: z.array(setOnSchema).max(200, 'At most 200 things to put on.').default([]),
  /** Ingredients on hand by name, g. */
  pantry: z.record(z.string().min(1).max(80), z.number().min(0).max(1000000)),
  couplersStandard: z.number().int().min(0).max(999),
  couplersLarge: z.number().int().min(0).max(999),
  /** Learnt figures that were set back, by key: what was recorded until then does not count for them, nor what is dated later and was there already. */
  setBack: z
    .record(
      z.string().max(200),
      z.object({ until: z.string().max(40), besides: z.array(idSchema).max(5000) }),
    )
    .default({}),
  /** How far a new bakery has come with saying what it is and has: its first steps can be left and taken up. */
  firstDays: z.enum(['name', 'tips', 'order', 'done']).default('done'),
  /** What a practice sheet rests on: how icing flows, and when advice is sure. */
  practice: practiceSettingsSchema.default(practiceSettingsSchema.parse({})),
  /** Who works when, and what there is room for. */
  day: daySettingsSchema.default(daySettingsSchema.parse({})),
})
export type Settings = z.infer<typeof settingsSchema>

/** What records have taught of one pair of hands beside the others: grams and seconds, as factors. */
export const learntHandSchema = z.object({
  /** As it is compared: small letters, no spaces around it. */
  name: z.string().max(80),
  grams: z.number().positive(),
  pace: z.number().positive(),
})
export type LearntHand = z.infer<typeof learntHandSchema>

/** Everything the bakery owns and knows, as far as a plan needs it. */
export const workshopSchema = z.object({
  tips: z.array(ownedTipSchema),
  flowers: z.array(flowerSchema),
  icings: z.array(icingKindSchema),
  bags: z.array(bagStockSchema),
  dyes: z.array(dyeSchema),
  settings: settingsSchema,
  hands: z.array(learntHandSchema).default([]),
})
export type Workshop = z.infer<typeof workshopSchema>
