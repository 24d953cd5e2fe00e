import { bagBenchmarks } from './bags.ts'
import { type Benchmark, medianMs } from './benchmark.ts'
import { colourBenchmarks } from './colour.ts'
import { demo, planBenchmarks, workshop } from './plan.ts'
import { solidBenchmarks } from './solid.ts'

/** `npm run bench`: a table; with `-- --json`, one JSON line a benchmark. */
const all: Benchmark[] = [
  ...planBenchmarks,
  ...bagBenchmarks(demo.order, workshop),
  ...colourBenchmarks,
  ...solidBenchmarks,
]
const asJson = process.argv.includes('--json')

const round = (value: number) => Math.round(value * 1000) / 1000
const rows = all.map((b) => {
  if (b.unit === 'percent')
    return { id: b.id, value: round(b.measure()), unit: b.unit, baseline: 0, ratio: null }
  const value = medianMs(() => b.run(), b.rounds)
  const baseline = medianMs(() => b.baseline())
  return {
    id: b.id,
    value: round(value),
    unit: b.unit,
    baseline: round(baseline),
    ratio: round(value / baseline),
  }
})
if (asJson) for (const row of rows) console.log(JSON.stringify(row))
else {
  console.table(Object.fromEntries(rows.map(({ id, ...row }) => [id, row])))
  for (const b of all) console.log(`${b.id}: ${b.what}; baseline: ${b.against}`)
}
