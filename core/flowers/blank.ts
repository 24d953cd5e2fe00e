import { type Flower, flowerSchema } from '../model/flower.ts'
import type { StrokeKind } from '../strokes/index.ts'
import { startingLayer } from './edit.ts'

/** What each form is begun with: something to build on, that can be taken away once there is more. */
const FIRST: Record<Flower['form'], { stroke: StrokeKind; name: string; role: string; hex: string }> = {
  flower: { stroke: 'mound', name: 'Foot', role: 'Petals', hex: '#d9a9b8' },
  leaf: { stroke: 'leafPull', name: 'Leaf', role: 'Leaf', hex: '#6f8a4a' },
  vine: { stroke: 'vine', name: 'Stem', role: 'Stem', hex: '#74834d' },
  border: { stroke: 'dropStar', name: 'Star', role: 'Border', hex: '#efe3cf' },
}

/** Nail and pitch that a new one has until somebody says otherwise, mm. */
export const NAIL_MM = 40
const PITCH_MM = 12
/** Radius and height of the foot that petals are set on, mm. */
const FOOT = { radiusMm: 4, tallMm: 2.5 }

/**
 * A flower of our own with one part and one stroke: where building one from nothing begins.
 * @param library flowers that have every stroke between them.
 */
export function blankFlower(
  form: Flower['form'],
  name: string,
  id: string,
  library: readonly Flower[],
): Flower {
  const { stroke, name: layerName, role, hex } = FIRST[form]
  const first = {
    ...startingLayer(library, stroke, 'main', 'first'),
    name: layerName,
    count: 1,
    ringMm: 0,
    heightMm: 0,
  }
  const onNail = form === 'flower'
  return flowerSchema.parse({
    id,
    name,
    form,
    setting: onNail ? 'nail' : 'inPlace',
    nailMm: onNail ? NAIL_MM : null,
    level: 'first',
    roles: [{ id: 'main', name: role, hex }],
    layers: [{ ...first, stroke: stroke === 'mound' ? { ...first.stroke, ...FOOT } : first.stroke }],
    pitchMm: form === 'border' ? PITCH_MM : null,
    source: 'own',
  })
}
