import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import type { Flower, Role } from '../model/flower.ts'
import { newColour } from '../model/newColour.ts'
import type { Order, OrderColour, PlacedFlower } from '../model/order.ts'

/** An order colour nearer than this to a role's own colour is taken for it; CIEDE2000. */
const NEAR_ENOUGH = 12

/**
 * Puts a flower on a piece. Each role takes the order's nearest colour, or brings its own colour along when the
 * order has nothing like it. `newId` supplies ids.
 * @returns the order with the flower placed, and the placed flower's id.
 */
export function placeFlower(
  order: Order,
  pieceId: string,
  flower: Flower,
  newId: () => string,
): { order: Order; placedId: string } {
  const colours = [...order.colours]
  const chosen = Object.fromEntries(
    flower.roles.map((role) => [role.id, colourFor(role, flower, order.colours, colours, newId)]),
  )
  const placed: PlacedFlower = {
    id: newId(),
    flowerId: flower.id,
    placement:
      flower.form === 'border' ? { kind: 'border', edge: 'top', tier: 0 } : { kind: 'each', perPiece: 1 },
    sizeMm: null,
    colours: chosen,
    tips: {},
    stiffness: {},
    leftOut: [],
    batch: null,
    twoTone: {},
    layerColours: {},
    added: [],
  }
  return {
    placedId: placed.id,
    order: {
      ...order,
      colours,
      pieces: order.pieces.map((p) => (p.id === pieceId ? { ...p, flowers: [...p.flowers, placed] } : p)),
    },
  }
}

function colourFor(
  role: Role,
  flower: Flower,
  before: readonly OrderColour[],
  colours: OrderColour[],
  newId: () => string,
): string {
  // two tones of one flower stay two, however near they are to each other
  const twin = colours.find((c) => c.hex === role.hex)
  if (twin) return twin.id
  const wanted = hexToLab(role.hex)
  const ranked = before
    .map((c) => ({ c, distance: ciede2000(wanted, hexToLab(c.hex)) }))
    .sort((a, b) => a.distance - b.distance)
  const best = ranked[0]
  if (best && best.distance < NEAR_ENOUGH) return best.c.id
  const colour = newColour(newId(), `${flower.name}: ${role.name.toLowerCase()}`, role.hex)
  colours.push(colour)
  return colour.id
}
