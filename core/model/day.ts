import { z } from 'zod'
import { nameSchema } from '../common.ts'

/** Minutes since midnight. */
const clockSchema = z
  .number()
  .int('Whole minutes only.')
  .min(0, 'A day begins at 0:00.')
  .max(1440, 'A day ends at 24:00.')

/** When somebody works on one day of the week; null where nobody does. */
export const openHoursSchema = z.object({ from: clockSchema, to: clockSchema }).nullable()
export type OpenHours = z.infer<typeof openHoursSchema>

/** One pair of hands. */
export const handSchema = z.object({ name: nameSchema, pipes: z.boolean() })

export const MOST_HANDS = 4

const minutes = (most: number) => z.number().min(0, 'At least 0 min.').max(most, `At most ${most} min.`)
const places = z.number().int('Whole trays only.').min(0, 'At least 0 trays.').max(500, 'At most 500 trays.')

/** Whoever works, when, and what there is room for: all that a timetable rests on and that belongs to the bakery. */
export const daySettingsSchema = z.object({
  hands: z
    .array(handSchema)
    .min(1, 'Somebody has to do it: at least one pair of hands.')
    .max(MOST_HANDS, `At most ${MOST_HANDS} pairs of hands.`)
    .default([{ name: 'Hands 1', pipes: true }]),
  /** Monday first. */
  week: z
    .array(openHoursSchema)
    .length(7, 'A week has seven days.')
    .default([
      ...Array.from({ length: 6 }, () => ({ from: 8 * 60, to: 18 * 60 })),
      null as { from: number; to: number } | null,
    ]),
  /** Between the last touch and collection. */
  marginMinutes: minutes(1440).default(30),
  /** So many minutes of stiff piping in a row, then so long a rest from it. */
  restAfterMinutes: z.number().min(5, 'At least 5 min.').max(600, 'At most 600 min.').default(40),
  restMinutes: minutes(20000).default(10),
  /** Longest that one thing is gone on with; what takes longer is done in portions. */
  stretchMinutes: z.number().min(15, 'At least 15 min.').max(480, 'At most 480 min.').default(90),
  /** How long a make of base icing whips by itself once it is weighed in. */
  whipMinutes: minutes(600).default(10),
  /** How long deep colours stand to deepen before they are used. */
  deepenMinutes: minutes(4320).default(480),
  /** To stack one tier on another, its supports included. */
  stackMinutes: minutes(240).default(12),
  /** To box so many pieces, or one that stands on a board. */
  boxMinutes: minutes(60).default(2),
  perBox: z.number().int('Whole pieces only.').min(1, 'At least one.').max(200, 'At most 200.').default(12),
  /** To wash up and put away at the end of an order, besides the bowls. */
  washUpMinutes: minutes(480).default(20),
  /** Nails to pipe on at the same time. */
  nails: z.number().int('Whole nails only.').min(1, 'At least one nail.').max(50).default(4),
  /** Trays that fit in the freezer, in the fridge and on the rack, and how large a tray is. */
  freezerTrays: places.default(6),
  fridgeTrays: places.default(12),
  rackTrays: places.default(12),
  trayWideMm: z.number().min(100, 'At least 100 mm.').max(1500, 'At most 1,500 mm.').default(400),
  trayDeepMm: z.number().min(100, 'At least 100 mm.').max(1500, 'At most 1,500 mm.').default(300),
})
export type DaySettings = z.infer<typeof daySettingsSchema>

/** A local date and time to the minute, as orders write them. */
export const momentSchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, {
    message: 'Use a date and time like 2026-11-28T14:00.',
    abort: true,
  })
  .refine(isRealMoment, 'There is no such date or time.')

/** Rejects 31 February, which the pattern lets through and the parser moves to March. */
function isRealMoment(at: string): boolean {
  const time = Date.parse(`${at}Z`)
  return !Number.isNaN(time) && new Date(time).toISOString().startsWith(at)
}

/** Name of a task of a timetable, made of what it is about. */
const taskIdSchema = z.string().min(1).max(300)

/** What a person has settled about when an order is worked; the rest of its timetable adapts around it. */
export const settledSchema = z.object({
  /** Tasks that begin at a moment. */
  starts: z
    .array(z.object({ taskId: taskIdSchema, at: momentSchema }))
    .max(200, 'At most 200 settled starts.')
    .default([]),
  /** Tasks that come one after the other, whatever else would be better. */
  orders: z
    .array(z.object({ firstId: taskIdSchema, thenId: taskIdSchema }))
    .max(200, 'At most 200 settled orders.')
    .default([]),
  /** Nothing is begun before this moment. */
  notBefore: momentSchema.nullable().default(null),
})
export type Settled = z.infer<typeof settledSchema>
export const NOTHING_SETTLED: Settled = { starts: [], orders: [], notBefore: null }
