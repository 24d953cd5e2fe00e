import { seeded } from '../random.ts'
import type { Chart } from '../surfaces/chart.ts'
import { type Body, overlapMm } from './body.ts'
import type { Ground } from './ground.ts'
import { tangents } from './relax.ts'
import { troubleMm } from './trouble.ts'

/** Energy of a mm² that flowers stand into each other (squared), of a mm² out of the ground, of a bare mm². */
const CLASH = 1.2
const OUT = 1
const BARE = 0.022
/** Of two of a kind beside each other, of the largest more; of a mm² of size that is not wanted, of lean. */
const KIN = 6
const KIN_FOCAL = 3
const KIN_OTHER_COLOUR = 0.7
const NEIGHBOUR = 1.45
const SIZE = 0.15
const LEAN = 1.5
const GAP = 6
const OPPOSITE = 40
const OPPOSITE_COSINE = -0.94

const HOT = 6
const COLD = 0.05
/** Shares of what is tried: two change places, one jumps to a bare spot; the rest are steps. */
const SWAPS = 0.15
const JUMPS = 0.015
/** Only flowers of about the same size change places. */
const SAME_SIZE = 0.45
const FIRST_STEP = 0.9
const LAST_STEP = 0.08

/**
 * A layout made better by trying small moves, exchanges and jumps, fewer and fewer of which may be for the worse. What is
 * pinned stays. Deterministic by its seed.
 * @param moves how many are tried.
 */
export function improve(
  chart: Chart,
  ground: Ground,
  bodies: readonly Body[],
  seed: number,
  grading: number,
  moves: number,
): void {
  const standing = bodies.filter((b) => b.rank >= 0)
  const free = standing.filter((b) => !b.pinned && !b.held)
  if (free.length === 0) return
  const random = seeded(seed ^ 0x5bd1e995)
  const cover = new Cover(ground, standing)
  const energy = new Energy(chart, ground, standing, grading)
  for (let move = 0; move < moves; move++) {
    const share = move / moves
    const heat = HOT * (COLD / HOT) ** share
    const body = free[Math.floor(random() * free.length)]!
    const roll = random()
    if (roll < SWAPS) {
      const other = free[Math.floor(random() * free.length)]!
      if (
        other.of === body.of ||
        Math.abs(other.kind.r - body.kind.r) > SAME_SIZE * Math.max(other.kind.r, body.kind.r)
      )
        continue
      const before = energy.of(body) + energy.of(other) + energy.whole()
      const bare = cover.bare
      exchange(body, other, cover)
      energy.forget(body)
      energy.forget(other)
      const after = energy.of(body) + energy.of(other) + energy.whole()
      const delta = after - before + BARE * (cover.bare - bare)
      if (delta > 0 && random() >= Math.exp(-delta / heat)) {
        exchange(body, other, cover)
        energy.forget(body)
        energy.forget(other)
      }
      continue
    }
    const from = { spot: body.spot, ...pointOf(body) }
    const before = energy.of(body) + energy.whole()
    const bare = cover.bare
    cover.lift(body)
    if (roll < SWAPS + JUMPS) {
      const target = cover.anyBare(random)
      if (target) body.at(target.spot, target)
    } else {
      const step = body.kind.r * (FIRST_STEP + share * (LAST_STEP - FIRST_STEP))
      const { tx, ty, tz, sx, sy, sz } = tangents(body)
      const [c, s] = [(random() * 2 - 1) * step, (random() * 2 - 1) * step]
      body.push(chart, c * tx + s * sx, c * ty + s * sy, c * tz + s * sz)
    }
    cover.lay(body)
    const own = energy.forget(body)
    const after = energy.of(body) + energy.whole()
    const delta = after - before + BARE * (cover.bare - bare)
    if (delta > 0 && random() >= Math.exp(-delta / heat)) {
      cover.lift(body)
      body.at(from.spot, from)
      cover.lay(body)
      energy.remember(body, own)
    }
  }
}

const pointOf = ({ x, y, z, nx, ny, nz, ox, oy, oz }: Body) => ({ x, y, z, nx, ny, nz, ox, oy, oz })

function exchange(a: Body, b: Body, cover: Cover): void {
  cover.lift(a)
  cover.lift(b)
  const [atA, atB] = [
    { spot: a.spot, p: pointOf(a) },
    { spot: b.spot, p: pointOf(b) },
  ]
  a.at(atB.spot, atB.p)
  b.at(atA.spot, atA.p)
  cover.lay(a)
  cover.lay(b)
}

/** What one flower adds to the energy, and what all of them do together. */
class Energy {
  readonly #largest: number
  constructor(
    readonly chart: Chart,
    readonly ground: Ground,
    readonly standing: readonly Body[],
    readonly grading: number,
  ) {
    this.#largest = Math.max(...standing.map((b) => b.kind.r))
  }

  /** What of a flower's share depends on its own place alone is worked out once a place. */
  readonly #own = new Map<Body, number>()

  /** @returns what was known, to be given back where the flower goes back. */
  forget(body: Body): number | undefined {
    const known = this.#own.get(body)
    this.#own.delete(body)
    return known
  }

