import { starterWorkshop } from '#core/catalogue/starter'
import { readLine } from '#core/line/read'
import { vocabularyOf } from '#core/line/vocabulary'
import type { Benchmark } from './benchmark.ts'

const LINE =
  '30 cupcakes: 12 big pink rose, 12 ranunculs with leaves, 6 rosette with stamens; cake 20 and 13 cm, fall of rosettes and blossoms, bead border at the foot; 10 poppy cookies, small; 24 biscuits: half dasies half pansies; Saturday 12 December at 11:00; no nuts, no egg, please ring Mrs Plum; blush, deep pink, moss'

/** What a keystroke in an order's line costs: all of it is read anew. */
export function lineBenchmarks(): Benchmark[] {
  const vocabulary = vocabularyOf(starterWorkshop.flowers)
  return [
    {
      id: 'line-parse',
      what: `a line of ${LINE.length} characters read; the aim is 10`,
      unit: 'ms',
      against: 'the vocabulary built',
      run: () => void readLine(LINE, vocabulary, '2026-11-25T10:00'),
      baseline: () => void vocabularyOf(starterWorkshop.flowers),
    },
  ]
}
