import type { SurfaceKind } from '../surfaces/index.ts'
import type { MeantFlower, MeantPiece } from './meant.ts'

/** How many there usually are, where nobody says. */
const USUAL = { pieces: 12, flowersOnCake: 5, leavesOnCake: 8, leaves: 2 }
/** Of these there are usually many, and a line shares them out; of the others one. */
const MANY: ReadonlySet<SurfaceKind> = new Set(['cupcake', 'cookie', 'hexagon'])
const MINI_MM: Partial<Record<SurfaceKind, number>> = { cupcake: 45, cookie: 45 }

export const comesInMany = (kind: SurfaceKind): boolean => MANY.has(kind)
/** How many pieces are meant where nobody says. */
export const usualPieces = (kind: SurfaceKind): number => (MANY.has(kind) ? USUAL.pieces : 1)
/** How wide small ones of a kind are, mm; undefined where there are none. */
export const miniMm = (kind: SurfaceKind): number | undefined => MINI_MM[kind]

/** Where a flower came to lie. */
export interface PutDown {
  /** It has pieces of its own, a share of those that were counted. */
  shared: boolean
  /** Its number was not said, or does not go with what was. */
  guess: boolean
}

/** The pieces of a line as they come to be known: counted together, then shared out to what is on them. */
export class Ledger {
  readonly pieces: MeantPiece[] = []
  /** What is being written on. */
  piece: MeantPiece | null = null
  /** "12 of each" */
  ofEach: number | null = null
  #group: { head: MeantPiece; count: number; named: number } | null = null
  readonly #mini = new Map<MeantPiece, number>()

  /** How many pieces were counted together. */
  get counted(): number | null {
    return this.#group?.count ?? null
  }

  open(piece: MeantPiece, miniMm: number | undefined): void {
    this.#close()
    if (miniMm) this.#mini.set(piece, miniMm)
    this.pieces.push(piece)
    this.piece = piece
    this.#group = { head: piece, count: piece.count, named: 0 }
    this.ofEach = null
  }

  /**
   * Puts a flower on the open piece, or on a share of its kind.
   * @param count how many were said, of flowers or of pieces with it; null for nothing said.
   * @param onEach whether the number is of each piece.
   */
  put(flower: MeantFlower, form: string, plural: boolean, count: number | null, onEach: boolean): PutDown {
    const piece = this.piece!
    const group = this.#group!
    const wanted = this.ofEach ?? count
    if (comesInMany(piece.kind) && group.count > 1 && wanted !== null && !onEach && form !== 'border') {
      const first = group.named === 0 && piece.flowers.length === 0
      const share = first ? piece : { ...group.head, flowers: [] }
      if (!first) this.pieces.push(share)
      const mini = this.#mini.get(group.head)
      if (mini) this.#mini.set(share, mini)
      share.count = wanted
      share.flowers = [flower]
      group.named += wanted
      this.piece = share
      return { shared: true, guess: group.named > group.count }
    }
    piece.flowers.push(flower)
    flower.count = count ?? usualOn(piece.kind, form, plural)
    return { shared: false, guess: count === null && flower.count > 1 }
  }

  finish(): MeantPiece[] {
    this.#close()
    for (const [piece, mm] of this.#mini) if (piece.mm.length === 0) piece.mm = [mm]
    return this.pieces
  }

  /** Pieces that were counted and not named stay bare. */
  #close(): void {
    const group = this.#group
    if (group && group.named > 0 && group.named < group.count)
      this.pieces.push({ ...group.head, count: group.count - group.named, flowers: [] })
    this.#group = null
  }
}

function usualOn(kind: SurfaceKind, form: string, plural: boolean): number {
  if (form === 'border') return 1
  const leafy = form === 'leaf' || form === 'vine'
  if (comesInMany(kind)) return leafy && plural ? USUAL.leaves : 1
  return leafy ? USUAL.leavesOnCake : USUAL.flowersOnCake
}
