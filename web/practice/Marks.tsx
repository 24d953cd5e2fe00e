import type { Point } from '#core/practice/attempt'
import { pointAt } from '#core/practice/drill'
import type { Ideal } from '#core/practice/ideal'
import { openingSize } from '#core/tips/index'
import css from './Sheet.module.css'

/** Strokes with a number each are no more than this: more would hide what they number. */
const MOST_NUMBERED = 14
/** How far beside a stroke its number stands, mm, beyond half the icing. */
const BESIDE_MM = 6

/** The ways of a drill while it is piped, numbers beside its strokes of a drill, and where the next one begins. */
export function Marks(props: {
  ideal: Ideal
  pxPerMm: number
  next: Point | null
  /** The stroke that is looked at, and those that stand out. */
  chosen?: number
  stand?: ReadonlySet<number>
}) {
  const { ideal, pxPerMm, next, chosen, stand } = props
  const { drill } = ideal
  const many = drill.strokes.length > 2 && drill.strokes.length <= MOST_NUMBERED
  return (
    <svg
      className={css.layer}
      width={drill.wide * pxPerMm}
      height={drill.high * pxPerMm}
      viewBox={`0 0 ${drill.wide} ${drill.high}`}
      aria-hidden="true"
    >
      {chosen === undefined &&
        drill.strokes.map(({ path }) => (
          <polyline
            key={`${path[0]!.x} ${path[0]!.y}`}
            className={css.way}
            points={path
              .filter((_, i) => i % 3 === 0 || i === path.length - 1)
              .map((p) => `${p.x},${p.y}`)
              .join(' ')}
          />
        ))}
      {many &&
        drill.strokes.map((stroke, k) => {
          const { x, y } = besideOf(ideal, k)
          return (
            <g
              key={`${stroke.path[0]!.x} ${stroke.path[0]!.y}`}
              className={css.number}
              data-chosen={k === chosen || undefined}
              data-stands={stand?.has(k) || undefined}
            >
              {k === chosen && <circle cx={x} cy={y} r={2.7} />}
              <text x={x} y={y}>
                {k + 1}
              </text>
            </g>
          )
        })}
      {next && (
        <g className={css.next}>
          <circle cx={next.x} cy={next.y} r={1.6} />
          <circle cx={next.x} cy={next.y} r={0.5} />
        </g>
      )}
    </svg>
  )
}

/** Inside a ring, outside what stands round a nail, before strokes that go their own ways, under anything else. */
function besideOf({ drill, outlet }: Ideal, k: number): Point {
  const { path } = drill.strokes[k]!
  const at = pointAt(path, 0.45)
  if (drill.looks === 'strokes') {
    // before where it begins, out of the way of the others
    const [first, next] = [path[0]!, pointAt(path, 0.1)]
    const far = Math.hypot(next.x - first.x, next.y - first.y) || 1
    return {
      x: first.x - ((next.x - first.x) / far) * BESIDE_MM,
      y: first.y - ((next.y - first.y) / far) * BESIDE_MM,
    }
  }
  const beside = BESIDE_MM + (drill.nail ? openingSize(drill.opening) : outlet.mouth.acrossMm) / 2
  if (drill.closes) {
    const middle = drill.nail?.middle ?? { x: drill.wide / 2, y: drill.high / 2 }
    const far = Math.hypot(at.x - middle.x, at.y - middle.y) || 1
    // round a nail the middle is full
    const way = drill.nail ? -beside : beside
    return { x: at.x + ((middle.x - at.x) / far) * way, y: at.y + ((middle.y - at.y) / far) * way }
  }
  return { x: at.x, y: Math.min(drill.high - 3, at.y + beside) }
}
