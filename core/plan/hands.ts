import type { Bag, Base, Batch, Plan, Use } from '../model/plan.ts'
import type { Settings } from '../model/workshop.ts'
import { carriedBowls } from './counts.ts'
import { flowersPiped } from './piped.ts'

/** Minutes of hands of a whole order, by what they go into. */
export function hands(
  settings: Settings,
  uses: readonly Use[],
  bags: readonly Bag[],
  bowls: readonly Batch[],
  bases: readonly Base[],
  setOns: Plan['setOns'],
): Plan['hands'] {
  const { makeMinutes, bowlMinutes, tintedOnMinutes, changeMinutes, washMinutes, keptBagMinutes } = settings
  const sum = <T>(list: readonly T[], of: (item: T) => number) => list.reduce((all, one) => all + of(one), 0)
  return {
    base: sum(bases, (b) => b.makes.length) * makeMinutes,
    bowls: bowls.length * bowlMinutes - carriedBowls(bowls) * tintedOnMinutes,
    bags: sum(bags, (b) => fillMinutes(b, settings)),
    kept: bags.filter((b) => b.keptFor !== null).length * keptBagMinutes,
    changes: sum(bags, (b) => b.changes * changeMinutes + b.washes * washMinutes),
    coats: sum(uses, (u) => (u.form === 'coat' ? pipingMinutes(u) : 0)),
    piping: sum(uses, (u) => (u.form === 'coat' ? 0 : pipingMinutes(u))),
    nails: nailMinutes(uses, settings),
    setOns: sum(setOns, (s) => s.minutes),
  }
}

/** Minutes to fill a bag, each filling after the first included. */
export const fillMinutes = (
  { fillings, coupler }: Pick<Bag, 'fillings' | 'coupler'>,
  { bagMinutes, refillMinutes, couplerMinutes }: Settings,
): number => bagMinutes + (fillings - 1) * refillMinutes + (coupler === 'none' ? 0 : couplerMinutes)

/** Minutes at the nail or the piece, spares and practice included. */
export const pipingMinutes = (use: Use): number => (use.seconds / 60) * (flowersPiped(use) / use.flowers)

/** Minutes to take a square from the board onto the nail again, for a layer that waited. */
export const AGAIN_MINUTES = 0.1

/**
 * Minutes for squares, taken up again for every layer that waited, and for lifting what is wanted onto the pieces; spares
 * and practice stay where they are.
 */
export function nailMinutes(uses: readonly Use[], { liftSeconds, squareSeconds }: Settings): number {
  const again = uses.reduce((sum, u) => sum + (u.waited ? flowersPiped(u) * AGAIN_MINUTES : 0), 0)
  const flowers = new Map<string, Use>()
  for (const use of uses) if (use.setting === 'nail') flowers.set(`${use.pieceId}.${use.placedId}`, use)
  return [...flowers.values()].reduce(
    (sum, use) => sum + (flowersPiped(use) * squareSeconds + use.flowers * liftSeconds) / 60,
    again,
  )
}
