import { hexChannels, linearChannel } from '#core/colour/lab'
import type { Layer } from '#core/model/flower'

/** How softly two colours of a stripe run into each other, as a share of the slot. */
const BLUR = 0.1

/**
 * Colours of every layer as two rows of linear RGBA: the wide end's colour with the border, the rest's with the
 * blur. A plain load has one colour in both.
 */
export function paletteTexels(
  layers: readonly Layer[],
  colours: Readonly<Record<string, string>>,
): Float32Array {
  const texels = new Float32Array(layers.length * 2 * 4)
  layers.forEach(({ load }, i) => {
    const plain = load.kind === 'plain'
    put(texels, i, colours[plain ? load.role : load.wideEnd], plain ? 0.5 : load.border)
    put(texels, layers.length + i, colours[plain ? load.role : load.rest], BLUR)
  })
  return texels
}

function put(texels: Float32Array, at: number, hex = '#b9b9b9', alpha: number): void {
  const [r, g, b] = hexChannels(hex).map(linearChannel) as [number, number, number]
  texels.set([r, g, b, alpha], at * 4)
}
