import { type ResolvedLayer, standsRound } from '../flowers/layers.ts'
import type { Flower } from '../model/flower.ts'
import { escapeText, GAP_MM, layPages, mm, type Stamp } from './page.ts'

/** Nail heads to choose from when a flower names none, mm. */
const HEADS = [25, 30, 40, 50, 60, 70, 80]
/** Parchment around the nail's outline, so that there is something to hold. */
const RIM_MM = 5

/** What is drawn on a flower's parchment: how many ways it is divided, and at which rings. */
export interface NailGuide {
  nailMm: number
  /** Equal parts of the largest even ring; 0 when no ring is evenly divided. */
  folds: number
  /** Radii in mm where rows of petals stand, smallest first. */
  ringsMm: number[]
  /** How far the petals reach, mm from the middle; null where they reach over the nail. */
  reachMm: number | null
}

/** Fewer strokes need no lines, more make the lines harder to follow than the petals. */
const FEWEST_FOLDS = 3
const MOST_FOLDS = 12

/** The guide of a flower: divided as its first row that wants dividing, with a ring for each row. */
export function nailGuide(flower: Flower, layers: readonly ResolvedLayer[], diameterMm: number): NailGuide {
  const rows = layers
    .map((l) => l.layer)
    .filter((l) => standsRound(l) && l.spreadDeg >= 360 && l.count >= FEWEST_FOLDS)
  const divided = rows.filter((l) => l.count <= MOST_FOLDS)
  const rings = rows.map((l) => Math.round(l.ringMm * 2) / 2).filter((r) => r >= 1.5)
  const nailMm = flower.nailMm ?? HEADS.find((h) => h >= diameterMm) ?? HEADS.at(-1)!
  return {
    nailMm,
    reachMm: diameterMm <= nailMm ? Math.round(diameterMm) / 2 : null,
    folds: divided[0]?.count ?? 0,
    ringsMm: [...new Set(rings)].sort((a, b) => a - b),
  }
}

/** The guide as a stamp: square to cut along, nail outline, n-fold lines, rings, and which way up it goes. */
export function guideStamp(name: string, guide: NailGuide): Stamp {
  const nail = guide.nailMm / 2
  const half = nail + RIM_MM
  const lines = Array.from({ length: guide.folds }, (_, i) => {
    const a = (2 * Math.PI * i) / guide.folds - Math.PI / 2
    return `M0 0L${mm(nail * Math.cos(a))} ${mm(nail * Math.sin(a))}`
  }).join('')
  const rows = guide.ringsMm.map((r) => `<circle r="${mm(r)}" stroke-dasharray="1 1"/>`).join('')
  // long dashes, so that it is not taken for a row
  const reach = guide.reachMm === null ? '' : `<circle r="${mm(guide.reachMm)}" stroke-dasharray="4 1.5"/>`
  const rings = rows + reach
  const words = [
    [name, guide.folds > 0 ? `${guide.folds} parts` : 'rings only'],
    [`${guide.nailMm} mm nail`, ...(guide.reachMm === null ? [] : [`petals to ${guide.reachMm} mm`])],
  ]
  return {
    widthMm: 2 * half,
    heightMm: 2 * half + 11,
    svg:
      `<g transform="translate(0 -5.500)" fill="none" stroke="#000" stroke-width="0.25">` +
      `<rect x="${mm(-half)}" y="${mm(-half)}" width="${mm(2 * half)}" height="${mm(2 * half)}" stroke="#999"/>` +
      `<circle r="${mm(nail)}" stroke-width="0.4"/>${rings}<path d="${lines}"/>` +
      `<path d="M0 ${mm(-half + 1)}l1.500 2.500h-3z" fill="#000" stroke="none"/></g>` +
      words
        .map(
          (line, i) =>
            `<text y="${mm(half - 1 + 3.3 * i)}" text-anchor="middle" font-size="2.800">${escapeText(line.join(', '))}</text>`,
        )
        .join('') +
      `<text y="${mm(half + 5.3)}" text-anchor="middle" font-size="2.400" fill="#555">ink side down, arrow away from you</text>`,
  }
}

/** How many of one guide fill a page, at most. */
const COPIES = 12

/** A4 pages of one flower's guide, several to a page. */
export function nailGuidePages(
  flower: Flower,
  layers: readonly ResolvedLayer[],
  diameterMm: number,
): string[] {
  const stamp = guideStamp(flower.name, nailGuide(flower, layers, diameterMm))
  const across = Math.floor((190 + GAP_MM) / (stamp.widthMm + GAP_MM))
  const down = Math.floor((263 + GAP_MM) / (stamp.heightMm + GAP_MM))
  const copies = Math.max(1, Math.min(COPIES, across * down))
  return layPages(Array(copies).fill(stamp), `Nail guides: ${flower.name}`)
}
