import { seeded } from '../random.ts'

/** Orders that are imagined for one that is planned. */
export const IMAGINED = 4096
/** Draws kept: as many names as a large bakery's library has. */
const MOST_KEPT = 600

/**
 * Shares from 0 to 1, one for each imagined order, that fall evenly: those of the first places evenly together, as points of
 * Sobol's sequence do (Joe and Kuo, SIAM J. Sci. Comput. 30, 2008), so that a thousand imagined orders tell as much as ten
 * thousand thrown ones; those of later places evenly by themselves, in an order of their own (a Latin hypercube: McKay,
 * Beckman and Conover, Technometrics 21, 1979). What matters most is asked for at the first places.
 */
export const sharesAt = kept((place: string): Float64Array => {
  const at = Number(place)
  const random = seeded(at * 7919 + 17)
  if (at < SOBOL_PLACES) return sobol(at, Math.floor(random() * 2 ** BITS))
  const shares = Float64Array.from({ length: IMAGINED }, (_, i) => (i + 0.5) / IMAGINED)
  for (let i = IMAGINED - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[shares[i], shares[j]] = [shares[j]!, shares[i]!]
  }
  return shares
})

/** The same as standard normal deviates. */
export const normalsAt = kept((place: string): Float64Array => sharesAt(place).map(normalQuantile))

/** Remembers what was worked out for a name. */
export function kept<T>(make: (name: string) => T): (name: string) => T {
  const known = new Map<string, T>()
  return (name) => {
    const found = known.get(name) ?? make(name)
    known.delete(name)
    known.set(name, found)
    if (known.size > MOST_KEPT) known.delete(known.keys().next().value!)
    return found
  }
}

const BITS = 30
/** Degree, inner coefficients and first direction numbers of the places after the first (Joe and Kuo's table). */
const DIRECTIONS: readonly (readonly [degree: number, inner: number, first: readonly number[]])[] = [
  [1, 0, [1]],
  [2, 1, [1, 3]],
  [3, 1, [1, 3, 1]],
  [3, 2, [1, 1, 1]],
  [4, 1, [1, 1, 3, 3]],
  [4, 4, [1, 3, 5, 13]],
  [5, 2, [1, 1, 5, 5, 17]],
  [5, 4, [1, 1, 5, 5, 5]],
  [5, 7, [1, 1, 7, 11, 19]],
  [5, 11, [1, 1, 5, 1, 1]],
  [5, 13, [1, 1, 1, 3, 11]],
  [5, 14, [1, 3, 5, 5, 31]],
  [6, 1, [1, 3, 3, 9, 7, 49]],
  [6, 13, [1, 1, 1, 15, 21, 21]],
  [6, 16, [1, 3, 1, 13, 27, 49]],
  [6, 19, [1, 1, 1, 15, 7, 5]],
  [6, 22, [1, 3, 1, 15, 13, 25]],
  [6, 25, [1, 1, 5, 5, 19, 61]],
  [7, 1, [1, 3, 7, 11, 23, 15, 103]],
  [7, 4, [1, 3, 7, 13, 13, 15, 69]],
]
export const SOBOL_PLACES = DIRECTIONS.length + 1

/** The points of one place of Sobol's sequence, shifted by so much (as bits), in the middle of their cells. */
function sobol(place: number, shift: number): Float64Array {
  const v = new Uint32Array(BITS)
  const row = DIRECTIONS[place - 1]
  for (let i = 0; i < BITS; i++) {
    if (!row) {
      v[i] = 2 ** (BITS - 1 - i)
      continue
    }
    const [degree, inner, first] = row
    if (i < degree) {
      v[i] = first[i]! * 2 ** (BITS - 1 - i)
      continue
    }
    let next = v[i - degree]! ^ (v[i - degree]! >>> degree)
    for (let k = 1; k < degree; k++) if ((inner >> (degree - 1 - k)) & 1) next ^= v[i - k]!
    v[i] = next
  }
  const shares = new Float64Array(IMAGINED)
  let x = 0
  for (let n = 0; n < IMAGINED; n++) {
    shares[n] = ((x ^ shift) + 0.5) / 2 ** BITS
    // Gray code: one direction changes from each point to the next
    let zeros = 0
    while ((n >> zeros) & 1) zeros++
    x ^= v[zeros]!
  }
  return shares
}

/**
 * The standard normal deviate under which a share of all lies, to 1e-9 (Acklam's rational approximation with one step of
 * Halley's rule by the error function is more than is needed: the approximation alone, 1e-9 relative).
 */
export function normalQuantile(share: number): number {
  const low = 0.02425
  if (share < low) return tail(share)
  if (share > 1 - low) return -tail(1 - share)
  const q = share - 0.5
  const r = q * q
  return (
    ((((((A[0]! * r + A[1]!) * r + A[2]!) * r + A[3]!) * r + A[4]!) * r + A[5]!) * q) /
    (((((B[0]! * r + B[1]!) * r + B[2]!) * r + B[3]!) * r + B[4]!) * r + 1)
  )
}

function tail(share: number): number {
  const q = Math.sqrt(-2 * Math.log(share))
  return (
    (((((C[0]! * q + C[1]!) * q + C[2]!) * q + C[3]!) * q + C[4]!) * q + C[5]!) /
    ((((D[0]! * q + D[1]!) * q + D[2]!) * q + D[3]!) * q + 1)
  )
}

const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
  2.506628277459239,
]
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572]
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
]
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416]
