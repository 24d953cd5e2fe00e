import type { Bag } from '../../model/plan.ts'
import { fillMinutes } from '../../plan/hands.ts'
import { type Activity, type After, activity, after } from '../activity.ts'
import { deepens } from '../deep.ts'
import { idOf, spreadId, sum, thingOf, type Worked } from './context.ts'

/** Makes of base icing: hands for a while, then the mixer by itself. */
export function baseMakes({ plan, workshop }: Worked): Activity[] {
  const { makeMinutes, day } = workshop.settings
  return [plan.base, ...plan.otherBases].flatMap((base) =>
    base.makes.map((grams, make) =>
      activity({
        id: idOf.base(base.kind, make),
        kind: 'base',
        what: base.name,
        where: base.makes.length > 1 ? `make ${make + 1} of ${base.makes.length}` : 'base icing',
        minutes: makeMinutes,
        count: Math.round(grams),
        mixer: true,
        whips: day.whipMinutes,
        after: make > 0 ? after(idOf.base(base.kind, make - 1)) : [],
      }),
    ),
  )
}

/** A bowl of each colour, all its stiffnesses after one another, once the base of its kind is whipped. */
export function bowls(of: Worked): Activity[] {
  const { plan, at, chain, workshop } = of
  const { bowlMinutes, tintedOnMinutes, day } = workshop.settings
  const groups = new Map<string, typeof plan.batches>()
  for (const batch of plan.batches) {
    const id = idOf.mix(batch.icingKindId, batch.colourId)
    groups.set(id, [...(groups.get(id) ?? []), batch])
  }
  return [...groups].map(([id, portions]) => {
    const { icingKindId, colourId } = portions[0]!
    const base = [plan.base, ...plan.otherBases].find((b) => b.kind === icingKindId)
    const makes = (base?.makes ?? []).map((_, make) => ({
      id: idOf.base(icingKindId, make),
      lag: day.whipMinutes,
      wait: 'whip' as const,
    }))
    const link = chain.indexOf(colourId)
    const carried = portions.some((p) => p.carriedGrams > 0) ? tintedOnMinutes : 0
    return activity({
      id,
      kind: 'mix',
      what: at.colour(colourId).name,
      where: `bowl, ${Math.round(sum(portions, (p) => p.grams))} g`,
      minutes: portions.length * bowlMinutes - carried,
      colourIds: [colourId],
      // one bowl goes on to a colour when all that the colour before it pipes is done
      after: [...makes, ...(link > 0 ? after(...doneIn(of, chain[link - 1]!)) : [])],
    })
  })
}

/** Activities that are piped or spread while a colour of the chain is in the bowl. */
function doneIn({ plan, use }: Worked, colourId: string): string[] {
  return plan.sequence
    .filter((s) => s.colourId === colourId)
    .flatMap((s) => {
      const first = s.useIds.map(use)[0]
      if (s.kind === 'spread') return [spreadId(first!)]
      return s.kind === 'pipe' ? [idOf.pipe(first!.pieceId, thingOf(first!), colourId)] : []
    })
}

/** Bags of one load, or of one colour at several stiffnesses, are filled in one go. */
export function fillings(of: Worked): Activity[] {
  const { plan, at, workshop } = of
  const groups = new Map<string, Bag[]>()
  for (const bag of plan.bags) {
    const id = fillId(of, bag)
    groups.set(id, [...(groups.get(id) ?? []), bag])
  }
  return [...groups].map(([id, bags]) => {
    const colourIds = coloursOf(bags[0]!)
    const kept = sum(bags, (b) => (b.keptFor === null ? 0 : workshop.settings.keptBagMinutes))
    return activity({
      id,
      kind: 'fill',
      what: colourIds.map((c) => at.colour(c).name).join(' and '),
      where: `${bags.length === 1 ? 'bag' : 'bags'} ${bags.map((b) => b.number).join(', ')}`,
      minutes: sum(bags, (b) => fillMinutes(b, workshop.settings)) + kept,
      count: bags.length,
      colourIds,
      bags: bags.map((b) => b.number),
      after: colourIds.map((c) => mixed(of, bags[0]!.icingKindId, c)),
    })
  })
}

const coloursOf = (bag: Bag): string[] => [...new Set(bag.load.map((l) => l.colourId))]

/** The filling that a bag belongs to: in a chain, the one of the colour that is in the bowl when it can be filled. */
export function fillId({ chain }: Worked, bag: Bag): string {
  const colours = coloursOf(bag)
  const last = Math.max(-1, ...colours.map((c) => chain.indexOf(c)))
  return idOf.fill(bag.icingKindId, colours, last < 0 ? null : chain[last]!)
}

/** After a bowl, and for a deep colour once it has deepened. */
export function mixed({ at, workshop, chain }: Worked, icingKindId: string, colourId: string): After {
  // a bowl that goes on to other colours cannot stand
  const stands = !chain.includes(colourId) && deepens(at.colour(colourId).hex)
  const lag = stands ? workshop.settings.day.deepenMinutes : 0
  return { id: idOf.mix(icingKindId, colourId), lag, wait: lag > 0 ? 'deepen' : null }
}
