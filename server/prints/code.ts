import { create } from 'qrcode'
import type { Drawing } from '#core/prints/print'

/** Light margin around a code, in its own squares, as the standard asks (ISO/IEC 18004). */
const QUIET = 4

/** A code that a camera reads, drawn in squares of half a millimetre. */
export function codeDrawing(text: string): Drawing {
  const { modules } = create(text, { errorCorrectionLevel: 'M' })
  const side = modules.size + 2 * QUIET
  // dark squares beside each other are one stroke as wide as they are high: four times fewer lines than their outlines
  let d = ''
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) {
      const from = column
      while (column < modules.size && modules.get(row, column)) column += 1
      if (column > from) d += `M${from + QUIET} ${row + QUIET + 0.5}h${column - from}`
    }
  return {
    ...{ widthMm: side / 2, heightMm: side / 2 },
    svg: `<path transform="scale(0.5)" d="${d}" fill="none" stroke="#000" stroke-width="1"/>`,
  }
}

/** A machine's name for itself opens nothing on another one. */
export const reaches = (host: string): boolean => !/^(localhost|127\.|\[?::1|0\.0\.0\.0)/i.test(host)
