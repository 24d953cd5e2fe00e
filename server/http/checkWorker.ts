import { allEndpoints, endpointKey } from '#contract/endpoints'
import type { Fault } from '#core/model/faults'
import { check } from './check.ts'

/** A large body, and the endpoint that it was sent to. */
export interface CheckTask {
  text: string
  endpoint: string
}
/** Sound documents come back as text: that crosses threads faster than objects do. */
export type CheckAnswer = { text: string } | { faults: Fault[] } | { notJson: string }

const schemas = new Map(allEndpoints.map((e) => [endpointKey(e), e.body]))
/** A document may break a rule in ten thousand places; nobody reads that many. */
const MOST_FAULTS = 200

export default function checkLarge({ text, endpoint }: CheckTask): CheckAnswer {
  const checked = check(text, schemas.get(endpoint)!)
  if ('document' in checked) return { text: JSON.stringify(checked.document) }
  return 'faults' in checked ? { faults: checked.faults.slice(0, MOST_FAULTS) } : checked
}
