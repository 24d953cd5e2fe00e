import { z } from 'zod'
import { type Stiffness, stiffnessSchema } from '../common.ts'

/**
 * How icing of one stiffness leaves an opening and lies, for the practice sheet. Nobody measured these: they are figures
 * that behave as icing is known to, and settings because every kitchen's icing is its own.
 */
export const icingFlowSchema = z.object({
  /** It does not move at all below this, Pa. */
  yieldPa: z.number().min(1, 'At least 1 Pa.').max(2000, 'At most 2,000 Pa.'),
  /** How it resists beyond that, Pa·sⁿ, and with which power n of the flow. */
  consistency: z.number().min(1, 'At least 1.').max(2000, 'At most 2,000.'),
  index: z.number().min(0.1, 'At least 0.1.').max(1, 'At most 1.'),
  /** Height of what lies over its width. */
  heightShare: z.number().min(0.1, 'At least 0.1.').max(1.2, 'At most 1.2.'),
  /** A rope breaks when less than this share of the opening follows the hand, and heaps up beyond so many of it. */
  breaksAt: z.number().min(0.05, 'At least 0.05.').max(0.95, 'At most 0.95.'),
  heapsAt: z.number().min(1.05, 'At least 1.05.').max(6, 'At most 6.'),
})
export type IcingFlow = z.infer<typeof icingFlowSchema>

const flow = (
  yieldPa: number,
  consistency: number,
  index: number,
  heightShare: number,
  breaksAt: number,
  heapsAt: number,
): IcingFlow => ({ yieldPa, consistency, index, heightShare, breaksAt, heapsAt })

/** What a practice sheet starts from. */
export const USUAL_FLOWS: Record<Stiffness, IcingFlow> = {
  stiff: flow(240, 190, 0.35, 0.86, 0.62, 1.6),
  medium: flow(120, 110, 0.38, 0.74, 0.45, 1.8),
  soft: flow(45, 55, 0.42, 0.56, 0.3, 2.2),
  writing: flow(28, 38, 0.44, 0.46, 0.25, 2.6),
  flood: flow(15, 25, 0.46, 0.38, 0.2, 3),
}

/** What a practice sheet rests on. */
export const practiceSettingsSchema = z.object({
  flows: z.record(stiffnessSchema, icingFlowSchema).default(USUAL_FLOWS),
  /** One thing is named only when it stands out from what any hand does by so many times. */
  sureAt: z.number().min(1, 'At least 1.').max(5, 'At most 5.').default(1.4),
  /** How full a bag is taken to be, 0 to 1: the fuller, the longer it goes on giving after the hand lets go. */
  bagFull: z.number().min(0.05, 'At least 0.05.').max(1, 'At most 1.').default(0.5),
})
export type PracticeSettings = z.infer<typeof practiceSettingsSchema>
