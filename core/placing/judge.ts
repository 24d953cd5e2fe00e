import { leans, opposite, twins } from './findings/balance.ts'
import type { Finding, Judged } from './findings/finding.ts'
import { crowded, hangsOver, standsInto, tooHeavy, touchesLid, touchesTier } from './findings/room.ts'
import { bare, betweenCupcakes, hidesWords, seams } from './findings/seen.ts'

/** Up to so many pairs that are in each other's way are told one by one. */
const FEW_PAIRS = 3

/** What there is to say about a layout, what wants a decision first. What was waved off is left out. */
export function judge(of: Judged): Finding[] {
  const pairs = standsInto(of)
  const full = pairs.length > FEW_PAIRS ? crowded(of) : []
  const found = [
    ...full,
    // where there is no room at all, each pair that is in each other's way is not worth a word
    ...(full.length > 0 ? [] : pairs),
    ...hidesWords(of),
    ...hangsOver(of),
    ...tooHeavy(of),
    ...touchesTier(of),
    ...touchesLid(of),
    ...bare(of),
    ...betweenCupcakes(of),
    ...seams(of),
    ...leans(of),
    ...opposite(of),
    ...twins(of),
  ]
  const waved = new Set(of.layout.waved)
  const order = { decide: 0, note: 1 }
  const once = new Set<string>()
  return found
    .filter(({ key }) => {
      if (waved.has(key) || once.has(key)) return false
      // two bare spots at one hour of one tier are told as the larger
      once.add(key)
      return true
    })
    .sort((a, b) => order[a.severity] - order[b.severity])
}
