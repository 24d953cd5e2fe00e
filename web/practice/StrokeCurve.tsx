import { SQUEEZED } from '#core/practice/read'
import css from './Replay.module.css'
import type { Beside } from './replay.ts'

const WIDE = 1000
const HIGH = 100
/** Later or sooner than this is said, s. */
const SAID_S = 0.1

/** Squeeze of a stroke over its time, the ideal's dashed, with when the tip lifts; pressed to go there. */
export function StrokeCurve(props: {
  stroke: Beside
  label: string
  second: number | null
  seek: (second: number) => void
}) {
  const { stroke, label, second, seek } = props
  const { mine, its, lifts, late, seconds } = stroke
  const released = mine.findLast((s) => s.squeeze >= SQUEEZED)?.t ?? 0
  const path = (of: readonly { t: number; squeeze: number }[]) =>
    of
      .filter((s) => s.t <= seconds)
      .map(
        (s, i) =>
          `${i === 0 ? 'M' : 'L'}${((s.t / seconds) * WIDE).toFixed(1)},${((1 - s.squeeze) * HIGH).toFixed(1)}`,
      )
      .join(' ')
  const share = (t: number) => `${(100 * t) / seconds}%`
  const says =
    Math.abs(late) < SAID_S ? null : `${Math.abs(late).toFixed(2)} s ${late > 0 ? 'late' : 'early'}`
  return (
    <div className={css.curve}>
      <p>
        <strong>{label}</strong>
        <span>— yours</span>
        <span>- - ideal</span>
      </p>
      <button
        type="button"
        className={css.graph}
        aria-label={`Squeeze of ${label}${says ? `, let go ${says}` : ''}: press to watch from there`}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect()
          seek(((e.clientX - box.left) / box.width) * seconds)
        }}
      >
        <svg viewBox={`0 -4 ${WIDE} ${HIGH + 8}`} preserveAspectRatio="none" aria-hidden="true">
          <path d={`${path(mine)} L${WIDE},${HIGH} L0,${HIGH} Z`} className={css.area} />
          <path d={path(its)} className={css.its} vectorEffect="non-scaling-stroke" />
          <path d={path(mine)} className={css.mine} vectorEffect="non-scaling-stroke" />
        </svg>
        <span className={css.lifts} style={{ left: share(lifts) }}>
          tip lifts
        </span>
        {says && (
          <span
            className={css.late}
            style={{ left: share(Math.min(seconds * 0.86, Math.max(released, lifts))) }}
          >
            {says}
          </span>
        )}
        {second !== null && (
          <i className={css.head} style={{ left: share(Math.min(seconds, Math.max(0, second))) }} />
        )}
      </button>
    </div>
  )
}
