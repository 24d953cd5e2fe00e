import { useMemo } from 'react'
import css from './Chances.module.css'

const WIDE = 720
const HIGH = 300
const AXIS = 30
const BINS = 40
/** So many at each end are drawn at the end: one wild order must not squeeze all others together. */
const CUT = 0.005

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
  const to = Math.max(1e-6, sorted[sorted.length - 1 - cut] ?? 1)
  const width = (to - from) / BINS
  const room = (WIDE - 16) / BINS
  const x = (value: number) => 8 + ((value - from) / (to - from)) * (WIDE - 16)
  // bins are counted from the line on, so that none lies on both its sides
  const binOf = (value: number) => Math.floor(Math.min(to - width / 2, Math.max(from, value)) / width)
  const bins = new Map<number, number>()
  for (const value of sorted) bins.set(binOf(value), (bins.get(binOf(value)) ?? 0) + 1)
  const step = stepFor(Math.max(...bins.values()), room)
  const abreast = Math.max(1, Math.floor(room / step))
  const nth = new Map<number, number>()
  const dots = sorted.map((value, key) => {
    const bin = binOf(value)
    const n = nth.get(bin) ?? 0
    nth.set(bin, n + 1)
    return {
      key,
      short: value < 0,
      x: x(bin * width) + ((n % abreast) + 0.5) * (room / abreast),
      y: HIGH - AXIS - 4 - (Math.floor(n / abreast) + 0.5) * step,
    }
  })
  return { dots, zero: x(0), from, to, each: step * 0.42 }
}

const LARGEST = 9

/** Room for a dot, so that the tallest heap, several dots abreast where they are small, fits under the words. */
function stepFor(most: number, room: number): number {
  for (let step = LARGEST; step > 1; step -= 0.25)
    if (Math.ceil(most / Math.max(1, Math.floor(room / step))) * step < HIGH - AXIS - 34) return step
  return 1
}
