import { newSheetFrame } from '../geometry/sheet.ts'
import { newTubeFrame } from '../geometry/tube.ts'
import type { PileLayer } from '../pile/piled.ts'
import { traceStroke } from '../strokes/quantities.ts'
import { openingSize } from '../tips/index.ts'
import { heldFor } from './held.ts'
import type { Show, ShownStroke } from './show.ts'
import { turnWords } from './turnWords.ts'
import { dot, unit, type Vec } from './vec.ts'
import { distance, type Moment } from './way.ts'

/** What a hand has to know of a layer, in numbers read off its own stroke. */
export type FigureName =
  | 'lean'
  | 'lift'
  | 'start'
  | 'turn'
  | 'out'
  | 'pull'
  | 'rise'
  | 'wide'
  | 'tall'
  | 'way'

export interface LessonFigure {
  name: FigureName
  /** Degrees or millimetres. */
  value: number
  unit: '°' | 'mm'
}

/** One layer as a lesson: what to do in a sentence, three figures, and how long a stroke takes. */
export interface Lesson {
  headline: string
  figures: LessonFigure[]
  seconds: number
  strokes: number
}

/** What a flower stands on while it is piped. */
export type Ground = 'nail' | 'turntable'

/** Reads a layer's lesson off its strokes. @param say how a length is told. */
export function lessonOf(
  show: Show,
  layers: readonly PileLayer[],
  l: number,
  ground: Ground,
  say: (mm: number) => string,
): Lesson {
  const own = show.strokes.filter((s) => s.layer === l)
  const first = own[0]
  if (!first) return { headline: 'Nothing is piped in this layer.', figures: [], seconds: 0, strokes: 0 }
  const layer = layers[l]!
  const figures = meanFigures(own.map((stroke) => figuresOf(stroke, layer)))
  return {
    headline: headlineOf(figures, layer, ground, say),
    figures,
    seconds: first.timing.begins.away - first.timing.begins.swell,
    strokes: own.length,
  }
}

/** One hand slips a little at every stroke: a layer's figure is what they have in the middle. */
const meanFigures = (each: readonly LessonFigure[][]): LessonFigure[] =>
  each[0]!.map((figure) => {
    const same = each.flatMap((figures) => figures.find((f) => f.name === figure.name)?.value ?? [])
    return { ...figure, value: same.reduce((sum, v) => sum + v, 0) / same.length }
  })

const degrees = (rad: number): number => (rad * 180) / Math.PI

function figuresOf(shown: ShownStroke, layer: PileLayer): LessonFigure[] {
  const { moments, nail, up } = shown
  const [first, last] = [moments[0]!, moments.at(-1)!]
  const middle = moments[moments.length >> 1]!
  const mm = (name: FigureName, value: number): LessonFigure => ({ name, value, unit: 'mm' })
  const deg = (name: FigureName, value: number): LessonFigure => ({ name, value, unit: '°' })
  const turn = deg('turn', degrees(Math.abs(nail.at(-1)! - nail[0]!)))
  // on the side of a dome a height over the table tells a hand nothing
  const start = up[2] > ABOUT_UPRIGHT ? [mm('start', Math.max(0, aimedFoot(layer)))] : []
  switch (heldFor(layer.stroke.kind).told) {
    case 'spot': {
      const widest = Math.sqrt(Math.max(...moments.map((m) => m.fullness)))
      return [
        mm('wide', widest * openingSize(layer.opening)),
        mm('tall', distance(last.tip, first.tip)),
        ...start,
      ]
    }
    case 'stand':
      return [deg('lean', leanOf(middle, up)), ...start, turn]
    case 'lie':
      return [
        deg('lift', degrees(Math.asin(dot(middle.slot!, up)))),
        mm('out', reachOf(moments, layer)),
        turn,
      ]
    case 'pull':
      return [mm('pull', wayLength(moments)), deg('rise', riseAt(moments, up)), ...start]
    case 'way':
      return [mm('way', wayLength(moments)), ...start, ...(turn.value > TURNS_DEG ? [turn] : [])]
  }
}

/** A seat that leans over further than this is no level ground: the cosine of it. */
const ABOUT_UPRIGHT = Math.cos((15 * Math.PI) / 180)
/** Less of a turn than this is none. */
const TURNS_DEG = 5

