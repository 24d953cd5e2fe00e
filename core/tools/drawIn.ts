import { z } from 'zod'
import { smoothNoise } from '../random.ts'
import { ramp, type ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('drawIn'),
  reachMm: z.number().min(0).max(15),
  edgeMm: z.number().min(0.5).max(10),
  streaks: z.number().int().min(2).max(40),
})

/** Of its thickness a petal keeps so much where the brush has gone, and a streak is so much higher or lower. */
const LEFT = 0.62
const STREAK = 0.3

/** A barely damp brush pulls the inner part of a fresh edge towards the heart: the rim stays full, the rest thins in streaks. */
export const drawIn: ToolDefinition<typeof schema> = {
  label: 'draw in',
  schema,
  instruments: ['dampBrush'],
  when: ['wet'],
  rests: ['lies'],
  only: 'sheets',
  secondsEach: 4,
  touch: ({ reachMm, edgeMm, streaks }, random) => {
    const high = smoothNoise(random, 2 * streaks)
    const far = smoothNoise(random, streaks)
    return (at, moved) => {
      const across = (at.asideMm / at.halfHereMm + 1) / 2
      const brushed = 1 - ramp(at.lengthMm - 1.5 * edgeMm, at.lengthMm - 0.5 * edgeMm, at.outMm)
      const thick = Math.min(at.tallMm, 2)
      moved.thinMm = brushed * thick * (1 - LEFT + STREAK * high(across * 2 * streaks))
      moved.inMm = reachMm * (1 - at.out) ** 2 * (0.7 + 0.3 * far(across * streaks))
    }
  },
  words: {
    how: 'Wipe the brush nearly dry. From the edge to the heart in one pull, lifting off at the end; wipe it after every petal.',
    goesWrong:
      'The edge tears: it had crusted, or the brush was dry. A puddle at the heart: the brush was wet.',
  },
}
