import { type Dye, type Provenance, provenanceOf } from '../model/dye.ts'
import type { IcingKind } from '../model/icing.ts'
import type { Workshop } from '../model/workshop.ts'
import { type DosedMix, doseWords, SPECKS } from './dose.ts'
import { formula, formulaFor, UNSEEN } from './formula.ts'
import { hexToLab, type LabD65, labToHex } from './lab.ts'
import { differenceWords, firstDose, type Likely, likely, strengthSpread } from './likely.ts'
import { baseOf, dyeFit } from './palette.ts'
import { pretint } from './pretint.ts'
import { type OutOfReach, outOfReach, reachWords } from './reach.ts'
import type { Spectrum } from './spectrum.ts'
import { task as makeTask } from './subsetSolve.ts'
import { baseLab, tinter } from './tint.ts'

/** A bowl that wants a formula. */
export interface BowlTask {
  colourId: string
  targetHex: string
  icingKindId: string
  grams: number
  /** Dyes a person has settled on; null to choose among all that are owned. */
  dyeIds: readonly string[] | null
}

/** One dye's part in a bowl. */
export interface Dose {
  dyeId: string
  name: string
  eighths: number
  words: string
  /** The same by weight, for a scale that shows hundredths. */
  grams: number
}

/** A way to mix a bowl, as it is shown. */
export interface ShownMix {
  doses: Dose[]
  /** As it looks once it has stood, and when it is freshly mixed. */
  hex: string
  freshHex: string
  difference: number
  words: string
  likely: Likely
  /** The least that is known of any dye in it. */
  knownBy: Provenance
}

export interface BowlAnswer extends BowlTask {
  chosen: ShownMix
  others: ShownMix[]
  /** Why it cannot be had, and what would help; null when it can. */
  reach: {
    reason: OutOfReach
    words: string
    /** Other icing kinds that come nearer. */
    icings: { id: string; name: string; hex: string; words: string }[]
    /** A dye that is not owned and would bring it near. */
    dye: { id: string; name: string; hex: string } | null
  } | null
  /** A strong tint stirred in by weight, where it comes plainly nearer than specks in so small a bowl. */
  pretint: {
    tintGrams: number
    takeGrams: number
    plainGrams: number
    mix: ShownMix
  } | null
  /** Share of the dye to add before looking. */
  first: number
  warnings: string[]
}

/** Drops in 100 g from which dye is tasted, stains and softens; and from which colours go on deepening. */
const HEAVY_DROPS = 40
const DEEP_DROPS = 20
/** Unowned dyes tried, nearest hues first, before giving up. */
const NEARER = 1

const provenanceOrder: readonly Provenance[] = ['generic', 'oneDab', 'twoDabs', 'learnt']

interface Ground {
  icing: IcingKind
  dyes: Dye[]
  curves: Spectrum[]
}

/** Everything a person at a bowl wants to know; works with what the bakery owns. */
export function mixBowl(task: BowlTask, workshop: Workshop): BowlAnswer {
  const icing = workshop.icings.find((i) => i.id === task.icingKindId)
  if (!icing) throw new RangeError(`There is no icing kind "${task.icingKindId}".`)
  const target = hexToLab(task.targetHex)
  const owned = workshop.dyes.filter((d) => (task.dyeIds ? task.dyeIds.includes(d.id) : d.owned))
  const ground = groundOf(icing, owned, workshop)
  const of = makeTask(baseOf(icing), target, ground.curves)
  const found = formulaFor(of, task.grams)
  const tinted = pretint(of, found.nearest, found.chosen, task.grams, workshop.settings.scaleStepGrams)
  const chosen = shown(ground, found.chosen, target)
  return {
    ...task,
    chosen,
    others: found.others.map((mix) => shown(ground, mix, target)),
    reach: found.chosen.difference < UNSEEN ? null : whyNot(task, workshop, ground, found.chosen, target),
    pretint: tinted && {
      tintGrams: tinted.tintGrams,
      takeGrams: tinted.takeGrams,
      plainGrams: tinted.plainGrams,
      mix: shown(ground, tinted.mix, target),
    },
    first: firstDose(chosen.doses.map((d) => provenanceOf(owned.find((o) => o.id === d.dyeId)!))),
    warnings: warningsOf(found.chosen, icing),
  }
}

