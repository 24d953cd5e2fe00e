import { strokeDefinition } from '../../strokes/index.ts'
import { type AdviceCheck, say } from './check.ts'

/** Flowers that the icing kind cannot do: standing petals, or lifting without freezing or drying. */
export const icingCannot: AdviceCheck = ({ at, placements }) =>
  placements.flatMap(({ piece, flower }) => {
    const icing = at.icing(piece.icingKindId ?? at.order.icingKindId)
    const advice = []
    const stands = flower.layers.some((l) => strokeDefinition(l.stroke.kind).upright)
    if (stands && !icing.can.standUpright)
      advice.push(
        say(
          'petals-fall',
          'decide',
          { kind: 'piece', id: piece.id },
          `${flower.name} has standing petals, and ${icing.name} does not hold them up: they will sag. Choose another icing kind for ${piece.name}.`,
        ),
      )
    if (flower.setting === 'nail' && !icing.can.freeze && !icing.can.dryHard)
      advice.push(
        say(
          'cannot-lift',
          'decide',
          { kind: 'piece', id: piece.id },
          `${flower.name} is lifted from its nail, and ${icing.name} neither freezes nor dries: it will tear. Pipe it in place or choose another icing kind.`,
        ),
      )
    return advice
  })

/** Flowers wider than the nail they are piped on. */
export const widerThanNail: AdviceCheck = ({ placements }) =>
  placements.flatMap(({ piece, flower, fitted, placed }) => {
    const wide = fitted.measure.diameterMm
    const fits = flower.nailMm === null || placed.sizeMm === null || wide <= flower.nailMm + 8
    if (fits) return []
    return [
      say(
        'wider-than-nail',
        'note',
        { kind: 'flower', id: flower.id },
        `${flower.name} on ${piece.name} is ${Math.round(wide)} mm wide: take a larger nail than its usual ${flower.nailMm} mm.`,
      ),
    ]
  })
