import type { Where } from '../area.ts'
import type { Body } from '../body.ts'
import { bareSpots } from '../cover.ts'
import { clearOf, keptFree } from '../ground.ts'
import { bestTurn, leavesOver, seamPoints, showing, shownMm } from '../seams.ts'
import { type Finding, hourOf, type Judged, OVER_MM, type Remedy, whereWords } from './finding.ts'

/** Narrower bare spots than this nobody sees, mm; in a loose layout bare coat is meant. */
const BARE_MM = 9
/** So much of the largest flower is a gap that draws the eye. */
const BARE_OF_LARGEST = 0.42
const MOST_BARE = 3

export function hidesWords({ chart, bodies, layout, nameOf }: Judged): Finding[] {
  return keptFree(layout).flatMap((keepOut) => {
    const clear = clearOf(chart, [keepOut])
    return bodies.flatMap((b): Finding[] => {
      const over = b.kind.lies ? leafOver(b, clear) : b.kind.r - clear(b)
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

/** How far a leaf reaches over what is kept free, mm: with half its width in its middle, with its points alone at its ends. */
function leafOver(leaf: Body, clear: (at: Where) => number): number {
  const { px, py, pz } = leaf.points
  const off = [-0.5, -0.25, 0.25, 0.5].map((share) => {
    const mm = share * leaf.kind.longMm
    return clear({ x: leaf.x + mm * px, y: leaf.y + mm * py, z: leaf.z + mm * pz })
  })
  return Math.max(leaf.kind.wideMm / 2 - clear(leaf), -Math.min(...off))
}

export function bare({ chart, ground, bodies, kinds, length }: Judged): Finding[] {
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

export function betweenCupcakes({ chart, ground, bodies, kinds, length }: Judged): Finding[] {
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

export function seams({ chart, bodies, kinds, layout, length }: Judged): Finding[] {
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
