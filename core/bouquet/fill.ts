import type { Dot } from '../surfaces/outline.ts'
import type { Field } from './fields.ts'

/** A cupcake may stand over the outline by this share of its width: the eye reads the rims, not the middles. */
const OVER = 0.12
/** Lattices that are tried: rows set off by half, and rows in line; so many turns and so many beginnings of each. */
const TURNS = 8
const BEGINNINGS = 4
/** A width is found to so many mm. */
const FOUND_MM = 1
/** After a lattice fits, the outline is made smaller by so much at a time while the cupcakes can still give way. */
const SMALLER = 0.985
const MOST_SMALLER = 24
const ROUNDS = 400
const LEFT_MM = 0.05

/**
 * So many cupcakes within an outline that is as small as can be found: the best lattice first, then pushed closer.
 * @param pitchMm from middle to middle, where two stand side by side.
 */
export function fill(field: Field, count: number, diameterMm: number, pitchMm: number): Dot[] {
  const need = (0.5 - OVER) * diameterMm
  const fits = (width: number) => best(field, width, pitchMm, need, count)
  let [low, high] = [0, diameterMm]
  while (fits(high).length < count) {
    low = high
    high *= 1.5
  }
  while (high - low > FOUND_MM) {
    const middle = (low + high) / 2
    if (fits(middle).length >= count) high = middle
    else low = middle
  }
  let found = fits(high)
  for (let i = 0; i < MOST_SMALLER; i++) {
    high *= SMALLER
    const closer = pushed(found, field, high, pitchMm, need)
    if (!closer) break
    found = closer
  }
  return found
}

/** The lattice that brings most of them into the outline; of more than are wanted those that lie deepest. */
function best(field: Field, width: number, pitch: number, need: number, count: number): Dot[] {
  let most: { dot: Dot; inside: number }[] = []
  for (const rowMm of [pitch * Math.sqrt(0.75), pitch])
    for (let t = 0; t < TURNS; t++)
      for (let b = 0; b < BEGINNINGS * BEGINNINGS; b++) {
        const offset = { x: (b % BEGINNINGS) / BEGINNINGS, y: Math.floor(b / BEGINNINGS) / BEGINNINGS }
        const found = lattice(field, width, pitch, rowMm, (t * Math.PI) / (2 * TURNS), offset, need)
        if (found.length > most.length) most = found
        if (most.length >= count) return deepest(most, count)
      }
  return deepest(most, count)
}

const deepest = (found: { dot: Dot; inside: number }[], count: number): Dot[] =>
  found
    .sort((p, q) => q.inside - p.inside)
    .slice(0, count)
    .map(({ dot }) => dot)

function lattice(
  field: Field,
  width: number,
  pitch: number,
  rowMm: number,
  turn: number,
  offset: Dot,
  need: number,
): { dot: Dot; inside: number }[] {
  const reach = width * Math.hypot(0.5, field.halfDeep) + pitch
  const rows = Math.ceil(reach / rowMm)
  const posts = Math.ceil(reach / pitch) + 1
  const set = rowMm < pitch ? 0.5 : 0
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const found: { dot: Dot; inside: number }[] = []
  for (let k = -rows; k <= rows; k++)
    for (let i = -posts; i <= posts; i++) {
      const u = (i + offset.x + (k % 2 === 0 ? 0 : set)) * pitch
      const v = (k + offset.y) * rowMm
      const [x, y] = [c * u - s * v, s * u + c * v]
      const inside = width * field.insideOf(x / width, y / width)
      if (inside >= need) found.push({ dot: { x, y }, inside })
    }
  return found
}

/** Cupcakes pushed apart and back in until they stand clear; null where they cannot. */
function pushed(
  from: readonly Dot[],
  field: Field,
  width: number,
  pitch: number,
  need: number,
): Dot[] | null {
  const dots = from.map(({ x, y }) => ({ x: x * SMALLER, y: y * SMALLER }))
  for (let round = 0; round < ROUNDS; round++) {
    let worst = 0
    dots.forEach((p, i) => {
      for (let k = i + 1; k < dots.length; k++) {
        const q = dots[k]!
        const [dx, dy] = [q.x - p.x, q.y - p.y]
        const apart = Math.hypot(dx, dy)
        const lack = pitch - apart
        if (lack <= 0) continue
        worst = Math.max(worst, lack)
        // two on one spot part to the right
        const [ux, uy] = apart > 1e-9 ? [dx / apart, dy / apart] : [1, 0]
        p.x -= (ux * lack) / 2
        p.y -= (uy * lack) / 2
        q.x += (ux * lack) / 2
        q.y += (uy * lack) / 2
      }
    })
    for (const p of dots) {
      const at = (x: number, y: number) => width * field.insideOf(x / width, y / width)
      const lack = need - at(p.x, p.y)
      if (lack <= 0) continue
      worst = Math.max(worst, lack)
      // inward is where the distance to the outline grows
      const [gx, gy] = [at(p.x + 1, p.y) - at(p.x - 1, p.y), at(p.x, p.y + 1) - at(p.x, p.y - 1)]
      const slope = Math.hypot(gx, gy) || 1
      p.x += (gx / slope) * lack
      p.y += (gy / slope) * lack
    }
    if (worst < LEFT_MM) return dots
  }
  return null
}
