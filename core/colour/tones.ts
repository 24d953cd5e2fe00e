import type { Dye } from '../model/dye.ts'
import type { IcingKind } from '../model/icing.ts'
import type { Workshop } from '../model/workshop.ts'
import { type BowlTask, mixBowl } from './bowl.ts'
import { SPECKS } from './dose.ts'
import { hexToLab, labToHex } from './lab.ts'
import { baseOf, dyeFit } from './palette.ts'
import { baseLab, tinter } from './tint.ts'

/** How often a colour is let down with as much plain icing again. */
const LET_DOWN = [2, 4, 8]

/** Paler tones of a colour: its own mix let down with plain icing, half and half again. */
export function tones(task: BowlTask, workshop: Workshop): string[] {
  const icing = workshop.icings.find((i) => i.id === task.icingKindId)!
  const { doses } = mixBowl(task, workshop).chosen
  const dyes = doses.map((d) => workshop.dyes.find((w) => w.id === d.dyeId)!)
  const tint = tinter(
    baseOf(icing),
    dyes.map((d) => dyeFit(d, workshop.icings).curve.map((k) => k * (1 + icing.deepens))),
  )
  return LET_DOWN.map((times) =>
    labToHex(tint.lab(doses.map((d) => ((d.eighths / SPECKS) * 100) / task.grams / times))),
  )
}

/**
 * Colours with a little of one dye in all of them, which ties a palette together: each moves as plain icing would with
 * those drops in 100 g, a deep colour less.
 */
export function tied(
  hexes: readonly string[],
  dye: Dye,
  drops: number,
  icing: IcingKind,
  icings: readonly IcingKind[],
): string[] {
  const base = baseOf(icing)
  const plain = baseLab(base)
  const lab = tinter(base, [dyeFit(dye, icings).curve]).lab([drops])
  return hexes.map((hex) => {
    const own = hexToLab(hex)
    const weight = own[0] / plain[0]
    return labToHex([
      own[0] + (lab[0] - plain[0]) * weight,
      own[1] + (lab[1] - plain[1]) * weight,
      own[2] + (lab[2] - plain[2]) * weight,
    ])
  })
}
