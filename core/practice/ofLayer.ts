import { type ShownStroke, showOf } from '../demonstration/show.ts'
import { squeezeAt } from '../demonstration/timing.ts'
import { type ResolvedLayer, standsRound } from '../flowers/layers.ts'
import { pileLayers } from '../flowers/piled.ts'
import { unitSeed } from '../mesh/flowerMesh.ts'
import type { Layer } from '../model/flower.ts'
import { pile } from '../pile/pile.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { openingSize, openingSlot } from '../tips/index.ts'
import type { Point } from './attempt.ts'
import { type Drill, type DrillStroke, type Key, lengthOf } from './drill.ts'
import { MOST_FLOW, mouthOf, USUAL_SQUEEZE } from './flow.ts'
import { known, mean, median } from './numbers.ts'
import { evenly } from './path.ts'

/** Of a layer so many strokes are practised: enough to see whether they are alike. */
const MOST_STROKES = 8
/** Shorter than this as seen from above a stroke stays on the spot, mm. */
const SPOT_MM = 2.5
/** Longer than this one stroke or two are ropes of their own, mm. */
const ROPE_MM = 20
/** Paper around what is piped, mm, and around the nail. */
const AROUND_MM = 14
const NAIL_MM = 5
/** Flow follows the squeeze by about this power, for finding the flow that a stroke's own squeeze needs. */
const POWER = 1.8
/** A sheet that stands shows this share of its slot at least. */
const LEAST_SEEN = 0.12
/** Less than this is the squeeze coming or going. */
const LEAST_SQUEEZE = 0.05
/** A nail that is turned by less than this over all strokes, radians, is none. */
const NAIL_TURNS = 0.1
/** How finely a stroke's clock is written down. */
const KEYS = 40

/**
 * The strokes of a layer as a drill: as they are shown, seen from above, with the nail turning as it does there.
 * @param layers of the flower, at its size; `index` which of them.
 * @param seed of the flower, so that the layer lies as its picture does.
 * @returns null where the layer pipes nothing.
 */
export function drillOfLayer(
  layers: readonly ResolvedLayer[],
  index: number,
  seed: number,
): Omit<Drill, 'id' | 'label' | 'does'> | null {
  const piled = pileLayers(layers.map((l) => ({ ...l, layer: { ...l.layer, tools: [] } })))
  const show = showOf(piled, [pile(piled, unitSeed(seed, 0))], null)
  const own = show.strokes.filter((s) => s.layer === index).slice(0, MOST_STROKES)
  const { layer, tip } = layers[index]!
  if (own.length === 0) return null
  const flow = show.flows[index]!
  const raw = own.map((s) => strokeOf(s, flow))
  const far = Math.max(
    ...raw.flatMap(({ path }) => path.map((p) => Math.hypot(p.x, p.y))),
    openingSize(tip.opening),
  )
  const turns = own.some((s) => s.nail.some((n) => Math.abs(n - own[0]!.nail[0]!) > NAIL_TURNS))
  const half = far + AROUND_MM + (turns ? NAIL_MM : 0)
  const middle = { x: half, y: half }
  const volume = own.reduce((sum, s) => sum + s.moments.reduce((v, m) => v + m.mm3, 0), 0)
  const wanted = volume / raw.reduce((sum, { pressed }) => sum + pressed, 0)
  // what no hand can give at this pace is piped at another
  const slower = Math.max(1, wanted / MOST_FLOW)
  const strokes = raw.map(({ path, nails, keys }) => ({
    path: path.map((p) => ({ x: p.x + half, y: p.y + half })),
    ...(turns ? { nails } : {}),
    keys: keys.map((key) => ({ ...key, t: key.t * slower })),
  }))
  const slot = openingSlot(tip.opening)
  const long = strokes.reduce((sum, s) => sum + lengthOf(s.path), 0)
  const area = long > 0 ? volume / long : mouthOf(tip.opening).areaMm2
  const spots = strokes.every((s) => s.path.length === 1)
  const ropes = strokes.length < 3 && strokes.some((s) => lengthOf(s.path) > ROPE_MM)
  return {
    ...{ opening: tip.opening, stiffness: layer.stiffness, wide: 2 * half, high: 2 * half },
    nail: turns ? { middle, radiusMm: far + NAIL_MM } : null,
    flow: wanted / slower,
    section: long > 0 ? area : null,
    heightShare: slot && !spots ? (4 * area) / (Math.PI * seenWidth(own, slot.lengthMm) ** 2) : null,
    looks: spots ? 'spots' : ropes ? 'rope' : strokes.length < 3 ? 'strokes' : 'row',
    closes: standsRound(layer) && strokes.length >= 3 && strokes.length === layer.count,
    strokes,
  }
}

/** Whether a layer is a drill at all: what is poured or flooded is no stroke of a hand. */
export const isDrill = (layer: Layer): boolean =>
  layer.count > 0 && strokeDefinition(layer.stroke.kind).rests !== 'spreads'

/** How wide a sheet is as seen from above, mm: all of its slot where that lies, hardly more than its thickness where it stands. */
function seenWidth(own: readonly ShownStroke[], slotMm: number): number {
  const lies = own.flatMap((s) => s.moments.map(({ slot }) => (slot ? Math.hypot(slot[0], slot[1]) : 0)))
  return slotMm * Math.max(LEAST_SEEN, mean(lies))
}

/** One shown stroke from above; y goes down, so a nail that is shown turning anticlockwise is turned by a negative angle. */
function strokeOf(
  { moments, timing, nail }: ShownStroke,
  flow: number,
): Required<DrillStroke> & { pressed: number } {
  const seen: Point[] = moments.map(({ tip }) => ({ x: tip[0], y: -tip[1] }))
  const along = [0]
  for (let i = 1; i < seen.length; i++)
    along.push(along[i - 1]! + Math.hypot(seen[i]!.x - seen[i - 1]!.x, seen[i]!.y - seen[i - 1]!.y))
  const total = along.at(-1)!
  const spot = total < SPOT_MM
  const path = spot ? [seen[seen.length >> 1]!] : evenly(seen)
  const shareOf = (i: number) => (spot ? 0 : along[i]! / total)
  const starts = timing.begins.swell
  const ends = timing.begins.away
  const raw = Array.from({ length: KEYS + 1 }, (_, i) => {
    const second = starts + ((ends - starts) * i) / KEYS
    return { t: second - starts, second, squeeze: squeezeAt(timing, moments, flow, second) }
  })
  const usual = median(raw.map((k) => k.squeeze).filter((p) => p > LEAST_SQUEEZE)) || 1
  const keys: Key[] = raw.map(({ t, second, squeeze }) => ({
    ...{ t, at: known(timing.at, shareOf, second) },
    squeeze: Math.min(1, (squeeze * USUAL_SQUEEZE) / usual),
  }))
  const step = (ends - starts) / KEYS
  return {
    path,
    nails: path.map((_, i) => -known(along, (k) => nail[k]!, (total * i) / Math.max(1, path.length - 1))),
    keys,
    pressed: keys.reduce((sum, k) => sum + (k.squeeze / USUAL_SQUEEZE) ** POWER * step, 0),
  }
}
