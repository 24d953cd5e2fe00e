import { surfaceDefinition } from '../surfaces/index.ts'
import { counted } from '../units.ts'
import type { MeantPiece } from './meant.ts'

/** What an order is called until somebody says what it is for: "30 cupcakes, 1 cake, 10 cookies". */
export function titleOf(pieces: readonly Pick<MeantPiece, 'kind' | 'count'>[]): string {
  const kinds = new Map<MeantPiece['kind'], number>()
  for (const { kind, count } of pieces) kinds.set(kind, (kinds.get(kind) ?? 0) + count)
  const words = [...kinds].map(([kind, count]) => {
    const { label, plural } = surfaceDefinition(kind)
    return counted(count, label, plural)
  })
  return words.length > 0 ? words.join(', ').slice(0, 80) : 'New order'
}
