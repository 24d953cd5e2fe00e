import type { Piece, Spreads } from './order.ts'

/** What is spread on one tier of a piece, counted from the lowest: its own, or what the whole piece has. */
export function spreadsOn(
  piece: Pick<Piece, 'filling' | 'crumbCoat' | 'coat' | 'ownTiers'>,
  tier: number,
): Spreads {
  return piece.ownTiers.find((own) => own.tier === tier) ?? piece
}

/** A piece with the colour of everything that is spread, written or drawn on it changed. */
export function respread(piece: Piece, to: (colourId: string) => string): Piece {
  const recolour = <S extends { colourId: string }>(spread: S | null): S | null =>
    spread && { ...spread, colourId: to(spread.colourId) }
  const all = ({ crumbCoat, coat, filling }: Spreads): Spreads => ({
    crumbCoat: recolour(crumbCoat),
    coat: recolour(coat),
    filling: recolour(filling),
  })
  return {
    ...piece,
    ...all(piece),
    ownTiers: piece.ownTiers.map((own) => ({ ...own, ...all(own) })),
    layouts: piece.layouts.map((layout) => ({
      ...layout,
      words: layout.words.map((words) => ({ ...words, colourId: to(words.colourId) })),
      lines: layout.lines.map((line) =>
        line.kind === 'spray' ? { ...line, colourId: to(line.colourId) } : line,
      ),
    })),
  }
}
