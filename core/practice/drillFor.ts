import type { Stiffness } from '../common.ts'
import { fitFlower } from '../flowers/resolve.ts'
import type { Flower } from '../model/flower.ts'
import type { PracticeSettings } from '../model/practice.ts'
import type { Workshop } from '../model/workshop.ts'
import type { Opening } from '../tips/index.ts'
import type { Drill } from './drill.ts'
import { type DrillName, drillNamed, drillNames, KINDS } from './drills.ts'
import { mirrored } from './mirrored.ts'
import { drillOfLayer, isDrill } from './ofLayer.ts'

/** The tries of one layer go by this. */
export const layerKey = (flowerId: string, layerId: string): string => `flower/${flowerId}/${layerId}`

export const isDrillName = (key: string): key is DrillName => drillNames.some((name) => name === key)

const OWN_SEED = 1

/** Every layer of some flowers that is a drill, by its key. */
export const layerDrills = (flowers: readonly Flower[]): { key: string; label: string }[] =>
  flowers.flatMap((f) =>
    f.layers.filter(isDrill).map((l) => ({ key: layerKey(f.id, l.id), label: layerLabel(f, l) })),
  )

const layerLabel = (flower: Flower, layer: Flower['layers'][number]): string =>
  `${flower.name}, ${layer.name}`

/**
 * A drill by its key, for a hand: one of the sheet with a tip and icing, or the strokes of a flower's layer. Null where there is none.
 */
export function drillFor(
  key: string,
  workshop: Pick<Workshop, 'flowers' | 'tips'>,
  settings: PracticeSettings,
  set: { opening?: Opening; stiffness?: Stiffness; hand: 'right' | 'left' },
): Drill | null {
  if (isDrillName(key)) {
    const drill = drillNamed(key, settings, set)
    return set.hand === 'left' && KINDS[key].turnsWithHand ? mirrored(drill) : drill
  }
  const [, flowerId, layerId] = key.split('/')
  const flower = workshop.flowers.find((f) => f.id === flowerId)
  const index = flower?.layers.findIndex((l) => l.id === layerId) ?? -1
  if (!flower || index < 0 || !isDrill(flower.layers[index]!)) return null
  const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, workshop.tips)
  const made = drillOfLayer(layers, index, OWN_SEED)
  if (!made) return null
  const drill: Drill = {
    ...made,
    ...{ id: key, label: layerLabel(flower, flower.layers[index]!) },
    does: 'As in the flower, seen from above: the nail turns as it does there.',
  }
  return set.hand === 'left' ? mirrored(drill) : drill
}
