/** Where the tip's middle is at one moment of a tube stroke, and how far the icing swells beyond the opening. */
export interface TubeFrame {
  x: number
  y: number
  z: number
  /** Width of the icing as a multiple of the opening's. */
  scale: number
  /** Turn of the opening about the path, radians. */
  twist: number
}

/** Fills `out` with the frame at t, 0 (start) to 1 (end of the stroke). */
export type TubePath = (t: number, out: TubeFrame) => void

export function newTubeFrame(): TubeFrame {
  return { x: 0, y: 0, z: 0, scale: 1, twist: 0 }
}

/** Amount and length of a swept tube. */
export interface TubeMeasure {
  volumeMm3: number
  travelMm: number
}

/**
 * Icing in mm³ along a tube stroke, `Σ A·scale²·Δs` by the frustum rule, so that cones and tapers are exact
 * (docs/calculations.md, "Tubes").
 */
export function measureTube(path: TubePath, areaMm2: number, flow: number, steps = 64): TubeMeasure {
  let a = newTubeFrame()
  let b = newTubeFrame()
  path(0, a)
  let volume = 0
  let travel = 0
  for (let i = 1; i <= steps; i++) {
    path(i / steps, b)
    const ds = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z)
    volume += ((a.scale ** 2 + a.scale * b.scale + b.scale ** 2) / 3) * ds
    travel += ds
    ;[a, b] = [b, a]
  }
  return { volumeMm3: volume * areaMm2 * flow, travelMm: travel }
}
