import { z } from 'zod'
import { petalArc } from './petalArc.ts'
import type { StrokeDefinition } from './stroke.ts'

const schema = petalArc.schema.extend({
  kind: z.literal('ruffle'),
  ripple: petalArc.schema.shape.ripple.unwrap().unwrap(),
})

/** Ruffled petal: the standing petal's path with a small regular shake, so that the surplus buckles into a frill. */
export const ruffle: StrokeDefinition<typeof schema> = {
  label: 'ruffled petal',
  schema,
  families: petalArc.families,
  freeOpening: false,
  texture: 'ruffled',
  rests: 'stands',
  petal: 'closing',
  upright: true,
  trace: (p, at, opening) => petalArc.trace({ ...p, kind: 'petalArc' }, at, opening),
  speedMmPerS: 18,
  overheadSeconds: 1.4,
  words: {
    hold: 'Wide end down on the base, narrow end up, bag at 45°.',
    clock: 4,
    pressure:
      'Squeeze more than the path needs, with a small quick shake; tight at the centre, longer at the edge.',
    stop: 'Come down to the base, stop, then pull away sideways.',
    goesWrong: [
      'Flat, no frill: the hand outran the icing. Move slower, or squeeze more.',
      'The frill tears: icing too stiff. Soften it a little and work the bag warm.',
    ],
  },
}
