import type { Flower, Layer } from '../model/flower.ts'
import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import type { StrokeDefinition } from '../strokes/stroke.ts'
import { openingArea, shortOpening } from '../tips/index.ts'
import { canBeDone } from '../tools/fits.ts'
import { type ResolvedLayer, standsRound } from './layers.ts'
import type { FlowerMeasure } from './measure.ts'
import { piledFlower } from './piled.ts'
import { petalWidthDeg, rowReachMm, topOf } from './rowsPiled.ts'
import { widestMm } from './widest.ts'

/** A change that mends what a check found: to one layer, or to the flower itself. */
export interface FlowerRemedy {
  label: string
  layer?: { id: string; part: Partial<Layer> }
  flower?: Partial<Pick<Flower, 'setting' | 'nailMm'>>
}

/** Something the geometry says will not work, or will look stiff. */
export interface FlowerCheck {
  code:
    | 'mound-too-high'
    | 'row-gaps'
    | 'row-full'
    | 'petals-opposite'
    | 'wider-than-nail'
    | 'in-place-only'
    | 'no-foot'
    | 'hand-strain'
    | 'tool-idle'
    | 'too-full'
    | 'floating'
    | 'foot-in-air'
    | 'open-slits'
  severity: 'note' | 'decide'
  layerId: string | null
  message: string
  remedy: FlowerRemedy | null
}

type Check = (flower: Flower, layers: readonly ResolvedLayer[], measure: FlowerMeasure) => FlowerCheck[]

const mm = (value: number) => `${Math.round(value)} mm`
const definitionOf = (layer: Layer) => strokeDefinition(layer.stroke.kind)
const isMound = (stroke: Stroke): stroke is Extract<Stroke, { kind: 'mound' }> =>
  strokeDefinition(stroke.kind).squeezed === 'mound'
const isFull = (layer: Layer) => layer.spreadDeg >= 360 && standsRound(layer)

/** What is squeezed no further from the axis than this stands in the middle, mm. */
const CENTRAL_MM = 0.5

/** A mound that stands so much above the wall around it is not yet seen to push it, mm. */
const OVER_MM = 0.25

/** Petal walls that go once round a mound lower than they are: higher, it pushes them open. */
const moundTooHigh: Check = (_, layers) =>
  layers.flatMap(({ layer: mound }, m): FlowerCheck[] => {
    const { stroke } = mound
    if (!isMound(stroke) || mound.at.kind !== 'ring' || mound.ringMm > CENTRAL_MM) return []
    return layers.flatMap((resolved, w) => {
      const { layer } = resolved
      const about = w > m && layer.at.kind === 'ring' && layer.floretId === mound.floretId
      if (!about || !definitionOf(layer).walls || layer.ringMm > stroke.radiusMm + 2) return []
      const strokes = piledFlower(layers)
      const over = topOf(strokes, m) - topOf(strokes, w)
      if (over <= OVER_MM) return []
      const lower = Math.max(1, Math.floor(stroke.tallMm - over + OVER_MM - 1))
      return [
        {
          code: 'mound-too-high',
          severity: 'decide',
          layerId: mound.id,
          message: `“${mound.name}” stands ${mm(Math.max(1, over))} above the wall of “${layer.name}” and will push it open.`,
          remedy: {
            label: `Lower it to ${mm(lower)}`,
            layer: { id: mound.id, part: { stroke: { ...stroke, tallMm: lower } } },
          },
        },
      ]
    })
  })

/** Strokes whose rows are meant to close around the flower. */
const closes = (layer: Layer) => definitionOf(layer).petal === 'closing'
/** A row that covers so much of a turn is closed to the eye. */
const CLOSED = 0.92
const FULL_TURN = 360
/** Petals of a row that lie over more than this many thicknesses do not find room. */
const MOST_OVERLAP = 2.7
const HEART_MM = 3.5

/** Standing rows that do not close, or hold more petals than there is room for. */
const rows: Check = (_, layers) =>
  layers.flatMap((resolved, i): FlowerCheck[] => {
    const { layer } = resolved
    if (!closes(layer) || layer.spreadDeg < FULL_TURN || layer.at.kind !== 'ring' || layer.count < 2)
      return []
    const width = petalWidthDeg(piledFlower(layers).filter((s) => s.layer === i))
    const cover = (width * layer.count) / FULL_TURN
    // the innermost petals close a heart: they are meant to wrap each other, or to leave it open
    if (layer.ringMm <= HEART_MM) return []
    if (cover < CLOSED) {
      const enough = Math.ceil(FULL_TURN / width)
      return [
        {
          code: 'row-gaps',
          severity: 'decide',
          layerId: layer.id,
          message: `${layer.count} petals of ${Math.round(width)}° leave gaps in “${layer.name}”: the row beneath shows through.`,
          remedy: { label: `Pipe ${enough}`, layer: { id: layer.id, part: { count: enough } } },
        },
      ]
    }
    if (cover > MOST_OVERLAP) {
      const room = Math.max(2, Math.floor((2 * FULL_TURN) / width))
      return [
        {
          code: 'row-full',
          severity: 'decide',
          layerId: layer.id,
          message: `${layer.count} petals of ${Math.round(width)}° in “${layer.name}” lie ${cover.toFixed(1)} deep: there is no room for the tip between them.`,
          remedy: { label: `Pipe ${room}`, layer: { id: layer.id, part: { count: room } } },
        },
      ]
    }
    return []
  })

