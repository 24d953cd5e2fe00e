import { ciede2000 } from '../../colour/ciede2000.ts'
import type { ShownFlower, ShownPiece, ShownTexture } from './shown.ts'
import { transportCost } from './transport.ts'

/** How much of the look one order keeps of another's: 1 all of it. */
export interface LookKept {
  order: number
  /** By piece id. */
  pieces: Map<string, number>
}

/** What a look is weighed by: exponents of its parts. They say what is noticed first from a step away. */
const WEIGHT = {
  colour: 0.34,
  texture: 0.22,
  focal: 0.1,
  identity: 0.1,
  detail: 0.08,
  size: 0.07,
  cover: 0.06,
  relief: 0.05,
}
/** Colours further apart than this are simply other colours. */
const OTHER_COLOUR = 40
/** Small areas count for more than their size: a yellow centre is seen. */
const AREA_POWER = 0.75
const MOVED_COSTS = 1.3
/** No part takes a look below this by itself. */
const FLOOR = 0.02
/** Other flowers of the same colours, textures and sizes still make a cake of the same kind. */
const IDENTITY_FLOOR = 0.15
/** Flowers from this share of the largest are what the eye goes to. */
const FOCAL_SHARE = 0.6
/** A mean change of sizes, or of heights, at which nothing of them is kept: as a ratio. */
const SIZE_LOST = 1.8
const HEIGHT_LOST = 3
/** The order is its pieces, and a little the worst of them: one spoiled piece is remembered. */
const WORST_SHARE = 0.3

/** From here on nobody would say that anything was changed; below the second it is another design. */
export const SAME_LOOK = 0.93
export const NEAR_LOOK = 0.72

/** The look in a word. */
export const lookWords = (look: number): string =>
  look >= SAME_LOOK ? 'the same look' : look >= NEAR_LOOK ? 'a near look' : 'another look'

/** How much of `before` is kept in `after`; pieces are matched by their ids, one that is gone keeps nothing. */
export function lookKept(before: readonly ShownPiece[], after: readonly ShownPiece[]): LookKept {
  const then = new Map(after.map((p) => [p.pieceId, p]))
  const pieces = new Map(
    before.map((p) => {
      const other = then.get(p.pieceId)
      return [p.pieceId, other ? pieceKept(p, other) : FLOOR] as const
    }),
  )
  return { order: orderLook(before, [...pieces.values()]), pieces }
}

/** The look of an order from that of its pieces, in the same order: their mean by what they are of it, and a little the worst. */
export function orderLook(before: readonly Pick<ShownPiece, 'weight'>[], looks: readonly number[]): number {
  const all = before.reduce((sum, p) => sum + p.weight, 0)
  if (all === 0) return 1
  const mean = before.reduce((sum, p, i) => sum + (p.weight / all) * looks[i]!, 0)
  return (1 - WORST_SHARE) * mean + WORST_SHARE * Math.min(...looks)
}

function pieceKept(a: ShownPiece, b: ShownPiece): number {
  // hundreds of dots round an edge are no sizes of flowers: a border counts by its colour, its texture and its edges
  const standing = (p: ShownPiece) => p.flowers.filter((f) => !f.border)
  const flowers = (p: ShownPiece) => p.flowers.filter((f) => f.flower)
  const kept = {
    colour: 1 - MOVED_COSTS * colourMoved(a, b),
    texture: 1 - MOVED_COSTS * textureMoved(a, b),
    focal: Math.sqrt(ratio(focal(a), focal(b))),
    identity: IDENTITY_FLOOR + (1 - IDENTITY_FLOOR) * sharedFlowers(a, b),
    detail: ratio(a.edgesMm, b.edgesMm),
    size: 1 - apart(standing(a), standing(b), (f) => f.diameterMm) / Math.log(SIZE_LOST),
    cover: ratio(a.covered, b.covered),
    relief: 1 - apart(flowers(a), flowers(b), (f) => f.heightMm) / Math.log(HEIGHT_LOST),
  }
  return (Object.keys(WEIGHT) as (keyof typeof WEIGHT)[]).reduce(
    (look, part) => look * Math.max(FLOOR, kept[part]) ** WEIGHT[part],
    1,
  )
}

