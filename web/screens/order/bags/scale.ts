/** Openings are drawn this many times life size, at 96 px to the inch. */
export const OPENING_SCALE = 3
export const PX_PER_MM = (96 / 25.4) * OPENING_SCALE
