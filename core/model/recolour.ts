import type { PlacedFlower } from './order.ts'

/** A placed flower with every colour that it names looked up anew: those of its roles, second tones, single layers and added ones. */
export function recoloured(placed: PlacedFlower, idOf: (colourId: string) => string): PlacedFlower {
  return {
    ...placed,
    colours: Object.fromEntries(Object.entries(placed.colours).map(([role, id]) => [role, idOf(id)])),
    twoTone: Object.fromEntries(
      Object.entries(placed.twoTone).map(([role, tone]) => [
        role,
        { ...tone, colourId: idOf(tone.colourId) },
      ]),
    ),
    layerColours: Object.fromEntries(
      Object.entries(placed.layerColours).map(([layer, id]) => [layer, idOf(id)]),
    ),
    added: placed.added.map((a) => ({ ...a, colourId: idOf(a.colourId) })),
  }
}
