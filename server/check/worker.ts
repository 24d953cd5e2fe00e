import { allEndpoints, endpointKey } from '#contract/endpoints'
import { type SharedWorkshop, unshared } from '../workshop/shared.ts'
import { standBehind } from './behind.ts'
import { check, type Faulty } from './check.ts'
import { checkOrder } from './order.ts'

standBehind()

const schemas = new Map(allEndpoints.map((e) => [endpointKey(e), e.body]))

/** A large body by its endpoint's schema. Sound documents come back as text: that crosses threads faster than objects do. */
export default function checkBody(task: { text: string; endpoint: string }): { text: string } | Faulty {
  const checked = check(task.text, schemas.get(task.endpoint)!)
  return 'document' in checked ? { text: JSON.stringify(checked.document) } : checked
}

/** A large order by its schema and by what the workshop has. */
export function order({ text, workshop }: { text: string; workshop: SharedWorkshop }) {
  return checkOrder(text, unshared(workshop))
}
