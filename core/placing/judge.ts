import type { Layout } from '../model/layout.ts'
import { type Chart, hourAt, type Spot } from '../surfaces/chart.ts'
import { type Body, type Kind, overlapMm } from './body.ts'
import { fullnessOf } from './counts.ts'
import { bareSpots } from './cover.ts'
import type { Ground } from './ground.ts'
import { clearOf, keptFree } from './ground.ts'
import { leanOf } from './improve.ts'
import { schoolOf } from './schools/index.ts'
import { bestTurn, leavesOver, seamPoints, showing, shownMm } from './seams.ts'
import { hangsBadly, intoTierMm } from './trouble.ts'

/** What can be done about a finding, as the layout is changed by it. */
export type Remedy =
  | {
      kind: 'fill'
      label: string
      placedId: string
      spot: Spot
      /** A leaf points there; away from its flower where nothing is said. */
      towards?: { x: number; y: number }
    }
  | { kind: 'swap'; label: string; siteIds: [string, string] }
  | { kind: 'moveIn'; label: string; siteId: string }
  | { kind: 'giveWay'; label: string; siteIds: string[] }
  | { kind: 'takeOff'; label: string; siteId: string }
  /** A tier turned under its flowers, and leaves over what of its seam shows then. */
  | { kind: 'hide'; label: string; hideId: string; deg: number; placedId: string | null; spots: Spot[] }
  /** As many flowers as the school wants for its ground. */
  | { kind: 'fit'; label: string; fullness: number }

/** Something that the eye sees, or that will not hold. */
export interface Finding {
  /** What it is about: by this it is waved off. */
  key: string
  /** decide: worth a decision; note: nature is uneven too. */
  severity: 'decide' | 'note'
  words: string
  /** Where to look: the things it is about, or a place and how wide it is. */
  siteIds: string[]
  spot: { spot: Spot; diameterMm: number } | null
  remedies: Remedy[]
}

export interface Judged {
  chart: Chart
  ground: Ground
  bodies: readonly Body[]
  kinds: readonly Kind[]
  layout: Layout
  /** Clear height that the box leaves above the rim of the piece, mm; null where there is no box, or nobody has measured it. */
  lidMm: number | null
  /** What a flower is called. */
  nameOf(placedId: string): string
  /** A length in the bakery's units. */
  length(mm: number): string
}

/** Narrower bare spots than this nobody sees, mm; in a loose layout bare coat is meant. */
const BARE_MM = 9
/** So much of the largest flower is a gap that draws the eye. */
const BARE_OF_LARGEST = 0.42
const MOST_BARE = 3
/** A layout that is to weigh the same on all sides leans when it does so by more than this, in its half width. */
const LEANS = 0.07
/** Two stand side by side within so much of their radii together, two opposite each other with so little bend. */
const BESIDE = 0.15
const OPPOSITE_COSINE = -0.985
/** What stands into another by less is petals running into each other, mm. */
const INTO_MM = 0.5
const OVER_MM = 0.6

/** What there is to say about a layout, what wants a decision first. What was waved off is left out. */
export function judge(of: Judged): Finding[] {
  const pairs = standsInto(of)
  const full = pairs.length > FEW_PAIRS ? crowded(of) : []
  const found = [
    ...full,
    // where there is no room at all, each pair that is in each other's way is not worth a word
    ...(full.length > 0 ? [] : pairs),
    ...hidesWords(of),
    ...hangsOver(of),
    ...tooHeavy(of),
    ...touchesTier(of),
    ...touchesLid(of),
    ...bare(of),
    ...betweenCupcakes(of),
    ...seams(of),
    ...leans(of),
    ...opposite(of),
    ...twins(of),
  ]
  const waved = new Set(of.layout.waved)
  const order = { decide: 0, note: 1 }
  const once = new Set<string>()
  return found
    .filter(({ key }) => {
      if (waved.has(key) || once.has(key)) return false
      // two bare spots at one hour of one tier are told as the larger
      once.add(key)
      return true
    })
    .sort((a, b) => order[a.severity] - order[b.severity])
}