  remember(body: Body, own: number | undefined): void {
    if (own !== undefined) this.#own.set(body, own)
  }

  #alone(body: Body): number {
    const known = this.#own.get(body)
    if (known !== undefined) return known
    const { area } = this.ground
    const size = area.want(body) * this.#largest - body.kind.r
    const sum = OUT * troubleMm(this.chart, area, body) ** 2 + SIZE * this.grading * size * size
    this.#own.set(body, sum)
    return sum
  }

  of(body: Body): number {
    const { area } = this.ground
    let sum = this.#alone(body)
    for (const other of this.standing) {
      if (other === body) continue
      const dx = other.x - body.x
      const dy = other.y - body.y
      const dz = other.z - body.z
      const reach = NEIGHBOUR * (other.kind.r + body.kind.r) + area.gapMm
      const far = dx * dx + dy * dy + dz * dz
      if (far > reach * reach && far > 4 * (body.kind.h + other.kind.h) ** 2) continue
      const into = overlapMm(body, other)
      if (into > 0) sum += CLASH * into * into
      if (area.gapMm > 0 && -into < area.gapMm) sum += GAP * (1 - Math.max(0, -into) / area.gapMm) ** 2
      if (other.kind.flowerId !== body.kind.flowerId) continue
      const closeness = 1 - Math.sqrt(far) / (NEIGHBOUR * (other.kind.r + body.kind.r))
      if (closeness <= 0) continue
      const focal = body.rank === 2 ? KIN_FOCAL : 1
      sum += KIN * closeness * focal * (other.kind.hex === body.kind.hex ? 1 : KIN_OTHER_COLOUR)
    }
    return sum
  }

  /** Lean, and large ones exactly opposite each other. */
  whole(): number {
    if (!this.ground.area.balanced) return 0
    const { x, y } = leanOf(this.standing)
    let sum = LEAN * (x * x + y * y)
    const focal = this.standing.filter((b) => b.rank === 2)
    if (focal.length === 2) {
      const [a, b] = focal as [Body, Body]
      const cosine = (a.x * b.x + a.y * b.y) / Math.max(1, Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y))
      if (cosine < OPPOSITE_COSINE) sum += OPPOSITE * (OPPOSITE_COSINE - cosine)
    }
    return sum
  }
}

/** How far to a side the flowers weigh for the eye, mm from the middle: by their size. */
export function leanOf(bodies: readonly Body[]): { x: number; y: number } {
  let [x, y, weight] = [0, 0, 0]
  for (const b of bodies) {
    if (b.rank < 0) continue
    const m = b.kind.r * b.kind.r
    x += m * b.x
    y += m * b.y
    weight += m
  }
  return weight > 0 ? { x: x / weight, y: y / weight } : { x: 0, y: 0 }
}

/** Counts by how many flowers each point of the ground is covered. */
class Cover {
  bare = 0
  readonly #counts: Uint16Array
  readonly #cells = new Map<number, number[]>()
  readonly #cell: number

  constructor(
    readonly ground: Ground,
    standing: readonly Body[],
  ) {
    this.#counts = new Uint16Array(ground.samples.length)
    this.#cell = Math.max(6, ...standing.map((b) => b.kind.r))
    ground.samples.forEach((s, i) => {
      const key = this.#key(
        Math.floor(s.x / this.#cell),
        Math.floor(s.y / this.#cell),
        Math.floor(s.z / this.#cell),
      )
      const cell = this.#cells.get(key)
      if (cell) cell.push(i)
      else this.#cells.set(key, [i])
      this.bare += s.mm2
    })
    for (const body of standing) this.lay(body)
  }

  lay(body: Body): void {
    this.#each(body, (i) => {
      if (this.#counts[i]!++ === 0) this.bare -= this.ground.samples[i]!.mm2
    })
  }

  lift(body: Body): void {
    this.#each(body, (i) => {
      if (--this.#counts[i]! === 0) this.bare += this.ground.samples[i]!.mm2
    })
  }

  /** A bare point, found by chance; none where a few tries find none. */
  anyBare(random: () => number) {
    for (let k = 0; k < 30; k++) {
      const i = Math.floor(random() * this.#counts.length)
      if (this.#counts[i] === 0) return this.ground.samples[i]
    }
    return undefined
  }

  #key = (x: number, y: number, z: number) => (x + 512) * 1048576 + (y + 512) * 1024 + (z + 512)

  #each(body: Body, visit: (i: number) => void): void {
    const { x, y, z } = body
    const r = body.kind.r
    const low = (v: number) => Math.floor((v - r) / this.#cell)
    const high = (v: number) => Math.floor((v + r) / this.#cell)
    for (let cx = low(x); cx <= high(x); cx++)
      for (let cy = low(y); cy <= high(y); cy++)
        for (let cz = low(z); cz <= high(z); cz++) {
          const cell = this.#cells.get(this.#key(cx, cy, cz))
          if (!cell) continue
          for (const i of cell) {
            const s = this.ground.samples[i]!
            const dx = s.x - x
            const dy = s.y - y
            const dz = s.z - z
            if (dx * dx + dy * dy + dz * dz <= r * r) visit(i)
          }
        }
  }
}
