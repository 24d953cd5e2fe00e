import { Group, Line, Rect } from 'react-konva'
import { FACES_UP } from '#core/surfaces/chart'
import type { LaidWords } from './lettered.ts'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

/** Words as they lie in a view, dragged to where they belong. */
export function WordsMarks(props: { placing: Placing; view: View; lettered: readonly LaidWords[] }) {
  const { placing, view, lettered } = props
  const { chart } = placing.hand
  return (
    <>
      {lettered.map(({ words, made, lines, hex, beadMm, whole }) => {
        const spot = chart.read(words.place)
        if (!view.shows(spot) || lines.every((line) => view.trace(line).length === 0)) return null
        const at = view.toPx(spot)
        const { squeeze } = view.pose(chart.point(spot))
        const [w, h] = [made.widthMm * view.pxPerMm, made.heightMm * view.pxPerMm * squeeze]
        return (
          <Group
            key={words.id}
            x={at.x}
            y={at.y}
            draggable
            onDragEnd={(e) => {
              const to = view.toSpot(e.target.x(), e.target.y(), spot)
              e.target.position(view.toPx(to))
              placing.change('move the words', (now) => ({
                ...now.layout,
                words: now.layout.words.map((o) =>
                  o.id === words.id ? { ...o, place: chart.store(to) } : o,
                ),
              }))
            }}
          >
            <Rect
              rotation={-words.turnDeg}
              // from above, words on a side are a line
              visible={squeeze > FACES_UP}
              x={-w / 2 - 4}
              y={-h / 2 - 4}
              width={w + 8}
              height={h + 8}
              stroke={whole ? '#6b6b6b' : '#a8510f'}
              strokeWidth={whole ? 1 : 2}
              dash={[3, 3]}
              fill="#ffffff01"
              cornerRadius={4}
            />
            {lines.flatMap(view.trace).map((run, i) => (
              <Line
                // biome-ignore lint/suspicious/noArrayIndexKey: a stroke has no name but its turn
                key={i}
                points={run.flatMap(({ x, y }) => [x - at.x, y - at.y])}
                stroke={hex}
                strokeWidth={Math.max(1, beadMm * view.pxPerMm)}
                lineCap="round"
                lineJoin="round"
                listening={false}
              />
            ))}
          </Group>
        )
      })}
    </>
  )
}
