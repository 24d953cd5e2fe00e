import { z } from 'zod'
import { type ClusterPart, cluster } from './cluster.ts'
import { cupcake } from './cupcake.ts'
import { drawnShapesSchema } from './drawn.ts'
import { edgeFinder, edgesOf } from './edges.ts'
import { boxOf, type Cutout, cutoutMm2, type Dot, roundMm } from './outline.ts'
import { prism } from './prism.ts'
import type { SurfaceDefinition } from './surface.ts'

export const MOST_CUPCAKES = 60

/** What the cupcakes of a bouquet make up, seen from above. */
export const bouquetOutlineSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fan') }),
  z.object({ kind: z.literal('heart') }),
  z.object({ kind: z.literal('round') }),
  z.object({ kind: z.literal('ring') }),
  z.object({
    kind: z.literal('letters'),
    text: z.string().regex(/^[A-Za-z0-9&]{1,6}$/, 'One to six letters or digits.'),
  }),
  z.object({ kind: z.literal('drawn'), shapes: drawnShapesSchema }),
])
export type BouquetOutline = z.infer<typeof bouquetOutlineSchema>

/** A small cake trimmed to a vase, below the cupcakes; measured as it lies on the board. */
export const vaseSchema = z.object({
  rimMm: z.number().min(50, 'At least 50 mm wide.').max(400, 'At most 400 mm wide.'),
  footMm: z.number().min(30, 'At least 30 mm wide.').max(400, 'At most 400 mm wide.'),
  tallMm: z.number().min(50, 'At least 50 mm tall.').max(400, 'At most 400 mm tall.'),
  heightMm: z.number().min(10, 'At least 10 mm high.').max(150, 'At most 150 mm high.'),
})

const schema = z.object({
  kind: z.literal('bouquet'),
  diameterMm: cupcake.schema.shape.diameterMm,
  domeMm: cupcake.schema.shape.domeMm,
  /** How high the rim of a cupcake stands above the board. */
  standMm: z.number().min(15, 'At least 15 mm.').max(80, 'At most 80 mm.').default(42),
  outline: bouquetOutlineSchema,
  /** The middles of the cupcakes, mm: x to the right, y away from whoever looks. */
  at: z
    .array(z.object({ x: z.number().min(-1500).max(1500), y: z.number().min(-1500).max(1500) }))
    .min(1, 'At least one cupcake.')
    .max(MOST_CUPCAKES, `At most ${MOST_CUPCAKES} cupcakes.`),
  vase: vaseSchema.nullable().default(null),
})
export type Bouquet = z.infer<typeof schema>

/** How far a vase bulges beyond a straight line from rim to foot, in its height, and where its neck is narrowest. */
const BELLY = 0.06
const NECK = -0.05
const VASE_POINTS = 16

/** A vase as it is cut from a cake and lies below the lowest cupcakes it holds, mm. */
export function vaseLoop({ at, vase, diameterMm }: Bouquet): Dot[] | null {
  if (!vase) return null
  const held = at.filter(({ x }) => Math.abs(x) < (vase.rimMm + diameterMm) / 2)
  const rim = Math.min(...(held.length > 0 ? held : at).map((p) => p.y)) - diameterMm / 2
  const right = Array.from({ length: VASE_POINTS + 1 }, (_, i) => {
    const t = i / VASE_POINTS
    const straight = (vase.rimMm + t * (vase.footMm - vase.rimMm)) / 2
    // in at the neck, out at the belly
    const bend =
      t < 0.3 ? NECK * Math.sin((Math.PI * t) / 0.3) : BELLY * Math.sin((Math.PI * (t - 0.3)) / 0.7)
    return { x: straight + bend * vase.tallMm, y: rim - t * vase.tallMm }
  })
  return [...right, ...right.toReversed().map(({ x, y }) => ({ x: -x, y }))]
}

/** How wide and deep all of it is, and where its middle lies, mm. */
export function bouquetBox(s: Bouquet) {
  const r = s.diameterMm / 2
  const rims = s.at.flatMap(({ x, y }) => [
    { x: x - r, y: y - r },
    { x: x + r, y: y + r },
  ])
  const { left, right, low, high } = boxOf([...rims, ...(vaseLoop(s) ?? [])])
  return { x: (left + right) / 2, y: (low + high) / 2, wideMm: right - left, deepMm: high - low }
}

