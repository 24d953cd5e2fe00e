import type { Phase } from '#core/demonstration/timing'

/** What a hand does, in a word and in a few. */
export const phaseWords: Record<Phase, { short: string; long: string }> = {
  next: { short: 'next', long: 'go to the next place' },
  touch: { short: 'touch', long: 'touch down' },
  swell: { short: 'swell', long: 'squeeze until the icing comes' },
  over: { short: 'over', long: 'go on as you squeeze' },
  stop: { short: 'stop', long: 'let go of the squeeze' },
  away: { short: 'away', long: 'lift away' },
}
