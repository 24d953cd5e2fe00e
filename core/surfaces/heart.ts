import { z } from 'zod'
import { cutOut, cutOutHeight, cutOutWidth } from './cutOut.ts'
import { type Dot, wideAs } from './outline.ts'

const POINTS = 96

/** A heart of two round lobes and a soft point: x = 16 sin³t, y = 13 cos t − 5 cos 2t − 2 cos 3t − cos 4t, a known curve. */
export const heartLoop: Dot[] = Array.from({ length: POINTS }, (_, i) => {
  const t = (2 * Math.PI * i) / POINTS
  return {
    x: 16 * Math.sin(t) ** 3,
    y: 13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t),
  }
})

/** Heart-shaped cake or cookie, its point to the front. */
export const heart = cutOut({
  label: 'heart',
  plural: 'hearts',
  schema: z.object({ kind: z.literal('heart'), widthMm: cutOutWidth, heightMm: cutOutHeight }),
  shapes: ({ widthMm }) => wideAs([[heartLoop]], widthMm),
  heightMm: ({ heightMm }) => heightMm,
  words: ({ widthMm }, length) => `heart, ${length(widthMm)} wide`,
})
