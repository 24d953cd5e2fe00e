import type { Slot } from '../tips/family.ts'

/** Where the slot stands at one moment of a stroke. Directions are unit vectors; lengths in mm, z up. */
export interface SheetFrame {
  /** The wide end of the slot. */
  px: number
  py: number
  pz: number
  /** From the wide end along the slot. */
  sx: number
  sy: number
  sz: number
  /** The side the slot bends to, at a right angle to the slot direction. */
  bx: number
  by: number
  bz: number
  /** Share of the slot's length that carries icing: low pressure starves the narrow end. */
  scale: number
  /** Thickness as a multiple of the slot's own: a pull runs thin towards its point. */
  thick: number
  /** Even bend over the slot, and the roll of the free edge (grows with u^4), in radians. */
  curl: number
  lip: number
}

/** Fills `out` with the frame at t, 0 (start) to 1 (end of the stroke). */
export type SheetPath = (t: number, out: SheetFrame) => void

export function newSheetFrame(): SheetFrame {
  return {
    px: 0,
    py: 0,
    pz: 0,
    sx: 1,
    sy: 0,
    sz: 0,
    bx: 0,
    by: 0,
    bz: 1,
    scale: 1,
    thick: 1,
    curl: 0,
    lip: 0,
  }
}

/** Points of the swept mid-surface: row-major over t then u, three numbers a point, in mm. */
export interface SheetGrid {
  tSteps: number
  uSteps: number
  points: Float64Array
  /** Thickness of each ring as a multiple of the slot's own. */
  thick: Float64Array
  /** Length in mm of slot that carries icing at each ring. */
  reach: Float64Array
}

const BEND_STEPS = 16

/**
 * The mid-surface `X(t,u) = P + L·scale·∫0..u (cos φ·S + sin φ·B) du'` with the length-preserving bend
 * `φ(u) = (curl + tip bend)·u + lip·u^4` (docs/calculations.md, "Sheets").
 */
export function sweepSheet(path: SheetPath, slot: Slot, tSteps = 24, uSteps = 8): SheetGrid {
  const points = new Float64Array((tSteps + 1) * (uSteps + 1) * 3)
  const thick = new Float64Array(tSteps + 1)
  const lengths = new Float64Array(tSteps + 1)
  const frame = newSheetFrame()
  const tipBend = (slot.bendDeg * Math.PI) / 180
  const fine = Math.max(1, Math.round(BEND_STEPS / uSteps))
  const du = 1 / (uSteps * fine)
  for (let i = 0; i <= tSteps; i++) {
    path(i / tSteps, frame)
    thick[i] = frame.thick
    lengths[i] = slot.lengthMm * frame.scale
    const reach = slot.lengthMm * frame.scale * du
    const straight = frame.curl + tipBend === 0 && frame.lip === 0
    let along = 0
    let aside = 0
    for (let j = 0; j <= uSteps; j++) {
      const o = (i * (uSteps + 1) + j) * 3
      points[o] = frame.px + along * frame.sx + aside * frame.bx
      points[o + 1] = frame.py + along * frame.sy + aside * frame.by
      points[o + 2] = frame.pz + along * frame.sz + aside * frame.bz
      if (straight) {
        along += fine * reach
        continue
      }
      for (let k = 0; k < fine; k++) {
        const u = (j * fine + k + 0.5) * du
        const phi = (frame.curl + tipBend) * u + frame.lip * u * u * u * u
        along += Math.cos(phi) * reach
        aside += Math.sin(phi) * reach
      }
    }
  }
  return { tSteps, uSteps, points, thick, reach: lengths }
}

/** Amount and length of a swept sheet. */
export interface SheetMeasure {
  volumeMm3: number
  /** Length of the path of the slot's middle. */
  travelMm: number
}

/**
 * Icing in mm³ that leaves the bag along a sheet stroke: `Σ w(u)·thick·L·scale·flow·v⊥·Δu·Δt`, with v⊥ the speed of
 * the surface at a right angle to the slot (docs/calculations.md, "Sheets"). Never the mesh's own volume.
 * `uSteps` of the grid must be even, so that there is a middle.
 */
export function measureSheet(grid: SheetGrid, slot: Slot, flow: number): SheetMeasure {
  const { points, thick, tSteps, uSteps } = grid
  const row = (uSteps + 1) * 3
  const middle = (uSteps / 2) * 3
  const widths = cellWidths(slot, uSteps)
  let volume = 0
  let travel = 0
  for (let i = 0; i < tSteps; i++) {
    const thickness = (thick[i]! + thick[i + 1]!) / 2
    for (let j = 0; j < uSteps; j++) {
      const a = i * row + j * 3
      volume += quadArea(points, a, a + row, a + 3, a + row + 3) * widths[j]! * thickness
    }
    travel += distance(points, i * row + middle, (i + 1) * row + middle)
  }
  return { volumeMm3: volume * flow, travelMm: travel }
}

function distance(p: Float64Array, a: number, b: number): number {
  const x = p[b]! - p[a]!
  const y = p[b + 1]! - p[a + 1]!
  const z = p[b + 2]! - p[a + 2]!
  return Math.sqrt(x * x + y * y + z * z)
}

const widthsOf = new WeakMap<Slot, Map<number, number[]>>()

/** Mean slot thickness in mm over each of `uSteps` equal cells, the rounded ends included; worked out once. */
function cellWidths(slot: Slot, uSteps: number): number[] {
  const known = widthsOf.get(slot) ?? new Map<number, number[]>()
  widthsOf.set(slot, known)
  const widths = known.get(uSteps) ?? meanWidths(slot, uSteps)
  known.set(uSteps, widths)
  return widths
}

function meanWidths(slot: Slot, uSteps: number): number[] {
  const fine = 12
  return Array.from({ length: uSteps }, (_, j) => {
    let sum = 0
    for (let k = 0; k < fine; k++) sum += slot.widthAt((j + (k + 0.5) / fine) / uSteps)
    return sum / fine
  })
}

/** Area of the quad a, b (next t), c (next u), d: half the cross product of its diagonals. */
function quadArea(p: Float64Array, a: number, b: number, c: number, d: number): number {
  const ux = p[d]! - p[a]!
  const uy = p[d + 1]! - p[a + 1]!
  const uz = p[d + 2]! - p[a + 2]!
  const vx = p[c]! - p[b]!
  const vy = p[c + 1]! - p[b + 1]!
  const vz = p[c + 2]! - p[b + 2]!
  const nx = uy * vz - uz * vy
  const ny = uz * vx - ux * vz
  const nz = ux * vy - uy * vx
  return Math.sqrt(nx * nx + ny * ny + nz * nz) / 2
}
