import { standBehind } from '../check/behind.ts'
import { type ComingTask, startsOf } from './coming.ts'

standBehind()

/** When each of several orders has to be begun, as JSON made into bytes. */
export default function coming(task: ComingTask): Uint8Array {
  return new TextEncoder().encode(JSON.stringify({ starts: startsOf(task) }))
}
