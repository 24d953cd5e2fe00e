import { type FlowerCheck, flowerChecks } from '../../flowers/checks.ts'
import type { FittedFlower } from '../../flowers/resolve.ts'
import type { Flower } from '../../model/flower.ts'
import { surfaceDefinition } from '../../surfaces/index.ts'
import { type AdviceCheck, say } from './check.ts'

const known = new WeakMap<FittedFlower, FlowerCheck[]>()

/** The checks of a fitted flower, made once for as long as it stays as it is. */
function checksOf(flower: Flower, fitted: FittedFlower): FlowerCheck[] {
  const checks = known.get(fitted) ?? flowerChecks(flower, fitted.layers, fitted.measure)
  known.set(fitted, checks)
  return checks
}

/** What the geometry of a flower says will not work at the size and with the tips it has here. */
export const willNotWork: AdviceCheck = ({ placements }) =>
  placements.flatMap(({ piece, flower, fitted }) =>
    checksOf(flower, fitted)
      // the nail has a check of its own here, which knows the size that was asked for
      .filter((c) => c.severity === 'decide' && c.code !== 'wider-than-nail')
      .map((c) =>
        say(
          c.code,
          'decide',
          { kind: 'flower', id: flower.id },
          `${flower.name} on ${piece.name}: ${c.message} Change the flower in the studio, or its size or tip here.`,
        ),
      ),
  )

/** No pile comes out higher than so many times what is aimed and a few mm: below that nothing need be piled to be told. */
const PILED_UP = 1.2
const PILED_UP_MM = 5

/** Icing that would touch the lid of the box it travels in. */
export const tooTallForBox: AdviceCheck = ({ at, placements }) => {
  const { boxMm, travel } = at.order
  if (boxMm === null || travel === 'onSite') return []
  return at.order.pieces.flatMap((piece) => {
    const rise = surfaceDefinition(piece.shape.kind).topRiseMm(piece.shape) + (piece.coat?.thicknessMm ?? 0)
    const here = placements.filter(
      (p) =>
        p.piece.id === piece.id && rise + p.fitted.measure.aimed.heightMm * PILED_UP + PILED_UP_MM > boxMm,
    )
    const tallest = here.reduce<(typeof here)[number] | null>(
      (most, p) => (!most || p.fitted.measure.heightMm > most.fitted.measure.heightMm ? p : most),
      null,
    )
    if (!tallest) return []
    const high = rise + tallest.fitted.measure.heightMm
    if (high <= boxMm) return []
    return [
      say(
        'touches-the-lid',
        'decide',
        { kind: 'piece', id: piece.id },
        `${tallest.flower.name} stands ${at.length(high)} above ${piece.name}, and the box leaves ${at.length(boxMm)}: the lid will touch it. Take a higher box, or a smaller flower.`,
      ),
    ]
  })
}
