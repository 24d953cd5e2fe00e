import type { LighterChange } from './change.ts'

/** One thing that may be done otherwise: of those with the same slot only one is taken. */
export interface LighterMove {
  slot: string
  /** The piece that it is about; null where it is about all of them. */
  pieceId: string | null
  changes: LighterChange[]
}
