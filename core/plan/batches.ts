import { hexToLab } from '../colour/lab.ts'
import type { Bag, Batch, Use } from '../model/plan.ts'
import { baseAndLiquid, carry } from './carry.ts'
import type { Lookup } from './lookup.ts'
import { bowlKey, partGrams } from './reserve.ts'

/**
 * Bags to bowls: grams to mix of each colour at each stiffness, what stays in the bowl, rounded up to the
 * kitchen scale's step, and split into stiff base and liquid. Lightest first, so that the same spatula can go on.
 */
export function batches(at: Lookup, uses: readonly Use[], bags: readonly Bag[]): Batch[] {
  const bowls = new Map<string, Batch>()
  for (const use of uses) {
    for (const part of use.parts) {
      const bowl = openBowl(bowls, use, part.colourId)
      bowl.pipedGrams += part.piped
      bowl.reserveGrams += partGrams(part) - part.piped
      bowl.marginGrams += part.margin
      if (!bowl.useIds.includes(use.id)) bowl.useIds.push(use.id)
    }
  }
  for (const bag of bags)
    for (const { colourId, staysGrams } of bag.load) {
      const bowl = openBowl(bowls, bag, colourId)
      bowl.bagResidueGrams += staysGrams
      if (bag.keptFor !== null) bowl.keptGrams += staysGrams
      bowl.bagNumbers.push(bag.number)
    }
  const { scaleStepGrams, bowlResidueGrams } = at.workshop.settings
  const weighed = [...bowls.values()]
    .map((bowl) => weigh(at, bowl, bowlResidueGrams, scaleStepGrams))
    .sort((a, b) => lightness(at, b) - lightness(at, a) || a.id.localeCompare(b.id))
  return carry(at, weighed).map((batch, i) => ({ ...batch, order: i + 1 }))
}

function openBowl(
  bowls: Map<string, Batch>,
  of: Pick<Use, 'icingKindId' | 'stiffness'>,
  colourId: string,
): Batch {
  const id = bowlKey(of, colourId)
  const open = bowls.get(id)
  if (open) return open
  const bowl: Batch = {
    id,
    order: 0,
    colourId,
    icingKindId: of.icingKindId,
    stiffness: of.stiffness,
    grams: 0,
    carriedGrams: 0,
    baseGrams: 0,
    liquidGrams: 0,
    pipedGrams: 0,
    reserveGrams: 0,
    marginGrams: 0,
    bagResidueGrams: 0,
    keptGrams: 0,
    bowlResidueGrams: 0,
    roundingGrams: 0,
    bagNumbers: [],
    useIds: [],
  }
  bowls.set(id, bowl)
  return bowl
}

function weigh(at: Lookup, bowl: Batch, bowlResidueGrams: number, stepGrams: number): Batch {
  const exact = bowl.pipedGrams + bowl.reserveGrams + bowl.bagResidueGrams + bowlResidueGrams
  // a hair under a step must not be pushed up a whole step by floating point
  const grams = Math.ceil(exact / stepGrams - 1e-9) * stepGrams
  return {
    ...bowl,
    grams,
    ...baseAndLiquid(at, bowl, grams),
    bowlResidueGrams,
    // the hair that was not rounded up
    roundingGrams: Math.max(0, grams - exact),
  }
}

function lightness(at: Lookup, bowl: Batch): number {
  return hexToLab(at.colour(bowl.colourId).hex)[0]
}
