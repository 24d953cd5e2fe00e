import { z } from 'zod'
import { idSchema, nameSchema } from '../common.ts'
import { momentSchema } from './day.ts'
import { orderSchema } from './order.ts'
import { planSchema } from './plan.ts'
import { workshopSchema } from './workshop.ts'

/** Version of what is frozen; a change that old readers would misread raises it. */
export const frozenVersion = 1

/** What is done in a step of a run, by what it is. */
export const stepKindSchema = z.enum([
  'base',
  'mix',
  'thin',
  'fill',
  'drill',
  'practise',
  'spread',
  'chill',
  'stack',
  'nails',
  'cold',
  'inPlace',
  'border',
  'letter',
  'tools',
  'place',
  'putOn',
  'box',
  'wash',
])
export type StepKind = z.infer<typeof stepKindSchema>

/** Something that is waited for once a step is done. */
export const stepWaitSchema = z.object({
  kind: z.enum(['whip', 'deepen', 'chill', 'freeze', 'firm', 'dry', 'crust', 'rest']),
  minutes: z.number().min(0),
})
export type StepWait = z.infer<typeof stepWaitSchema>

/** One thing to do at the bench. */
export const benchStepSchema = z.object({
  id: z.string().min(1).max(300),
  kind: stepKindSchema,
  what: z.string(),
  where: z.string(),
  /** Taps that make it done; 1 for what is simply done. */
  wanted: z.number().int().min(1),
  /** Of them, more than the pieces take. */
  spare: z.number().int().min(0),
  minutes: z.number().min(0),
  pieceId: z.string().nullable(),
  /** Layers or words that are piped, spread or placed. */
  useIds: z.array(z.string()),
  colourIds: z.array(z.string()),
  bags: z.array(z.number().int()),
  batchIds: z.array(z.string()),
  /** To weigh out: base icing of a make. */
  grams: z.number().nullable(),
  wait: stepWaitSchema.nullable(),
  /** Local moment at which its work begins by the timetable; null where none can be made. */
  at: momentSchema.nullable().default(null),
  /** Steps that must be done before; `waits` where what is waited for after them must be over too. */
  after: z.array(z.object({ id: z.string(), waits: z.boolean() })),
})
export type BenchStep = z.infer<typeof benchStepSchema>

/** An order as it stood when work on it began, with its plan and all recipes and tools that it is made with. */
export const frozenSchema = z.object({
  schemaVersion: z.literal(frozenVersion),
  order: orderSchema,
  plan: planSchema,
  workshop: workshopSchema,
  steps: z.array(benchStepSchema).max(5000),
})
export type Frozen = z.infer<typeof frozenSchema>

const instant = z.iso.datetime({ error: 'Use an instant like 2026-11-28T14:00:00.000Z.' })

/**
 * Something that happened at the bench, as the tablet noted it. Events are only ever added: what is counted is worked out from all
 * of them, so that two tablets come to the same sum in whatever order they hear of them.
 */
export const benchEventSchema = z.object({
  /** Made on the device, so that sending twice is noting once. */
  id: z.uuid({ error: 'Each event needs an id of its own (a UUID).' }),
  stepId: z.string().min(1).max(300),
  kind: z.enum([
    'tap',
    'back',
    'spoiled',
    'bagEmpty',
    'ranOut',
    'otherwise',
    'done',
    'again',
    'take',
    'leave',
    'weighed',
    'timer',
    'rung',
    // whether the icing in a bag is as it was, 1 or 0; a rest of the hand, in minutes
    'asked',
    'rest',
    // of wrapping up: what was left, in g; that it ran short, 1 or 0; the room, in °C; a word about the whole
    'left',
    'short',
    'room',
    'remark',
  ]),
  /** By the clock of the device. */
  at: instant,
  /** Whose hands, as they call themselves there. */
  by: nameSchema.nullable(),
  /** Grams weighed; the minutes of a timer; -1 where something spoiled, emptied or run out is taken back. */
  amount: z.number().min(-100_000).max(100_000).nullable(),
  /** What came out otherwise; of what was left, that it was estimated. */
  note: z.string().max(2000, 'At most 2,000 characters.').nullable(),
})
export type BenchEvent = z.infer<typeof benchEventSchema>

/** A run: an order being worked. */
export const benchRunSchema = z.object({ id: idSchema, orderId: idSchema, frozen: frozenSchema })
export type BenchRun = z.infer<typeof benchRunSchema>
