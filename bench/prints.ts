import { freeze } from '#core/bench/freeze'
import { planOrder } from '#core/plan/index'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { bagLabels } from '#core/prints/bagLabels'
import { labelPages } from '#core/prints/labelPages'
import type { PrintOf } from '#core/prints/printOf'
import { codeDrawing } from '../server/prints/code.ts'
import { measure } from '../server/prints/fonts.ts'
import { pdfOf } from '../server/prints/pdf.ts'
import type { ServedBenchmark } from './benchmark.ts'

const LABELS = 40
const ROUNDS = 7

function labels(of: PrintOf) {
  const own = bagLabels(of)
  return Array.from({ length: LABELS }, (_, i) => own[i % own.length]!)
}

const median = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!

/** As many bag labels as a large order has, with codes, from their words to a PDF. */
export const printBenchmarks: ServedBenchmark[] = [
  {
    id: 'labels-pdf',
    what: `${LABELS} bag labels with codes as PDF`,
    against: 'one label',
    unit: 'ms',
    async measure() {
      const order = demoOrder('observatory')
      const workshop = demoWorkshop()
      const of: PrintOf = {
        frozen: freeze(order, planOrder(order, workshop), workshop),
        ...{ table: () => null, media: workshop.settings.labels, measure },
        codeOf: (path) =>
          codeDrawing(`https://bench.example/bench/0b8f6c9e-1c77-4d7e-b7a2-5d1f6a3f9c10${path}`),
      }
      const timed = async (count: number) => {
        const times: number[] = []
        for (let i = 0; i < ROUNDS; i++) {
          const from = performance.now()
          await pdfOf(labelPages('Bag labels', labels(of).slice(0, count), of))
          times.push(performance.now() - from)
        }
        return median(times)
      }
      return { value: await timed(LABELS), baseline: await timed(1) }
    },
  },
]
