/** Caliper and ruler on a drawn solid: mean width over 36 directions, greatest width, top. */
export function measuredSolid(points: Float32Array) {
  const widths = Array.from({ length: 36 }, (_, d) => {
    const [c, s] = [Math.cos((Math.PI * d) / 36), Math.sin((Math.PI * d) / 36)]
    let [low, high] = [0, 0]
    for (let o = 0; o < points.length; o += 3) {
      const along = c * points[o]! + s * points[o + 1]!
      low = Math.min(low, along)
      high = Math.max(high, along)
    }
    return high - low
  })
  let top = 0
  for (let o = 2; o < points.length; o += 3) top = Math.max(top, points[o]!)
  return { mean: widths.reduce((a, b) => a + b) / 36, most: Math.max(...widths), top }
}
