import { STORES, type Store } from '#core/timeline/activity'
import type { Stay, TimedTask, Timetable } from '#core/timeline/timetable'
import { rowsOf } from './scale.ts'

/** One band of the picture: a pair of hands, the mixer, a store. */
export interface Band {
  key: string
  name: string
  note: string
  top: number
  height: number
}

export interface PlacedStay extends Stay {
  top: number
  height: number
}

const HAND_PX = 44
const MIXER_PX = 24
const ROW_PX = 14
const LEAST_ROW_PX = 13.5
const GAP_PX = 7
/** A store's rows are pressed together from so many on, as far as their words can still be read. */
const MOST_ROWS = 6
const STORE_WORDS: Record<Store, string> = { freezer: 'Freezer', fridge: 'Fridge', rack: 'Rack' }
/** Days and hours stand above the bands. */
export const HEAD_PX = 37

export interface BandLayout {
  bands: Band[]
  /** Top of a hand's band. */
  handTop(hand: number): number
  handHeight: number
  stays: PlacedStay[]
  height: number
}

/** Where everything of a timetable stands, from the top. */
export function bandLayout(
  table: Pick<Timetable, 'tasks' | 'stays' | 'hands' | 'stores'>,
  minutesWords: (m: number) => string,
): BandLayout {
  let top = HEAD_PX
  const bands: Band[] = []
  const tops = table.hands.map(({ name }, h) => {
    const at = top
    const minutes = table.tasks.reduce((sum, t) => sum + (t.hand === h ? t.to - t.from : 0), 0)
    bands.push({ key: `hand ${h}`, name, note: minutesWords(minutes), top: at, height: HAND_PX })
    top += HAND_PX + GAP_PX
    return at
  })
  const stays: PlacedStay[] = []
  const mixer = table.stays.filter((s) => s.place === 'mixer')
  if (mixer.length > 0) {
    bands.push({ key: 'mixer', name: 'Mixer', note: '', top, height: MIXER_PX })
    for (const s of mixer) stays.push({ ...s, top, height: MIXER_PX - 4 })
    top += MIXER_PX + GAP_PX
  }
  for (const store of STORES) {
    const own = table.stays.filter((s) => s.place === store)
    if (own.length === 0) continue
    const rows = rowsFor(own)
    const used = Math.max(...rows) + 1
    const rowPx = Math.max(LEAST_ROW_PX, Math.min(ROW_PX, (MOST_ROWS * ROW_PX) / used))
    const full = table.stores.find((s) => s.store === store)!
    bands.push({
      key: store,
      name: STORE_WORDS[store],
      note: `${trays(full.most)} of ${full.takes} trays`,
      top,
      height: used * rowPx,
    })
    own.forEach((s, i) => {
      stays.push({ ...s, top: top + rows[i]! * rowPx, height: rowPx - 1.5 })
    })
    top += Math.max(used * rowPx, 30) + GAP_PX
  }
  return { bands, handTop: (h) => tops[h] ?? HEAD_PX, handHeight: HAND_PX, stays, height: top }
}

/** A row for each: what becomes firm and is kept then stays in one. */
function rowsFor(stays: readonly Stay[]): number[] {
  const keyOf = (s: Stay) => `${s.orderId} ${s.taskId ?? s.pieceId}`
  const spans = new Map<string, { from: number; to: number }>()
  for (const s of stays) {
    const known = spans.get(keyOf(s))
    spans.set(keyOf(s), known ? { from: Math.min(known.from, s.from), to: Math.max(known.to, s.to) } : s)
  }
  const keys = [...spans.keys()]
  const rows = rowsOf([...spans.values()])
  return stays.map((s) => rows[keys.indexOf(keyOf(s))]!)
}

const trays = (n: number) => String(Math.round(n * 4) / 4)

/** Tasks of a chain as a line: along the foot of each, and across to the next. */
export function chainPath(
  tasks: readonly TimedTask[],
  layout: BandLayout,
  x: (minute: number) => number,
): { path: string; from: { x: number; y: number }; to: { x: number; y: number } } | null {
  const chain = tasks.filter((t) => t.noSlack).sort((a, b) => a.from - b.from)
  if (chain.length === 0) return null
  const y = (t: TimedTask) => layout.handTop(t.hand) + layout.handHeight + 3
  const points = chain.flatMap((t) => [
    { x: x(t.from), y: y(t) },
    { x: x(t.to), y: y(t) },
  ])
  return {
    path: points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y}`).join(''),
    from: points[0]!,
    to: points.at(-1)!,
  }
}
