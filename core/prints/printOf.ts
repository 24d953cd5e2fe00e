import type { BenchStep, Frozen } from '../model/bench.ts'
import type { LabelMedia } from '../model/labels.ts'
import type { Bag, Use } from '../model/plan.ts'
import type { Timetable } from '../timeline/timetable.ts'
import { formatWeight } from '../units.ts'
import type { Drawing } from './print.ts'
import type { Measure } from './type.ts'

/** What prints are made from, and what only the printer's side knows. */
export interface PrintOf {
  frozen: Frozen
  /** The order's own timetable, made when it is asked for; null where none can be made. */
  table(): Timetable | null
  media: LabelMedia
  measure: Measure
  /** A code that opens a part of Kanten, to be read by a tablet; null where its address would open nothing there. */
  codeOf(path: string): Drawing | null
}

export const weightIn = ({ workshop }: Frozen, grams: number): string =>
  formatWeight(grams, workshop.settings.units)

const inUtc = (how: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...how })
// made once: a run of labels asks a hundred times
const DAY = inUtc({ weekday: 'short', day: 'numeric', month: 'short' })
const CLOCK_24 = inUtc({ hour: 'numeric', minute: '2-digit', hour12: false })
const CLOCK_12 = inUtc({ hour: 'numeric', minute: '2-digit', hour12: true })

/** A local moment in a bakery's words: "Sat 28 Nov, 14:20". */
export function momentWords({ workshop }: Frozen, moment: string): string {
  const at = new Date(`${moment}Z`)
  const clock = workshop.settings.clock === '12' ? CLOCK_12 : CLOCK_24
  return `${DAY.format(at)}, ${clock.format(at)}`
}

export const colourNames = ({ plan }: Frozen, bag: Pick<Bag, 'load'>): string[] =>
  bag.load.map((l) => plan.colours.find((c) => c.id === l.colourId)?.name ?? l.colourId)

export const hexesOf = ({ plan }: Frozen, ids: readonly string[]): string[] =>
  ids.flatMap((id) => plan.colours.find((c) => c.id === id)?.hex ?? [])

/** Flowers with the layers that are meant, each flower once: "Hellebore: petals, stamens", "Dahlia: row of 15 to row of 8". */
export function layersWords(uses: readonly Use[]): string[] {
  const layers = new Map<string, Set<string>>()
  for (const { flowerName, layerName, form } of uses) {
    const of = layers.get(flowerName) ?? new Set<string>()
    if (form !== 'coat' && layerName !== flowerName) of.add(layerName.toLowerCase())
    layers.set(flowerName, of)
  }
  return [...layers].map(([name, set]) => {
    const of = [...set]
    const said = of.length > 2 ? `${of[0]} to ${of.at(-1)}` : of.join(', ')
    return said ? `${name}: ${said}` : name
  })
}

export const fillStep = ({ steps }: Frozen, bag: number): BenchStep | undefined =>
  steps.find((s) => s.kind === 'fill' && s.bags.includes(bag))
