/** Amounts smaller than this share have arrived. */
const DUST = 1e-9

/**
 * Least cost of turning one distribution into another (the earth mover's distance): both sum to 1, `cost(i, j)` is what
 * a whole unit takes from `from[i]` to `to[j]`. Exact: cheapest augmenting paths, found with Bellman and Ford's rule
 * because paths may undo what earlier ones did.
 */
export function transportCost(
  from: readonly number[],
  to: readonly number[],
  cost: (i: number, j: number) => number,
): number {
  const left = [...from]
  const open = [...to]
  const costs = from.map((_, i) => to.map((_, j) => cost(i, j)))
  const flow = from.map(() => to.map(() => 0))
  let total = 0
  // every path empties a source, fills a sink or undoes a flow: the bound is never met
  for (let tries = 0; tries < 4 * from.length * to.length + 4; tries++) {
    const path = cheapestPath(left, open, costs, flow)
    if (!path) break
    let amount = Math.min(left[path.source]!, open[path.sink]!)
    for (const { i, j, back } of path.steps) if (back) amount = Math.min(amount, flow[i]![j]!)
    for (const { i, j, back } of path.steps) {
      flow[i]![j]! += back ? -amount : amount
      total += (back ? -1 : 1) * amount * costs[i]![j]!
    }
    left[path.source]! -= amount
    open[path.sink]! -= amount
  }
  return total
}

interface Step {
  i: number
  j: number
  /** Takes back what was sent from `i` to `j`. */
  back: boolean
}

function cheapestPath(
  left: readonly number[],
  open: readonly number[],
  costs: readonly (readonly number[])[],
  flow: readonly (readonly number[])[],
): { source: number; sink: number; steps: Step[] } | null {
  const rows = left.map((amount) => (amount > DUST ? 0 : Number.POSITIVE_INFINITY))
  const columns = open.map(() => Number.POSITIVE_INFINITY)
  const rowVia: (Step | null)[] = left.map(() => null)
  const columnVia: (Step | null)[] = open.map(() => null)
  for (let again = true; again; ) {
    again = false
    for (let i = 0; i < rows.length; i++)
      for (let j = 0; j < columns.length; j++) {
        const there = costs[i]![j]!
        if (rows[i]! + there < columns[j]! - DUST) {
          columns[j] = rows[i]! + there
          columnVia[j] = { i, j, back: false }
          again = true
        }
        if (flow[i]![j]! > DUST && columns[j]! - there < rows[i]! - DUST) {
          rows[i] = columns[j]! - there
          rowVia[i] = { i, j, back: true }
          again = true
        }
      }
  }
  let sink = -1
  for (let j = 0; j < open.length; j++)
    if (open[j]! > DUST && Number.isFinite(columns[j]!) && (sink < 0 || columns[j]! < columns[sink]!))
      sink = j
  if (sink < 0) return null
  const steps: Step[] = []
  let source = -1
  for (let j = sink; ; ) {
    const there = columnVia[j]!
    steps.push(there)
    const back = rowVia[there.i]
    if (!back) {
      source = there.i
      break
    }
    steps.push(back)
    j = back.j
  }
  return { source, sink, steps }
}
