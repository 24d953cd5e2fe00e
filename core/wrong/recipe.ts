import type { PileLayer } from '../pile/piled.ts'
import { type Random, seeded, slip } from '../random.ts'
import { strokeDefinition } from '../strokes/index.ts'
import type { FaultId } from './faults.ts'

/** Petals that are not leaned stand so much further up than they should, degrees. */
const SHUT_BY_DEG = 44
/** Without overlap a petal spans this share of what it should. */
const SPAN_LEFT = 0.58
/** A mound is piled so much too high. */
const TOO_HIGH = 1.75
/** An unevenly turned nail misses a place by up to this share of the way to the next one. */
const MISSES_BY = 0.62
const SEED = 41

/** Whether a fault can be put into strokes as they are aimed; the others are put into what was laid. */
export function isAimed(fault: FaultId): boolean {
  return ['leanedTooLittle', 'noOverlap', 'moundTooHigh', 'unevenTurn'].includes(fault)
}

/** Whether a fault shows in a layer at all. */
export function shows(fault: FaultId, { stroke, spots }: PileLayer): boolean {
  const { squeezed, rests, walls } = strokeDefinition(stroke.kind)
  const isSheet = !squeezed && rests !== 'coils' && 'tiltMidDeg' in stroke
  switch (fault) {
    case 'wrongEndDown':
      return slotted(stroke)
    case 'leanedTooLittle':
      return isSheet && rests === 'stands' && !walls
    case 'noOverlap':
      return 'spanDeg' in stroke && stroke.spanDeg < WHOLE_DEG && spots.length > 2
    case 'moundTooHigh':
      return squeezed === 'mound'
    case 'unevenTurn':
      return spots.length > 3
    case 'lateRelease':
      return squeezed !== 'mound' && rests !== 'spreads'
    case 'tooFast':
    case 'tooSlow':
    case 'uneven':
      return !squeezed
    default:
      return rests !== 'spreads'
  }
}

const WHOLE_DEG = 350

/** Strokes through a slot whose ends differ. */
const slotted = (stroke: PileLayer['stroke']): boolean =>
  strokeDefinition(stroke.kind).families.every((f) => f === 'petal' || f === 'curvedPetal')

/** A layer as it is aimed with the fault in it. */
export function aimedWrong(layer: PileLayer, fault: FaultId): PileLayer {
  if (!shows(fault, layer)) return layer
  const { stroke } = layer
  switch (fault) {
    case 'leanedTooLittle':
      return { ...layer, stroke: turnedUp(stroke) }
    case 'noOverlap':
      return 'spanDeg' in stroke
        ? { ...layer, stroke: { ...stroke, spanDeg: stroke.spanDeg * SPAN_LEFT } }
        : layer
    case 'moundTooHigh':
      return 'tallMm' in stroke
        ? { ...layer, stroke: { ...stroke, tallMm: stroke.tallMm * TOO_HIGH } }
        : layer
    case 'unevenTurn':
      return { ...layer, spots: bunched(layer, seeded(SEED)) }
    default:
      return layer
  }
}

/** Every tilt of a standing petal nearer to upright, and beyond. */
function turnedUp(stroke: PileLayer['stroke']): PileLayer['stroke'] {
  const tilts = Object.entries(stroke).filter(([name]) => name.startsWith('tilt'))
  const up = tilts.map(([name, deg]) => [name, Math.max(-30, Number(deg) - SHUT_BY_DEG)])
  return { ...stroke, ...Object.fromEntries(up) }
}

function bunched({ spots }: PileLayer, random: Random): PileLayer['spots'] {
  const step = (2 * Math.PI) / spots.length
  return spots.map((spot) => ({ ...spot, azimuth: spot.azimuth + step * MISSES_BY * slip(random) * 1.5 }))
}
