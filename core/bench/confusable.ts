import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import { stiffnesses } from '../common.ts'
import type { Bag, Plan } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import { openingArea } from '../tips/index.ts'

/** A bag that is easily taken for another, and how to tell them apart. */
export interface Lookalike {
  number: number
  /** "same tip, paler: Haze". */
  words: string
}

const SHOWN = 2
/** What another step of stiffness, another family of tip and a doubled opening count for, in units of colour difference. */
const STIFFNESS_COUNTS = 6
const FAMILY_COUNTS = 12
const DOUBLED_COUNTS = 10
/** Colours closer than this pass for the same in a bag, and lightnesses closer than this for as light. */
const SAME_COLOUR = 2
const AS_LIGHT = 4

/** The bags of a plan that one bag is most easily confused with: alike in colour, tip and stiffness. */
export function lookalikes(
  bag: Bag,
  plan: Pick<Plan, 'bags' | 'colours'>,
  tips: readonly OwnedTip[],
): Lookalike[] {
  const hexes = new Map(plan.colours.map((c) => [c.id, c]))
  const colourOf = (b: Bag) => hexes.get(b.load[0]?.colourId ?? '')
  const tipOf = (b: Bag) => tips.find((t) => t.id === b.tipIds[0])
  const own = { colour: colourOf(bag), tip: tipOf(bag) }
  const found = plan.bags.flatMap((other) => {
    const colour = colourOf(other)
    const tip = tipOf(other)
    if (other.number === bag.number || !colour || !own.colour) return []
    const [a, b] = [hexToLab(own.colour.hex), hexToLab(colour.hex)]
    const apart = ciede2000(a, b)
    const steps = stiffnesses.indexOf(other.stiffness) - stiffnesses.indexOf(bag.stiffness)
    const sameTip = tip?.id === own.tip?.id
    const words = [
      sameTip
        ? 'same tip'
        : tip?.opening.family === own.tip?.opening.family
          ? 'a tip like it'
          : 'another tip',
      apart < SAME_COLOUR
        ? 'same colour'
        : `${Math.abs(b[0] - a[0]) < AS_LIGHT ? 'another colour' : b[0] > a[0] ? 'paler' : 'darker'}: ${colour.name}`,
      ...(steps === 0 ? [] : [other.stiffness]),
    ].join(', ')
    return [
      {
        number: other.number,
        words,
        apart: apart + tipsApart(own.tip, tip) + STIFFNESS_COUNTS * Math.abs(steps),
      },
    ]
  })
  return found
    .sort((a, b) => a.apart - b.apart || a.number - b.number)
    .slice(0, SHOWN)
    .map(({ number, words }) => ({ number, words }))
}

function tipsApart(a: OwnedTip | undefined, b: OwnedTip | undefined): number {
  if (!a || !b) return a === b ? 0 : FAMILY_COUNTS
  const family = a.opening.family === b.opening.family ? 0 : FAMILY_COUNTS
  return family + DOUBLED_COUNTS * Math.abs(Math.log2(openingArea(a.opening) / openingArea(b.opening)))
}
