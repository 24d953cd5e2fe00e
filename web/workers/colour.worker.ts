import * as Comlink from 'comlink'
import { type BowlAnswer, type BowlTask, mixBowl, spreadOf } from '#core/colour/bowl'
import { type Correction, corrections, keepingSize } from '#core/colour/correct'
import { hexToLab, labToHex } from '#core/colour/lab'
import { baseOf, dyeFit } from '#core/colour/palette'
import { type Dominant, dominantColours } from '#core/colour/photo'
import { tinter } from '#core/colour/tint'
import { tied, tones } from '#core/colour/tones'
import type { Dye } from '#core/model/dye'
import type { IcingKind } from '#core/model/icing'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { type School, schools } from '#core/plan/schools'

/** A bowl that came out otherwise than it should. */
export interface Look {
  icingKindId: string
  grams: number
  /** What went in, drops for the whole bowl. */
  doses: readonly { dyeId: string; drops: number }[]
  targetHex: string
  observedHex: string
}

/** A way to mend it, as it is shown. */
export interface ShownCorrection extends Omit<Correction, 'add' | 'lab'> {
  hex: string
  add: { dyeId: string; name: string; drops: number }[]
}

/** How a bottle looks, dose by dose. */
export interface Ladder {
  steps: { drops: number; hex: string }[]
  /** Mean difference between its dabs and what is made of them. */
  error: number
}

const LADDER = [0.5, 1, 3, 8, 20, 50]

const bench = {
  bowl: (task: BowlTask, workshop: Workshop): BowlAnswer => mixBowl(task, workshop),
  schools: (order: Order, workshop: Workshop, lastId: string | null): School[] =>
    schools(order, workshop, lastId),
  dominant: (rgba: Uint8ClampedArray, wanted: number): Dominant[] => dominantColours(rgba, wanted),
  ladder(dye: Dye, icing: IcingKind, icings: IcingKind[]): Ladder {
    const { curve, error } = dyeFit(dye, icings)
    const tint = tinter(baseOf(icing), [curve])
    return { steps: LADDER.map((drops) => ({ drops, hex: labToHex(tint.lab([drops])) })), error }
  },
  tones,
  tied,
  correct(look: Look, workshop: Workshop): { ways: ShownCorrection[]; sameSize: ShownCorrection | null } {
    const icing = workshop.icings.find((i) => i.id === look.icingKindId)!
    const inside = new Set(look.doses.map((d) => d.dyeId))
    const dyes = workshop.dyes.filter((d) => d.owned || inside.has(d.id))
    const ways = corrections({
      base: baseOf(icing),
      curves: dyes.map((d) => dyeFit(d, workshop.icings).curve),
      drops: dyes.map((d) => ((look.doses.find((x) => x.dyeId === d.id)?.drops ?? 0) * 100) / look.grams),
      observed: hexToLab(look.observedHex),
      target: hexToLab(look.targetHex),
      grams: look.grams,
      spreads: dyes.map(spreadOf),
    })
    const show = ({ add, lab, ...way }: Correction): ShownCorrection => ({
      ...way,
      hex: labToHex(lab),
      add: add.map(({ dye, drops }) => ({ dyeId: dyes[dye]!.id, name: dyes[dye]!.name, drops })),
    })
    const growing = ways.find((w) => w.stockGrams === 0 && w.addBaseGrams > 1)
    const anew = ways.find((w) => w.stockGrams > 0)
    const still = ways.find((w) => w.addBaseGrams <= 1 && w.add.length > 0)
    const shown = [...new Set([ways[0], still, growing, anew])].flatMap((w) => (w ? [show(w)] : []))
    return { ways: shown, sameSize: growing ? show(keepingSize(growing, look.grams)) : null }
  },
}
export type Bench = typeof bench

Comlink.expose(bench)