const ratio = (a: number, b: number) => (a === b ? 1 : Math.min(a, b) / Math.max(a, b))

/** Shares that sum to 1, small areas lifted. */
function shares(areas: readonly number[]): number[] {
  const lifted = areas.map((mm2) => Math.max(0, mm2) ** AREA_POWER)
  const all = lifted.reduce((sum, s) => sum + s, 0)
  return lifted.map((s) => (all === 0 ? 0 : s / all))
}

function colourMoved(a: ShownPiece, b: ShownPiece): number {
  const [from, to] = [[...a.colours.values()], [...b.colours.values()]]
  return transportCost(shares(from.map((c) => c.mm2)), shares(to.map((c) => c.mm2)), (i, j) =>
    from[i] === to[j] ? 0 : Math.min(1, ciede2000(from[i]!.lab, to[j]!.lab) / OTHER_COLOUR),
  )
}

/** Textures that pass for each other, and how far they are apart; others are `FAR`. */
const NEAR: Readonly<Record<string, number>> = {
  'lying standing': 0.3,
  'lying ruffled': 0.35,
  'lying spiked': 0.45,
  'lying swirled': 0.65,
  'dotted swirled': 0.5,
  'leaf lying': 0.4,
}
const FAR = 0.9

function textureMoved(a: ShownPiece, b: ShownPiece): number {
  const [from, to] = [[...a.textures], [...b.textures]]
  return transportCost(shares(from.map(([, mm2]) => mm2)), shares(to.map(([, mm2]) => mm2)), (i, j) =>
    texturesApart(from[i]![0], to[j]![0]),
  )
}

const texturesApart = (a: ShownTexture, b: ShownTexture): number =>
  a === b ? 0 : (NEAR[[a, b].sort().join(' ')] ?? FAR)

function focal({ flowers }: ShownPiece): number {
  const largest = Math.max(0, ...flowers.map((f) => f.diameterMm))
  return flowers.reduce((sum, f) => sum + (f.diameterMm >= FOCAL_SHARE * largest ? f.count : 0), 0)
}

/** Share of what shows that is the same recipes. */
function sharedFlowers(a: ShownPiece, b: ShownPiece): number {
  const byId = (p: ShownPiece) => {
    const of = shares(p.flowers.map((f) => f.mm2))
    const sums = new Map<string, number>()
    p.flowers.forEach((f, i) => {
      sums.set(f.flowerId, (sums.get(f.flowerId) ?? 0) + of[i]!)
    })
    return sums
  }
  const [from, to] = [byId(a), byId(b)]
  if (from.size === 0 && to.size === 0) return 1
  return [...from].reduce((sum, [id, share]) => sum + Math.min(share, to.get(id) ?? 0), 0)
}

/**
 * Mean ratio, as a logarithm, by which sizes have to change to turn one set into the other: the distance between their
 * distributions, which in one dimension is the area between the cumulative ones.
 */
function apart(a: readonly ShownFlower[], b: readonly ShownFlower[], of: (f: ShownFlower) => number): number {
  if (a.length === 0 && b.length === 0) return 0
  const count = (set: readonly ShownFlower[]) => set.reduce((sum, f) => sum + f.count, 0)
  const [all, others] = [count(a), count(b)]
  // from something to nothing: all of it is lost
  if (all === 0 || others === 0) return Number.POSITIVE_INFINITY
  const steps = [
    ...a.map((f) => ({ at: Math.log(of(f)), by: f.count / all })),
    ...b.map((f) => ({ at: Math.log(of(f)), by: -f.count / others })),
  ].sort((x, y) => x.at - y.at)
  let ahead = 0
  let area = 0
  for (let k = 0; k + 1 < steps.length; k++) {
    ahead += steps[k]!.by
    area += Math.abs(ahead) * (steps[k + 1]!.at - steps[k]!.at)
  }
  return area
}
