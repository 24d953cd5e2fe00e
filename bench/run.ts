import { type Benchmark, medianMs } from './benchmark.ts'
import { planBenchmarks } from './plan.ts'
import { solidBenchmarks } from './solid.ts'

/** `npm run bench`: a table; with `-- --json`, one JSON line a benchmark. */
const all: Benchmark[] = [...planBenchmarks, ...solidBenchmarks]
const asJson = process.argv.includes('--json')

const round = (value: number) => Math.round(value * 1000) / 1000
const rows = all.map((b) => {
  const value = medianMs(() => b.run())
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
