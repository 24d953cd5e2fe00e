import type { Layer } from '../model/flower.ts'
import { toolDefinition, type Work } from '../tools/index.ts'

/** Food colour that is painted on the strokes of a layer. */
export interface Paint {
  /** Index of the layer in its flower. */
  layer: number
  work: Work
  hex: string
}

/** All that is painted on a flower, in the order of its layers: what a mesh numbers after them. */
export const paintsOf = (layers: readonly Pick<Layer, 'tools'>[]): Paint[] =>
  layers.flatMap(({ tools }, layer) =>
    tools.flatMap(({ work, paint }) =>
      paint && toolDefinition(work.kind).marks ? [{ layer, work, hex: paint.hex }] : [],
    ),
  )
