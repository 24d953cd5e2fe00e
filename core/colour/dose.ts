import { ciede2000 } from './ciede2000.ts'
import { type Mix, MOST_DROPS, type Task } from './subsetSolve.ts'
import { tinter } from './tint.ts'

/** Specks to a drop: the least that a toothpick doses. */
export const SPECKS = 8
/** From so many drops on nobody counts specks. */
const SPECKS_UNTIL = 3

/** Doses for a bowl that a hand can give, in eighths of a drop, and what they come to. */
export interface DosedMix extends Mix {
  /** Eighths of a drop of each dye for the whole bowl. */
  eighths: number[]
}

/** What a mix costs besides its difference: each dye more, each drop in 100 g, each dye that needs specks counted. */
const DYE_COST = 0.4
const DROP_COST = 0.01
const SPECK_COST = 0.03

/** Rank of a mix, least first: difference seen, and the trouble of dosing it. */
export function trouble(mix: { difference: number; drops: readonly number[]; eighths?: readonly number[] }) {
  const specks = mix.eighths?.filter((e) => e % SPECKS !== 0).length ?? 0
  return (
    mix.difference +
    DYE_COST * Math.max(0, mix.drops.filter((d) => d > 0).length - 1) +
    DROP_COST * mix.drops.reduce((a, b) => a + b, 0) +
    SPECK_COST * specks
  )
}

/** Steps of an eighth that a dose may be rounded to: halves and quarters from a drop on, whole drops from three. */
function steps(eighths: number, grains: readonly number[]): number[] {
  const fitting = eighths >= SPECKS_UNTIL * SPECKS ? [SPECKS] : grains
  const found = new Set<number>()
  for (const grain of fitting) {
    found.add(Math.floor(eighths / grain) * grain)
    found.add(Math.ceil(eighths / grain) * grain)
  }
  if (eighths < LEAVE_OUT) found.add(0)
  return [...found]
}

/** A dose that small may as well be left out: no dye is a dose too. */
const LEAVE_OUT = 4
const CONVENIENT = [SPECKS, SPECKS / 2, SPECKS / 4, 1]
const FINEST = [1]

/**
 * The mix in whole drops and specks for a bowl: every way of rounding each dose up or down or leaving it out, then each
 * dose a step up and down as long as that is less trouble. Rounding is part of choosing, not a step after it.
 * @param grams finished icing in the bowl.
 * @param quick tries the finest steps only: for choosing among many mixes.
 */
export function dosed({ base, target, curves }: Task, mix: Mix, grams: number, quick = false): DosedMix {
  const tint = tinter(
    base,
    mix.dyes.map((d) => curves[d]!),
  )
  const perHundred = 100 / grams
  const evaluate = (eighths: number[]): DosedMix => {
    const drops = eighths.map((e) => (e / SPECKS) * perHundred)
    const lab = tint.lab(drops)
    return { dyes: mix.dyes, drops, eighths, lab, difference: ciede2000(lab, target) }
  }
  const grains = quick ? FINEST : CONVENIENT
  const choices = mix.drops.map((d) => steps((d / perHundred) * SPECKS, grains))
  let best: DosedMix | null = null
  const walk = (at: number, chosen: number[]) => {
    if (at === choices.length) {
      const made = evaluate(chosen)
      if (!best || trouble(made) < trouble(best)) best = made
      return
    }
    for (const choice of choices[at]!) walk(at + 1, [...chosen, choice])
  }
  walk(0, [])
  return withoutEmpty(descend(best ?? evaluate([]), evaluate))
}

/** The same mix without the dyes of which nothing is left. */
function withoutEmpty(mix: DosedMix): DosedMix {
  const kept = mix.dyes.map((_, k) => k).filter((k) => mix.eighths[k]! > 0)
  if (kept.length === mix.dyes.length) return mix
  const of = (list: readonly number[]) => kept.map((k) => list[k]!)
  return { ...mix, dyes: of(mix.dyes), drops: of(mix.drops), eighths: of(mix.eighths) }
}

function descend(from: DosedMix, evaluate: (eighths: number[]) => DosedMix): DosedMix {
  let best = from
  for (let round = 0; round < 6; round++) {
    let next = best
    for (let j = 0; j < best.eighths.length; j++)
      for (const by of [-SPECKS, -1, 1, SPECKS]) {
        const eighths = [...best.eighths]
        eighths[j]! += by
        const many = eighths[j]! > SPECKS_UNTIL * SPECKS
        if (eighths[j]! < 0 || (many && eighths[j]! % SPECKS !== 0)) continue
        const made = evaluate(eighths)
        if (made.drops.reduce((a, b) => a + b, 0) > MOST_DROPS) continue
        if (trouble(made) < trouble(next) - 1e-9) next = made
      }
    if (next === best) break
    best = next
  }
  return best
}

/** More drops than this nobody counts: they are weighed. */
const COUNTED = 10

/**
 * "6 drops", "2 drops and 3 specks", "half a drop", "1 speck"; above ten drops the weight first: "2.15 g, about 43 drops".
 * @param dropGrams what a drop of this dye weighs; left out where the drops are of several.
 */
export function doseWords(eighths: number, dropGrams?: number): string {
  const drops = Math.floor(eighths / SPECKS)
  const specks = eighths % SPECKS
  if (drops > COUNTED && dropGrams !== undefined)
    return `${((eighths / SPECKS) * dropGrams).toFixed(2)} g, about ${drops} drops`
  const dropWords = drops === 0 ? '' : drops === 1 ? '1 drop' : `${drops} drops`
  if (specks === 0) return dropWords || 'none'
  if (specks === SPECKS / 2) return drops === 0 ? 'half a drop' : `${drops}½ drops`
  const speckWords = specks === 1 ? '1 speck' : `${specks} specks`
  return dropWords ? `${dropWords} and ${speckWords}` : speckWords
}
