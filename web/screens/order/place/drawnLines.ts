import { useMemo } from 'react'
import type { Layout, Line } from '#core/model/layout'
import type { OrderColour } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { type LinePoint, linePoints } from '#core/placing/onLine'
import type { Chart } from '#core/surfaces/chart'
import { openingSize } from '#core/tips/index'

/** A line that was drawn, as it lies on the piece. */
export interface DrawnLine {
  line: Line
  points: LinePoint[]
  /** Of a stem: how thick, and in which colour. */
  beadMm: number
  hex: string
}

/** The drawn lines of an arrangement, laid on their piece. */
export function useDrawnLines(
  layout: Layout,
  chart: Chart,
  colours: readonly OrderColour[],
  workshop: Workshop,
): readonly DrawnLine[] {
  const { lines } = layout
  return useMemo(
    () =>
      lines.map((line) => {
        const tip = line.kind === 'spray' ? workshop.tips.find((t) => t.id === line.tipId) : undefined
        const colour = line.kind === 'spray' ? colours.find((c) => c.id === line.colourId) : undefined
        return {
          line,
          points: linePoints(chart, line),
          beadMm: tip ? openingSize(tip.opening) : 1,
          hex: colour?.hex ?? '#6f8a4a',
        }
      }),
    [lines, chart, colours, workshop],
  )
}
