import type { Field } from './field.ts'

/** How finely the way down is felt for, mm. */
const FEEL_MM = 0.25

/** Height of the icing or the table under a point, looked for from `fromZ` downwards, mm. */
export function groundUnder(field: Field, x: number, y: number, fromZ: number): number {
  for (let z = fromZ; z > 0; z -= FEEL_MM) if (field.at(x, y, z) <= 0) return z
  return 0
}

/** Points of a foot that is felt with, as shares of its radius. */
const FELT = 0.6

/** Height on which a round foot stands: what is under its middle, or what carries most of it, whichever is higher. */
export function footing(field: Field, x: number, y: number, radiusMm: number, fromZ: number): number {
  const around = Array.from({ length: 6 }, (_, k) => {
    const a = (Math.PI * k) / 3
    return groundUnder(field, x + FELT * radiusMm * Math.cos(a), y + FELT * radiusMm * Math.sin(a), fromZ)
  }).sort((a, b) => b - a)
  // three points carry
  return Math.max(groundUnder(field, x, y, fromZ), around[2]!)
}
