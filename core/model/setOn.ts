import { z } from 'zod'
import { allergenSchema, hexSchema, idSchema, nameSchema } from '../common.ts'

export const setOnKinds = [
  'sugarFlower',
  'bud',
  'pearl',
  'bead',
  'sprinkle',
  'dust',
  'painted',
  'pick',
] as const
export type SetOnKind = (typeof setOnKinds)[number]

/** What they are called; the last three by what is done. */
export const setOnWords: Record<SetOnKind, string> = {
  sugarFlower: 'sugar flower',
  bud: 'fondant bud',
  pearl: 'pearl',
  bead: 'bead',
  sprinkle: 'sprinkles',
  dust: 'dust',
  painted: 'painted detail',
  pick: 'pick or sign',
}

/** These are strewn or brushed on by weight; everything else is counted, and may have places. */
export const isStrewn = (kind: SetOnKind): boolean => kind === 'sprinkle' || kind === 'dust'

/** Something that is not piped but put on: bought, or made days before. */
export const setOnSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(setOnKinds),
  widthMm: z.number().min(0.5, 'At least 0.5 mm.').max(150, 'At most 150 mm.'),
  /** How far it stands up. */
  heightMm: z.number().min(0, 'At least 0 mm.').max(300, 'At most 300 mm.'),
  /** One of it, g; of what is strewn this does not count. */
  grams: z.number().min(0).max(500, 'At most 500 g each.'),
  /** One of it, or a gram of what is strewn, in the bakery's currency. */
  cost: z.number().min(0).max(1000),
  /** How many are on hand, or how many grams; null where nobody counts them. */
  owned: z.number().min(0).max(100000).nullable().default(null),
  hex: hexSchema,
  allergens: z.array(allergenSchema).default([]),
  /** By its label: food, not food, or nobody has looked. */
  edible: z.enum(['yes', 'no', 'unread']),
  /** What its label says, as somebody typed it. */
  labelWords: z.string().max(200, 'At most 200 characters.').default(''),
  smallHard: z.boolean().default(false),
  /** While what is under it is still wet, or when everything else is done. */
  when: z.enum(['wet', 'last']).default('last'),
  /** Made so many days before the day of collection; 0 for what is bought. */
  daysAhead: z.number().int('Whole days only.').min(0).max(60, 'At most 60 days.').default(0),
})
export type SetOn = z.infer<typeof setOnSchema>

/** So many of one thing, or so many grams of it, on each piece of a kind. */
export const placedSetOnSchema = z.object({
  id: idSchema,
  setOnId: idSchema,
  perPiece: z.number().min(0.1, 'At least 0.1.').max(2000, 'At most 2,000 on one piece.'),
})
export type PlacedSetOn = z.infer<typeof placedSetOnSchema>
