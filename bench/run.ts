import { atBenchBenchmarks } from './atBench.ts'
import { bagBenchmarks } from './bags.ts'
import { type Benchmark, medianMs, type ServedBenchmark } from './benchmark.ts'
import { chainBroken } from './chainBroken.ts'
import { colourBenchmarks } from './colour.ts'
import { fewerBenchmarks, fewerTips } from './fewer.ts'
import { formulaSmall } from './formulaSmall.ts'
import { learningBenchmarks } from './learning.ts'
import { lineBenchmarks } from './line.ts'
import { pileBenchmarks } from './piles.ts'
import { placingBenchmarks } from './placing.ts'
import { demo, planBenchmarks, workshop } from './plan.ts'
import { practiceBenchmarks } from './practice.ts'
import { printBenchmarks } from './prints.ts'
import { serverBenchmarks } from './server.ts'
import { sizeBenchmarks } from './sizes.ts'
import { solidBenchmarks } from './solid.ts'
import { startsBenchmark } from './starts.ts'
import { lighterBenchmark, timelineBenchmarks } from './timeline.ts'
import { visitBenchmarks } from './visits.ts'

/**
 * `npm run bench [-- NAME…]`: a table; with `--json`, one JSON line a benchmark. `starts` kills 200 servers, takes
 * twenty minutes, and runs only when it is named.
 */
const args = process.argv.slice(2)
const asJson = args.includes('--json')
const names = args.filter((a) => !a.startsWith('--'))
const wanted = ({ id }: { id: string }) => names.length === 0 || names.includes(id)

const quick: Benchmark[] = [
  ...planBenchmarks,
  ...bagBenchmarks(demo.order, workshop),
  ...colourBenchmarks,
  ...solidBenchmarks,
  ...sizeBenchmarks,
  ...pileBenchmarks,
  ...placingBenchmarks,
  ...timelineBenchmarks,
  ...learningBenchmarks(demo.order, workshop),
  ...practiceBenchmarks(),
  ...lineBenchmarks(),
  formulaSmall,
  ...fewerBenchmarks,
  chainBroken,
].filter(wanted)
const served: ServedBenchmark[] = [
  ...[
    fewerTips,
    lighterBenchmark,
    ...atBenchBenchmarks,
    ...printBenchmarks,
    ...serverBenchmarks,
    ...visitBenchmarks,
  ].filter(wanted),
  ...(names.includes(startsBenchmark.id) ? [startsBenchmark] : []),
]

const round = (value: number) => Math.round(value * 1000) / 1000
const row = (b: { id: string; unit: string }, value: number, baseline: number | null) => ({
  id: b.id,
  value: round(value),
  unit: b.unit,
  baseline: baseline === null ? null : round(baseline),
  ratio: baseline ? round(value / baseline) : null,
})

const rows = quick.map((b) =>
  b.unit !== 'ms'
    ? row(b, b.measure(), 0)
    : row(
        b,
        medianMs(() => b.run(), b.rounds),
        medianMs(() => b.baseline()),
      ),
)
for (const b of served) {
  const { value, baseline } = await b.measure()
  rows.push(row(b, value, baseline))
}
if (asJson) for (const one of rows) console.log(JSON.stringify(one))
else {
  console.table(Object.fromEntries(rows.map(({ id, ...one }) => [id, one])))
  for (const b of [...quick, ...served]) console.log(`${b.id}: ${b.what}; baseline: ${b.against}`)
}
process.exit(0)
