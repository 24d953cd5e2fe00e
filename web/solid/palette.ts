import { hexChannels, linearChannel } from '#core/colour/lab'
import { type LoadLook, loadDefinition } from '#core/loads/index'
import { paintsOf } from '#core/mesh/paints'
import type { Layer } from '#core/model/flower'

/** How softly two colours of a stripe run into each other, as a share of the slot. */
const BLUR = 0.1
/** Rows of the palette: first colour with the border, second with the blur, third with the pattern. */
export const PALETTE_ROWS = 3

/** How a shader is told of a pattern. */
const patterns: Record<LoadLook['pattern'], number> = { across: 0, faces: 1, mingled: 2 }

/** Colours of a flower for a shader: so many columns, one for each layer and then one for each food colour painted on. */
export interface Palette {
  texels: Float32Array
  columns: number
}

/**
 * Every column is three rows of linear RGBA: the wide end's (inside, or darkest) with the border, the rest's with the blur,
 * and a third tone with the pattern. A plain load, or paint, has one colour in all of them.
 */
export function flowerPalette(layers: readonly Layer[], colours: Readonly<Record<string, string>>): Palette {
  const paints = paintsOf(layers)
  const columns = layers.length + paints.length
  const texels = new Float32Array(columns * PALETTE_ROWS * 4)
  layers.forEach(({ load }, i) => {
    const { pattern, roles, border } = loadDefinition(load.kind).look(load)
    const hex = (k: number) => colours[roles[Math.min(k, roles.length - 1)]!]
    put(texels, i, hex(0), border)
    put(texels, columns + i, hex(1), BLUR)
    put(texels, 2 * columns + i, hex(2), patterns[pattern])
  })
  paints.forEach(({ hex }, i) => {
    for (let row = 0; row < PALETTE_ROWS; row++)
      put(texels, row * columns + layers.length + i, hex, row === 1 ? BLUR : 0)
  })
  return { texels, columns }
}

function put(texels: Float32Array, at: number, hex = '#b9b9b9', alpha: number): void {
  const [r, g, b] = hexChannels(hex).map(linearChannel) as [number, number, number]
  texels.set([r, g, b, alpha], at * 4)
}
