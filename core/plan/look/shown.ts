import { hexToLab, type LabD65 } from '../../colour/lab.ts'
import { seenFromAbove } from '../../flowers/seen.ts'
import type { Piece } from '../../model/order.ts'
import type { Texture } from '../../strokes/stroke.ts'
import { seenAreaMm2 } from '../../surfaces/index.ts'
import type { FittedPlacement } from '../demand.ts'
import { type Lookup, unchosenColourId } from '../lookup.ts'

/** Smooth is what was spread: no stroke at all. */
export type ShownTexture = Texture | 'smooth'

/** One flower of a piece, as often as the piece wears it. */
export interface ShownFlower {
  /** Recipe it is piped by. */
  flowerId: string
  flower: boolean
  border: boolean
  count: number
  diameterMm: number
  heightMm: number
  /** What it shows on the piece, mm², all of them together. */
  mm2: number
}

/** What a piece shows: areas in mm² by colour and by texture, and what else the eye counts. */
export interface ShownPiece {
  pieceId: string
  /** How much of the order's look it is: its area, all of its kind, cakes twice. */
  weight: number
  colours: Map<string, { lab: LabD65; mm2: number }>
  textures: Map<ShownTexture, number>
  flowers: ShownFlower[]
  edgesMm: number
  /** Share of the piece that flowers hide, 0 to 1. */
  covered: number
}

/** What was spread is looked through to what stands on it: so much of it counts. */
const COAT_COLOUR = 0.4
const COAT_TEXTURE = 0.25
/** A cake stands in the middle of the table, and is looked at from all round. */
const CAKE_COUNTS = 2
/** A piece without a coat is baked: the colour of its crust. */
const CRUST_HEX = '#c89b6a'

/** What every piece of an order shows, in its order. */
export function shownPieces(at: Lookup, placements: readonly FittedPlacement[]): ShownPiece[] {
  return at.order.pieces.map((piece) =>
    shownPiece(
      at,
      piece,
      placements.filter((p) => p.piece === piece),
    ),
  )
}

function shownPiece(at: Lookup, piece: Piece, placements: readonly FittedPlacement[]): ShownPiece {
  const area = seenAreaMm2(piece.shape)
  const seen = placements.map((p) => ({ ...p, seen: seenFromAbove(p.fitted.layers) }))
  const laid = seen.reduce((sum, p) => sum + p.perPiece * p.seen.areaMm2, 0)
  // flowers that are laid at random lie over one another: what they hide grows ever more slowly
  const hidden = area * (1 - Math.exp(-laid / area))
  const shows = laid === 0 ? 0 : hidden / laid
  const colours: ShownPiece['colours'] = new Map()
  const textures: ShownPiece['textures'] = new Map()
  const addColour = (hex: string, mm2: number) => {
    const known = colours.get(hex)
    if (known) known.mm2 += mm2
    else colours.set(hex, { lab: hexToLab(hex), mm2 })
  }
  const addTexture = (texture: ShownTexture, mm2: number) =>
    textures.set(texture, (textures.get(texture) ?? 0) + mm2)
  for (const p of seen)
    for (const { role, texture, mm2 } of p.seen.areas) {
      const colour = at.colour(p.colours[role] ?? unchosenColourId(p.flower.id, role))
      addColour(colour.hex, mm2 * p.perPiece * shows)
      addTexture(texture, mm2 * p.perPiece * shows)
    }
  const bare = area - hidden
  addColour(piece.coat ? at.colour(piece.coat.colourId).hex : CRUST_HEX, COAT_COLOUR * bare)
  addTexture('smooth', COAT_TEXTURE * bare)
  return {
    pieceId: piece.id,
    weight: area * piece.count * (piece.shape.kind === 'cake' ? CAKE_COUNTS : 1),
    colours,
    textures,
    flowers: seen.map((p) => ({
      flowerId: p.placed.flowerId,
      flower: p.flower.form === 'flower',
      border: p.flower.form === 'border',
      count: p.perPiece,
      diameterMm: p.fitted.measure.aimed.diameterMm,
      heightMm: p.fitted.measure.aimed.heightMm,
      mm2: p.seen.areaMm2 * p.perPiece * shows,
    })),
    edgesMm: seen.reduce((sum, p) => sum + p.seen.edgesMm * p.perPiece, 0),
    covered: hidden / area,
  }
}
