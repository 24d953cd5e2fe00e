import { agedBy, counts, dayOf, type Records } from './records.ts'

/** How far an icing's open time is off at the start, and how far one bag's strays from another's, as logs. */
const PRIOR_STRAY = 0.35
const BAG_STRAY = 0.3
/** Times that are thought possible: from a sixth of the start to six times. */
const REACH = Math.log(6)
const STEPS = 120

/**
 * How long an icing is good in a bag: every bag that was asked about was good or was not at its age. Weighed over all times that
 * are possible, around the start (a normal prior on the log, a probit for every answer).
 */
export function openTimes(
  records: Records,
  startOf: (icingKindId: string) => number | null,
): Map<string, { start: number; now: number; records: number }> {
  const aged = agedBy(records)
  const answers = new Map<string, { minutes: number; good: boolean; weight: number }[]>()
  for (const { id, opened, at } of records.entries)
    for (const { icingKindId, minutes, good } of opened) {
      if (minutes <= 0 || !counts(records, `open ${icingKindId}`, { id, at })) continue
      const own = answers.get(icingKindId) ?? []
      own.push({ minutes, good, weight: aged(dayOf(at)) })
      answers.set(icingKindId, own)
    }
  const found = new Map<string, { start: number; now: number; records: number }>()
  for (const [id, own] of answers) {
    const start = startOf(id)
    if (!start) continue
    let [sum, weights] = [0, 0]
    for (let i = 0; i <= STEPS; i++) {
      const off = REACH * ((2 * i) / STEPS - 1)
      let log = -0.5 * (off / PRIOR_STRAY) ** 2
      for (const { minutes, good, weight } of own) {
        const late = below((Math.log(minutes / start) - off) / BAG_STRAY)
        log += weight * Math.log(Math.max(1e-9, good ? 1 - late : late))
      }
      const weight = Math.exp(log)
      sum += weight * off
      weights += weight
    }
    found.set(id, { start, now: start * Math.exp(sum / weights), records: own.length })
  }
  return found
}

/** The share of a standard normal below a deviate, to 1e-7 (Abramowitz and Stegun 26.2.17). */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const tail = (Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)) * poly
  return z > 0 ? 1 - tail : tail
}
