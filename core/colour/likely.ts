import type { Provenance } from '../model/dye.ts'
import { type Random, seeded } from '../random.ts'
import { ciede2000 } from './ciede2000.ts'
import type { DosedMix } from './dose.ts'
import { SPECKS } from './dose.ts'
import { type LabD65, labToHex } from './lab.ts'
import type { Spectrum } from './spectrum.ts'
import { type TintBase, tinter } from './tint.ts'

/** How unsure the strength of a bottle is, as a share of it, by where knowledge of it comes from. */
export const strengthSpread: Record<Provenance, number> = {
  generic: 0.35,
  oneDab: 0.2,
  twoDabs: 0.12,
  learnt: 0.08,
}

export const provenanceWords: Record<Provenance, string> = {
  generic: 'known only by its hue',
  oneDab: 'known by one dab',
  twoDabs: 'known by its dabs',
  learnt: 'known from mixing',
}

/** A drop from a bottle, and a speck from a toothpick, vary by these shares. */
const DROP_SPREAD = 0.12
const SPECK_SPREAD = 0.3

/** What a hand will get: not one colour but a smear of likely ones. */
export interface Likely {
  /** Five colours from one end of the likely ones to the other. */
  smear: string[]
  /** Difference from the wanted colour that half of the mixes stay under, and nine in ten. */
  usual: number
  unlucky: number
}

const TRIALS = 90

/**
 * Mixes the same bowl many times with bottles as unsure and drops as uneven as they are, and says where the results
 * lie. Seeded: the same mix gives the same smear.
 * @param spreads how unsure each dye's strength is, as a share.
 */
export function likely(
  base: TintBase,
  curves: readonly Spectrum[],
  mix: DosedMix,
  target: LabD65,
  spreads: readonly number[],
): Likely {
  const random = seeded(97)
  const tint = tinter(
    base,
    mix.dyes.map((d) => curves[d]!),
  )
  const labs = Array.from({ length: TRIALS }, () =>
    tint.lab(
      mix.drops.map((drops, j) => {
        const eighths = mix.eighths[j]!
        const whole = Math.floor(eighths / SPECKS)
        const specks = eighths % SPECKS
        const dose = Math.hypot(DROP_SPREAD * Math.sqrt(whole), (SPECK_SPREAD * Math.sqrt(specks)) / SPECKS)
        const share = dose / Math.max(1e-9, eighths / SPECKS)
        return drops * Math.exp(spreads[j]! * normal(random)) * Math.max(0.05, 1 + share * normal(random))
      }),
    ),
  )
  const differences = labs.map((lab) => ciede2000(lab, target)).sort((a, b) => a - b)
  return {
    smear: alongSmear(labs).map(labToHex),
    usual: differences[Math.floor(TRIALS / 2)]!,
    unlucky: differences[Math.floor(TRIALS * ONE_IN_TEN)]!,
  }
}

/** What is worse only one time in ten. */
const ONE_IN_TEN = 0.9

function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** Where five colours stand among all results, and rounds in which their direction comes to rest. */
const SMEAR = [0.05, 0.27, 0.5, 0.73, 0.95]
const AXIS_ROUNDS = 12

/** Five colours along the direction in which the results differ most, from a twentieth to nineteen of them. */
function alongSmear(labs: readonly LabD65[]): LabD65[] {
  const mean = [0, 1, 2].map((k) => labs.reduce((sum, lab) => sum + lab[k]!, 0) / labs.length)
  let axis = [1, 0.5, 0.5]
  for (let i = 0; i < AXIS_ROUNDS; i++) {
    const next = [0, 0, 0]
    for (const lab of labs) {
      const along = lab.reduce((sum, v, k) => sum + (v - mean[k]!) * axis[k]!, 0)
      for (let k = 0; k < 3; k++) next[k]! += along * (lab[k]! - mean[k]!)
    }
    const length = Math.hypot(...next) || 1
    axis = next.map((v) => v / length)
  }
  const sorted = [...labs].sort(
    (a, b) => a.reduce((s, v, k) => s + v * axis[k]!, 0) - b.reduce((s, v, k) => s + v * axis[k]!, 0),
  )
  return SMEAR.map((p) => sorted[Math.floor(p * (sorted.length - 1))]!)
}

/** A difference in words: never a figure, which would promise more than anybody knows. */
export function differenceWords(difference: number): string {
  if (difference < 1) return 'the same to the eye'
  if (difference < 1.5) return 'hardly to be told apart'
  if (difference < 3) return 'a shade off'
  if (difference < 6) return 'plainly another shade'
  return 'another colour'
}

/**
 * What a mix comes to, in one sentence: as it is written, as it usually turns out, and one time in ten. Luck may bring a
 * bowl nearer than its formula; nobody is promised that, so that no part says less than the one before.
 */
export function likelyWords(mix: { difference: number; likely: Likely }): string {
  const usual = Math.max(mix.difference, mix.likely.usual)
  const words = [mix.difference, usual, Math.max(usual, mix.likely.unlucky)].map(differenceWords)
  const [written, mostly, seldom] = words as [string, string, string]
  if (written === seldom) return `${capital(written)}, nearly always.`
  if (written === mostly) return `${capital(written)} mostly, one time in ten ${seldom}.`
  if (mostly === seldom) return `${capital(written)} if every drop is right; usually ${mostly}.`
  return `${capital(written)} if every drop is right; usually ${mostly}, one time in ten ${seldom}.`
}

const capital = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1)

/** Of a bottle known only by its hue half goes in before a look, of others two thirds. */
const FIRST_OF_UNKNOWN = 0.5
const FIRST_OF_KNOWN = 0.7

/** Share of the dye that goes in first: the rest after a look. */
export function firstDose(provenances: readonly Provenance[]): number {
  return provenances.some((p) => p === 'generic') ? FIRST_OF_UNKNOWN : FIRST_OF_KNOWN
}
