import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import { seenFromAbove } from '../flowers/seen.ts'
import type { Flower } from '../model/flower.ts'
import { withWhatIsSetOn } from '../model/placeFaults.ts'
import type { Use } from '../model/plan.ts'
import { demand, type FittedPlacement } from '../plan/demand.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { type LighterChange, lessOf } from './change.ts'
import type { LighterMove } from './move.ts'
import type { Scales } from './weigh.ts'

/** Another flower is worth the change when it saves so large a share of the work. */
const LEAST_SAVED = 0.25
/** So many are painted to see how like they look: those whose strokes are likest, for what they save. */
const MOST_PAINTED = 2
/** What a flower of other strokes altogether is still worth being looked at. */
const LIKE_ANYWAY = 0.2
/** So many are offered: likeness counts for much more than what is saved. */
const MOST_OTHERS = 2
const LOOK_POWER = 6
const AS_IT_COMES = { sizeMm: null, tips: {} }
/** Shares of a number that are tried, and how much larger what is left may become to fill its place. */
const SHARES = [0.75, 0.6, 0.45]
const MOST_LARGER = 1.45
/** Sizes of a border's units over what they are. */
const WIDER = [1.35, 1.8]
/** Colours further apart than this do not stand in for each other, CIEDE2000. */
const NEAR_COLOUR = 22
/** Hues of greens, degrees of Lab, and the least chroma that makes a hue. */
const GREEN = { from: 95, to: 185, chroma: 8 }

/**
 * Everything that an order could do with less work, a flower at a time, and its colours.
 * @param pieceId of one piece alone; null for the whole order.
 */
export function movesFor(scales: Scales, pieceId: string | null): LighterMove[] {
  const { placements } = demand(scales.at)
  const own = placements.filter((p) => pieceId === null || p.piece.id === pieceId)
  const colours = pieceId === null ? colourMoves(scales) : []
  const painted = pieceId === null ? paintedMoves(scales, placements) : []
  return [...own.flatMap((p) => flowerMoves(scales, p, placements)), ...colours, ...painted]
}

function flowerMoves(scales: Scales, of: FittedPlacement, all: readonly FittedPlacement[]): LighterMove[] {
  const { piece, placed, fitted } = of
  const on = { pieceId: piece.id, placedId: placed.id }
  const slot = `${piece.id}.${placed.id}`
  const own = fitted.measure.aimed.diameterMm
  const changes: LighterChange[][] = []
  const others = otherFlowers(scales, of)
  if (placed.placement.kind === 'each') {
    const { perPiece } = placed.placement
    const most = Math.max(perPiece, of.perPiece)
    const fewer = SHARES.flatMap((share): LighterChange[] =>
      most > 1 && lessOf(Math.round(most), share) < Math.round(most)
        ? [
            { kind: 'fewer', ...on, share, sizeMm: null },
            {
              kind: 'fewer',
              ...on,
              share,
              sizeMm: tenths(own * Math.min(MOST_LARGER, Math.sqrt(1 / share))),
            },
          ]
        : [],
    )
    changes.push(...fewer.map((f) => [f]), ...others.map((o) => [o]))
    for (const other of others.slice(0, 2))
      for (const f of fewer) if (f.kind === 'fewer' && f.sizeMm === null) changes.push([other, f])
    if (!isFocal(of, all)) changes.push([{ kind: 'off', ...on }])
  } else {
    if (placed.placement.kind === 'border')
      for (const wider of WIDER) changes.push([{ kind: 'size', ...on, sizeMm: tenths(own * wider) }])
    changes.push(...others.map((o) => [o]))
    changes.push([{ kind: 'off', ...on }])
  }
  for (const leftOut of rowsOut(of)) {
    const rows: LighterChange = { kind: 'rows', ...on, leftOut }
    changes.push([rows])
    if (placed.placement.kind === 'each' && of.perPiece > 1)
      changes.push([rows, { kind: 'fewer', ...on, share: SHARES[1]!, sizeMm: null }])
  }
  return changes.map((c) => ({ slot, pieceId: piece.id, changes: c }))
}

