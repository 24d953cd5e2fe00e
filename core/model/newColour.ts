import type { OrderColour } from './order.ts'

/** A colour as it comes to an order: nobody has settled on dyes for it. */
export function newColour(id: string, name: string, hex: string): OrderColour {
  return { id, name: name.slice(0, 80), hex, dyeIds: null }
}
