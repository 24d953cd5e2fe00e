import type { StrokeRange } from '../solids/mesh.ts'

/** Vertex indices between two rings of so many vertices: a quad, of two triangles, at each. */
const PER_VERTEX = 6

/** The runs of a mesh's index that show a stroke as far as it is piped. @param laid share of its way, 0 to 1. */
export function laidSoFar(
  { start, count, bodies }: StrokeRange,
  laid: number,
): { start: number; count: number }[] {
  if (laid >= 1) return [{ start, count }]
  const runs: { start: number; count: number }[] = []
  let from = start
  for (const { rings, around } of bodies) {
    runs.push({ start: from, count: Math.floor(laid * (rings - 1)) * around * PER_VERTEX })
    // both ends have a lid
    from += PER_VERTEX * (rings - 1) * around + 2 * 3 * (around - 2)
  }
  return runs.filter((run) => run.count > 0)
}
