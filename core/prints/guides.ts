import type { FittedFlower } from '../flowers/resolve.ts'
import { guideStamp, nailGuide } from '../guides/nailGuide.ts'
import { layPages, PAGE, type Stamp } from '../guides/page.ts'
import { RIM_MM, spacingStamp } from '../guides/spacing.ts'
import type { Flower } from '../model/flower.ts'
import type { Piece, PlacedFlower } from '../model/order.ts'
import { chartOf } from '../surfaces/index.ts'
import { a4 } from './labelPages.ts'
import { nothing, type Print, someOf } from './print.ts'
import type { PrintOf } from './printOf.ts'
import { wornFlowers } from './worn.ts'

/** As many squares lie ready as a hand has under way; more are printed by printing again. */
const MOST_COPIES = 12
/** A disc wider than this does not fit on a page: such a piece has a placing template. */
const WIDEST_DISC_MM = PAGE.widthMm - 2 * PAGE.marginMm - 2 * RIM_MM

/** Guides of every flower that is piped on nails, as many as there are squares under way, all on as few pages as they fit. */
export function nailGuides({ frozen }: PrintOf): Print {
  const seen = new Map<string, { stamp: Stamp; wanted: number }>()
  for (const { flower, fitted, placed, piece } of wornFlowers(frozen)) {
    if (flower.setting !== 'nail') continue
    const stamp = guideStamp(flower.name, nailGuide(flower, fitted.layers, fitted.measure.diameterMm))
    const wanted =
      frozen.plan.uses.find((u) => u.pieceId === piece.id && u.placedId === placed.id)?.flowers ?? 1
    const known = seen.get(stamp.svg)
    seen.set(stamp.svg, { stamp, wanted: wanted + (known?.wanted ?? 0) })
  }
  const stamps = [...seen.values()].flatMap(({ stamp, wanted }) =>
    Array<Stamp>(Math.min(MOST_COPIES, wanted)).fill(stamp),
  )
  return sheet('Nail guides', stamps, 'No flower of this order is piped on a nail.')
}

/** Discs of the size of a piece with its equal parts marked, for flowers that are piped in place on it. */
export function spacingMarks({ frozen }: PrintOf): Print {
  const stamps = new Map<string, Stamp>()
  const wide: string[] = []
  for (const { flower, fitted, placed, piece } of wornFlowers(frozen)) {
    const parts = partsOf(flower, fitted, placed, piece)
    if (!parts) continue
    const acrossMm = 2 * chartOf(piece.shape).reachMm
    if (acrossMm > WIDEST_DISC_MM) {
      wide.push(piece.name)
      continue
    }
    const stamp = spacingStamp({ name: `${flower.name} on ${piece.name}`, acrossMm, ...parts })
    stamps.set(stamp.svg, stamp)
  }
  const print = sheet(
    'Spacing marks',
    [...stamps.values()],
    'Nothing in this order stands in equal parts on a piece.',
  )
  const names = [...new Set(wide)]
  if (names.length === 0) return print
  const note = `Wider than a page: ${someOf(names)}. Use the placing template.`
  return { ...print, notes: [...print.notes, note] }
}

/** Into how many parts a piece is divided for a flower: its own petals where it alone stands there, or several of it round the piece. */
function partsOf(flower: Flower, fitted: FittedFlower, { placement }: PlacedFlower, { layouts }: Piece) {
  if (placement.kind !== 'each' || layouts.length > 0) return null
  if (placement.perPiece > 1) return { folds: placement.perPiece, ringsMm: [] }
  if (flower.setting === 'nail') return null
  const { folds, ringsMm } = nailGuide(flower, fitted.layers, fitted.measure.diameterMm)
  return folds > 0 ? { folds, ringsMm } : null
}

function sheet(title: string, stamps: readonly Stamp[], empty: string): Print {
  if (stamps.length === 0) return nothing(title, empty)
  return { kind: 'pages', title, notes: [], pages: layPages(stamps, title).map(a4) }
}
