/** Numbers 0..1 that look random and are the same for the same seed (mulberry32). */
export type Random = () => number

export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A number from -1 to 1, more often small than large, as a hand's slips are. */
export function slip(random: Random): number {
  return random() + random() - 1
}

/** Smooth noise over one dimension, -1..1, from values at whole numbers. */
export function smoothNoise(random: Random, length: number): (x: number) => number {
  const knots = Float64Array.from({ length: Math.ceil(length) + 2 }, () => slip(random))
  return (x) => {
    const at = Math.min(Math.max(x, 0), knots.length - 1.001)
    const i = Math.floor(at)
    const f = at - i
    const s = f * f * (3 - 2 * f)
    return knots[i]! * (1 - s) + knots[i + 1]! * s
  }
}
