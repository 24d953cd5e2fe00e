import type { Dye } from '../model/dye.ts'
import type { IcingKind } from '../model/icing.ts'
import { spreadOf } from './bowl.ts'
import { learn } from './correct.ts'
import { hexToLab } from './lab.ts'
import { baseOf, dyeFit } from './palette.ts'

/** A bowl that somebody looked at: what went in, in which icing, and how it came out. */
export interface Look {
  icingKindId: string
  grams: number
  doses: readonly { dyeId: string; drops: number }[]
  observedHex: string
}

/** Dyes with everything that the looks have taught of their strengths, one look after another from the first. */
export function learnFrom(looks: readonly Look[], dyes: readonly Dye[], icings: readonly IcingKind[]): Dye[] {
  return looks.reduce<Dye[]>((known, look) => learnFromLook(look, known, icings), [...dyes])
}

function learnFromLook(look: Look, dyes: Dye[], icings: readonly IcingKind[]): Dye[] {
  const icing = icings.find((i) => i.id === look.icingKindId)
  const inBowl = look.doses.flatMap(({ dyeId, drops }) => {
    const dye = dyes.find((d) => d.id === dyeId)
    return dye ? [{ dye, drops: (drops * 100) / look.grams }] : []
  })
  if (!icing || inBowl.length === 0) return dyes
  const { log, sd } = learn({
    base: baseOf(icing),
    curves: inBowl.map(({ dye }) => dyeFit(dye, icings).curve),
    drops: inBowl.map((b) => b.drops),
    observed: hexToLab(look.observedHex),
    target: hexToLab(look.observedHex),
    grams: look.grams,
    spreads: inBowl.map(({ dye }) => spreadOf(dye)),
  })
  return dyes.map((dye) => {
    const k = inBowl.findIndex((b) => b.dye.id === dye.id)
    if (k < 0) return dye
    const { learnt } = dye
    return {
      ...dye,
      learnt: {
        log: Math.min(3, Math.max(-3, learnt.log + log[k]!)),
        sd: Math.min(2, Math.max(0, sd[k]!)),
        mixes: learnt.mixes + 1,
      },
    }
  })
}
