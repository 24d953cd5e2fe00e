import { backupEndpoints } from './backup.ts'
import { benchEndpoints } from './bench.ts'
import { comingEndpoints } from './coming.ts'
import { deletedEndpoints } from './deleted.ts'
import { dyeEndpoints } from './dyes.ts'
import type { Endpoint } from './endpoint.ts'
import { healthEndpoints } from './health.ts'
import { logEndpoints } from './log.ts'
import { orderEndpoints } from './orders.ts'
import { practiceEndpoints } from './practice.ts'
import { printEndpoints } from './prints.ts'
import { sessionEndpoints } from './session.ts'
import { weighingEndpoints } from './weighings.ts'
import { workshopEndpoints } from './workshop.ts'

/** Every call of the API. */
export const allEndpoints: readonly Endpoint[] = [
  healthEndpoints,
  sessionEndpoints,
  orderEndpoints,
  comingEndpoints,
  benchEndpoints,
  printEndpoints,
  logEndpoints,
  practiceEndpoints,
  workshopEndpoints,
  weighingEndpoints,
  dyeEndpoints,
  deletedEndpoints,
  backupEndpoints,
].flatMap((group) => Object.values(group) as Endpoint[])

/** An endpoint as one word, to name it by. */
export const endpointKey = ({ method, path }: Pick<Endpoint, 'method' | 'path'>): string =>
  `${method} ${path}`
