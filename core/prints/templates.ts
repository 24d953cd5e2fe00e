import { linePoints } from '../placing/onLine.ts'
import { PlacedKinds } from '../placing/placedKinds.ts'
import { templatePages } from '../placing/template.ts'
import { chartOf } from '../surfaces/index.ts'
import { openingSize } from '../tips/index.ts'
import { letter } from '../words/letter.ts'
import { linesOn } from '../words/onPiece.ts'
import { a4 } from './labelPages.ts'
import { nothing, type Print } from './print.ts'
import type { PrintOf } from './printOf.ts'

/** A template at true size for every arrangement of every piece; what is larger than a page goes over several that lap. */
export function templates({ frozen: { order, workshop } }: PrintOf): Print {
  const known = new PlacedKinds(workshop)
  const pages = order.pieces.flatMap((piece) => {
    const chart = chartOf(piece.shape)
    const kinds = piece.layouts.length > 0 ? known.of(order, piece).filter((k) => k.form !== 'border') : []
    return piece.layouts.flatMap((layout, i) => {
      const beads = (tipId: string) => {
        const tip = workshop.tips.find((t) => t.id === tipId)
        return tip ? openingSize(tip.opening) : 1
      }
      return templatePages({
        title: `${piece.name}${piece.layouts.length > 1 ? `, way ${i + 1}` : ''}`,
        chart,
        kinds: kinds.map((k) => k.kind),
        layout,
        nameOf: (id) => kinds.find((k) => k.placedId === id)?.name ?? '',
        lines: [
          ...layout.words.flatMap((w) => linesOn(chart, w, letter(w, beads(w.tipId)).lines)),
          ...layout.lines.filter((l) => l.kind === 'spray').map((l) => linePoints(chart, l)),
        ],
      })
    })
  })
  const title = 'Placing templates'
  if (pages.length === 0) return nothing(title, 'No piece of this order has an arrangement yet.')
  return { kind: 'pages', title, notes: [], pages: pages.map(a4) }
}
