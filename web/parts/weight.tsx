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

/** What the bakery's own scale and spoons can measure: grams to weigh, and liquid. */
export function useMeasures(): { toWeigh(grams: number): string; liquid(grams: number): string } {
  const settings = useWorkshop().workshop?.settings
  const { units = 'grams', scaleStepGrams = 1 } = settings ?? {}
  return {
    toWeigh: (grams) => formatWeight(onScale(grams, scaleStepGrams), units),
    liquid: (grams) => formatLiquid(grams, units, scaleStepGrams),
  }
}

/** What a figure was before the last change, when it has changed visibly. */
export function Was(props: { now: string; before: string | undefined }) {
  if (props.before === undefined || props.before === props.now) return null
  return <span className="quiet"> was {props.before}</span>
}
