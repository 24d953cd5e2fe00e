import { seeded } from '../random.ts'
import type { Cell, Lot } from './needs.ts'
import { RATE_STRENGTH } from './spoiled.ts'

const alone = (spread: number, hand: number) =>
  Math.max(0.02, Math.sqrt(Math.max(0, spread ** 2 - hand ** 2)))

/** Orders thrown one by one, with nothing of what is checked but the story itself: the independent count. */
export function thrown(
  cells: readonly Cell[],
  lots: readonly Lot[],
  multiples: readonly number[],
  strays: Float64Array,
  colours: readonly string[],
  times: number,
) {
  const random = seeded(4711)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  // Marsaglia and Tsang's gamma deviates; a beta is a ratio of two
  const gamma = (k: number): number => {
    if (k < 1) return gamma(k + 1) * (1 - random()) ** (1 / k)
    const d = k - 1 / 3
    for (;;) {
      const x = normal()
      const v = (1 + x / Math.sqrt(9 * d)) ** 3
      if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v
    }
  }
  const have = cells.map((c, at) => {
    const planned = lots.flatMap((l) =>
      l.parts.map((p) =>
        p.cell !== at
          ? 0
          : l.wanted > 0
            ? (p.grams / l.wanted) * (l.wanted + l.spares + l.practice)
            : p.grams,
      ),
    )
    return planned.reduce((x, y) => x + y, 0) + multiples[colours.indexOf(c.colourId)]! * strays[at]!
  })
  const stiffestFirst = cells.map((_, at) => at).sort((a, b) => cells[a]!.softness - cells[b]!.softness)
  const short = new Map<string, number>()
  let any = 0
  for (let t = 0; t < times; t++) {
    const day = normal()
    const need = cells.map(() => 0)
    const own = new Map<string, number>()
    for (const l of lots) {
      const hand = l.byHand ? 0.06 : 0
      if (!own.has(l.kind)) own.set(l.kind, normal())
      const weight = Math.exp(hand * day + alone(l.spread, hand) * own.get(l.kind)!)
      let spoiled = 0
      if (l.wanted > 0) {
        const x = gamma(l.spoilRate * RATE_STRENGTH)
        const rate = x / (x + gamma((1 - l.spoilRate) * RATE_STRENGTH))
        for (let good = 0; good < l.wanted; )
          if (random() < rate) spoiled++
          else good++
      }
      for (const p of l.parts)
        need[p.cell]! +=
          weight * (l.wanted > 0 ? (p.grams / l.wanted) * (l.wanted + spoiled + l.practice) : p.grams)
    }
    const lacking = new Set<string>()
    const left = new Map<string, number>()
    for (const at of stiffestFirst) {
      const { colourId, icingKindId } = cells[at]!
      const chain = `${colourId} ${icingKindId}`
      left.set(chain, (left.get(chain) ?? 0) + have[at]! - need[at]!)
      if (left.get(chain)! < -1e-9) lacking.add(colourId)
    }
    for (const colour of lacking) short.set(colour, (short.get(colour) ?? 0) + 1)
    if (lacking.size > 0) any++
  }
  return { colours: colours.map((c) => (short.get(c) ?? 0) / times), order: any / times }
}