const tenths = (mm: number) => Math.round(mm * 2) / 2

/** The largest flower of a piece is what was promised: it is never taken off. */
function isFocal(of: FittedPlacement, all: readonly FittedPlacement[]): boolean {
  if (of.flower.form !== 'flower') return false
  const widest = Math.max(
    ...all
      .filter((p) => p.piece === of.piece && p.flower.form === 'flower')
      .map((p) => p.fitted.measure.aimed.diameterMm),
  )
  return of.fitted.measure.aimed.diameterMm >= widest - 1e-9
}

/** Layers that a flower can do without: never its foot or mound, and not all of it. One alone, and the two that take longest. */
function rowsOut({ flower, fitted, placed }: FittedPlacement): string[][] {
  const ids = fitted.layers.flatMap(({ layer }, i) => {
    const { foots = false, walls = false } = strokeDefinition(layer.stroke.kind)
    const isGround = i === 0 && (foots || walls || flower.setting === 'nail')
    return isGround || layer.loose || placed.leftOut.includes(layer.id) ? [] : [layer.id]
  })
  if (ids.length < 2) return []
  const seconds = new Map(fitted.layers.map(({ layer }, i) => [layer.id, fitted.measure.layers[i]!.seconds]))
  const byTime = [...ids].sort((a, b) => seconds.get(b)! - seconds.get(a)!)
  const sets = [...ids.map((id) => [id]), ...(ids.length > 3 ? [byTime.slice(0, 2), byTime.slice(0, 3)] : [])]
  // what is set on a layer goes with it, and something has to be left
  return sets.filter((set) => withWhatIsSetOn(flower, set).size < flower.layers.length - 1)
}

/** Recipes that take less and look most like a flower, in its size and colours. */
function otherFlowers(scales: Scales, of: FittedPlacement): LighterChange[] {
  const { at } = scales
  const { piece, placed, flower, fitted } = of
  const wide = fitted.measure.aimed.diameterMm
  // units of a border come as they are: they are not taken for their size
  const sizeMm = flower.form === 'border' ? null : tenths(wide)
  const units = (f: Flower, seconds: number) => (f.pitchMm ? seconds / f.pitchMm : seconds)
  const now = units(flower, fitted.measure.seconds) + squareSeconds(at, flower)
  return at.workshop.flowers
    .flatMap((other) => {
      if (other.id === flower.id || other.form !== flower.form) return []
      // as it comes: how long it takes in another size is near enough in the same measure
      const own = at.fit(other, AS_IT_COMES)
      const larger = sizeMm === null ? 1 : wide / own.measure.aimed.diameterMm
      const saved = 1 - (units(other, own.measure.seconds) * larger + squareSeconds(at, other)) / now
      return saved >= LEAST_SAVED
        ? [{ other, worth: saved * (LIKE_ANYWAY + likeness(own.layers, fitted.layers)) }]
        : []
    })
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_PAINTED)
    .map(({ other, worth }) => {
      const change = {
        ...{ kind: 'flower' as const, pieceId: piece.id, placedId: placed.id, flowerId: other.id },
        ...{ colours: coloursFor(of, other, at.fit(other, { sizeMm, tips: {} }).layers), sizeMm },
      }
      return { change, worth: worth * scales.lookOf(change) ** LOOK_POWER }
    })
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_OTHERS)
    .map((o) => o.change)
}

/** Squares and lifting, for a flower that is piped on a nail. */
const squareSeconds = ({ workshop: { settings } }: Scales['at'], flower: Flower): number =>
  flower.setting === 'nail' ? settings.squareSeconds + settings.liftSeconds : 0

type Layers = FittedPlacement['fitted']['layers']

/** How many of the strokes of two flowers are of like texture, told from their recipes alone: no picture is needed for it. */
function likeness(a: Layers, b: Layers): number {
  const shares = (layers: Layers) => {
    const of = new Map<string, number>()
    let all = 0
    for (const { layer } of layers) {
      const texture = strokeDefinition(layer.stroke.kind).texture
      of.set(texture, (of.get(texture) ?? 0) + layer.count)
      all += layer.count
    }
    return new Map([...of].map(([t, n]) => [t, n / all]))
  }
  const [x, y] = [shares(a), shares(b)]
  return [...x].reduce((sum, [t, s]) => sum + Math.min(s, y.get(t) ?? 0), 0)
}

