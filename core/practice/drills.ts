import type { Stiffness } from '../common.ts'
import type { PracticeSettings } from '../model/practice.ts'
import { type Opening, openingSize } from '../tips/index.ts'
import type { Point } from './attempt.ts'
import type { Drill, DrillNail } from './drill.ts'
import { MOST_FLOW, type Mouth, mouthOf } from './flow.ts'
import { pull, rope, spot } from './gaits.ts'
import { LETTERS } from './letters.ts'
import { drawn, evenly, moved, through } from './path.ts'

/** A drill of the sheet before it is measured to a tip. */
interface Made extends Pick<Drill, 'strokes' | 'wide' | 'high'> {
  nail?: DrillNail
  /** Wanted width where a slot lays it, mm, at the pace of the hand. */
  wideMm?: number
}

interface Kind extends Pick<Drill, 'label' | 'does' | 'looks'> {
  closes?: true
  /** Goes the other way for a left hand; what is written does not. */
  turnsWithHand: boolean
  opening: Opening
  stiffness: Stiffness
  /** Pace of the hand, mm/s, where the opening lets enough through. */
  mmPerS: number
  /** @param at `size` across a round opening of its area, `long` along a slot, both mm. */
  make(at: {
    mmPerS: number
    mouth: Mouth
    size: number
    long: number
    flow: number
    heightShare: number
  }): Made
}

const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const star = (outerMm: number): Opening => ({
  ...{ family: 'star', teeth: 8, outerMm, innerMm: outerMm * 0.7, closed: false },
})

/** As wide as the widest drill is, mm: at true size it stands beside its lever on a screen of 1280 points. */
const WIDE_MM = 130
/** Volume of a dome so wide, mm³: the cap that icing of a height makes. */
const domeOf = (wideMm: number, heightShare: number): number =>
  (Math.PI * heightShare * (3 + 4 * heightShare ** 2) * (wideMm / 2) ** 3) / 3
/** Dots are squeezed for at least so long, s: shorter than that nobody can repeat. */
const LEAST_HOLD_S = 0.16
/** A bag gives on for a while and comes up for a while: what a hold of so many seconds less would have given. */
const held = (volume: number, flow: number): number => Math.max(LEAST_HOLD_S, volume / flow - 0.06)

const TAU = 2 * Math.PI

