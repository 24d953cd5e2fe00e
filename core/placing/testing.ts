import { arrangeBouquet } from '../bouquet/arrange.ts'
import { type Layout, layoutSchema, type Site } from '../model/layout.ts'
import type { Chart } from '../surfaces/chart.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import type { Kind } from './body.ts'
import { placed } from './place.ts'
import { schools } from './schools/index.ts'

/** A round flower of a size, as placing sees it. */
export const flower = (id: string, r: number, h: number, more: Partial<Kind> = {}): Kind => ({
  ...{ placedId: id, flowerId: id, lies: false, r, h },
  ...{ longMm: 2 * r, wideMm: 2 * r, middleX: 0, middleY: 0 },
  ...{ grams: 2, hex: '#888888', mayHang: true },
  ...more,
})
/** A leaf from its root along x. */
export const leaf = (id: string, longMm: number, wideMm: number): Kind => ({
  ...flower(id, Math.max(longMm, wideMm) / 2, 2),
  ...{ lies: true, longMm, wideMm, middleX: longMm / 2 },
})

/** Large, middling and small flowers and a leaf for a piece whose top is so far across. */
export const mixFor = (acrossMm: number): Kind[] => {
  const s = Math.min(1, acrossMm / 150)
  return [
    flower('large', 26 * s, 22 * s, { mayHang: false }),
    flower('second', 20 * s, 10 * s),
    flower('third', 15 * s, 9 * s),
    flower('small', 9 * s, 8 * s),
    leaf('leaf', 24 * s, 10 * s),
  ]
}
export const someOfEach = new Map([
  ['large', 3],
  ['second', 5],
  ['third', 5],
  ['small', 9],
  ['leaf', 6],
])

/** Pieces of every kind, from small to large. */
export const pieces: readonly Surface[] = [
  { kind: 'cupcake', diameterMm: 65, domeMm: 9 },
  { kind: 'cupcake', diameterMm: 50, domeMm: 0 },
  { kind: 'cookie', diameterMm: 80 },
  { kind: 'cake', tiers: [{ diameterMm: 180, heightMm: 90 }], coveredMm: 0 },
  {
    kind: 'cake',
    tiers: [
      { diameterMm: 220, heightMm: 100 },
      { diameterMm: 150, heightMm: 100 },
    ],
    coveredMm: 0,
  },
  {
    kind: 'cake',
    tiers: [
      { diameterMm: 300, heightMm: 120 },
      { diameterMm: 220, heightMm: 100 },
      { diameterMm: 140, heightMm: 90 },
    ],
    coveredMm: 0,
  },
  { kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 60 },
  { kind: 'heart', widthMm: 220, heightMm: 70 },
  { kind: 'hexagon', diameterMm: 90, heightMm: 0 },
  { kind: 'ring', diameterMm: 240, holeMm: 80, heightMm: 80 },
  { kind: 'number', digits: '30', tallMm: 300, barMm: 70, heightMm: 60 },
  {
    ...{ kind: 'bouquet', diameterMm: 65, domeMm: 8, standMm: 42, outline: { kind: 'fan' }, vase: null },
    at: arrangeBouquet({ kind: 'fan' }, 7, 65),
  },
]

export const emptyLayout = (more: Partial<Layout> = {}): Layout =>
  layoutSchema.parse({ id: 'l', schoolId: 'dome', fullness: 0.9, ...more })

/** New ids in turn. */
export const counting = () => {
  let made = 0
  return () => `s${++made}`
}

export interface Laid {
  shape: Surface
  chart: Chart
  kinds: Kind[]
  schoolId: string
  seed: number
  sites: Site[]
}

/** Seeded layouts of all schools on all pieces that they suit, so many seeds each. */
export function* seededLayouts(on: readonly Surface[], seeds: number, improved: boolean): Generator<Laid> {
  for (const shape of on) {
    const chart = chartOf(shape)
    const kinds = mixFor(2 * chart.top.x)
    for (const school of schools) {
      if (!school.suits(chart)) continue
      for (let seed = 1; seed <= seeds; seed++) {
        const layout = emptyLayout({ schoolId: school.id, seed, fullness: school.fullness })
        const { sites } = placed({ chart, kinds, numbers: someOfEach, layout, newId: counting() }, improved)
        yield { shape, chart, kinds, schoolId: school.id, seed, sites }
      }
    }
  }
}
