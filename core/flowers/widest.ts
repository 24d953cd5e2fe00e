import type { FlowerMeasure } from './measure.ts'

/** No pile comes out wider than this over how wide its strokes are aimed. */
const PUSHED_OUT = 1.4

/** The widest a flower may come out, mm: below a limit by this, it need not be piled to be told that it fits. */
export const widestMm = ({ aimed }: FlowerMeasure): number => aimed.diameterMm * PUSHED_OUT
