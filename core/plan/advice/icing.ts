import { widestMm } from '../../flowers/widest.ts'
import { strokeDefinition } from '../../strokes/index.ts'
import { formatMinutes } from '../../units.ts'
import { flowersPiped } from '../piped.ts'
import { minutesPerSquare, mostSquares } from '../work/batchWait.ts'
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

/** Squares that stand so long that their icing crusts before the next layer comes: it no longer grips. */
export const batchCrusts: AdviceCheck = ({ at, placements, uses }) =>
  placements.flatMap(({ piece, placed, flower }) => {
    const own = uses.filter((u) => u.pieceId === piece.id && u.placedId === placed.id)
    const first = own[0]
    if (!first || !own.some((u) => u.waited)) return []
    const perSquare = minutesPerSquare(own, (u) => u.waited)
    const icing = at.icing(first.icingKindId)
    const most = mostSquares(perSquare, icing.crustMinutes)
    const squares = Math.min(first.batch, flowersPiped(first))
    if (squares <= most) return []
    const fewer = most >= 2 ? most : null
    return [
      say(
        'batch-crusts',
        'decide',
        { kind: 'piece', id: piece.id },
        `${squares} squares of ${flower.name} at a time stand for ${Math.ceil(squares * perSquare)} min, and ${icing.name.toLowerCase()} crusts after about ${formatMinutes(icing.crustMinutes)}: the next layer would not grip. ${fewer ? `Take ${fewer} at a time.` : 'Pipe one after another.'}`,
        {
          label: fewer ? `Take ${fewer} at a time` : 'One after another',
          change: { kind: 'setBatch', pieceId: piece.id, placedId: placed.id, squares: fewer },
        },
      ),
    ]
  })

/** Petals may reach so far over the edge of a nail, both sides together. */
const OVER_THE_NAIL_MM = 8

/** Flowers wider than the nail they are piped on. */
export const widerThanNail: AdviceCheck = ({ at, placements }) =>
  placements.flatMap(({ piece, flower, fitted, placed }) => {
    if (flower.nailMm === null || placed.sizeMm === null) return []
    const mostMm = flower.nailMm + OVER_THE_NAIL_MM
    if (widestMm(fitted.measure) <= mostMm) return []
    const wide = fitted.measure.diameterMm
    if (wide <= mostMm) return []
    return [
      say(
        'wider-than-nail',
        'note',
        { kind: 'flower', id: flower.id },
        `${flower.name} on ${piece.name} is ${at.length(wide)} wide: take a larger nail than its usual ${at.length(flower.nailMm)}.`,
      ),
    ]
  })
