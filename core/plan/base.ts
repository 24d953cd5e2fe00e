import type { IcingKind } from '../model/icing.ts'
import type { Base, Batch } from '../model/plan.ts'
import type { Settings } from '../model/workshop.ts'
import type { Lookup } from './lookup.ts'

/** Bowls to makes of base icing and its ingredients: the order's own kind first, then any that pieces ask for. */
export function base(at: Lookup, batches: readonly Batch[]): { base: Base; otherBases: Base[] } {
  const need = new Map<string, number>([[at.order.icingKindId, 0]])
  for (const batch of batches)
    need.set(batch.icingKindId, (need.get(batch.icingKindId) ?? 0) + batch.baseGrams)
  const [own, ...others] = [...need].map(([id, grams]) => makeBase(at.icing(id), grams, at.workshop.settings))
  return { base: own!, otherBases: others }
}

/** Scales an icing kind's recipe to `neededGrams`, in as many equal makes as the mixer bowl asks for. */
export function makeBase(icing: IcingKind, neededGrams: number, settings: Settings): Base {
  const { mixerGrams, mixerResidueGrams } = settings
  // each make leaves its residue in the mixer, so a make gives less than the mixer takes
  const gives = Math.max(1, mixerGrams - mixerResidueGrams)
  const count = neededGrams > 0 ? Math.ceil(neededGrams / gives - 1e-9) : 0
  const mixerResidue = count * mixerResidueGrams
  const grams = neededGrams + mixerResidue
  const parts = icing.ingredients.reduce((sum, i) => sum + i.parts, 0)
  const weighedIn = grams / (icing.yieldPercent / 100)
  return {
    kind: icing.id,
    name: icing.name,
    grams,
    mixerResidueGrams: mixerResidue,
    makes: Array.from({ length: count }, () => grams / count),
    ingredients: icing.ingredients.map((i) => ({ name: i.name, grams: (weighedIn * i.parts) / parts })),
    allergens: [...new Set(icing.ingredients.flatMap((i) => i.allergens))],
  }
}
