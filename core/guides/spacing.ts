import { escapeText, mm, type Stamp } from './page.ts'

/** A disc to hold over a piece: how wide the piece is, into how many parts, and which rings are marked. */
export interface Spacing {
  name: string
  acrossMm: number
  folds: number
  ringsMm: number[]
}

/** Paper outside the piece that the parts are read off by. */
export const RIM_MM = 5
/** More parts than a circle is told apart by are marked one by one all the same; only their lines stay short. */
const SHORT_FROM = 13

/** A disc with its parts from the middle to beyond the rim of the piece; the middle is cut out. */
export function spacingStamp({ name, acrossMm, folds, ringsMm }: Spacing): Stamp {
  const half = acrossMm / 2
  const from = folds >= SHORT_FROM ? half - 4 : Math.min(3, half / 4)
  const lines = Array.from({ length: folds }, (_, i) => {
    const a = (2 * Math.PI * i) / folds - Math.PI / 2
    const at = (r: number) => `${mm(r * Math.cos(a))} ${mm(r * Math.sin(a))}`
    return `M${at(from)}L${at(half + RIM_MM)}`
  }).join('')
  const rings = ringsMm.map((r) => `<circle r="${mm(r)}" stroke-dasharray="1 1"/>`).join('')
  return {
    widthMm: acrossMm + 2 * RIM_MM,
    heightMm: acrossMm + 2 * RIM_MM + 5,
    svg:
      `<g transform="translate(0 -2.500)" fill="none" stroke="#000" stroke-width="0.25">` +
      `<circle r="${mm(half + RIM_MM)}" stroke="#999"/><circle r="${mm(half)}" stroke-width="0.4"/>${rings}<path d="${lines}"/></g>` +
      `<text y="${mm(half + RIM_MM + 1.5)}" text-anchor="middle" font-size="2.800">${escapeText(`${name}: ${folds} parts, ${mm(acrossMm)} mm`)}</text>`,
  }
}
