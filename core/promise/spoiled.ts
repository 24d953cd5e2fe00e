/** A day's rate of spoiling strays from a flower's own as if so many flowers had told it. */
export const RATE_STRENGTH = 40

/** More spoiled flowers than this times what is expected are not imagined. */
const FAR_OUT = 12

/**
 * How many are spoiled until so many good ones lie there, as shares of all days: entry k is the share of days on which k or
 * fewer are. Every flower is spoiled with the day's rate, which strays around the flower's own (a negative binomial mixed
 * over a beta distribution, by its ratio of neighbours).
 * @param wanted good flowers; @param rate of all that are begun, those that are spoiled, below 1.
 */
export function spoiledShares(wanted: number, rate: number, strength = RATE_STRENGTH): Float64Array {
  if (rate <= 0 || wanted <= 0) return Float64Array.of(1)
  const a = rate * strength
  const b = (1 - rate) * strength
  let log = 0
  for (let i = 0; i < wanted; i++) log += Math.log((b + i) / (a + b + i))
  const most = Math.ceil(((wanted * rate) / (1 - rate)) * FAR_OUT) + 12
  const shares: number[] = []
  let sum = 0
  let p = Math.exp(log)
  for (let k = 0; k <= most && sum < 1 - 1e-9; k++) {
    sum += p
    shares.push(Math.min(1, sum))
    p *= ((wanted + k) / (k + 1)) * ((a + k) / (a + b + wanted + k))
  }
  shares[shares.length - 1] = 1
  return Float64Array.from(shares)
}

/** How many are spoiled on a day that stands at a share of all days. */
export function spoiledAt(shares: Float64Array, share: number): number {
  let [low, high] = [0, shares.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (shares[middle]! >= share) high = middle
    else low = middle + 1
  }
  return low
}
