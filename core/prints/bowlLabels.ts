import { mixBowl } from '../colour/bowl.ts'
import {
  type ColourBowl,
  chainStep,
  colourBowls,
  isCarried,
  lastOfChain,
  taskOf,
} from '../plan/colourBowls.ts'
import { schools } from '../plan/schools.ts'
import { formatLiquid } from '../units.ts'
import type { Label } from './label.ts'
import { momentWords, type PrintOf, weightIn } from './printOf.ts'

/** A label for every bowl: its colour, what is stirred in, and how it is divided. */
export function bowlLabels(of: PrintOf): Label[] {
  const { frozen } = of
  const { order, plan } = frozen
  const dosesOf = doses(of)
  return colourBowls(order, plan).map((bowl, i): Label => {
    const at = frozen.steps.find((s) => s.kind === 'mix' && s.colourIds[0] === bowl.colourId)?.at
    const added = dosesOf(bowl)
    return {
      sort: 'Bowl',
      big: String(i + 1),
      title: bowl.name,
      hexes: [bowl.targetHex],
      lines: [
        isCarried(bowl)
          ? `${weightIn(frozen, bowl.grams)}, tinted on from the bowl before`
          : `${weightIn(frozen, bowl.grams)}, from ${weightIn(frozen, bowl.baseGrams)} of base`,
        added.length > 0 ? added.join(', ') : 'no dye',
        ...bowl.parts.map((part) => partWords(part, of)),
        ...(at ? [`mix ${momentWords(frozen, at)}`] : []),
        order.title,
      ],
      tip: null,
      code: null,
    }
  })
}

function partWords(part: ColourBowl['parts'][number], { frozen }: PrintOf): string {
  const { units, scaleStepGrams } = frozen.workshop.settings
  const { stiffness, grams, liquidGrams, bagNumbers } = part
  const thinned = liquidGrams > 0.05 ? ` with ${formatLiquid(liquidGrams, units, scaleStepGrams)}` : ''
  const into = bagNumbers.length > 0 ? `bag ${bagNumbers.join(', ')}` : 'to spread'
  return `${stiffness}: ${weightIn(frozen, grams)}${thinned}, ${into}`
}

/** What is stirred into each bowl: all of its dyes, or in a chain what is added to the colour before. */
function doses({ frozen: { order, workshop } }: PrintOf): (bowl: ColourBowl) => string[] {
  const last = lastOfChain(order)
  const chains = last === null ? [] : schools(order, workshop, last)
  const said = (all: readonly { words: string; name: string }[]) =>
    all.map((d) => `${d.words} ${d.name.toLowerCase()}`)
  return (bowl) => {
    if (!isCarried(bowl)) return said(mixBowl(taskOf(bowl), workshop).chosen.doses)
    return said(chainStep(chains, bowl.colourId)?.add ?? [])
  }
}
