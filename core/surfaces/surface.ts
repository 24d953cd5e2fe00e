import type { z } from 'zod'

/** Where a border can run on a piece. */
export interface Edge {
  id: 'top' | 'foot'
  label: string
  lengthMm: number
}

/** One kind of piece: its measures and what follows from them. */
export interface SurfaceDefinition<S extends z.ZodObject = z.ZodObject> {
  label: string
  plural: string
  schema: S
  /** Area in mm² that a coat covers: what will be seen. */
  coatAreaMm2(shape: z.infer<S>): number
  /** Area in mm² besides that another tier will stand on; none where nothing can. */
  coveredAreaMm2?(shape: z.infer<S>): number
  /** Area in mm² seen from above on which flowers can stand. */
  topAreaMm2(shape: z.infer<S>): number
  /** The widest circle in mm that fits on top. */
  topAcrossMm(shape: z.infer<S>): number
  /** Area in mm² of one layer of filling; null for what has no layers. */
  fillingAreaMm2: ((shape: z.infer<S>) => number) | null
  /** How far the bare top rises above the rim or top edge, mm. */
  topRiseMm(shape: z.infer<S>): number
  edges(shape: z.infer<S>): Edge[]
  /** Measures in words: "58 mm, domed". */
  describe(shape: z.infer<S>, length: (mm: number) => string): string
}
