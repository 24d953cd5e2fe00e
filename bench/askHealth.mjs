/**
 * Asks /api/health every twenty milliseconds until it is told to stop, in a process of its own: whoever makes the load is
 * too busy to time anything. `node bench/askHealth.mjs URL`; answers with the slowest and the number of times.
 */
const url = process.argv[2]
// the first question of a process is slow for reasons of its own
for (let i = 0; i < 10; i++) await (await fetch(url)).text()
let slowest = 0
let times = 0
process.on('SIGTERM', () => {
  console.log(JSON.stringify({ slowest, times }))
  process.exit(0)
})
for (;;) {
  const from = performance.now()
  await (await fetch(url)).text()
  slowest = Math.max(slowest, performance.now() - from)
  times += 1
  await new Promise((resolve) => setTimeout(resolve, 20))
}
