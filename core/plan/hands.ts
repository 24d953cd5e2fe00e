import type { Bag, Base, Batch, Plan, Use } from '../model/plan.ts'
import type { Settings } from '../model/workshop.ts'
import { carriedBowls } from './counts.ts'
import { flowersPiped } from './piped.ts'

/** Minutes to weigh, colour or thin, and wash up after one portion: a bowl's colour at one stiffness. */
const BOWL_MINUTES = 5
/** Minutes that a bowl saves which is scraped and tinted on, three, against one that is washed and begun anew, five. */
const TINTED_ON_SAVES = 2
/** Minutes of hands for one make of base: weighing in, scraping down, emptying; the mixer runs by itself. */
const MAKE_MINUTES = 8
/** Minutes to stick a square on a nail and take it off again, for every flower. */
const NAIL_MINUTES = 0.15

/** Minutes of hands of a whole order, by what they go into. */
export function hands(
  settings: Settings,
  uses: readonly Use[],
  bags: readonly Bag[],
  bowls: readonly Batch[],
  bases: readonly Base[],
  setOns: Plan['setOns'],
): Plan['hands'] {
  const { bagMinutes, refillMinutes, couplerMinutes, changeMinutes, washMinutes, keptBagMinutes } = settings
  const sum = <T>(list: readonly T[], of: (item: T) => number) => list.reduce((all, one) => all + of(one), 0)
  return {
    base: sum(bases, (b) => b.makes.length) * MAKE_MINUTES,
    bowls: bowls.length * BOWL_MINUTES - carriedBowls(bowls) * TINTED_ON_SAVES,
    bags: sum(
      bags,
      (b) => bagMinutes + (b.fillings - 1) * refillMinutes + (b.coupler === 'none' ? 0 : couplerMinutes),
    ),
    kept: bags.filter((b) => b.keptFor !== null).length * keptBagMinutes,
    changes: sum(bags, (b) => b.changes * changeMinutes + b.washes * washMinutes),
    coats: sum(uses, (u) => (u.form === 'coat' ? pipingMinutes(u) : 0)),
    piping: sum(uses, (u) => (u.form === 'coat' ? 0 : pipingMinutes(u))),
    nails: nailMinutes(uses, settings),
    setOns: sum(setOns, (s) => s.minutes),
  }
}

/** Minutes at the nail or the piece, spares and practice included. */
export const pipingMinutes = (use: Use): number => (use.seconds / 60) * (flowersPiped(use) / use.flowers)

/** Minutes to take a square from the board onto the nail again, for a layer that waited. */
const AGAIN_MINUTES = 0.1

/**
 * Minutes for squares, taken up again for every layer that waited, and for lifting what is wanted onto the pieces; spares
 * and practice stay where they are.
 */
export function nailMinutes(uses: readonly Use[], { liftSeconds }: Settings): number {
  const again = uses.reduce((sum, u) => sum + (u.waited ? flowersPiped(u) * AGAIN_MINUTES : 0), 0)
  const flowers = new Map<string, Use>()
  for (const use of uses) if (use.setting === 'nail') flowers.set(`${use.pieceId}.${use.placedId}`, use)
  return [...flowers.values()].reduce(
    (sum, use) => sum + flowersPiped(use) * NAIL_MINUTES + (use.flowers * liftSeconds) / 60,
    again,
  )
}
