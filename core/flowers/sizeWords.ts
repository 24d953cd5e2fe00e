import type { Extent } from './extent.ts'

/** Longer than wide by more than this, a thing is known by two figures. */
const LONG = 1.25

/** A length as a ruler and a hand have it: whole millimetres, halves below ten. */
export function benchMm(mm: number): number {
  return mm < 10 ? Math.round(2 * mm) / 2 : Math.round(mm)
}

/** "39 mm", or "61 × 22 mm" for what is long. */
export function sizeWords({ diameterMm, alongMm, acrossMm }: Extent): string {
  return alongMm > LONG * acrossMm
    ? `${benchMm(alongMm)} × ${benchMm(acrossMm)} mm`
    : `${benchMm(diameterMm)} mm`
}
