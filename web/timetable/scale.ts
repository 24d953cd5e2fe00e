import { DAY_MINUTES } from '#core/timeline/clock'

/** Minutes of the long clock across a picture, closed hours pressed together. */
export interface Scale {
  x(minute: number): number
  /** The minute at a place; within closed hours, the nearer of their ends. */
  minuteAt(x: number): number
  /** Full hours, as far apart as their labels need. */
  ticks: { minute: number; x: number }[]
  /** The first open moment of each day. */
  days: { minute: number; x: number }[]
  gaps: { from: number; to: number; x: number; width: number }[]
  width: number
}

const GAP_PX = 58
/** Closed hours never take more than this share of a picture. */
const GAPS_SHARE = 0.3
/** Labels of hours need so much room. */
const LABEL_PX = 54
const STEPS = [30, 60, 120, 180, 240, 360]

export function scaleOf(
  from: number,
  to: number,
  closed: readonly { from: number; to: number }[],
  width: number,
): Scale {
  const gaps = closed
    .filter((c) => c.to > from && c.from < to)
    .map((c) => ({ from: Math.max(from, c.from), to: Math.min(to, c.to) }))
  const gapPx = gaps.length === 0 ? 0 : Math.min(GAP_PX, (GAPS_SHARE * width) / gaps.length)
  const open = Math.max(1, to - from - gaps.reduce((sum, g) => sum + g.to - g.from, 0))
  const perMinute = (width - gaps.length * gapPx) / open
  const x = (minute: number): number => {
    let at = 0
    let last = from
    for (const g of gaps) {
      if (minute <= g.from) break
      at += (g.from - last) * perMinute
      if (minute < g.to) return at + (gapPx * (minute - g.from)) / (g.to - g.from)
      at += gapPx
      last = g.to
    }
    return at + (minute - last) * perMinute
  }
  const minuteAt = (px: number): number => {
    let at = 0
    let last = from
    for (const g of gaps) {
      const end = at + (g.from - last) * perMinute
      if (px <= end) break
      if (px < end + gapPx) return px < end + gapPx / 2 ? g.from : g.to
      at = end + gapPx
      last = g.to
    }
    return last + (px - at) / perMinute
  }
  const step = STEPS.find((s) => s * perMinute >= LABEL_PX) ?? DAY_MINUTES
  const isOpen = (minute: number) => !gaps.some((g) => minute > g.from && minute < g.to)
  const ticks: Scale['ticks'] = []
  for (let m = Math.ceil(from / step) * step; m <= to; m += step)
    if (isOpen(m)) ticks.push({ minute: m, x: x(m) })
  const starts = [from, ...gaps.map((g) => g.to)].filter((m) => m < to)
  const days = starts
    .filter((m, i) => i === 0 || Math.floor(m / DAY_MINUTES) !== Math.floor(starts[i - 1]! / DAY_MINUTES))
    .map((minute) => ({ minute, x: x(minute) }))
  return {
    x,
    minuteAt,
    ticks: ticks.filter((t, i) => i === 0 || t.x - ticks[i - 1]!.x >= LABEL_PX * 0.8),
    days,
    gaps: gaps.map((g) => ({ ...g, x: x(g.from), width: gapPx })),
    width,
  }
}

/** Things that overlap in time on rows of their own: the row of each, the lowest that is free. */
export function rowsOf(things: readonly { from: number; to: number }[]): number[] {
  const until: number[] = []
  return things.map(({ from, to }) => {
    let row = until.findIndex((u) => u <= from)
    if (row < 0) row = until.length
    until[row] = to
    return row
  })
}
