import { catalogueDyes } from '#core/catalogue/dyes'
import { catalogueIcings } from '#core/catalogue/icings'
import { labToHex } from '#core/colour/lab'
import { baseOf, dyeFit } from '#core/colour/palette'
import { tinter } from '#core/colour/tint'

/** How a catalogue dye looks in the first icing kind, so many drops in 100 g. */
export function dyeCurveHex(id: string, drops: number): string {
  const dye = catalogueDyes.find((d) => d.id === id)!
  const { curve } = dyeFit(dye, catalogueIcings)
  return labToHex(tinter(baseOf(catalogueIcings[0]!), [curve]).lab([drops]))
}
