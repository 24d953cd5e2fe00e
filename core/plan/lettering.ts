import { piecesOfEach } from '../model/arrangements.ts'
import type { Piece } from '../model/order.ts'
import type { Use } from '../model/plan.ts'
import { openingSize } from '../tips/index.ts'
import { letter, taken } from '../words/letter.ts'
import type { Lookup } from './lookup.ts'

const SHOWN = 24

/** What is written on the pieces of a kind, arrangement by arrangement. */
export function wordUses(at: Lookup, piece: Piece, icingKindId: string): Use[] {
  const wearing = piecesOfEach(piece)
  const { density } = at.icing(icingKindId)
  return piece.layouts.flatMap((layout, i) =>
    layout.words.flatMap((words): Use[] => {
      const count = wearing[i]!
      const beadMm = openingSize(at.tip(words.tipId).opening)
      const { touchDowns, seconds, volumeMm3 } = taken(letter(words, beadMm), beadMm)
      if (count === 0 || touchDowns === 0) return []
      const line = words.text.replaceAll('\n', ' / ')
      return [
        {
          id: `${piece.id}.${layout.id}.${words.id}`,
          ...{ pieceId: piece.id, placedId: null, flowerId: null, layerId: null },
          flowerName: 'Words',
          layerName: `“${line.length > SHOWN ? `${line.slice(0, SHOWN)}…` : line}”`,
          tipId: words.tipId,
          icingKindId,
          stiffness: words.stiffness,
          setting: 'inPlace',
          form: 'words',
          ...{ layout: 'plain', border: null, fixedTip: false, batch: 1, waited: false },
          ...{ flowers: count, spares: 0, practice: 0 },
          strokes: touchDowns * count,
          seconds: seconds * count,
          tools: [],
          parts: [
            {
              colourId: words.colourId,
              piped: (volumeMm3 / 1000) * density * count,
              ...{ spoiled: 0, practice: 0, margin: 0 },
            },
          ],
        },
      ]
    }),
  )
}
