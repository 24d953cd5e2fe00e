import { z } from 'zod'
import { idSchema, stiffnessSchema } from '../common.ts'
import { faceIds } from '../words/faceIds.ts'

/** Where on a piece: from an edge of its own tier, so that it stays there when the piece becomes wider or higher. */
export const placeSchema = z.object({
  zone: z.enum(['top', 'side']),
  /** Of a cake counted from the lowest, which is 0; of a bouquet 0 is its vase, and cupcakes follow from 1. */
  tier: z.number().int('Whole tiers only.').min(0).max(100),
  from: z.enum(['middle', 'rim', 'joint', 'foot']),
  /** On round pieces and on sides mm from there; on other tops share of half the width, to the right. */
  a: z.number().min(-2000).max(2000),
  /** On round pieces degrees, 0 to the right and 90 at the back; on other sides share of the way round; on other tops share of half the depth. */
  b: z.number().min(-2000).max(2000),
})

/** What a thing is for among the others: seen first, beside it, between, beneath, or running out. */
export const roleSchema = z.enum(['focal', 'second', 'filler', 'leaf', 'bud'])
export type SiteRole = z.infer<typeof roleSchema>

/** One flower's place on a piece. */
export const siteSchema = z.object({
  id: idSchema,
  placedId: idSchema,
  place: placeSchema,
  /** About its own axis; 0 points outward and down, positive to its left. */
  turnDeg: z.number().min(-360).max(360).default(0),
  /** How far it is tipped outward and down from standing upright on the surface. */
  leanDeg: z
    .number()
    .min(-60, 'It leans at most 60° inward.')
    .max(60, 'It leans at most 60° outward.')
    .default(0),
  /** Stays where it is when the rest is placed anew. */
  pinned: z.boolean().default(false),
  role: roleSchema,
  /** The flower that a leaf is tucked under, and goes with. */
  hostId: idSchema.nullable().default(null),
  /** Things of one group are moved together. */
  groupId: idSchema.nullable().default(null),
})
export type Site = z.infer<typeof siteSchema>

/** A part of a piece that is kept free of flowers. */
export const keepOutSchema = z.object({
  id: idSchema,
  kind: z.enum(['free', 'text', 'photo']),
  place: placeSchema,
  widthMm: z.number().min(4, 'At least 4 mm wide.').max(1200, 'At most 1,200 mm wide.'),
  heightMm: z.number().min(4, 'At least 4 mm high.').max(1200, 'At most 1,200 mm high.'),
  /** Against the clock from upright to whoever looks at it. */
  turnDeg: z.number().min(-360).max(360).default(0),
  label: z.string().max(80).default(''),
})
export type KeepOut = z.infer<typeof keepOutSchema>

/** What flowers or leaves are to lie over: the seam of a coat, from rim to foot; the point where a swirl stops. */
export const toHideSchema = z.object({
  id: idSchema,
  kind: z.enum(['seam', 'stop']),
  place: placeSchema,
})
export type ToHide = z.infer<typeof toHideSchema>

const linePath = z
  .array(placeSchema)
  .min(2, 'A line has at least two points.')
  .max(200, 'A line has at most 200 points.')

/** A line that was drawn: a stem with leaves and buds along it, or a border. */
export const lineSchema = z.discriminatedUnion('kind', [
  z.object({
    id: idSchema,
    kind: z.literal('spray'),
    path: linePath,
    /** What the stem is piped with. */
    tipId: idSchema,
    colourId: idSchema,
    stiffness: stiffnessSchema.default('soft'),
    /** What grows along it, flowers of the piece; null for none. Where they stand is among the sites, in the line's group. */
    leafId: idSchema.nullable(),
    budId: idSchema.nullable(),
  }),
  z.object({ id: idSchema, kind: z.literal('border'), path: linePath, placedId: idSchema }),
])
export type Line = z.infer<typeof lineSchema>

/** Words piped on a piece. */
export const wordsSchema = z.object({
  id: idSchema,
  text: z
    .string()
    .min(1, 'Write something, or take the words out.')
    .max(160, 'At most 160 characters.')
    .refine((text) => text.split('\n').length <= 8, 'At most eight lines.'),
  faceId: z.enum(faceIds).default('print'),
  /** Height of a capital. */
  capitalMm: z
    .number()
    .min(3, 'Capitals are at least 3 mm high.')
    .max(120, 'Capitals are at most 120 mm high.'),
  /** The round tip that they are piped with. */
  tipId: idSchema,
  colourId: idSchema,
  stiffness: stiffnessSchema.default('writing'),
  /** Radius of the arc that the line stands on; 0 for straight, negative for one that smiles. */
  arcMm: z.number().min(-1000, 'At most 1,000 mm.').max(1000, 'At most 1,000 mm.').default(0),
  /** Where its middle is. */
  place: placeSchema,
  /** Against the clock from upright to whoever looks at it. */
  turnDeg: z.number().min(-360).max(360).default(0),
})
export type Words = z.infer<typeof wordsSchema>

export const MOST_SITES = 500

/** How the flowers of a piece stand on it. */
export const layoutSchema = z.object({
  id: idSchema,
  /** The way of placing that it began from. */
  schoolId: z.string().min(1).max(40),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31)
    .default(1),
  /** How much of its ground the school fills; null where the numbers were said by a person. */
  fullness: z.number().min(0.1, 'At least 0.1.').max(1.2, 'At most 1.2.').nullable().default(null),
  /** How strictly large ones go where the school wants them large: 0 anywhere, 1 strictly. */
  grading: z.number().min(0).max(1).default(0.7),
  /** Turned about the middle of the piece, against the clock. */
  turnDeg: z.number().min(-360).max(360).default(0),
  /** A line drawn by hand, for the school that follows one. */
  path: z.array(placeSchema).max(200, 'A line has at most 200 points.').default([]),
  keepOuts: z.array(keepOutSchema).max(20, 'At most 20 parts kept free.').default([]),
  sites: z.array(siteSchema).max(MOST_SITES, `At most ${MOST_SITES} flowers on one piece.`).default([]),
  words: z.array(wordsSchema).max(20, 'At most 20 lettered parts.').default([]),
  lines: z.array(lineSchema).max(40, 'At most 40 lines.').default([]),
  toHide: z.array(toHideSchema).max(20, 'At most 20 seams and stop points.').default([]),
  /** What was said about it and waved off, by what it was about. */
  waved: z.array(z.string().min(1).max(200)).max(200).default([]),
})
export type Layout = z.infer<typeof layoutSchema>

/** So many arrangements one kind of piece may have. */
export const MOST_LAYOUTS = 12
