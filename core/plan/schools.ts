import { type ChainStep, type ChainTask, carryOver, prepare } from '../colour/carryOver.ts'
import { doseWords, SPECKS } from '../colour/dose.ts'
import { hexToLab, labToHex } from '../colour/lab.ts'
import { differenceWords } from '../colour/likely.ts'
import { baseOf, dyeFit } from '../colour/palette.ts'
import type { Mixing, Order } from '../model/order.ts'
import type { PlanFigures } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { leftGrams } from './carry.ts'
import { bagCount, bowlCount, carriedBowls } from './counts.ts'
import { planFigures } from './index.ts'
import { keptBags } from './work/kept.ts'

/** One step of a chain, as it is shown. */
export interface SchoolStep {
  colourId: string
  name: string
  targetHex: string
  hex: string
  words: string
  fresh: boolean
  carriedGrams: number
  freshGrams: number
  add: { dyeId: string; name: string; words: string }[]
}

/** What mixing the order one way comes to. */
export interface School {
  id: 'separate' | 'carryOver' | 'both'
  mixing: Mixing
  mixedGrams: number
  /** Mixed, and neither on a piece nor piped for spares and practice. */
  thrownGrams: number
  bowls: number
  bags: number
  /** Bags that wait for another colour before they can be finished. */
  keptBags: number
  minutes: number
  /** The colour that comes out furthest from its wish. */
  worst: { colourId: string; words: string } | null
  /** Only where bowls pass from colour to colour. */
  steps: SchoolStep[]
}

/** In the mixed school, colours of more than this keep a bowl of their own, g. */
const OWN_BOWL_GRAMS = 200
const TOLERANCE = 1.5
/** Where a gram is worth nothing, minutes still weigh against it. */
const LEAST_MINUTES_PER_GRAM = 0.01

/**
 * The schools of mixing side by side for one order: every colour its own bowl; one bowl that passes through all colours
 * by the chain of least cost, with `lastId` at its end; and both, small colours in one bowl and large ones in their own.
 */
export function schools(order: Order, workshop: Workshop, lastId: string | null): School[] {
  const plain = planFigures({ ...order, mixing: { school: 'separate' } }, workshop)
  const all = chainable(order, plain)
  const small = all.filter((c) => c.grams < OWN_BOWL_GRAMS)
  const apart = prepare(chainTask(order, workshop, plain, all, null)).map(({ id, alone }) => ({
    colourId: id,
    words: differenceWords(alone.difference),
  }))
  const separate = figures('separate', { school: 'separate' }, plain, [], apart)
  const chained = (id: School['id'], colours: typeof all) => {
    if (colours.length < 2) return []
    const { steps, shown } = chainOf(order, workshop, plain, colours, lastId)
    const mixing: Mixing = {
      school: 'carryOver',
      chain: steps.map((s) => ({
        colourId: s.colourId,
        carriedShare: s.carriedGrams / (s.carriedGrams + s.freshGrams),
      })),
    }
    return [figures(id, mixing, planFigures({ ...order, mixing }, workshop), shown, shown)]
  }
  return [
    separate,
    ...chained('carryOver', all),
    ...(small.length < all.length ? chained('both', small) : []),
  ]
}

interface Chainable {
  id: string
  name: string
  hex: string
  grams: number
  leftGrams: number
}

/** The colours that the order's own icing is tinted in, and what each leaves. */
function chainable(order: Order, plan: PlanFigures): Chainable[] {
  return order.colours.flatMap(({ id, name, hex }) => {
    const bowls = plan.batches.filter((b) => b.colourId === id && b.icingKindId === order.icingKindId)
    if (bowls.length === 0) return []
    const grams = bowls.reduce((sum, b) => sum + b.grams, 0)
    return [{ id, name, hex, grams, leftGrams: leftGrams(bowls) }]
  })
}

/** Of so much colour a green is no grey, and so far from red it is no yellow: distances in CIELAB. */
const NO_GREY = 12
const TOWARDS_GREEN = 4

