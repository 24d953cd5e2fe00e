import type { IcingKind, IcingTimes } from '../model/icing.ts'
import { type Setting, settingOf } from './setting.ts'

/**
 * How long an icing takes to become firm and stays good, where nobody has said so for it. Starting figures of the craft: frozen flowers
 * take about an hour, small ones less; what dries hard does so over night; a coat is chilled for half an hour.
 */
const TIMES: Record<Setting, IcingTimes> = {
  cold: { coatMinutes: 30, smallMinutes: 20, largeMinutes: 60, bagMinutes: 240, outMinutes: 10 },
  drying: { coatMinutes: 120, smallMinutes: 480, largeMinutes: 900, bagMinutes: 120, outMinutes: 600 },
  neither: { coatMinutes: 20, smallMinutes: 30, largeMinutes: 60, bagMinutes: 180, outMinutes: 10 },
}

/** An icing's own times, or the usual ones of its sort. */
export const timesOf = (icing: Pick<IcingKind, 'times' | 'can'>): IcingTimes =>
  icing.times ?? TIMES[settingOf(icing)]

/** Flowers as narrow as this take the least time to become firm, and as wide as this the most, mm. */
const SMALL_MM = 25
const LARGE_MM = 55

/** Minutes until a flower of a width can be lifted: more the larger it is. */
export function firmMinutes(icing: Pick<IcingKind, 'times' | 'can'>, widthMm: number): number {
  const { smallMinutes, largeMinutes } = timesOf(icing)
  const share = Math.min(1, Math.max(0, (widthMm - SMALL_MM) / (LARGE_MM - SMALL_MM)))
  return Math.round(smallMinutes + share * (largeMinutes - smallMinutes))
}

/** Where a flower of this icing becomes firm. */
export const firmIn = (icing: Pick<IcingKind, 'can'>): 'freezer' | 'rack' | 'fridge' =>
  (({ cold: 'freezer', drying: 'rack', neither: 'fridge' }) as const)[settingOf(icing)]

/** Where a piece that is coated with it stands while nobody works on it. */
export const keptIn = (icing: Pick<IcingKind, 'can'>): 'fridge' | 'rack' =>
  settingOf(icing) === 'drying' ? 'rack' : 'fridge'
