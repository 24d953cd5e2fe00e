import { compared, hasTail } from './compared.ts'
import { type Evidence, evidenceOf } from './evidence.ts'
import type { HandFault } from './faults.ts'
import type { Ideal } from './ideal.ts'
import { median } from './numbers.ts'
import type { StrokeRead } from './read.ts'
import { type Score, scoreOf } from './score.ts'
import { canJudge, type Senses } from './senses.ts'

/** What is said of a try: one thing to change, that nothing is sure enough, or that it is steady. */
export interface Advice {
  says: HandFault | 'unsteady' | 'steady' | 'nothing'
  headline: string
  detail: string
}

/** A try, judged. */
export interface Judged {
  score: Score
  advice: Advice
  /** Everything that stood out at all, most first, of what can be judged. */
  evidence: Evidence[]
}

/** From these marks on a drill is in the hand. */
export const STEADY = 85

/**
 * Scores a try and names one thing to change, if one stands out by more than `sureAt` thresholds. Two that stand out alike are named
 * one at a time: a hand changes one thing.
 */
export function judge(ideal: Ideal, reads: readonly StrokeRead[], senses: Senses, sureAt: number): Judged {
  const score = scoreOf(ideal, reads)
  const evidence = evidenceOf(ideal, reads).filter((e) => canJudge(e.fault, senses))
  return { score, evidence, advice: adviceOf(ideal, reads, score, evidence[0], sureAt) }
}

function adviceOf(
  ideal: Ideal,
  reads: readonly StrokeRead[],
  score: Score,
  first: Evidence | undefined,
  sureAt: number,
): Advice {
  if (reads.length === 0)
    return {
      says: 'nothing',
      headline: 'Nothing lies on the way yet.',
      detail: 'Begin at the mark, and follow the grey icing.',
    }
  if (first && first.strength > sureAt)
    return { says: first.fault, ...WORDS[first.fault](ideal, reads, first) }
  if (score.total >= STEADY)
    return {
      says: 'steady',
      headline: 'Nothing to change: do it the same way again.',
      detail: 'Steady is the same thing three times, on two days.',
    }
  return {
    says: 'unsteady',
    headline: 'Not steady yet: pipe it again.',
    detail:
      'No one thing stands out. Go a little slower than feels right, and look where you go, not at the tip.',
  }
}

type Words = (ideal: Ideal, reads: readonly StrokeRead[], of: Evidence) => Omit<Advice, 'says'>

const times = (log: number): string => Math.exp(log).toFixed(1)
const percent = (log: number): string => `${Math.round(100 * Math.abs(Math.exp(log) - 1))} %`

/** About how long, as a hand counts it. */
function about(seconds: number): string {
  const quarters = Math.max(1, Math.round(Math.abs(seconds) * 4))
  const rest = ['', '¼', '½', '¾'][quarters % 4]!
  return `${Math.floor(quarters / 4) || ''}${rest} s`
}

const small = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]
const counted = (n: number): string => small[n] ?? String(n)

/** What to change, and how; each in the terms of what was piped. */
const WORDS: Record<HandFault, Words> = {
  fast: (_ideal, reads, { by }) => ({
    headline: 'Go slower: the icing cannot follow you.',
    detail: `You went ${times(by)} times as fast as it comes, so it lies thin${gapsIn(reads)}. Count the strokes aloud, as slowly as they go well.`,
  }),
  slow: (_ideal, _reads, { by }) => ({
    headline: 'Go on sooner: it heaps up under a slow hand.',
    detail: `You took ${times(by)} times as long as this squeeze fills. Keep the squeeze, and move as soon as it touches.`,
  }),
  much: (_ideal, _reads, { by }) => ({
    headline: 'Squeeze less: it is too fat everywhere.',
    detail: `About ${percent(by)} more comes than is wanted. Hold your pace; hold the bag as you would an egg.`,
  }),
  little: (_ideal, _reads, { by }) => ({
    headline: 'Squeeze harder: it is too thin everywhere.',
    detail: `About ${percent(-by)} of what is wanted is missing. Hold your pace; let the whole hand press, not the fingers.`,
  }),
  late: lateWords,
  early: (ideal, _reads, { by }) =>
    ideal.drill.looks === 'spots'
      ? {
          headline: 'Squeeze longer: they are too small.',
          detail: `You let go after ${times(-by)} of the time it takes. Count it out, the same for each.`,
        }
      : {
          headline: 'Squeeze a little longer: it stops short of its end.',
          detail: `You let go about ${about(by)} early. Look at the end while you pipe, not at the tip.`,
        },
  uneven: (_ideal, reads) => ({
    headline: 'Keep one squeeze: it comes in waves.',
    detail:
      reads.length > 2
        ? 'They differ in size as your squeeze does. Twist the bag shut again, and hold it in the same place of your hand.'
        : 'Fat and thin follow your squeeze, not your pace. Twist the bag shut again so that it stays tight.',
  }),
  nail: () => ({
    headline: 'Turn the nail evenly: it goes by fits and starts.',
    detail: 'Roll it between thumb and finger all the time that you squeeze; the other hand hardly moves.',
  }),
  order: () => ({
    headline: 'Go round in one order: one after the other.',
    detail: 'Each is made against the one before. Begin at the mark and go the way of the numbers.',
  }),
  high: (_ideal, reads) => ({
    headline: 'Bring the tip down: it trails behind you.',
    detail: `You held it about ${median(reads.map((r) => r.height)).toFixed(1)} openings up; a little under one is right.`,
  }),
}

function gapsIn(reads: readonly StrokeRead[]): string {
  return reads.some((r) => r.gaps > 0.03) ? ' and breaks' : ''
}

function lateWords(ideal: Ideal, reads: readonly StrokeRead[], { by }: Evidence): Omit<Advice, 'says'> {
  if (ideal.drill.looks === 'spots')
    return {
      headline: 'Let go sooner: they are too big.',
      detail: `You squeezed ${times(by)} times as long as each one takes. Count it out, the same for each.`,
    }
  const tails = compared(ideal, reads).filter(hasTail).length
  const of =
    tails === 0
      ? 'it is too fat where it ends'
      : reads.length === 1
        ? 'it has a tail'
        : tails === reads.length
          ? `all ${counted(tails)} have a tail`
          : `${counted(tails)} of ${counted(reads.length)} ${tails === 1 ? 'has' : 'have'} a tail`
  return {
    headline: `Stop squeezing before you lift: ${of}.`,
    detail: `You let go about ${about(by)} late. Say it to yourself: squeeze, pull, let go, lift.`,
  }
}
