import type { HandsChoice } from '#core/timeline/day'
import { scaleOf } from './scale.ts'

const [WIDTH, ROW] = [260, 8]
const MOST_ROWS = 4

/** A timetable so small that only its shape is seen: who works when. */
export function MiniDay({ choice, from, to }: { choice: HandsChoice; from: number; to: number }) {
  const scale = scaleOf(Math.min(from, choice.from), to, choice.closed, WIDTH)
  const height = Math.max(3, Math.min(MOST_ROWS, choice.hands.length)) * ROW + 2
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      width="100%"
      aria-hidden="true"
      style={{ display: 'block', marginTop: 6 }}
    >
      {scale.gaps.map((g) => (
        <rect key={g.from} x={g.x} y={0} width={g.width} height={height} fill="var(--well)" />
      ))}
      {choice.bars.map((b) => (
        <rect
          key={`${b.hand} ${b.from}`}
          x={scale.x(b.from)}
          y={1 + b.hand * ROW}
          width={Math.max(0.8, scale.x(b.to) - scale.x(b.from) - 0.5)}
          height={ROW - 2}
          fill="var(--line-strong)"
        />
      ))}
      <path
        d={`M${scale.x(choice.from)} 0V${height}M${scale.x(choice.to)} 0V${height}`}
        stroke="var(--text)"
        strokeWidth={1.5}
      />
    </svg>
  )
}
