import { widestMm } from '../../flowers/widest.ts'
import { flowersOn } from '../../model/arrangements.ts'
import { surfaceDefinition } from '../../surfaces/index.ts'
import { type AdviceCheck, say } from './check.ts'

/** Flowers wider than the piece they stand on. */
export const tooWide: AdviceCheck = ({ at, placements }) =>
  placements.flatMap(({ piece, placed, flower, fitted }) => {
    if (flower.form === 'border' || flower.form === 'vine') return []
    const across = surfaceDefinition(piece.shape.kind).topAcrossMm(piece.shape)
    if (widestMm(fitted.measure) <= across) return []
    const wide = fitted.measure.diameterMm
    if (wide <= across) return []
    const sizeMm = Math.floor(across * 0.9)
    return [
      say(
        'wider-than-piece',
        'decide',
        { kind: 'piece', id: piece.id },
        `${flower.name} is ${at.length(wide)} wide and ${piece.name} only ${at.length(across)}: it will hang over the edge. Make it ${at.length(sizeMm)}.`,
        {
          label: `Make it ${at.length(sizeMm)}`,
          change: { kind: 'setSize', pieceId: piece.id, placedId: placed.id, sizeMm },
        },
      ),
    ]
  })

/** Share of a surface that round flowers can cover before they sit on top of each other. */
const PACKING = 0.85

/** More flowers than the top has room for. */
export const tooMany: AdviceCheck = ({ at, placements }) =>
  at.order.pieces.flatMap((piece) => {
    // where every flower has its place, that place is judged
    if (piece.layouts.length > 0) return []
    const here = placements.filter(
      (p) => p.piece.id === piece.id && (p.flower.form === 'flower' || p.flower.form === 'leaf'),
    )
    const coveredBy = (wide: (p: (typeof here)[number]) => number) =>
      here.reduce(
        // leaves lie half under the flowers
        (sum, p) => sum + p.perPiece * (p.flower.form === 'leaf' ? 0.5 : 1) * (Math.PI / 4) * wide(p) ** 2,
        0,
      )
    const area = surfaceDefinition(piece.shape.kind).topAreaMm2(piece.shape)
    if (coveredBy((p) => widestMm(p.fitted.measure)) <= area * PACKING) return []
    const covered = coveredBy((p) => p.fitted.measure.diameterMm)
    if (covered <= area * PACKING) return []
    const most = here.filter((p) => p.perPiece > 1).sort((a, b) => b.perPiece - a.perPiece)[0]
    const fewer = most ? Math.max(1, Math.floor((most.perPiece * area * PACKING) / covered)) : 0
    return [
      say(
        'too-many-flowers',
        'decide',
        { kind: 'piece', id: piece.id },
        `The flowers on ${piece.name} cover ${Math.round((100 * covered) / area)} % of its surface: the last ones will sit on the others.${most ? ` ${fewer} × ${most.flower.name} would fit.` : ' Make one smaller.'}`,
        most
          ? {
              label: `${fewer} instead of ${most.perPiece}`,
              change: { kind: 'setPerPiece', pieceId: piece.id, placedId: most.placed.id, perPiece: fewer },
            }
          : null,
      ),
    ]
  })

/** Flowers on a bare piece: the cake shows between the petals. */
export const noCoat: AdviceCheck = ({ at, placements }) =>
  at.order.pieces.flatMap((piece) => {
    if (piece.coat || !placements.some((p) => p.piece.id === piece.id && p.flower.form === 'flower'))
      return []
    const first = placements.find((p) => p.piece.id === piece.id)!
    const colourId = Object.values(first.placed.colours)[0] ?? at.order.colours[0]?.id
    return [
      say(
        'no-coat',
        'note',
        { kind: 'piece', id: piece.id },
        `${piece.name} has no coat under its flowers: the cake will show between the petals. A thin coat in a petal's colour hides it.`,
        colourId
          ? { label: 'Add a 1.5 mm coat', change: { kind: 'addCoat', pieceId: piece.id, colourId } }
          : null,
      ),
    ]
  })

/** A flower that was put on a piece whose flowers have places, and has none. */
export const notPlaced: AdviceCheck = ({ at }) =>
  at.order.pieces.flatMap((piece) =>
    piece.flowers
      .filter((f) => piece.layouts.length > 0 && f.placement.kind === 'each' && flowersOn(piece, f) === 0)
      .map((f) =>
        say(
          'not-placed',
          'decide',
          { kind: 'piece', id: piece.id },
          `${at.flower(f.flowerId).name} has no place on ${piece.name}, so none is piped. Place it, or take it off.`,
          { label: 'Take it off', change: { kind: 'takeOff', pieceId: piece.id, placedId: f.id } },
        ),
      ),
  )