const hourOf = ({ x, y }: { x: number; y: number }) => hourAt(x, y)

/** Where something is, in words: by the clock, or in the middle. */
export function whereWords(chart: Chart, at: { x: number; y: number }, spot: Spot): string {
  const { zone, tier } = chart.zoneOf(spot)
  const several = chart.bands.length > 1
  // a cupcake of many is found by its number alone
  const one = chart.parts.length > 1
  const label = several ? chart.bands.find((b) => b.zone === zone && b.tier === tier)?.label : undefined
  const middle = zone === 'top' && Math.hypot(at.x, at.y) < 0.2 * Math.min(chart.top.x, chart.top.y)
  const clock = middle ? 'in the middle' : `at ${hourOf(at)} o’clock`
  if (one) return label ?? clock
  return label ? `${label}, ${clock}` : clock
}

const standing = (bodies: readonly Body[]) => bodies.filter((b) => b.rank >= 0)

/** Up to so many pairs that are in each other's way are told one by one. */
const FEW_PAIRS = 3
/** No layout of round things covers more of its ground than this, as the sum of their discs. */
const MOST_FULL = 1.05

function crowded({ ground, bodies, kinds, layout }: Judged): Finding[] {
  const counts = kinds.map((kind, of) => ({ kind, count: bodies.filter((b) => b.of === of).length }))
  const full = fullnessOf(ground, counts)
  if (full <= MOST_FULL) return []
  const { label, fullness } = schoolOf(layout.schoolId)
  return [
    {
      key: 'crowded',
      severity: 'decide',
      words: `More than fits: these flowers would fill ${full.toFixed(1)} of what a ${label.toLowerCase()} has room for, so they stand in each other`,
      siteIds: [],
      spot: null,
      remedies: [{ kind: 'fit', label: 'As many as fit', fullness }],
    },
  ]
}

function standsInto({ chart, bodies, nameOf, length }: Judged): Finding[] {
  const all = standing(bodies)
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Finding[] => {
      const mm = overlapMm(a, b)
      if (mm <= INTO_MM) return []
      const small = a.kind.r < b.kind.r ? a : b
      return [
        {
          key: `into ${[a.siteId, b.siteId].sort().join(' ')}`,
          severity: 'decide',
          words: `${nameOf(a.kind.placedId)} and ${nameOf(b.kind.placedId)} stand ${length(mm)} into each other, ${whereWords(chart, small, small.spot)}`,
          siteIds: [a.siteId!, b.siteId!],
          spot: null,
          remedies: [
            { kind: 'giveWay', label: 'Let them give way', siteIds: [a.siteId!, b.siteId!] },
            {
              kind: 'takeOff',
              label: `Take the ${nameOf(small.kind.placedId).toLowerCase()} off`,
              siteId: small.siteId!,
            },
          ],
        },
      ]
    }),
  )
}

function hidesWords({ chart, bodies, layout, nameOf }: Judged): Finding[] {
  return keptFree(layout).flatMap((keepOut) => {
    const clear = clearOf(chart, [keepOut])
    return bodies.flatMap((b): Finding[] => {
      const over = (b.kind.lies ? b.kind.wideMm / 2 : b.kind.r) - clear(b)
      if (over <= OVER_MM + (b.kind.lies ? 0 : 0.3 * b.kind.r)) return []
      const what = keepOut.label || (keepOut.kind === 'text' ? 'the words' : 'what is kept free')
      return [
        {
          key: `hides ${keepOut.id} ${b.siteId}`,
          severity: 'decide',
          words: `${nameOf(b.kind.placedId)} lies over ${what}`,
          siteIds: [b.siteId!],
          spot: null,
          remedies: [
            { kind: 'moveIn', label: 'Move it off', siteId: b.siteId! },
            { kind: 'takeOff', label: 'Take it off', siteId: b.siteId! },
          ],
        },
      ]
    })
  })
}

