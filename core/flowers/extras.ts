import type { Layer } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { ON_A_RING } from '../places/index.ts'
import { type Stroke, strokeDefinition, strokeSchema } from '../strokes/index.ts'
import { openingSize } from '../tips/index.ts'
import { scaleLayer } from './layers.ts'
import type { FittedFlower } from './resolve.ts'
import { restsAt } from './restsAt.ts'

/** Something loose that can be added to any flower for one order. */
export interface ExtraKind {
  id: 'stamens' | 'pips' | 'filler' | 'centre'
  label: string
  hex: string
  /** Opening it is squeezed from, mm, for a flower so wide. */
  tipMm(wideMm: number): number
  stiffness: Layer['stiffness']
  /** Strokes, ring and stroke for a flower so wide: what a hand would set there by eye. */
  lay(
    wideMm: number,
    tipMm: number,
  ): { count: number; ringMm: number; stroke: { kind: Stroke['kind'] } & object }
}

const between = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value))

export const extraKinds: readonly ExtraKind[] = [
  {
    id: 'stamens',
    label: 'Loose stamens',
    hex: '#e9dfae',
    tipMm: () => 1,
    stiffness: 'soft',
    lay: (wide) => ({
      count: 9,
      ringMm: between(0.8, wide * 0.05, 3),
      stroke: { kind: 'spike', tallMm: between(2, wide * 0.12, 8), leanDeg: 22, taper: 0.4 },
    }),
  },
  {
    id: 'pips',
    label: 'Pips in the middle',
    hex: '#e2c15a',
    tipMm: (wide) => (wide < 25 ? 1 : 1.5),
    stiffness: 'soft',
    lay: (_, tip) => ({
      count: 5,
      ringMm: tip * 1.1,
      stroke: { kind: 'dot', radiusMm: tip * 0.6, tallMm: tip * 0.7 },
    }),
  },
  {
    id: 'filler',
    label: 'Dots in the gaps',
    hex: '#f2ead8',
    tipMm: (wide) => (wide < 25 ? 1 : 2),
    stiffness: 'soft',
    lay: (wide, tip) => ({
      count: Math.max(5, Math.round(wide / 5)),
      ringMm: wide * 0.36,
      stroke: { kind: 'dot', radiusMm: tip * 0.6, tallMm: tip * 0.8 },
    }),
  },
  {
    id: 'centre',
    label: 'A loose centre',
    hex: '#8d9a66',
    tipMm: (wide) => (wide < 30 ? 1.5 : 3),
    stiffness: 'medium',
    lay: (wide) => ({
      count: 1,
      ringMm: 0,
      stroke: {
        kind: 'mound',
        radiusMm: between(1, wide * 0.1, 6),
        tallMm: between(0.8, wide * 0.06, 4),
        shape: 'dome',
      },
    }),
  },
]

/** A squeezed drop sinks so far into what it sits on, mm. */
const SINKS_MM = 0.5

/**
 * A layer to add to a flower as it is fitted: it stands on what is there already, through the opening of the drawer
 * nearest to what it wants. Null where no tip can do it.
 */
export function extraLayer(
  kind: ExtraKind,
  { measure, layers, factor }: FittedFlower,
  tips: readonly OwnedTip[],
  id: string,
): Layer | null {
  const wide = measure.diameterMm
  const wanted = kind.tipMm(wide)
  const stroke = (tipMm: number) => kind.lay(wide, tipMm)
  const { families } = strokeDefinition(stroke(wanted).stroke.kind)
  const able = tips.filter((t) => families.includes(t.opening.family) && !SLOTTED.has(t.opening.family))
  const owned = able.filter((t) => t.owned > 0)
  const near = (t: OwnedTip) => Math.abs(Math.log(openingSize(t.opening) / wanted))
  const [tip] = [...(owned.length > 0 ? owned : able)].sort((a, b) => near(a) - near(b))
  if (!tip) return null
  const laid = stroke(openingSize(tip.opening))
  const heightMm = Math.max(0, restsAt(layers, laid.ringMm) - SINKS_MM)
  const layer: Layer = {
    id,
    name: kind.label,
    tipId: tip.id,
    stiffness: kind.stiffness,
    load: { kind: 'plain', role: 'added' },
    count: laid.count,
    ringMm: laid.ringMm,
    heightMm,
    startDeg: 0,
    spreadDeg: 360,
    at: ON_A_RING,
    floretId: null,
    mayWait: true,
    loose: true,
    stroke: strokeSchema.parse(laid.stroke),
    tools: [],
  }
  // a recipe is written at its own size; fitting it stretches it again
  return scaleLayer(layer, 1 / factor)
}

/** Openings through which nothing is dotted. */
const SLOTTED = new Set(['petal', 'curvedPetal', 'halfMoon', 'leaf', 'multiHole'])
