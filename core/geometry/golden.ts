/** Turn from one thing to the next, radians, that fills a circle evenly however many there are and never comes round to the same place. */
export const GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5))
