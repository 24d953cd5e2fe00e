import { z } from 'zod'

/** Sizes of labels that are common on rolls, mm. */
export const LABEL_SIZES = [
  { widthMm: 62, heightMm: 29 },
  { widthMm: 57, heightMm: 32 },
  { widthMm: 100, heightMm: 50 },
] as const

/** What labels are printed on: how large each is, and whether they come off a roll or are cut from a page. */
export const labelMediaSchema = z.object({
  widthMm: z.number().min(30, 'At least 30 mm wide.').max(190, 'At most 190 mm wide.'),
  heightMm: z.number().min(18, 'At least 18 mm high.').max(150, 'At most 150 mm high.'),
  on: z.enum(['roll', 'page']),
})
export type LabelMedia = z.infer<typeof labelMediaSchema>
/** Cut from a page: what every printer can do. */
export const USUAL_LABELS: LabelMedia = { ...LABEL_SIZES[0], on: 'page' }

/** Stands in the words of a box for what its icing contains. */
export const ALLERGENS_HERE = '{allergens}'