/** Dyes as they are once the icing has stood: the dose found is the one that ends up right. */
function groundOf(icing: IcingKind, dyes: Dye[], workshop: Workshop): Ground {
  const curves = dyes.map((d) => dyeFit(d, workshop.icings).curve.map((k) => k * (1 + icing.deepens)))
  return { icing, dyes, curves }
}

function shown({ icing, dyes, curves }: Ground, mix: DosedMix, target: LabD65): ShownMix {
  const base = baseOf(icing)
  const used = mix.dyes.map((d) => dyes[d]!)
  const knownBy = used
    .map(provenanceOf)
    .reduce(
      (least, p) => (provenanceOrder.indexOf(p) < provenanceOrder.indexOf(least) ? p : least),
      'learnt' as Provenance,
    )
  const fresh = tinter(
    base,
    mix.dyes.map((d) => curves[d]!.map((k) => k / (1 + icing.deepens))),
  ).lab(mix.drops)
  return {
    // the most first, specks last: what decides the hue is added when the bowl is nearly there
    doses: used.map((dye, k) => dose(dye, mix.eighths[k]!)).sort((a, b) => b.eighths - a.eighths),
    hex: labToHex(mix.lab),
    freshHex: labToHex(fresh),
    difference: mix.difference,
    words: differenceWords(mix.difference),
    likely: likely(base, curves, mix, target, used.map(spreadOf)),
    knownBy: used.length === 0 ? 'learnt' : knownBy,
  }
}

/** How unsure a bottle's strength is. */
export function spreadOf(dye: Dye): number {
  const known = provenanceOf(dye)
  return known === 'learnt' ? Math.max(0.04, dye.learnt.sd) : strengthSpread[known]
}

function dose(dye: Dye, eighths: number): Dose {
  const grams = (eighths / SPECKS) * dye.dropGrams
  return { dyeId: dye.id, name: dye.name, eighths, words: doseWords(eighths, dye.dropGrams), grams }
}

function whyNot(
  task: BowlTask,
  workshop: Workshop,
  { icing, dyes, curves }: Ground,
  chosen: DosedMix,
  target: LabD65,
): BowlAnswer['reach'] {
  const reason = dyes.length === 0 ? 'no-dye' : outOfReach(target, chosen.lab, baseLab(baseOf(icing)))
  const icings = workshop.icings
    .filter((other) => other.id !== icing.id)
    .map((other) => ({ other, mix: formula(baseOf(other), target, curves, task.grams).chosen }))
    .filter(({ mix }) => mix.difference < chosen.difference - NEARER)
    .sort((a, b) => a.mix.difference - b.mix.difference)
    .slice(0, 2)
    .map(({ other, mix }) => ({
      id: other.id,
      name: other.name,
      hex: labToHex(mix.lab),
      words: differenceWords(mix.difference),
    }))
  return { reason, words: reachWords[reason], icings, dye: helpfulDye(task, workshop, icing, chosen, target) }
}

/** The dye not owned that brings the colour nearest, where it helps at all. */
function helpfulDye(task: BowlTask, workshop: Workshop, icing: IcingKind, chosen: DosedMix, target: LabD65) {
  const missing = workshop.dyes.filter((d) => !d.owned)
  if (missing.length === 0) return null
  const all = groundOf(icing, workshop.dyes, workshop)
  const best = formula(baseOf(icing), target, all.curves, task.grams).chosen
  if (best.difference > chosen.difference - NEARER) return null
  const dye = best.dyes.map((d) => all.dyes[d]!).find((d) => !d.owned)
  return dye ? { id: dye.id, name: dye.name, hex: labToHex(best.lab) } : null
}

function warningsOf(mix: DosedMix, icing: IcingKind): string[] {
  const drops = mix.drops.reduce((a, b) => a + b, 0)
  const warnings: string[] = []
  if (drops > HEAVY_DROPS)
    warnings.push('So much dye is tasted, stains teeth and softens the icing: taste it, and mix it stiffer.')
  if (drops > DEEP_DROPS && icing.deepens > 0)
    warnings.push('It deepens on standing: mix it the day before, and stop at the fresh colour.')
  return warnings
}
