import type { Layout } from '../../model/layout.ts'
import { type Chart, hourAt, type Spot } from '../../surfaces/chart.ts'
import type { Body, Kind } from '../body.ts'
import type { Ground } from '../ground.ts'

/** What can be done about a finding, as the layout is changed by it. */
export type Remedy =
  | {
      kind: 'fill'
      label: string
      placedId: string
      spot: Spot
      /** A leaf points there; away from its flower where nothing is said. */
      towards?: { x: number; y: number }
    }
  | { kind: 'swap'; label: string; siteIds: [string, string] }
  | { kind: 'moveIn'; label: string; siteId: string }
  | { kind: 'giveWay'; label: string; siteIds: string[] }
  | { kind: 'takeOff'; label: string; siteId: string }
  /** A tier turned under its flowers, and leaves over what of its seam shows then. */
  | { kind: 'hide'; label: string; hideId: string; deg: number; placedId: string | null; spots: Spot[] }
  /** As many flowers as the school wants for its ground. */
  | { kind: 'fit'; label: string; fullness: number }

/** Something that the eye sees, or that will not hold. */
export interface Finding {
  /** What it is about: by this it is waved off. */
  key: string
  /** decide: worth a decision; note: nature is uneven too. */
  severity: 'decide' | 'note'
  words: string
  /** Where to look: the things it is about, or a place and how wide it is. */
  siteIds: string[]
  spot: { spot: Spot; diameterMm: number } | null
  remedies: Remedy[]
}

export interface Judged {
  chart: Chart
  ground: Ground
  bodies: readonly Body[]
  kinds: readonly Kind[]
  layout: Layout
  /** Clear height that the box leaves above the rim of the piece, mm; null where there is no box, or nobody has measured it. */
  lidMm: number | null
  /** What a flower is called. */
  nameOf(placedId: string): string
  /** A length in the bakery's units. */
  length(mm: number): string
}

/** What stands less into, or over, something else is petals running into each other, mm. */
export const OVER_MM = 0.6

/** The hour on the clock at which something lies. */
export const hourOf = ({ x, y }: { x: number; y: number }) => hourAt(x, y)

/** Where something is, in words: by the clock, or in the middle. */
export function whereWords(chart: Chart, at: { x: number; y: number }, spot: Spot): string {
  const { zone, tier } = chart.zoneOf(spot)
  const several = chart.bands.length > 1
  // a cupcake of many is found by its number alone
  const one = chart.parts.length > 1
  const label = several ? chart.bands.find((b) => b.zone === zone && b.tier === tier)?.label : undefined
  const middle = zone === 'top' && Math.hypot(at.x, at.y) < 0.2 * Math.min(chart.top.x, chart.top.y)
  const clock = middle ? 'in the middle' : `at ${hourOf(at)} o’clock`
  if (one) return label ?? clock
  return label ? `${label}, ${clock}` : clock
}

/** Everything but leaves. */
export const standing = (bodies: readonly Body[]) => bodies.filter((b) => b.rank >= 0)
