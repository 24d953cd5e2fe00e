import { useMemo } from 'react'
import type { Layout, Words } from '#core/model/layout'
import type { OrderColour } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { Chart, Point } from '#core/surfaces/chart'
import { openingSize } from '#core/tips/index'
import { type Lettered, letter } from '#core/words/letter'
import { isWhole, linesOn } from '#core/words/onPiece'

/** Words as they lie on the piece. */
export interface LaidWords {
  words: Words
  made: Lettered
  beadMm: number
  lines: Point[][]
  hex: string
  /** Whether all of it is on the face that it is meant for. */
  whole: boolean
}

/** The words of an arrangement, laid on their piece. */
export function useLetteredOn(
  layout: Layout,
  chart: Chart,
  colours: readonly OrderColour[],
  workshop: Workshop,
): readonly LaidWords[] {
  const { words: all } = layout
  return useMemo(
    () =>
      all.map((words) => {
        const tip = workshop.tips.find((t) => t.id === words.tipId)
        const beadMm = tip ? openingSize(tip.opening) : 1
        const made = letter(words, beadMm)
        return {
          ...{ words, made, beadMm },
          lines: linesOn(chart, words, made.lines),
          hex: colours.find((c) => c.id === words.colourId)?.hex ?? '#333333',
          whole: isWhole(chart, words, made.lines, beadMm),
        }
      }),
    [all, chart, colours, workshop],
  )
}