/** A green is by habit the last: everything goes into it. */
export function greenOf(order: Order, plan: PlanFigures): string | null {
  const hue = (hex: string) => {
    const [, a, b] = hexToLab(hex)
    return Math.hypot(a, b) > NO_GREY && a < -TOWARDS_GREEN ? Math.atan2(b, a) : null
  }
  const greens = chainable(order, plan).filter((c) => hue(c.hex) !== null)
  return greens.sort((a, b) => b.grams - a.grams)[0]?.id ?? null
}

function chainTask(
  order: Order,
  workshop: Workshop,
  plan: PlanFigures,
  colours: readonly Chainable[],
  lastId: string | null,
): ChainTask {
  const icing = workshop.icings.find((i) => i.id === order.icingKindId)!
  const ids = colours.map((c) => c.id)
  const kept = keptBags(plan.uses, ids, order.icingKindId)
  const { keptBagMinutes, minutesPerGram } = workshop.settings
  const gramsPerBag = keptBagMinutes / Math.max(LEAST_MINUTES_PER_GRAM, minutesPerGram)
  return {
    base: baseOf(icing),
    curves: workshop.dyes
      .filter((d) => d.owned)
      .map((d) => dyeFit(d, workshop.icings).curve.map((k) => k * (1 + icing.deepens))),
    colours: colours.map((c) => ({ ...c, target: hexToLab(c.hex) })),
    tolerance: TOLERANCE,
    lastId,
    keptCost: (mask, k) => gramsPerBag * kept(mask, k),
  }
}

function chainOf(
  order: Order,
  workshop: Workshop,
  plan: PlanFigures,
  colours: readonly Chainable[],
  lastId: string | null,
) {
  const dyes = workshop.dyes.filter((d) => d.owned)
  const steps = carryOver(chainTask(order, workshop, plan, colours, lastId))
  const shown = steps.map((step): SchoolStep => {
    const colour = colours.find((c) => c.id === step.colourId)!
    return {
      colourId: colour.id,
      name: colour.name,
      targetHex: colour.hex,
      hex: labToHex(step.lab),
      words: differenceWords(step.difference),
      fresh: step.fresh,
      carriedGrams: step.carriedGrams,
      freshGrams: step.freshGrams,
      add: dosesOf(step).map(({ dye, eighths }) => ({
        dyeId: dyes[dye]!.id,
        name: dyes[dye]!.name,
        words: doseWords(eighths, dyes[dye]!.dropGrams),
      })),
    }
  })
  return { steps, shown }
}

/** What a hand can add: to the eighth of a drop, and to whole drops from three on; what is less than that, not at all. */
function dosesOf(step: ChainStep): { dye: number; eighths: number }[] {
  return step.add
    .map(({ dye, drops }) => ({
      dye,
      eighths: drops >= 3 ? Math.round(drops) * SPECKS : Math.round(drops * SPECKS),
    }))
    .filter((a) => a.eighths > 0)
    .sort((a, b) => b.eighths - a.eighths)
}

const rank = (words: string) =>
  [
    'the same to the eye',
    'hardly to be told apart',
    'a shade off',
    'plainly another shade',
    'another colour',
  ].indexOf(words)

function figures(
  id: School['id'],
  mixing: Mixing,
  plan: PlanFigures,
  steps: SchoolStep[],
  colours: readonly { colourId: string; words: string }[],
): School {
  const { mixedGrams, pipedGrams, handsOnMinutes } = plan.totals
  const used = pipedGrams + plan.reserve.spoiled + plan.reserve.practice
  const worst = [...colours].sort((a, b) => rank(b.words) - rank(a.words))[0]
  return {
    id,
    mixing,
    mixedGrams,
    thrownGrams: mixedGrams - used,
    bowls: bowlCount(plan.batches) - carriedBowls(plan.batches),
    bags: bagCount(plan.bags),
    keptBags: plan.bags.filter((b) => b.keptFor !== null).length,
    minutes: handsOnMinutes,
    worst: worst ? { colourId: worst.colourId, words: worst.words } : null,
    steps,
  }
}
