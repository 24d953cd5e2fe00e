import { useMemo } from 'react'
import css from './Chances.module.css'

const WIDE = 720
const HIGH = 300
const AXIS = 30
const BINS = 60
/** A thousandth at each end is drawn at the end: one wild order must not squeeze all others together. */
const CUT = 0.001

/** Orders as dots heaped over what was left in each, so that their number is seen; short ones are crosses, left of a line. */
export function Dots({ spare, say }: { spare: readonly number[]; say: (grams: number) => string }) {
  const { dots, zero, from, to, each } = useMemo(() => heaped(spare), [spare])
  const short = dots.filter((d) => d.short).length
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className={css.dots}
      role="img"
      aria-label={`${short} of ${spare.length} run short; the others have up to ${say(to)} to spare`}
    >
      {dots.map((d) =>
        d.short ? (
          <path
            key={d.key}
            className={css.cross}
            d={`M${d.x - each} ${d.y - each} l${2 * each} ${2 * each} m0 ${-2 * each} l${-2 * each} ${2 * each}`}
          />
        ) : (
          <circle key={d.key} cx={d.x} cy={d.y} r={each} />
        ),
      )}
      <line x1={zero} x2={zero} y1="14" y2={HIGH - AXIS + 6} className={css.zero} />
      <text x={zero - 8} y="22" textAnchor="end">
        runs short
      </text>
      <text x={zero + 8} y="22">
        lasts
      </text>
      <line x1="0" x2={WIDE} y1={HIGH - AXIS + 2} y2={HIGH - AXIS + 2} className={css.axis} />
      <text x="2" y={HIGH - 8}>
        {from < 0 ? `lacks ${say(-from)}` : say(from)}
      </text>
      <text x={WIDE - 2} y={HIGH - 8} textAnchor="end">
        {say(to)} to spare
      </text>
    </svg>
  )
}

function heaped(spare: readonly number[]) {
  const sorted = [...spare].sort((a, b) => a - b)
  const cut = Math.floor(sorted.length * CUT)
  const from = Math.min(0, sorted[cut] ?? 0)
  const to = Math.max(1, sorted[sorted.length - 1 - cut] ?? 1)
  const width = (to - from) / BINS
  const x = (grams: number) => 8 + ((grams - from) / (to - from)) * (WIDE - 16)
  const bins = new Map<string, number>()
  const placed = sorted.map((grams, i) => {
    const short = grams < 0
    const bin = Math.min(BINS - 1, Math.max(0, Math.floor((grams - from) / width)))
    // a bin that zero lies in is two heaps
    const heap = `${bin} ${short}`
    const nth = bins.get(heap) ?? 0
    bins.set(heap, nth + 1)
    return { key: i, short, nth, at: Math.min(to, Math.max(from, from + (bin + 0.5) * width)) }
  })
  const tallest = Math.max(1, ...bins.values())
  const step = Math.min((WIDE - 16) / BINS, (HIGH - AXIS - 34) / tallest)
  const each = Math.max(1, Math.min(4.2, step * 0.44))
  const dots = placed.map(({ key, short, nth, at }) => ({
    key,
    short,
    x: x(short ? Math.min(at, -width * 0.3) : Math.max(at, width * 0.3)),
    y: HIGH - AXIS - 4 - (nth + 0.5) * step,
  }))
  return { dots, zero: x(0), from, to, each }
}
