import { describe, expect, it } from 'vitest'
import { type Surface, surfaceDefinition, surfaces } from './index.ts'

/** Everything that is asked of a piece's shape, worked out by hand. */
const HAND: [
  words: string,
  shape: Surface,
  wanted: {
    coat: number
    crumb: number
    top: number
    across: number
    filling: number | null
    rise: number
    edges: Record<string, number>
    said: string
  },
][] = [
  [
    'a domed cupcake: cap π (32.5² + 8²), top π 32.5²',
    { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
    {
      coat: 3519.37,
      crumb: 3519.37,
      top: 3318.31,
      across: 65,
      filling: null,
      rise: 8,
      edges: { top: 204.2 },
      said: '65 mm, domed 8 mm',
    },
  ],
  [
    'a flat cupcake',
    { kind: 'cupcake', diameterMm: 50, domeMm: 0 },
    {
      coat: 1963.5,
      crumb: 1963.5,
      top: 1963.5,
      across: 50,
      filling: null,
      rise: 0,
      edges: { top: 157.08 },
      said: '50 mm, flat',
    },
  ],
  [
    'a cookie',
    { kind: 'cookie', diameterMm: 70 },
    {
      coat: 3848.45,
      crumb: 3848.45,
      top: 3848.45,
      across: 70,
      filling: null,
      rise: 0,
      edges: { top: 219.91 },
      said: '70 mm round',
    },
  ],
  [
    'a top tier: π 75² + π 150 · 100',
    { kind: 'cake', tiers: [{ diameterMm: 150, heightMm: 100 }], coveredMm: 0 },
    {
      coat: 64795.35,
      crumb: 64795.35,
      top: 64795.35,
      across: 150,
      filling: 17671.46,
      rise: 0,
      edges: { top: 471.24, foot: 471.24 },
      said: '150 × 100 mm',
    },
  ],
  [
    'a lower tier under one of 150: its covered disc is not coated, only crumb-coated; its side is its widest place',
    { kind: 'cake', tiers: [{ diameterMm: 230, heightMm: 100 }], coveredMm: 150 },
    {
      coat: 113804.2 - 17671.46,
      crumb: 113804.2,
      top: 113804.2 - 17671.46,
      across: 100,
      filling: 41547.56,
      rise: 0,
      edges: { top: 722.57, foot: 722.57 },
      said: '230 × 100 mm',
    },
  ],
  [
    'a low and wide lower tier: the ring that is left is the widest place',
    { kind: 'cake', tiers: [{ diameterMm: 400, heightMm: 60 }], coveredMm: 200 },
    {
      coat: 201061.93 - 31415.93,
      crumb: 201061.93,
      top: 201061.93 - 31415.93,
      across: 100,
      filling: 125663.71,
      rise: 0,
      edges: { top: 1256.64, foot: 1256.64 },
      said: '400 × 60 mm',
    },
  ],
  [
    'two tiers, 150 on 230 by 100: both as above, together',
    {
      kind: 'cake',
      tiers: [
        { diameterMm: 230, heightMm: 100 },
        { diameterMm: 150, heightMm: 100 },
      ],
      coveredMm: 0,
    },
    {
      coat: 113804.2 - 17671.46 + 64795.35,
      crumb: 113804.2 + 64795.35,
      top: 113804.2 - 17671.46 + 64795.35,
      across: 150,
      filling: 41547.56 + 17671.46,
      rise: 0,
      edges: { top: 722.57, foot: 722.57, 'top 1': 471.24, 'foot 1': 471.24 },
      said: '150 × 100 mm on 230 × 100 mm',
    },
  ],
  [
    'a sheet: 400 · 300 + 2 · 700 · 60',
    { kind: 'sheet', lengthMm: 400, widthMm: 300, heightMm: 60 },
    {
      coat: 204000,
      crumb: 204000,
      top: 120000,
      across: 300,
      filling: 120000,
      rise: 0,
      edges: { top: 1400, foot: 1400 },
      said: '400 × 300 × 60 mm',
    },
  ],
]

HAND.push(
  [
    'a hexagon 75 mm from edge to edge: √3/2 · 75², six edges of 75/√3',
    { kind: 'hexagon', diameterMm: 75, heightMm: 0 },
    {
      ...{ coat: 4871.39, crumb: 4871.39, top: 4871.39, across: 75, filling: null, rise: 0 },
      edges: { top: 259.81 },
      said: 'hexagon, 75 mm across, flat',
    },
  ],
  [
    'a ring: π (120² − 40²) on top, and both its walls: π (240 + 80) · 80',
    { kind: 'ring', diameterMm: 240, holeMm: 80, heightMm: 80 },
    {
      ...{ coat: 120637.16, crumb: 120637.16, top: 40212.39, across: 80, filling: 40212.39, rise: 0 },
      edges: { top: 753.98, foot: 753.98 },
      said: 'ring, 240 mm round, hole 80 mm, 80 mm high',
    },
  ],
  [
    'an outline of 100 by 40 that was drawn in shares of its width: 100 · 40 + 280 · 50',
    {
      ...{ kind: 'drawn', widthMm: 100, heightMm: 50 },
      shapes: [[[-0.5, 0.5, 0.5, -0.5].map((x, i) => ({ x, y: i < 2 ? -0.2 : 0.2 }))]],
    },
    {
      ...{ coat: 18000, crumb: 18000, top: 4000, across: 40, filling: 4000, rise: 0 },
      edges: { top: 280, foot: 280 },
      said: 'own outline, 100 mm wide, 50 mm high',
    },
  ],
  [
    'two flat cupcakes on a board: 2 π 30²; a rim round each',
    {
      ...{ kind: 'bouquet', diameterMm: 60, domeMm: 0, standMm: 40, outline: { kind: 'round' }, vase: null },
      at: [
        { x: -40, y: 0 },
        { x: 40, y: 0 },
      ],
    },
    {
      ...{ coat: 5654.87, crumb: 5654.87, top: 5654.87, across: 60, filling: null, rise: 0 },
      edges: { top: 376.99 },
      said: '2 cupcakes of 60 mm',
    },
  ],
)

/** Worked out in a test of their own: these have no closed form. */
const CURVED = ['heart', 'number']

const crossing = [
  { x: -0.5, y: -0.5 },
  { x: 0.5, y: -0.5 },
  { x: 0.5, y: 0.5 },
  { x: 0, y: -0.7 },
  { x: -0.5, y: 0.5 },
]
const sliver = [
  { x: -0.5, y: 0 },
  { x: 0.5, y: 0 },
  { x: 0, y: 0.001 },
]
const cake = (diameterMm: number, heightMm: number) => ({ tiers: [{ diameterMm, heightMm }] })

describe('what is asked of a piece', () => {
  it('is asked of every kind here', () => {
    expect([...new Set([...HAND.map(([, shape]) => shape.kind), ...CURVED])].sort()).toEqual(
      Object.keys(surfaces).sort(),
    )
  })

  it.each(HAND)('%s', (_, shape, wanted) => {
    const surface = surfaceDefinition(shape.kind)
    const near = (now: number, then: number) =>
      expect(now).toBeCloseTo(then, -Math.log10(then / 1e5) > 1 ? 1 : 0)
    const bodies = surface.bodies(shape)
    const sum = (of: (b: (typeof bodies)[number]) => number) => bodies.reduce((all, b) => all + of(b), 0)
    near(
      sum((b) => b.seenMm2),
      wanted.coat,
    )
    near(
      sum((b) => b.seenMm2 + b.coveredMm2),
      wanted.crumb,
    )
    near(surface.topAreaMm2(shape), wanted.top)
    expect(surface.topAcrossMm(shape)).toBe(wanted.across)
    if (wanted.filling === null) expect(bodies.map((b) => b.fillingMm2)).toEqual([null])
    else
      near(
        sum((b) => b.fillingMm2!),
        wanted.filling,
      )
    expect(surface.topRiseMm(shape)).toBe(wanted.rise)
    const edges = Object.fromEntries(
      surface
        .edges(shape)
        .map((e) => [
          e.tier > 0 ? `${e.id} ${e.tier}` : e.id,
          Number(e.loopsMm.reduce((sum, mm) => sum + mm, 0).toFixed(2)),
        ]),
    )
    expect(edges).toEqual(wanted.edges)
    expect(surface.describe(shape, (mm) => `${mm} mm`).replaceAll(' mm ×', ' ×')).toBe(wanted.said)
  })

  it('refuses what is too small and too large, naming the measure', () => {
    const bad: [Surface['kind'], object, string][] = [
      ['cupcake', { diameterMm: 29, domeMm: 0 }, 'diameterMm'],
      ['cupcake', { diameterMm: 111, domeMm: 0 }, 'diameterMm'],
      ['cupcake', { diameterMm: 60, domeMm: 41 }, 'domeMm'],
      ['cookie', { diameterMm: 19 }, 'diameterMm'],
      ['cookie', { diameterMm: 251 }, 'diameterMm'],
      ['cake', cake(601, 90), 'tiers.0.diameterMm'],
      ['cake', cake(200, 19), 'tiers.0.heightMm'],
      ['cake', cake(200, 401), 'tiers.0.heightMm'],
      ['cake', { tiers: [] }, 'tiers'],
      ['cake', { tiers: [...cake(150, 90).tiers, ...cake(151, 90).tiers] }, 'tiers.1.diameterMm'],
      ['cake', { ...cake(150, 90), coveredMm: 601 }, 'coveredMm'],
      ['sheet', { lengthMm: 59, widthMm: 200, heightMm: 50 }, 'lengthMm'],
      ['sheet', { lengthMm: 200, widthMm: 1201, heightMm: 50 }, 'widthMm'],
      ['sheet', { lengthMm: 200, widthMm: 200, heightMm: 201 }, 'heightMm'],
      ['ring', { diameterMm: 200, holeMm: 171, heightMm: 60 }, 'holeMm'],
      ['number', { digits: '7', tallMm: 200, barMm: 65, heightMm: 0 }, 'barMm'],
      ['number', { digits: '7a', tallMm: 200, barMm: 40, heightMm: 0 }, 'digits'],
      ['hexagon', { diameterMm: 60, heightMm: 4 }, 'heightMm'],
      ['drawn', { widthMm: 100, heightMm: 0, shapes: [[crossing]] }, 'shapes.0.0'],
      ['drawn', { widthMm: 100, heightMm: 0, shapes: [[sliver]] }, 'shapes'],
    ]
    for (const [kind, measures, field] of bad) {
      const refused = surfaceDefinition(kind).schema.safeParse({ kind, ...measures })
      expect(
        refused.error?.issues.map((i) => i.path.join('.')),
        `${kind} ${field}`,
      ).toEqual([field])
    }
  })

  it('takes what is just large and just small enough', () => {
    const limits: [Surface['kind'], Record<string, [least: number, most: number]>][] = [
      ['cupcake', { diameterMm: [30, 110], domeMm: [0, 40] }],
      ['cookie', { diameterMm: [20, 250] }],
      ['sheet', { lengthMm: [60, 1200], widthMm: [60, 1200], heightMm: [10, 200] }],
    ]
    for (const [kind, measures] of limits)
      for (const end of [0, 1] as const) {
        const at = Object.fromEntries(Object.entries(measures).map(([key, ends]) => [key, ends[end]]))
        expect(
          surfaceDefinition(kind).schema.safeParse({ kind, ...at }).error,
          `${kind} ${end}`,
        ).toBeUndefined()
        for (const [key, ends] of Object.entries(measures)) {
          const beyond = { kind, ...at, [key]: ends[end] + (end === 0 ? -0.01 : 0.01) }
          expect(surfaceDefinition(kind).schema.safeParse(beyond).success, `${kind} ${key}`).toBe(false)
        }
      }
  })
})

it('a cake has nothing on its top tier until somebody says so; tiers may be as wide as each other, and as many as eight', () => {
  const { schema, bodies, topAcrossMm } = surfaces.cake
  const top = schema.parse({ kind: 'cake', ...cake(150, 100) })
  expect(top.coveredMm).toBe(0)
  expect(bodies(top)[0]!.coveredMm2).toBe(0)
  expect(topAcrossMm(top)).toBe(150)
  const high = (of: number) => ({
    kind: 'cake',
    tiers: Array.from({ length: of }, () => cake(60, 20).tiers[0]),
  })
  expect(schema.safeParse(high(8)).success).toBe(true)
  expect(schema.safeParse(high(9)).success).toBe(false)
})
