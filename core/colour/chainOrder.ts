/** What going through things one after the other costs. */
export interface OrderTask {
  /** Each as the first, and each after each other. */
  first: readonly number[]
  turn: readonly (readonly number[])[]
  /** The one that must be last; −1 for none. */
  last: number
  /** What having done exactly the mask's things costs when `k` was the last of them. */
  keptCost(mask: number, k: number): number
}

/** Above so many things a table of all sets would not fit: the order is built up thing by thing instead. */
const MOST_EXACT = 13

/**
 * The order of least cost. What a step costs depends only on the thing before it and on the set of those done, so that
 * dynamic programming over (set, last) is exact (Held and Karp); long orders are built up by cheapest insertion.
 */
export function shortestOrder(task: OrderTask): number[] {
  return task.first.length > MOST_EXACT ? builtUp(task) : exactOrder(task)
}

function exactOrder({ first, turn, last, keptCost }: OrderTask): number[] {
  const n = first.length
  const full = (1 << n) - 1
  const cost = new Float64Array((full + 1) * n).fill(Number.POSITIVE_INFINITY)
  const before = new Int8Array((full + 1) * n).fill(-1)
  for (let k = 0; k < n; k++) if (k !== last) cost[(1 << k) * n + k] = first[k]! + keptCost(1 << k, k)
  for (let mask = 1; mask <= full; mask++)
    for (let k = 0; k < n; k++) {
      const next = mask | (1 << k)
      if (next === mask || (k === last && next !== full)) continue
      const kept = keptCost(next, k)
      for (let j = 0; j < n; j++) {
        const total = cost[mask * n + j]! + turn[j]![k]! + kept
        if (total < cost[next * n + k]!) {
          cost[next * n + k] = total
          before[next * n + k] = j
        }
      }
    }
  let end = 0
  for (let k = 1; k < n; k++) if (cost[full * n + k]! < cost[full * n + end]!) end = k
  const order: number[] = []
  for (let mask = full, k = end; k >= 0; ) {
    order.unshift(k)
    const j = before[mask * n + k]!
    mask &= ~(1 << k)
    k = mask === 0 ? -1 : j
  }
  return order
}

/** Each colour put where it costs least among those already there; the one that is wanted last stays last. */
function builtUp({ first, turn, last }: OrderTask): number[] {
  const n = first.length
  const length = (order: readonly number[]) =>
    order.reduce((sum, k, i) => sum + (i === 0 ? first[k]! : turn[order[i - 1]!]![k]!), 0)
  let order: number[] = last >= 0 ? [last] : []
  for (let k = 0; k < n; k++) {
    if (k === last) continue
    const places = order.length + (last >= 0 ? 0 : 1)
    const tries = Array.from({ length: places }, (_, i) => [...order.slice(0, i), k, ...order.slice(i)])
    order = tries.reduce((best, one) => (length(one) < length(best) ? one : best))
  }
  return order
}
