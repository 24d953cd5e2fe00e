/** More often than this, a chance is better told in tenths. */
const OFTEN = 0.4

/** "1 in 20", "6 in 10", "hardly ever". */
export function oneIn(chance: number): string {
  if (chance < 1 / 2000) return 'hardly ever'
  if (chance > OFTEN) return `${Math.round(chance * 10)} in 10`
  const times = 1 / chance
  // nobody tells 1 in 83 from 1 in 80
  const step = times < 12 ? 1 : times < 40 ? 5 : times < 120 ? 10 : 50
  return `1 in ${Math.max(2, Math.round(times / step) * step)}`
}
