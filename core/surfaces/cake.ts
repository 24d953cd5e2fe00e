import { z } from 'zod'
import { arc, line, type Stretch } from './profile.ts'
import { revolution } from './revolution.ts'
import type { Edge, SurfaceDefinition } from './surface.ts'

const tierSchema = z.object({
  diameterMm: z
    .number()
    .min(60, 'A tier is at least 60 mm across.')
    .max(600, 'A tier is at most 600 mm across.'),
  heightMm: z.number().min(20, 'A tier is at least 20 mm high.').max(400, 'A tier is at most 400 mm high.'),
})
export type CakeTier = z.infer<typeof tierSchema>

const MOST_TIERS = 8

const schema = z.object({
  kind: z.literal('cake'),
  /** From the lowest up. */
  tiers: z
    .array(tierSchema)
    .min(1, 'A cake has at least one tier.')
    .max(MOST_TIERS, `A cake has at most ${MOST_TIERS} tiers.`)
    .superRefine((tiers, ctx) => {
      tiers.forEach(({ diameterMm }, i) => {
        if (i > 0 && diameterMm > tiers[i - 1]!.diameterMm)
          ctx.addIssue({
            code: 'custom',
            path: [i, 'diameterMm'],
            message: `A tier is at most as wide as the one it stands on: ${tiers[i - 1]!.diameterMm} mm.`,
          })
      })
    }),
  /** Width of what will stand on the top tier and is not part of this cake; 0 for nothing. */
  coveredMm: z.number().min(0).max(600).default(0),
})
type Cake = z.infer<typeof schema>

/** Bounds of its measures, one by one. */
export const cakeFields = { tier: tierSchema.shape, coveredMm: schema.shape.coveredMm.unwrap() }

const discMm2 = (diameterMm: number) => (Math.PI * diameterMm ** 2) / 4

/** How wide what stands on a tier is, mm; 0 where nothing does. */
function coveredOn(cake: Cake, i: number): number {
  return Math.min(cake.tiers[i]!.diameterMm, cake.tiers[i + 1]?.diameterMm ?? cake.coveredMm)
}

/** What a tier is called among so many, counted from the lowest; nothing where there is but one. */
export function tierName(i: number, of: number): string {
  if (of === 1) return ''
  if (i === 0) return of === 2 ? 'lower tier' : 'lowest tier'
  if (i === of - 1) return of === 2 ? 'upper tier' : 'top tier'
  return of === 3 ? 'middle tier' : `tier ${i + 1} from below`
}

const ofTier = (what: string, name: string) => (name ? `${what}, ${name}` : what)

/** Icing is rounded over the upper edge of a tier about so far, mm: flowers that stand there lean outward. */
const ROUND_MM = 6
/** A ledge narrower than this is none. */
const LEAST_LEDGE_MM = 0.5

/** The cake cut through its middle, from the middle of the top tier outward and down to the foot of the lowest. */
function stretchesOf(cake: Cake): { stretches: Stretch[]; joints: Set<number> } {
  const stretches: Stretch[] = []
  const joints = new Set<number>()
  let z = cake.tiers.reduce((sum, t) => sum + t.heightMm, 0)
  for (let tier = cake.tiers.length - 1; tier >= 0; tier--) {
    const { diameterMm, heightMm } = cake.tiers[tier]!
    const [inner, outer] = [coveredOn(cake, tier) / 2, diameterMm / 2]
    const isTop = tier === cake.tiers.length - 1
    const ledge = outer - inner
    let rim = z
    if (ledge >= LEAST_LEDGE_MM) {
      if (!isTop) joints.add(stretches.length - 1)
      const round = Math.min(ROUND_MM, ledge, heightMm / 2)
      const middle: [number, number] = [outer - round, z - round]
      stretches.push(
        line('top', tier, [inner, z], [outer - round, z]),
        arc('top', tier, middle, round, Math.PI / 2, Math.PI / 4),
        arc('side', tier, middle, round, Math.PI / 4, 0),
      )
      rim = z - round
    }
    z -= heightMm
    stretches.push(line('side', tier, [outer, rim], [outer, z]))
  }
  return { stretches, joints }
}

/** Round cake of one tier or several, each on the one below it: tops, the ledges left around upper tiers, and sides. */
export const cake: SurfaceDefinition<typeof schema> = {
  label: 'cake',
  plural: 'cakes',
  schema,
  bodies: (s) =>
    s.tiers.map(({ diameterMm, heightMm }, i) => {
      const coveredMm2 = discMm2(coveredOn(s, i))
      return {
        label: tierName(i, s.tiers.length),
        seenMm2: discMm2(diameterMm) + Math.PI * diameterMm * heightMm - coveredMm2,
        coveredMm2,
        fillingMm2: discMm2(diameterMm),
      }
    }),
  topAreaMm2: (s) =>
    s.tiers.reduce(
      (sum, { diameterMm, heightMm }, i) =>
        sum + discMm2(diameterMm) + Math.PI * diameterMm * heightMm - discMm2(coveredOn(s, i)),
      0,
    ),
  topAcrossMm: (s) =>
    Math.max(
      ...s.tiers.map(({ diameterMm, heightMm }, i) =>
        coveredOn(s, i) > 0 ? Math.max(heightMm, (diameterMm - coveredOn(s, i)) / 2) : diameterMm,
      ),
    ),
  topRiseMm: () => 0,
  chart: (s) =>
    revolution({
      ...stretchesOf(s),
      walled: coveredOn(s, s.tiers.length - 1) > 0,
      labelOf: (zone, tier) => {
        const ledge = zone === 'top' && tier < s.tiers.length - 1
        return ofTier(zone === 'side' ? 'side' : ledge ? 'ledge' : 'top', tierName(tier, s.tiers.length))
      },
    }),
  edges: (s) =>
    s.tiers.flatMap(({ diameterMm }, tier): Edge[] => {
      const name = tierName(tier, s.tiers.length)
      const loopsMm = [Math.PI * diameterMm]
      return [
        { id: 'top', tier, label: ofTier('top edge', name), loopsMm },
        { id: 'foot', tier, label: ofTier('foot', name), loopsMm },
      ]
    }),
  describe: (s, length) =>
    s.tiers
      .map((t) => `${length(t.diameterMm)} × ${length(t.heightMm)}`)
      .reverse()
      .join(' on '),
}