function hangsOver({ chart, ground, bodies, nameOf, length }: Judged): Finding[] {
  return standing(bodies).flatMap((b): Finding[] => {
    // over the end of the piece, not over where the school would have it
    const over = b.kind.r * (1 - ground.area.overhang) - chart.insideMm(b.spot)
    if (over <= OVER_MM) return []
    return [
      {
        key: `over ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} hangs over by ${length(b.kind.r - chart.insideMm(b.spot))}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'moveIn', label: 'Move it in', siteId: b.siteId! }],
      },
    ]
  })
}

function tooHeavy({ bodies, chart, nameOf }: Judged): Finding[] {
  return bodies.filter(hangsBadly).map(
    (b): Finding => ({
      key: `heavy ${b.siteId}`,
      severity: 'decide',
      words: `${nameOf(b.kind.placedId)} is too heavy or too high to hang there: ${whereWords(chart, b, b.spot)}`,
      siteIds: [b.siteId!],
      spot: null,
      remedies: [
        { kind: 'moveIn', label: 'Move it to where it holds', siteId: b.siteId! },
        { kind: 'takeOff', label: 'Take it off', siteId: b.siteId! },
      ],
    }),
  )
}

function touchesTier({ chart, bodies, nameOf, length }: Judged): Finding[] {
  return standing(bodies).flatMap((b): Finding[] => {
    const mm = intoTierMm(chart, b)
    if (mm <= OVER_MM) return []
    return [
      {
        key: `tier ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} touches the tier above it by ${length(mm)}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'moveIn', label: 'Move it out', siteId: b.siteId! }],
      },
    ]
  })
}

