import { hourAt } from '../../surfaces/chart.ts'
import type { Body } from '../body.ts'
import { leanOf } from '../improve.ts'
import { type Finding, type Judged, standing, whereWords } from './finding.ts'

/** A layout that is to weigh the same on all sides leans when it does so by more than this, in its half width. */
const LEANS = 0.07
/** Two stand side by side within so much of their radii together, two opposite each other with so little bend. */
const BESIDE = 0.15
const OPPOSITE_COSINE = -0.985

/** To which side something weighs, as it is looked at from the front. */
function sideWords(x: number, y: number): string {
  const hour = hourAt(x, y)
  return (
    { 12: 'to the back', 3: 'to the right', 6: 'to the front', 9: 'to the left' }[hour] ??
    `towards ${hour} o’clock`
  )
}

export function leans({ chart, ground, bodies, length }: Judged): Finding[] {
  const all = standing(bodies)
  if (!ground.area.balanced || chart.parts.length > 1 || all.length < 3) return []
  const { x, y } = leanOf(all)
  const mm = Math.hypot(x, y)
  if (mm <= LEANS * Math.min(chart.top.x, chart.top.y)) return []
  const pair = swapAgainst(all, x / mm, y / mm)
  return [
    {
      key: 'leans',
      severity: 'decide',
      words: `Leans ${length(mm)} ${sideWords(x, y)}`,
      siteIds: [],
      spot: null,
      remedies: pair ? [{ kind: 'swap', label: 'Let two change places', siteIds: pair }] : [],
    },
  ]
}

/** Two that weigh differently and lie on either side, so that changing places lessens the lean most. */
function swapAgainst(all: readonly Body[], ux: number, uy: number): [string, string] | null {
  let best: { gain: number; pair: [string, string] } | null = null
  for (const a of all)
    for (const b of all) {
      if (a.pinned || b.pinned) continue
      // the heavier, a, on the side it leans to
      const heavier = a.kind.r ** 2 - b.kind.r ** 2
      const gain = heavier * ((a.x - b.x) * ux + (a.y - b.y) * uy)
      if (heavier > 0 && b.kind.r > 0.55 * a.kind.r && gain > (best?.gain ?? 0))
        best = { gain, pair: [a.siteId!, b.siteId!] }
    }
  return best?.pair ?? null
}

export function opposite({ bodies, ground, nameOf }: Judged): Finding[] {
  const focal = bodies.filter((b) => b.rank === 2)
  if (!ground.area.balanced || focal.length !== 2) return []
  const [a, b] = focal as [Body, Body]
  const cosine = (a.x * b.x + a.y * b.y) / Math.max(1e-6, Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y))
  if (cosine > OPPOSITE_COSINE) return []
  return [
    {
      key: 'opposite',
      severity: 'decide',
      words: `Two large ones stand exactly opposite each other: ${nameOf(a.kind.placedId)} and ${nameOf(b.kind.placedId)}`,
      siteIds: [a.siteId!, b.siteId!],
      spot: null,
      remedies: [{ kind: 'giveWay', label: 'Move one round', siteIds: [b.siteId!] }],
    },
  ]
}

/** Two of a kind side by side, where the layout has others to put between them. */
export function twins({ chart, bodies, nameOf }: Judged): Finding[] {
  const all = standing(bodies)
  if (new Set(all.map((b) => b.kind.flowerId)).size < 2) return []
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Finding[] => {
      if (a.kind.flowerId !== b.kind.flowerId || a.rank === 0) return []
      // three of a kind on a cupcake are meant to be
      if (chart.parts.length > 1 && chart.zoneOf(a.spot).tier === chart.zoneOf(b.spot).tier) return []
      const gap = Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) - a.kind.r - b.kind.r
      if (gap >= BESIDE * (a.kind.r + b.kind.r)) return []
      const other = otherFor(all, a, b)
      return [
        {
          key: `twins ${[a.siteId, b.siteId].sort().join(' ')}`,
          severity: a.rank === 2 ? 'decide' : 'note',
          words: `Two of a kind side by side: ${nameOf(a.kind.placedId)}, ${whereWords(chart, a, a.spot)}${a.rank === 2 ? '' : '. Nature does that too'}`,
          siteIds: [a.siteId!, b.siteId!],
          spot: null,
          remedies: other
            ? [{ kind: 'swap', label: 'Let one change places', siteIds: [a.siteId!, other] }]
            : [],
        },
      ]
    }),
  )
}

/** One of another kind and about the same size, the further off the better. */
function otherFor(all: readonly Body[], a: Body, twin: Body): string | null {
  const others = all
    .filter((c) => c.kind.flowerId !== a.kind.flowerId && !c.pinned)
    .filter((c) => Math.abs(c.kind.r - a.kind.r) <= 0.35 * a.kind.r)
    .sort(
      (p, q) =>
        Math.hypot(q.x - twin.x, q.y - twin.y, q.z - twin.z) -
        Math.hypot(p.x - twin.x, p.y - twin.y, p.z - twin.z),
    )
  return others[0]?.siteId ?? null
}
