import { rememberingFitter } from '../flowers/resolve.ts'
import type { Flower } from '../model/flower.ts'
import type { IcingKind } from '../model/icing.ts'
import { newColour } from '../model/newColour.ts'
import type { Order, OrderColour } from '../model/order.ts'
import type { SetOn } from '../model/setOn.ts'
import type { OwnedTip } from '../model/tip.ts'
import type { Workshop } from '../model/workshop.ts'
import { formatLength, formatWeight } from '../units.ts'
import { handedWorkshop } from './handed.ts'

/** The order and workshop by id, as every stage needs them. */
export interface Lookup {
  order: Order
  workshop: Workshop
  flower(id: string): Flower
  tip(id: string): OwnedTip
  icing(id: string): IcingKind
  colour(id: string): OrderColour
  setOn(id: string): SetOn
  /** A flower fitted to a size, each fitting worked out once. */
  fit: ReturnType<typeof rememberingFitter>
  /** A weight in the bakery's units. */
  weight(grams: number): string
  /** A length in the bakery's units. */
  length(mm: number): string
}

/** Colour of a role that nobody has chosen a colour for yet. */
const UNCHOSEN = 'unchosen'

/** The id under which a role's own colour is planned until somebody chooses one. */
export function unchosenColourId(flowerId: string, roleId: string): string {
  return `${UNCHOSEN}.${flowerId}.${roleId}`
}

export function isUnchosen(colourId: string): boolean {
  return colourId.startsWith(`${UNCHOSEN}.`)
}

/** Builds the lookup, as things are for the hand that pipes the order; its functions throw for ids that `orderFaults` would have refused. */
export function lookUp(order: Order, bakery: Workshop): Lookup {
  const workshop = handedWorkshop(order, bakery)
  const flower = finder('flower', workshop.flowers)
  const colours = new Map(order.colours.map((c) => [c.id, c]))
  return {
    order,
    workshop,
    flower,
    tip: finder('tip', workshop.tips),
    icing: finder('icing kind', workshop.icings),
    setOn: finder('thing to put on', order.setOns),
    colour(id) {
      const known = colours.get(id)
      if (known) return known
      const [, flowerId, roleId] = id.split('.')
      const of = flower(flowerId ?? '')
      const role = of.roles.find((r) => r.id === roleId)
      return newColour(id, `${of.name}: ${role?.name ?? roleId} (not chosen)`, role?.hex ?? '#ffffff')
    },
    fit: rememberingFitter(workshop.tips),
    weight: (grams) => formatWeight(grams, workshop.settings.units),
    length: (mm) => formatLength(mm, workshop.settings.lengths),
  }
}

function finder<T extends { id: string }>(what: string, items: readonly T[]): (id: string) => T {
  const byId = new Map(items.map((item) => [item.id, item]))
  return (id) => {
    const found = byId.get(id)
    if (!found) throw new RangeError(`No ${what} "${id}" in this workshop.`)
    return found
  }
}
