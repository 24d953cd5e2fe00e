/**
 * How hard a flower pulls at a side that it hangs on, Pa: its weight levers about the lower edge of its foot, and peels there.
 * The foot is taken as half its width, its weight as acting at 0.4 of its height. Only the order that it puts flowers in is
 * physics; where practice draws the line is a setting.
 */
export function peelPa(grams: number, diameterMm: number, heightMm: number): number {
  if (grams <= 0) return 0
  const newton = grams * 9.81e-3
  const foot = 0.5 * diameterMm
  // bending of a round foot: stress at its edge is 32 M / (pi d³), N/mm² to Pa
  return ((32 * newton * 0.4 * heightMm) / (Math.PI * foot ** 3)) * 1e6
}

/** What may hang on a side, as the bakery has settled it. */
export interface HangLimits {
  mostPa: number
  mostGrams: number
}

export const mayHang = (grams: number, diameterMm: number, heightMm: number, limits: HangLimits): boolean =>
  grams <= limits.mostGrams && peelPa(grams, diameterMm, heightMm) <= limits.mostPa