/** Height at which a stroke is begun as it is aimed, mm: the wide end of a slot, the opening where it has none. */
function aimedFoot({ stroke, opening, ringMm, heightMm }: PileLayer): number {
  const trace = traceStroke(stroke, { ringMm, heightMm, azimuth: 0 }, opening)
  if (trace.primitive === 'tube') {
    const frame = newTubeFrame()
    trace.path(0, frame)
    return frame.z
  }
  const frame = newSheetFrame()
  trace.path(0, frame)
  return frame.pz
}

/** The wide end of a slot; the opening itself where it has none. */
function footOf({ tip, slot }: Moment, { opening }: PileLayer): Vec {
  if (!slot) return tip
  const half = openingSize(opening) / 2
  return [tip[0] - slot[0] * half, tip[1] - slot[1] * half, tip[2] - slot[2] * half]
}

/** How far a slot leans out from upright, degrees; negative where it leans in. */
function leanOf({ slot, outward }: Moment, up: Vec): number {
  const out = dot(slot!, [Math.cos(outward), Math.sin(outward), 0])
  return degrees(Math.atan2(out, dot(slot!, up)))
}

/** How far the wide end goes out and comes back again. */
function reachOf(moments: readonly Moment[], layer: PileLayer): number {
  const from = footOf(moments[0]!, layer)
  return Math.max(...moments.map((m) => distance(footOf(m, layer), from)))
}

const wayLength = (moments: readonly Moment[]): number =>
  moments.reduce((sum, m, i) => sum + (i === 0 ? 0 : distance(m.tip, moments[i - 1]!.tip)), 0)

/** How steeply a pull ends, degrees over level. */
function riseAt(moments: readonly Moment[], up: Vec): number {
  const [a, b] = [moments[Math.floor(moments.length * 0.7)]!, moments.at(-1)!]
  const way = unit([b.tip[0] - a.tip[0], b.tip[1] - a.tip[1], b.tip[2] - a.tip[2]])
  return degrees(Math.asin(Math.max(-1, Math.min(1, dot(way, up)))))
}

/** Less than this is level, upright, or on the ground. */
const HARDLY_DEG = 3
const HARDLY_MM = 0.5

function headlineOf(
  figures: readonly LessonFigure[],
  _layer: PileLayer,
  ground: Ground,
  say: (mm: number) => string,
): string {
  const figure = (name: FigureName) => figures.find((f) => f.name === name)?.value
  const whole = (value: number) => `${Math.round(Math.abs(value))}°`
  const said: string[] = []
  const [lean, lift, out, pull, rise] = [
    figure('lean'),
    figure('lift'),
    figure('out'),
    figure('pull'),
    figure('rise'),
  ]
  const [wide, tall, way, start, turn] = [
    figure('wide'),
    figure('tall'),
    figure('way'),
    figure('start'),
    figure('turn'),
  ]
  if (lean !== undefined)
    said.push(
      Math.abs(lean) < HARDLY_DEG ? 'hold it upright' : `lean it ${whole(lean)} ${lean > 0 ? 'out' : 'in'}`,
    )
  if (lift !== undefined)
    said.push(
      Math.abs(lift) < HARDLY_DEG
        ? 'lay it level'
        : lift > 0
          ? `lay it with its free edge ${whole(lift)} up`
          : `lay it with its free edge ${whole(lift)} down`,
    )
  if (out !== undefined && out >= HARDLY_MM) said.push(`go ${say(out)} out and back`)
  if (pull !== undefined) said.push('squeeze, let go', `pull ${say(pull)}${risen(rise, whole)}`)
  if (wide !== undefined && tall !== undefined)
    said.push(`squeeze on the spot to ${say(wide)} wide and ${say(Math.max(HARDLY_MM, tall))} high`)
  if (way !== undefined) said.push(`draw it ${say(way)} long`)
  if (start !== undefined && wide === undefined)
    said.push(start < HARDLY_MM ? `start on the ${ground}` : `start ${say(start)} up`)
  if (turn !== undefined) said.push(turnWords(turn, ground))
  const sentence = said.join('; ')
  return `${sentence[0]!.toUpperCase()}${sentence.slice(1)}.`
}

function risen(rise: number | undefined, whole: (value: number) => string): string {
  if (rise === undefined || Math.abs(rise) < HARDLY_DEG) return ' level'
  return rise > 80 ? ' straight up' : `, ${whole(rise)} ${rise > 0 ? 'up' : 'down'} at its end`
}
