import type { Flower } from '../model/flower.ts'
import type { FittedFlower } from './resolve.ts'

/** Distance in mm from one border unit to the next at the fitted size; the unit's own width when none is given. */
export function scaledPitch(flower: Flower, fitted: FittedFlower): number {
  if (flower.pitchMm === null) return fitted.measure.diameterMm
  return flower.pitchMm * fitted.factor
}
