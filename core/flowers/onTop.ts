import type { Flower, Layer } from '../model/flower.ts'
import type { StrokeKind } from '../strokes/index.ts'
import { startingLayer } from './edit.ts'
import type { ResolvedLayer } from './layers.ts'
import { restsAt } from './restsAt.ts'

/** What is begun on top sinks in so far, mm: it is squeezed onto what is there. */
const SINKS_MM = 0.4
/** It begins no further out than this share of the flower's width: where it can be seen. */
const FURTHEST_OUT = 1 / 3

/**
 * A layer to begin from, on top of the layers that it is piped after. Within a floret, heights are the floret's own.
 * @param library flowers that have every stroke between them.
 * @param wideMm how wide the flower is.
 */
export function layerOnTop(
  library: readonly Flower[],
  begun: { kind: StrokeKind; role: string; id: string; name: string; floretId: string | null },
  below: readonly ResolvedLayer[],
  wideMm: number,
): Layer {
  const { kind, role, ...own } = begun
  const like = startingLayer(library, kind, role, own.id)
  const beside = below
    .filter((l) => l.layer.floretId === own.floretId)
    .map((l) => ({ ...l, floret: undefined }))
  const ringMm = Math.min(like.ringMm, wideMm * FURTHEST_OUT)
  const heightMm = Math.max(0, Math.round((restsAt(beside, ringMm) - SINKS_MM) * 10) / 10)
  return { ...like, ...own, ringMm, heightMm }
}
