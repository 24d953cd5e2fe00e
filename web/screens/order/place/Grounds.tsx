import { Circle, Line, Rect, Text } from 'react-konva'
import { type BorderUnit, borderUnits } from '#core/placing/borders'
import { borderOnLine, type LinePoint } from '#core/placing/onLine'
import type { PlacedKind } from '#core/placing/placedKinds'
import type { Chart, Course } from '#core/surfaces/chart'
import { signedMm2 } from '#core/surfaces/outline'
import { shade } from '../../../drawings/shade.ts'
import type { Board } from '../../../solid/bodyOf.ts'
import { fromAbove, type View } from './views.ts'

const POINTS = 120
const BOARD = '#dedbd5'

/** A border of a piece: what it is piped from, and along which edge. */
export interface BorderLine {
  kind: PlacedKind
  pitchMm: number
  /** An edge of the piece, or a line that was drawn. */
  on: { edge: 'top' | 'foot'; tier: number } | { line: readonly LinePoint[] }
}

/** The units of a border where they stand. */
export const unitsOf = (chart: Chart, { kind, on, pitchMm }: BorderLine): BorderUnit[] =>
  'line' in on
    ? borderOnLine(on.line, pitchMm)
    : borderUnits(chart, on.edge, on.tier, pitchMm, kind.kind.wideMm)

/** Units of a border as they stand, upright, each turned along its edge. */
export function borderStands(border: BorderLine, chart: Chart): Float32Array[] {
  const { middleX, middleY } = border.kind.kind
  const heading = border.kind.run?.heading ?? 0
  return unitsOf(chart, border).map(({ x, y, z, angle }) => {
    const [c, s] = [Math.cos(angle - heading), Math.sin(angle - heading)]
    return Float32Array.from([
      ...[c, s, 0, 0, -s, c, 0, 0, 0, 0, 1, 0],
      ...[x - middleX * c + middleY * s, y - middleX * s - middleY * c, z, 1],
    ])
  })
}

/** What is seen of a piece from above: each tier's foot and rim in its coat, and its borders. */
export function GroundAbove(props: {
  chart: Chart
  view: View
  coats: readonly string[]
  board: Board | null
  borders: readonly BorderLine[]
}) {
  const { chart, view, coats, board, borders } = props
  const line = (course: Course) =>
    Array.from({ length: POINTS }, (_, i) => {
      const { x, y } = fromAbove(view, course.at((course.lengthMm * i) / POINTS))
      return [x, y]
    }).flat()
  const tiers = [...new Set(chart.courses.map((c) => c.tier))].sort((a, b) => a - b)
  const holes = chart.above.filter((loop) => signedMm2(loop) < 0)
  return (
    <>
      <Rect name="ground" width={view.widthPx} height={view.heightPx} />
      {board && (
        <Rect
          name="ground"
          x={(view.widthPx - board.wideMm * view.pxPerMm) / 2}
          y={(view.heightPx - board.deepMm * view.pxPerMm) / 2}
          width={board.wideMm * view.pxPerMm}
          height={board.deepMm * view.pxPerMm}
          cornerRadius={board.round ? (board.wideMm / 2) * view.pxPerMm : 3}
          fill={BOARD}
        />
      )}
      {tiers.flatMap((tier) =>
        (['foot', 'top'] as const).flatMap((id) => {
          const coat = coats[tier] ?? coats[0] ?? '#d9c7a3'
          return chart.courses
            .filter((c) => c.id === id && c.tier === tier)
            .map((course) => (
              <Line
                key={`${tier} ${id} ${course.at(0).x} ${course.at(0).y}`}
                name="ground"
                points={line(course)}
                closed
                fill={id === 'top' ? coat : shade(coat, -0.1)}
                stroke={shade(coat, -0.28)}
                strokeWidth={1}
              />
            ))
        }),
      )}
      {holes.map((hole) => (
        <Line
          key={`${hole[0]!.x} ${hole[0]!.y}`}
          name="ground"
          points={hole.flatMap((dot) => {
            const { x, y } = fromAbove(view, dot)
            return [x, y]
          })}
          closed
          fill={board ? BOARD : '#ffffff'}
          stroke={shade(BOARD, -0.28)}
          strokeWidth={1}
        />
      ))}
      {borders.flatMap((border) =>
        unitsOf(chart, border).map(({ x, y }) => {
          const at = fromAbove(view, { x, y })
          return (
            <Circle
              key={`${border.kind.placedId} ${x} ${y}`}
              name="ground"
              x={at.x}
              y={at.y}
              radius={Math.max(1, (border.kind.kind.wideMm / 2) * view.pxPerMm)}
              fill={border.kind.kind.hex}
              stroke={shade(border.kind.kind.hex, -0.3)}
              strokeWidth={0.5}
            />
          )
        }),
      )}
    </>
  )
}