/** The board that a bouquet lies on, with so much of it seen on every side, mm. */
export function boardUnder(s: Bouquet, marginMm: number): { wideMm: number; deepMm: number } {
  const { wideMm, deepMm } = bouquetBox(s)
  return { wideMm: wideMm + 2 * marginMm, deepMm: deepMm + 2 * marginMm }
}

const asCupcake = ({ diameterMm, domeMm }: Bouquet) => ({ kind: 'cupcake' as const, diameterMm, domeMm })

/** The vase about its own middle, as a shape to be cut out. */
function vaseCut(s: Bouquet): { cut: Cutout; x: number; y: number; heightMm: number } | null {
  const loop = vaseLoop(s)
  if (!loop || !s.vase) return null
  const { left, right, low, high } = boxOf(loop)
  const [x, y] = [(left + right) / 2, (low + high) / 2]
  return { cut: [loop.map((p) => ({ x: p.x - x, y: p.y - y }))], x, y, heightMm: s.vase.heightMm }
}

function partsOf(s: Bouquet): ClusterPart[] {
  const middle = bouquetBox(s)
  const chart = cupcake.chart(asCupcake(s))
  const r = s.diameterMm / 2
  const vase = vaseCut(s)
  const cupcakes = s.at.map(
    (p, i): ClusterPart => ({
      ...{ chart, x: p.x - middle.x, y: p.y - middle.y, z: s.standMm, body: 0 },
      ...{ label: `cupcake ${i + 1}`, tier: i + 1 },
      offMm: (x, y) => Math.hypot(x, y) - r,
    }),
  )
  if (!vase) return cupcakes
  const rim = edgeFinder(edgesOf([vase.cut]))
  const flat = prism({ shapes: [vase.cut], heightMm: 0, topLabel: 'vase', sideLabel: '' })
  const solid = prism({ shapes: [vase.cut], heightMm: vase.heightMm, topLabel: 'vase', sideLabel: '' })
  const lowered = () => {
    const skin = solid.skin()
    return { ...skin, positions: skin.positions.map((mm, i) => (i % 3 === 2 ? mm - vase.heightMm : mm)) }
  }
  return [
    ...cupcakes,
    {
      // flowers lie on its top, which is where it is measured from
      ...{ chart: { ...flat, skin: lowered }, x: vase.x - middle.x, y: vase.y - middle.y },
      ...{ z: vase.heightMm, body: 1, tier: 0, label: 'vase' },
      offMm: (x, y) => -rim(x, y).off,
    },
  ]
}

/** Cupcakes on a board that make up one picture, with a vase below them or without. */
export const bouquet: SurfaceDefinition<typeof schema> = {
  label: 'cupcake bouquet',
  plural: 'cupcake bouquets',
  schema,
  bodies(s) {
    const vase = vaseCut(s)
    const [cap] = cupcake.bodies(asCupcake(s))
    const top = vase ? cutoutMm2(vase.cut) : 0
    return [
      { label: vase ? 'cupcakes' : '', seenMm2: s.at.length * cap!.seenMm2, coveredMm2: 0, fillingMm2: null },
      ...(vase
        ? [
            {
              label: 'vase',
              seenMm2: top + roundMm(vase.cut[0]!) * vase.heightMm,
              coveredMm2: 0,
              fillingMm2: top,
            },
          ]
        : []),
    ]
  },
  topAreaMm2: (s) => {
    const vase = vaseCut(s)
    return s.at.length * cupcake.topAreaMm2(asCupcake(s)) + (vase ? cutoutMm2(vase.cut) : 0)
  },
  topAcrossMm: (s) => s.diameterMm,
  topRiseMm: (s) => s.domeMm,
  edges(s) {
    const vase = vaseCut(s)
    const rim = Math.PI * s.diameterMm
    return [
      {
        ...{ id: 'top', tier: 0, label: 'rims of the cupcakes' },
        loopsMm: s.at.map(() => rim),
      },
      ...(vase
        ? [{ id: 'top' as const, tier: 1, label: 'edge of the vase', loopsMm: [roundMm(vase.cut[0]!)] }]
        : []),
    ]
  },
  chart: (s) => cluster(partsOf(s)),
  describe: (s, length) =>
    `${s.at.length} cupcakes of ${length(s.diameterMm)}${s.vase ? ', with a vase' : ''}`,
}
