import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { MikroORM } from '@mikro-orm/postgresql'
import { readConfig } from '../server/config.ts'
import { ProblemError } from '../server/http/problems.ts'
import { connect } from '../server/orm.ts'
import { startCluster } from '../server/postgres/cluster.ts'
import { prepareDatabase } from '../server/start/database.ts'
import { StartError } from '../server/start/words.ts'

export const root = fileURLToPath(new URL('..', import.meta.url))

/** Works on the bakery's database, wherever the settings say that it is; a server may run beside. Ends with words if it fails. */
export async function withBakery(
  work: (orm: MikroORM, stateFolder: string) => Promise<void>,
): Promise<never> {
  try {
    const config = readConfig(process.env, [], root)
    const cluster = config.databaseUrl ? null : await startCluster(join(config.stateFolder, 'postgres'))
    try {
      const url = config.databaseUrl ?? cluster!.url
      await prepareDatabase(url, null, new Date())
      const orm = await connect(url, { patient: true })
      await work(orm, config.stateFolder).finally(() => orm.close())
    } finally {
      await cluster?.stop()
    }
    process.exit(0)
  } catch (error) {
    const known = error instanceof StartError || error instanceof ProblemError
    console.error(known ? (error as Error).message : error)
    if (error instanceof ProblemError)
      for (const fault of error.faults.slice(0, 20))
        console.error(`/${fault.path.join('/')}: ${fault.message}`)
    process.exit(1)
  }
}
