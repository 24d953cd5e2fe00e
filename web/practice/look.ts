import type { Ideal } from '#core/practice/ideal'
import { openingSlot } from '#core/tips/index'
import { type Look, rampOf } from './paint.ts'

/** Icing that nobody has coloured. */
const PLAIN = '#f1e4c4'
/** Ridges to be seen across a rope are about half of a star's teeth: the others are under it. */
const SEEN_RIDGES = 0.5

/** How the icing of a drill is drawn. */
export function lookOf({ drill, outlet }: Ideal): Look {
  const ridges = drill.opening.family === 'star' ? Math.round(drill.opening.teeth * SEEN_RIDGES) : 0
  return {
    ...{ ramp: rampOf(PLAIN), ridges, flat: null },
    ...{ heightShare: outlet.heightShare, acrossMm: outlet.mouth.acrossMm },
    towards: drill.nail && openingSlot(drill.opening) ? drill.nail.middle : null,
  }
}

/** The ideal under it, in one grey. */
export const shadowOf = (look: Look, grey: string): Look => ({ ...look, flat: grey })
