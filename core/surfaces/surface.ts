import type { z } from 'zod'
import type { Chart } from './chart.ts'

/** Where a border can run on a piece. */
export interface Edge {
  id: 'top' | 'foot'
  /** Of which tier, counted from the lowest; 0 for what has no tiers. */
  tier: number
  label: string
  /** Lengths of the closed lines that it consists of: one, but for what has holes or stands in several parts. */
  loopsMm: readonly number[]
}

/** What is filled and coated by itself: a whole cookie, each tier of a cake. */
export interface Body {
  /** "lower tier"; nothing where a piece is one body. */
  label: string
  /** Area in mm² that a coat covers: what will be seen. */
  seenMm2: number
  /** Area in mm² besides that something else will stand on. */
  coveredMm2: number
  /** Area in mm² of one layer of filling; null for what has no layers. */
  fillingMm2: number | null
}

/** One kind of piece: its measures and what follows from them. */
export interface SurfaceDefinition<S extends z.ZodObject = z.ZodObject> {
  label: string
  plural: string
  schema: S
  /** From the lowest up; at least one. */
  bodies(shape: z.infer<S>): Body[]
  /** Area in mm² on which flowers can stand. */
  topAreaMm2(shape: z.infer<S>): number
  /** The widest circle in mm that fits on top. */
  topAcrossMm(shape: z.infer<S>): number
  /** How far the bare top rises above the rim or top edge, mm. */
  topRiseMm(shape: z.infer<S>): number
  edges(shape: z.infer<S>): Edge[]
  /** How its surface is measured and moved about on. */
  chart(shape: z.infer<S>): Chart
  /** Measures in words: "58 mm, domed". */
  describe(shape: z.infer<S>, length: (mm: number) => string): string
}
