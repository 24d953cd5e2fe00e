import type { Piece } from '#core/model/order'

/** Changes a piece; a function gets it as it is by then, so that quick changes do not undo each other. */
export type ChangePiece = (label: string, part: Partial<Piece> | ((now: Piece) => Partial<Piece>)) => void