function touchesLid({ chart, bodies, lidMm, nameOf, length }: Judged): Finding[] {
  if (lidMm === null) return []
  const rim = Math.max(...chart.courses.filter((c) => c.id === 'top').map((c) => c.at(0).z))
  return standing(bodies).flatMap((b): Finding[] => {
    // it reaches up by its height as it leans, and by its rim
    const reach = b.z + b.kind.h * b.nz + b.kind.r * Math.sqrt(Math.max(0, 1 - b.nz * b.nz))
    const mm = reach - rim - lidMm
    if (mm <= OVER_MM) return []
    return [
      {
        key: `lid ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} touches the lid of the box by ${length(mm)}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'takeOff', label: 'Take it off', siteId: b.siteId! }],
      },
    ]
  })
}

function bare({ chart, ground, bodies, kinds, length }: Judged): Finding[] {
  if (ground.area.gapMm > 0 || bodies.length === 0) return []
  const largest = Math.max(...kinds.filter((k) => !k.lies).map((k) => k.r), 1)
  const least = Math.max(BARE_MM, BARE_OF_LARGEST * 2 * largest)
  return bareSpots(ground, bodies, BARE_MM, MOST_BARE).flatMap(({ at, spot, diameterMm }): Finding[] => {
    const fits = kinds.filter((k) => !k.lies && 2 * k.r <= diameterMm * 1.12).sort((a, b) => b.r - a.r)[0]
    const leaf = kinds.filter((k) => k.lies).sort((a, b) => b.wideMm - a.wideMm)[0]
    const filler = fits ?? leaf
    const matters = diameterMm >= least
    return [
      {
        key: `bare ${chart.zoneOf(spot).zone} ${chart.zoneOf(spot).tier} ${hourOf(at)}`,
        severity: matters ? 'decide' : 'note',
        words: `Bare spot of ${length(diameterMm)}, ${whereWords(chart, at, spot)}${matters ? '' : ': nature leaves some too'}`,
        siteIds: [],
        spot: { spot, diameterMm },
        remedies: filler
          ? [
              {
                kind: 'fill',
                label: fits ? 'Put a flower there' : 'Put a leaf there',
                placedId: filler.placedId,
                spot,
              },
            ]
          : [],
      },
    ]
  })
}

/** Narrower gaps between cupcakes than this are covered by petals that hang over, mm. */
const GAP_MM = 11

function betweenCupcakes({ chart, ground, bodies, kinds, length }: Judged): Finding[] {
  if (bodies.length === 0 || ground.gaps.length === 0) return []
  const [leaf] = kinds.filter((k) => k.lies).sort((a, b) => b.longMm - a.longMm)
  return bareSpots({ samples: ground.gaps }, bodies, GAP_MM, MOST_BARE).map(
    ({ at, spot, diameterMm }): Finding => ({
      key: `gap ${Math.round(at.x)} ${Math.round(at.y)}`,
      severity: leaf ? 'decide' : 'note',
      words: `The board shows between cupcakes, ${length(diameterMm)} wide, beside ${whereWords(chart, at, spot)}${leaf ? '' : ': leaves would bridge it'}`,
      siteIds: [],
      spot: { spot, diameterMm },
      remedies: leaf
        ? [
            {
              kind: 'fill',
              label: 'Bridge it with a leaf',
              placedId: leaf.placedId,
              spot,
              towards: { x: at.x, y: at.y },
            },
          ]
        : [],
    }),
  )
}

/** Less of a seam than this nobody sees, mm. */
const SEAM_MM = 4

function seams({ chart, bodies, kinds, layout, length }: Judged): Finding[] {
  const [leaf] = kinds.filter((k) => k.lies).sort((a, b) => b.longMm - a.longMm)
  return layout.toHide.flatMap((hide): Finding[] => {
    const points = showing(seamPoints(chart, hide), bodies)
    const mm = shownMm(points)
    const [first] = points
    if (!first || (hide.kind === 'seam' && mm < SEAM_MM)) return []
    const { deg, left } = bestTurn(chart, hide, bodies)
    const ways = [
      ...(deg !== 0 ? [{ deg, over: left }] : []),
      // without a turn only leaves help
      ...(leaf ? [{ deg: 0, over: points }] : []),
    ]
    return [
      {
        key: `seam ${hide.id}`,
        severity: 'decide',
        words:
          hide.kind === 'seam'
            ? `${length(mm)} of the seam shows, ${whereWords(chart, first, first.spot)}`
            : `The point where it stops shows, ${whereWords(chart, first, first.spot)}`,
        siteIds: [],
        spot: { spot: points[Math.floor(points.length / 2)]!.spot, diameterMm: Math.max(8, mm) },
        remedies: ways.map((way): Remedy => {
          const spots = leaf ? leavesOver(way.over, leaf.longMm).map((p) => p.spot) : []
          return {
            ...{ kind: 'hide', hideId: hide.id, deg: way.deg, placedId: leaf?.placedId ?? null, spots },
            label: hideWords(way.deg, spots.length),
          }
        }),
      },
    ]
  })
}

function hideWords(deg: number, leaves: number): string {
  const turn = deg === 0 ? '' : `Turn the tier ${Math.abs(deg)}° ${deg > 0 ? 'against' : 'with'} the clock`
  const lay = leaves === 0 ? '' : leaves === 1 ? 'a leaf' : `${leaves} leaves`
  if (!lay) return turn
  return turn ? `${turn}, lay ${lay} over the rest` : `Lay ${lay} over it`
}

/** To which side something weighs, as it is looked at from the front. */
function sideWords(x: number, y: number): string {
  const hour = hourAt(x, y)
  return (
    { 12: 'to the back', 3: 'to the right', 6: 'to the front', 9: 'to the left' }[hour] ??
    `towards ${hour} o’clock`
  )
}

function leans({ chart, ground, bodies, length }: Judged): Finding[] {
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

function opposite({ bodies, ground, nameOf }: Judged): Finding[] {
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
function twins({ chart, bodies, nameOf }: Judged): Finding[] {
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
