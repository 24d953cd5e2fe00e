import type { Flower } from '../model/flower.ts'
import type { SetOn } from '../model/setOn.ts'
import { blossom } from './flowers/blossom.ts'
import { inPlace, plain, role } from './flowers/build.ts'

/** Nothing smaller is drawn, mm. */
const LEAST_MM = 0.5
/** A pick stands up; it is drawn as what is seen of it from above. */
const LOW = 0.2

/**
 * What something that is put on looks like, as a recipe for pictures and solids alone: a sugar flower as five petals, all else as
 * something round of its width and height.
 */
export function setOnShape(thing: SetOn): Flower {
  if (thing.kind === 'sugarFlower')
    return { ...blossom, roles: blossom.roles.map((r) => ({ ...r, hex: thing.hex })) }
  const tallMm = Math.max(LEAST_MM, thing.kind === 'pick' ? LOW * thing.widthMm : thing.heightMm)
  return inPlace({
    id: thing.id,
    name: thing.name,
    level: 'first',
    roles: [role('all', thing.name, thing.hex)],
    layers: [
      plain('All', 'all', 'round-5', 1, 0, 0, {
        stroke: {
          kind: 'mound',
          radiusMm: Math.max(LEAST_MM, thing.widthMm / 2),
          tallMm: Math.min(60, tallMm),
          shape: 'dome',
        },
      }),
    ],
  })
}