/** The drills of every sheet, easiest first. */
export const KINDS = {
  line: {
    label: 'Straight line',
    does: 'From end to end at one pace, as thick at the end as at the beginning.',
    turnsWithHand: true,
    ...{ looks: 'rope', opening: round(3), stiffness: 'medium', mmPerS: 27 },
    make: ({ mmPerS }) => ({
      ...{ wide: WIDE_MM, high: 40 },
      strokes: [
        rope(
          evenly([
            { x: 15, y: 20 },
            { x: 115, y: 20 },
          ]),
          mmPerS,
        ),
      ],
    }),
  },
  sCurve: {
    label: 'S curve',
    does: 'Through both bends at the pace of the straight: no thinner outside, no thicker inside.',
    turnsWithHand: true,
    ...{ looks: 'rope', opening: round(3), stiffness: 'medium', mmPerS: 25 },
    make: ({ mmPerS }) => ({
      ...{ wide: WIDE_MM, high: 80 },
      strokes: [
        rope(
          drawn((t) => ({ x: 15 + 100 * t, y: 40 - 24 * Math.sin(TAU * t) })),
          mmPerS,
        ),
      ],
    }),
  },
  dots: {
    label: 'Equal dots',
    does: 'Dots of one size and as far apart: squeeze, let go, wait, lift.',
    turnsWithHand: true,
    ...{ looks: 'spots', opening: round(3), stiffness: 'medium', mmPerS: 25 },
    make: ({ flow, size, heightShare }) => {
      const hold = held(domeOf(1.9 * size, heightShare), flow)
      const apart = Math.max(12, 2.6 * size)
      const count = Math.min(10, 1 + Math.floor(108 / apart))
      return {
        ...{ wide: WIDE_MM, high: 40 },
        strokes: Array.from({ length: count }, (_, i) => spot({ x: 11 + apart * i, y: 20 }, hold)),
      }
    },
  },
  beadTrail: {
    label: 'Shrinking bead trail',
    does: 'Nine beads, each a little smaller and each touching the one before.',
    turnsWithHand: true,
    ...{ looks: 'spots', opening: round(2), stiffness: 'medium', mmPerS: 25 },
    make: ({ flow, size, heightShare }) => {
      const wides = Array.from({ length: 9 }, (_, i) => size * (2.7 - (1.1 * i) / 8))
      let x = 24
      return {
        ...{ wide: 100, high: 40 },
        strokes: wides.map((wide, i) => {
          if (i > 0) x += 0.46 * (wides[i - 1]! + wide) + 1
          return spot({ x, y: 20 }, held(domeOf(wide, heightShare), flow))
        }),
      }
    },
  },
  shells: {
    label: 'Shells round a circle',
    does: 'Twelve shells round a cupcake: swell, ease off, pull down, let go; each begins on the tail before.',
    turnsWithHand: true,
    ...{ looks: 'row', opening: star(4.5), stiffness: 'medium', mmPerS: 22, closes: true },
    make: ({ mmPerS }) => {
      const ring = 32.5
      return {
        ...{ wide: 110, high: 100 },
        strokes: Array.from({ length: 12 }, (_, i) => {
          const from = TAU * (i / 12) - TAU / 4
          const path = drawn((t) => arc({ x: 55, y: 50 }, ring, from + (TAU / 12) * t))
          return pull(path, { swellS: 0.3, mmPerS, letGo: 0.75, squeeze: 0.56 })
        }),
      }
    },
  },
  beadBorder: {
    label: 'Bead border',
    does: 'Round beads in a row, each drawn down to a short tail that the next one covers.',
    turnsWithHand: true,
    ...{ looks: 'row', opening: round(5), stiffness: 'medium', mmPerS: 24 },
    make: ({ mmPerS, size }) => {
      const apart = 2 * size
      return {
        ...{ wide: WIDE_MM, high: 40 },
        strokes: Array.from({ length: Math.min(11, Math.floor(112 / apart)) }, (_, i) => {
          const x = 9 + apart * i
          const path = evenly([
            { x, y: 20 },
            { x: x + apart, y: 20 },
          ])
          return pull(path, { swellS: 0.28, mmPerS, letGo: 0.7, squeeze: 0.54 })
        }),
      }
    },
  },
  zigzag: {
    label: 'Zigzag',
    does: 'Up and down without stopping: as wide at every turn, and the turns as near to each other.',
    turnsWithHand: true,
    ...{ looks: 'rope', opening: round(4), stiffness: 'medium', mmPerS: 32 },
    make: ({ mmPerS }) => ({
      ...{ wide: 130, high: 60 },
      strokes: [
        rope(
          drawn(
            (t) => ({ x: 16 + 98 * t, y: 30 + 13 * Math.asin(Math.sin(TAU * 7 * t)) * (2 / Math.PI) }),
            1400,
          ),
          mmPerS,
        ),
      ],
    }),
  },
  leafRow: {
    label: 'Row of leaves',
    does: 'Ten leaves off a stem: squeeze for the base, stop squeezing, pull to a point.',
    turnsWithHand: true,
    ...{
      looks: 'row',
      opening: { family: 'leaf', widthMm: 7, heightMm: 2.4, cut: 'beak' },
      stiffness: 'medium',
      mmPerS: 26,
    },
    make: ({ mmPerS, long }) => ({
      ...{ wide: 130, high: 70, wideMm: 0.85 * long },
      strokes: Array.from({ length: 10 }, (_, i) => {
        const side = i % 2 === 0 ? -1 : 1
        const from = { x: 14 + 9.5 * i, y: 35 + 2 * side }
        const path = evenly([from, { x: from.x + 9, y: from.y + 16 * side }])
        return pull(path, { swellS: 0.28, mmPerS, letGo: 0.85, squeeze: 0.52 })
      }),
    }),
  },
  rosette: {
    label: 'Rosette',
    does: 'From the middle out and once round it, close to what is there; let go before the end.',
    turnsWithHand: true,
    ...{ looks: 'rope', opening: star(4), stiffness: 'medium', mmPerS: 20 },
    make: ({ mmPerS, size }) => ({
      ...{ wide: 80, high: 70 },
      strokes: [
        rope(
          drawn((t) => arc({ x: 40, y: 35 }, 1 + size * 1.35 * Math.min(1, 1.7 * t), TAU * 2.1 * t)),
          mmPerS,
        ),
      ],
    }),
  },
  petals: {
    label: 'Five petals, nail turning',
    does: 'Out from the middle, round the edge and back while the nail turns under you; five alike.',
    turnsWithHand: true,
    ...{
      looks: 'row',
      opening: { family: 'petal', lengthMm: 10, wideMm: 1.8, narrowMm: 0.7 },
      stiffness: 'medium',
      mmPerS: 24,
      closes: true,
    },
    make: ({ mmPerS, long }) => {
      const nail = { middle: { x: 45, y: 40 }, radiusMm: 30 }
      return {
        ...{ wide: 90, high: 80, nail, wideMm: 0.9 * long },
        strokes: Array.from({ length: 5 }, (_, k) => {
          const path = drawn((t) =>
            arc(
              nail.middle,
              // the wide end stays at the middle, half a slot further in
              0.5 * long + 3 + 4 * Math.sin(Math.PI * t) ** 0.8,
              (TAU / 5) * (k + 0.88 * t),
            ),
          )
          return { ...rope(path, mmPerS), nails: turnedUnder(path, nail.middle, -(TAU / 5) * k) }
        }),
      }
    },
  },
  vine: {
    label: 'Vine with commas',
    does: 'One even vine, then a comma off every bend: fat where it begins, drawn to nothing.',
    turnsWithHand: true,
    ...{ looks: 'strokes', opening: round(2.5), stiffness: 'medium', mmPerS: 26 },
    make: ({ mmPerS }) => {
      const vineY = (x: number) => 35 - 8 * Math.sin((TAU * (x - 10)) / 44)
      return {
        ...{ wide: WIDE_MM, high: 70 },
        strokes: [
          rope(
            drawn((t) => ({ x: 10 + 110 * t, y: vineY(10 + 110 * t) })),
            mmPerS,
          ),
          ...Array.from({ length: 5 }, (_, i) => {
            const x = 21 + 22 * i
            const side = i % 2 === 0 ? -1 : 1
            const y = vineY(x) + 13 * side
            const path = through([
              [x + 6, y],
              [x + 3, y - 1.5 * side],
              [x, y - 5 * side],
              [x, vineY(x) + 2 * side],
            ])
            return pull(path, { swellS: 0.22, mmPerS: 20, letGo: 0.8, squeeze: 0.5 })
          }),
        ],
      }
    },
  },
  letters: {
    label: 'A drop of letters',
    does: 'Four letters from a tip held a little up: let the string fall into its bends.',
    turnsWithHand: false,
    ...{ looks: 'strokes', opening: round(2), stiffness: 'writing', mmPerS: 26 },
    make: ({ mmPerS }) => ({
      ...{ wide: 130, high: 60 },
      strokes: LETTERS.map(({ x, points }) => rope(moved(through(points), x, 8), mmPerS)),
    }),
  },
} satisfies Record<string, Kind>
export type DrillName = keyof typeof KINDS
export const drillNames = Object.keys(KINDS) as DrillName[]

