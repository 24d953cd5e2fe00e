import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import type { Order } from '../model/order.ts'
import { recoloured } from '../model/recolour.ts'
import { replaceColour } from '../plan/remedies.ts'

/** A colour that another takes the place of, by their ids. */
export interface Merge {
  from: string
  into: string
}

/** Two colours that meet in one flower are told apart there: to lose that is to miss them so many times as much. */
const TOGETHER = 2

/**
 * Brings the colours that are worn down to so many, two at a time: each time the one that is missed least gives way to
 * another. How much a colour is missed is its grams times how far the eye sees the other from it (CIEDE2000), and more
 * where both meet in one flower: a trace goes before a bowl, a shade before another hue, and stamens stay visible.
 * @param grams icing of each colour by id; a colour of which nothing is mixed is worn by nobody and stays as it is.
 * @param most how many stay, 1 or more.
 */
export function fewerColours(
  order: Pick<Order, 'colours' | 'pieces'>,
  grams: ReadonlyMap<string, number>,
  most: number,
): Merge[] {
  const left: Worn[] = order.colours
    .map(({ id, hex }) => ({ id, lab: hexToLab(hex), grams: grams.get(id) ?? 0, on: flowersIn(order, id) }))
    .filter((c) => c.grams > 0)
  const merges: Merge[] = []
  while (left.length > Math.max(1, most)) {
    const pairs = left.flatMap((from) =>
      left.filter((into) => into !== from).map((into) => ({ from, into, missed: missed(from, into) })),
    )
    const { from, into } = pairs.reduce((least, pair) => (pair.missed < least.missed ? pair : least))
    into.grams += from.grams
    into.on = new Set([...into.on, ...from.on])
    left.splice(left.indexOf(from), 1)
    merges.push({ from: from.id, into: into.id })
  }
  return merges
}

interface Worn {
  id: string
  lab: ReturnType<typeof hexToLab>
  grams: number
  /** Ids of the placed flowers that wear it. */
  on: Set<string>
}

function missed(from: Worn, into: Worn): number {
  const together = [...from.on].some((id) => into.on.has(id)) ? TOGETHER : 1
  return from.grams * ciede2000(from.lab, into.lab) * together
}

/** The placed flowers that wear a colour in any of their parts. */
function flowersIn({ pieces }: Pick<Order, 'pieces'>, colourId: string): Set<string> {
  const on = new Set<string>()
  for (const placed of pieces.flatMap((p) => p.flowers))
    recoloured(placed, (id) => {
      if (id === colourId) on.add(placed.id)
      return id
    })
  return on
}

/** The order with colours in the place of others, one after the other. */
export const merged = (order: Order, merges: readonly Merge[]): Order =>
  merges.reduce((now, { from, into }) => replaceColour(now, from, into), order)

/** The colour that a colour comes to by merges, which may themselves be merged further on. */
export const becomes = (id: string, merges: readonly Merge[]): string =>
  merges.reduce((now, { from, into }) => (now === from ? into : now), id)