const HOURS = [12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]

/** The sides laid flat: a band for each side and ledge, named, and the hours along the foot. */
export function GroundUnrolled(props: {
  chart: Chart
  view: View
  coats: readonly string[]
  borders: readonly BorderLine[]
}) {
  const { chart, view, coats, borders } = props
  return (
    <>
      <Rect name="ground" width={view.widthPx} height={view.heightPx} />
      {chart.bands.map(({ zone, tier, fromMm, toMm }) => {
        const coat = coats[tier] ?? coats[0] ?? '#d9c7a3'
        const [top, foot] = [Math.max(0, view.downPx(fromMm)), view.downPx(toMm)]
        return (
          <Rect
            key={`${zone} ${tier}`}
            name="ground"
            y={top}
            width={view.widthPx}
            height={foot - top}
            fill={zone === 'top' ? shade(coat, 0.25) : coat}
            stroke={shade(coat, -0.2)}
            strokeWidth={0.5}
          />
        )
      })}
      {borders
        .filter(({ on }) => 'line' in on || on.edge === 'foot')
        .flatMap((border) =>
          unitsOf(chart, border).map(({ x, y, z }) => {
            const spot = chart.nearest(x, y, z)
            const at = view.toPx(spot)
            return (
              <Circle
                key={`${border.kind.placedId} ${x} ${y}`}
                name="ground"
                x={at.x}
                y={at.y - (border.kind.kind.wideMm / 2) * view.pxPerMm}
                radius={Math.max(1, (border.kind.kind.wideMm / 2) * view.pxPerMm)}
                fill={border.kind.kind.hex}
                stroke={shade(border.kind.kind.hex, -0.3)}
                strokeWidth={0.5}
              />
            )
          }),
        )}
    </>
  )
}

/** What is read over the sides laid flat: the name of each band, and the hours along the foot. */
export function UnrolledWords(props: { chart: Chart; view: View; looking: number }) {
  const { chart, view, looking } = props
  const xOf = (angle: number) => {
    const turned = angle - looking
    const near = turned - 2 * Math.PI * Math.round(turned / (2 * Math.PI))
    return view.widthPx / 2 + (near * chart.roundMm * view.pxPerMm) / (2 * Math.PI)
  }
  return (
    <>
      {chart.bands.map(({ zone, tier, label, fromMm }) => (
        <Text
          key={`${zone} ${tier}`}
          x={8}
          y={Math.max(0, view.downPx(fromMm)) + 5}
          text={label}
          {...PRINT}
        />
      ))}
      {HOURS.map((hour) => {
        // the hour's angle from the front, to the right
        const x = xOf(((6 - hour) * Math.PI) / 6)
        return x < 12 || x > view.widthPx - 12 ? null : (
          <Text
            key={hour}
            x={x - 30}
            y={view.heightPx - 16}
            width={60}
            align="center"
            text={hour === 6 ? '6 o’clock' : String(hour)}
            {...PRINT}
          />
        )
      })}
    </>
  )
}

/** Words are read on coats of every colour and over flowers. */
const PRINT = {
  fontSize: 12,
  fontFamily: 'Hanken Grotesk Variable',
  fill: '#191919',
  stroke: '#ffffffcc',
  strokeWidth: 3,
  fillAfterStrokeEnabled: true,
  listening: false,
} as const