/** How far a nail is turned for each point of it to lie at 3 o'clock, under a hand that only goes in and out; begun at about `from`. */
function turnedUnder(path: readonly Point[], middle: Point, from: number): number[] {
  let stands = from
  return path.map((p) => {
    const turn = -Math.atan2(p.y - middle.y, p.x - middle.x)
    stands = turn + TAU * Math.round((stands - turn) / TAU)
    return stands
  })
}

function arc(middle: Point, radius: number, angle: number): Point {
  return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) }
}

/** A drill of the sheet for a tip and icing; the drill's own where none are given. */
export function drillNamed(
  name: DrillName,
  { flows }: Pick<PracticeSettings, 'flows'>,
  set: { opening?: Opening; stiffness?: Stiffness } = {},
): Drill {
  const kind: Kind = KINDS[name]
  const opening = set.opening ?? kind.opening
  const stiffness = set.stiffness ?? kind.stiffness
  const mouth = mouthOf(opening)
  const mmPerS = Math.min(kind.mmPerS, MOST_FLOW / mouth.areaMm2)
  const flow = mmPerS * mouth.areaMm2
  const own = flows[stiffness].heightShare
  const made = kind.make({
    ...{ mmPerS, mouth, flow, size: mouth.acrossMm, long: openingSize(opening), heightShare: own },
  })
  return {
    ...{ id: name, label: kind.label, does: kind.does, looks: kind.looks, closes: kind.closes ?? false },
    ...{ opening, stiffness, flow, nail: made.nail ?? null, section: null },
    ...{ wide: made.wide, high: made.high, strokes: made.strokes },
    heightShare: made.wideMm ? (4 * mouth.areaMm2) / (Math.PI * made.wideMm ** 2) : null,
  }
}
