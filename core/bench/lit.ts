import { piecesOfEach } from '../model/arrangements.ts'
import type { BenchStep, Frozen } from '../model/bench.ts'

/** Where the next flower goes: on which of the pieces, in which of their arrangements, at which place. */
export interface NextPlace {
  /** Counted from 1. */
  piece: number
  layout: number
  siteId: string
}

/** The place that is next when so many are placed; null where the flowers of a piece have no places, or all stand. */
export function nextPlace(step: BenchStep, { order, plan }: Frozen, count: number): NextPlace | null {
  const piece = order.pieces.find((p) => p.id === step.pieceId)
  if (!piece) return null
  const placed = new Set(step.useIds.flatMap((id) => plan.uses.find((u) => u.id === id)?.placedId ?? []))
  let before = 0
  let number = 0
  for (const [layout, wearing] of piecesOfEach(piece).entries()) {
    const sites = piece.layouts[layout]!.sites.filter((s) => placed.has(s.placedId))
    for (let i = 0; i < wearing; i++) {
      number += 1
      const site = sites[count - before]
      if (site) return { piece: number, layout, siteId: site.id }
      before += sites.length
    }
  }
  return null
}
