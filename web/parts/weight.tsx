import type { Settings } from '#core/model/workshop'
import { formatLiquid, formatParts, formatWeight, onScale } from '#core/units'
import { useWorkshop } from '../data/workshop.ts'

/** Formats weights in the bakery's units. */
export function useWeight(): (grams: number) => string {
  const units = useWorkshop().workshop?.settings.units ?? 'grams'
  return (grams) => formatWeight(grams, units)
}

/** Formats parts and their whole so that they sum as they are shown. */
export function useParts(): (grams: readonly number[]) => ReturnType<typeof formatParts> {
  const units = useWorkshop().workshop?.settings.units ?? 'grams'
  return (grams) => formatParts(grams, units)
}

/** Amounts as they are weighed and spooned. */
export interface Measures {
  /** What a bowl is known by, no finer than is worth saying. */
  weight(grams: number): string
  /** On the scale, in its steps. */
  toWeigh(grams: number): string
  liquid(grams: number): string
}

/** What a bakery's own scale and spoons can measure. */
export function measuresOf({ units, scaleStepGrams }: Pick<Settings, 'units' | 'scaleStepGrams'>): Measures {
  return {
    weight: (grams) => formatWeight(grams, units),
    toWeigh: (grams) => formatWeight(onScale(grams, scaleStepGrams), units),
    liquid: (grams) => formatLiquid(grams, units, scaleStepGrams),
  }
}

export function useMeasures(): Measures {
  return measuresOf(useWorkshop().workshop?.settings ?? { units: 'grams', scaleStepGrams: 1 })
}

/** What a figure was before the last change, when it has changed visibly. */
export function Was(props: { now: string; before: string | undefined }) {
  if (props.before === undefined || props.before === props.now) return null
  return <span className="quiet"> was {props.before}</span>
}