/** A row that reaches so much of the outermost one's reach is seen with it. */
const BETWEEN = 0.8

/** Two or four petals in the outermost row stand exactly opposite each other, which looks stiff. */
const petalsOpposite: Check = (_, layers) => {
  const [outermost, next] = layers
    .filter(({ layer }) => definitionOf(layer).petal && isFull(layer) && layer.count > 1)
    .map((resolved) => ({
      layer: resolved.layer,
      reach: rowReachMm(piledFlower(layers).filter((s) => s.layer === layers.indexOf(resolved))),
    }))
    .sort((a, b) => b.reach - a.reach)
  // a second row that reaches nearly as far stands between them
  if (!outermost || (next && next.reach > BETWEEN * outermost.reach)) return []
  const { layer } = outermost
  if (layer.count !== 2 && layer.count !== 4) return []
  return [
    {
      code: 'petals-opposite',
      severity: 'note',
      layerId: layer.id,
      message: `${layer.count} petals in “${layer.name}” stand exactly opposite each other, which looks stiff. Odd numbers sit better.`,
      remedy: {
        label: `Pipe ${layer.count + 1}`,
        layer: { id: layer.id, part: { count: layer.count + 1 } },
      },
    },
  ]
}

const NAILS = [25, 30, 40, 50, 60, 70, 80]

/** A flower that hangs over the edge of its nail. */
const widerThanNail: Check = (flower, _, measure) => {
  if (flower.nailMm === null || widestMm(measure) <= flower.nailMm) return []
  const { diameterMm } = measure
  if (diameterMm <= flower.nailMm) return []
  const larger = NAILS.find((n) => n >= diameterMm)
  return [
    {
      code: 'wider-than-nail',
      severity: 'decide',
      layerId: null,
      message: `It is ${mm(diameterMm)} across and its nail ${mm(flower.nailMm)}: the last petals hang over the edge.`,
      remedy: larger ? { label: `Take a ${mm(larger)} nail`, flower: { nailMm: larger } } : null,
    },
  ]
}

/** A foot further out than this ties nothing together. */
const FOOT_MM = 2.5

/** What cannot be lifted, put on a nail; and petals with nothing beneath that ties them together. */
const lifting: Check = (flower, layers) => {
  if (flower.setting !== 'nail') return []
  const scraped = layers.find(({ layer }) => definitionOf(layer).fragile)?.layer
  if (scraped)
    return [
      {
        code: 'in-place-only',
        severity: 'decide',
        layerId: scraped.id,
        message: `“${scraped.name}” is a ${definitionOf(scraped).label}: it is spoiled when the flower is lifted from its nail.`,
        remedy: { label: 'Pipe it in place', flower: { setting: 'inPlace', nailMm: null } },
      },
    ]
  // lying petals that begin at the centre hold each other; so does a one-piece wall
  const ties = ({ foots, petal }: StrokeDefinition) => foots || petal === 'lying'
  if (layers.some(({ layer }) => ties(definitionOf(layer)) && standsRound(layer) && layer.ringMm < FOOT_MM))
    return []
  return [
    {
      code: 'no-foot',
      severity: 'note',
      layerId: null,
      message: 'Nothing ties its petals together at the foot: it may break when lifted. Pipe a disc first.',
      remedy: null,
    },
  ]
}

/** Opening under which stiff icing hurts the hand, mm². */
const NARROW_MM2 = 2

const handStrain: Check = (_, layers) =>
  layers.flatMap(({ layer, tip }): FlowerCheck[] => {
    if (layer.stiffness !== 'stiff' || openingArea(tip.opening) >= NARROW_MM2) return []
    return [
      {
        code: 'hand-strain',
        severity: 'note',
        layerId: layer.id,
        message: `“${layer.name}” pushes stiff icing through ${shortOpening(tip.opening)}: hard on the hand, and it breaks.`,
        remedy: { label: 'Pipe it soft', layer: { id: layer.id, part: { stiffness: 'soft' } } },
      },
    ]
  })

/** Tool steps that were meant for another stroke: a notch in what has no edge. */
const idleTools: Check = (_, layers) =>
  layers.flatMap(({ layer, tip }) =>
    layer.tools
      .filter((step) => !canBeDone(step.work.kind, layer.stroke, tip.opening))
      .map(
        (step): FlowerCheck => ({
          code: 'tool-idle',
          severity: 'decide',
          layerId: layer.id,
          message: `“${step.name}” cannot be done to “${layer.name}”, which is piped as ${definitionOf(layer).label}: it takes time and changes nothing.`,
          remedy: {
            label: 'Leave it out',
            layer: { id: layer.id, part: { tools: layer.tools.filter((s) => s !== step) } },
          },
        }),
      ),
  )

const checks: readonly Check[] = [
  ...[moundTooHigh, rows, lifting, widerThanNail, petalsOpposite, handStrain, idleTools],
]

/** Everything the geometry of a fitted flower says will not work, what wants a decision first. */
export function flowerChecks(
  flower: Flower,
  layers: readonly ResolvedLayer[],
  measure: FlowerMeasure,
): FlowerCheck[] {
  return checks
    .flatMap((check) => check(flower, layers, measure))
    .sort((a, b) => Number(a.severity === 'note') - Number(b.severity === 'note'))
}