/** The roles of another recipe in the colours of a flower: what shows most in what shows most, and so on. */
function coloursFor(of: FittedPlacement, other: Flower, layers: Layers): Record<string, string> {
  const byArea = (seen: ReturnType<typeof seenFromAbove>, roles: readonly string[]) => {
    const areaOf = (role: string) => seen.areas.reduce((sum, a) => sum + (a.role === role ? a.mm2 : 0), 0)
    return [...roles].sort((a, b) => areaOf(b) - areaOf(a))
  }
  const have = byArea(
    seenFromAbove(of.fitted.layers),
    of.flower.roles.map((r) => r.id),
  )
    .map((role) => of.colours[role])
    .filter((id) => id !== undefined)
  if (have.length === 0) return {}
  return Object.fromEntries(
    byArea(
      seenFromAbove(layers),
      other.roles.map((r) => r.id),
    ).map((role, i) => [role, have[Math.min(i, have.length - 1)]!]),
  )
}

/** Colours of the order that are near enough to be one; a green never becomes what is not green. */
function colourMoves({ order }: Scales): LighterMove[] {
  return order.colours.flatMap((from) =>
    order.colours.flatMap((into): LighterMove[] => {
      if (from === into || colourApart(from.hex, into.hex) > NEAR_COLOUR) return []
      if (isGreen(from.hex) !== isGreen(into.hex)) return []
      return [
        {
          slot: `colour ${from.id}`,
          pieceId: null,
          changes: [{ kind: 'colour', fromId: from.id, intoId: into.id }],
        },
      ]
    }),
  )
}

/**
 * Colours of which only dots and threads of some flowers are piped: painted on with food colour they need no bowl, no bag and no tip.
 * Never a whole flower, and nothing that others stand on.
 */
function paintedMoves({ order, at }: Scales, placements: readonly FittedPlacement[]): LighterMove[] {
  const { uses } = demand(at)
  return order.colours.flatMap((colour): LighterMove[] => {
    const own = uses.filter((u) => u.parts.some((p) => p.colourId === colour.id))
    const changes = placements.flatMap((p): LighterChange[] => {
      const ids = own
        .filter((u) => u.pieceId === p.piece.id && u.placedId === p.placed.id)
        .map((u) => u.layerId!)
      if (ids.length === 0) return []
      return [
        {
          ...{ kind: 'painted', pieceId: p.piece.id, placedId: p.placed.id, leftOut: ids, hex: colour.hex },
          name: `${colour.name} painted on ${p.flower.name}`.slice(0, 80),
        },
      ]
    })
    if (changes.length === 0 || own.some((u) => u.form !== 'flower' || u.placedId === null)) return []
    return own.every((u) => isPaintable(u, placements))
      ? [{ slot: `painted ${colour.id}`, pieceId: null, changes }]
      : []
  })
}

/** Small dots and threads on top of something else, in one colour. */
function isPaintable(use: Use, placements: readonly FittedPlacement[]): boolean {
  const { layers } = placements.find(
    (p) => p.piece.id === use.pieceId && p.placed.id === use.placedId,
  )!.fitted
  const { layer } = layers.find((l) => l.layer.id === use.layerId)!
  const { texture, small = false, walls = false } = strokeDefinition(layer.stroke.kind)
  const onTop = layers.length > 1 && layers[0]!.layer.id !== use.layerId
  return onTop && !walls && use.parts.length === 1 && (small || texture === 'dotted' || texture === 'spiked')
}

/** How far two colours are from each other, CIEDE2000. */
export const colourApart = (a: string, b: string): number => ciede2000(hexToLab(a), hexToLab(b))

export function isGreen(hex: string): boolean {
  const [, a, b] = hexToLab(hex)
  const hue = (Math.atan2(b, a) * 180) / Math.PI
  return Math.hypot(a, b) >= GREEN.chroma && hue >= GREEN.from && hue <= GREEN.to
}
