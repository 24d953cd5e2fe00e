import { useMemo } from 'react'
import type { DrawnLine } from './drawnLines.ts'
import type { BorderLine } from './Grounds.tsx'
import type { Placing } from './usePlacing.ts'

/** Where the borders of a piece run: along an edge, or along a line drawn for them. */
export function useBorderLines({ piece, borders }: Placing, drawn: readonly DrawnLine[]): BorderLine[] {
  return useMemo(
    () =>
      borders.flatMap((kind): BorderLine[] => {
        const placement = piece.flowers.find((f) => f.id === kind.placedId)?.placement
        const pitchMm = kind.run?.pitchMm ?? kind.kind.longMm
        if (placement?.kind === 'border')
          return [{ kind, pitchMm, on: { edge: placement.edge, tier: placement.tier } }]
        return drawn
          .filter(({ line }) => line.kind === 'border' && line.placedId === kind.placedId)
          .map(({ points }) => ({ kind, pitchMm, on: { line: points } }))
      }),
    [borders, piece.flowers, drawn],
  )
}
