import { hexToLab } from '#core/colour/lab'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { isRound, openingSize } from '#core/tips/index'

/** Icing for words is about so wide, and for a stem: about as thick as a vine, mm. */
const WRITES_MM = 2
const STEM_MM = 2

type Tips = Pick<Workshop, 'tips'>
const nearest = (tips: Workshop['tips'], mm: number) => {
  const off = (t: Workshop['tips'][number]) => Math.abs(openingSize(t.opening) - mm)
  return [...tips].sort((a, b) => off(a) - off(b))[0]
}

/** The owned round tip that is nearest to what words are usually written with; any other round one where none is owned. */
export function writingTip({ tips }: Tips): string | undefined {
  const rounds = tips.filter((t) => isRound(t.opening))
  const owned = rounds.filter((t) => t.owned > 0)
  return nearest(owned.length > 0 ? owned : rounds, WRITES_MM)?.id
}

/** What a stem is piped with to begin with: an owned round tip, and the greenest colour of the order; null without either. */
export function stemOf(order: Order, { tips }: Tips): { tipId: string; colourId: string } | null {
  const tip = nearest(
    tips.filter((t) => isRound(t.opening) && t.owned > 0),
    STEM_MM,
  )
  const [colour] = [...order.colours].sort((a, b) => hexToLab(a.hex)[1] - hexToLab(b.hex)[1])
  return tip && colour ? { tipId: tip.id, colourId: colour.id } : null
}

/** How light a colour is, 0 to 100: the darkest is what one writes with. */
export const darkness = (hex: string) => hexToLab(hex)[0]
