import { Migrator } from '@mikro-orm/migrations'
import { MikroORM } from '@mikro-orm/postgresql'
import { BenchEventRow, RunRow } from './entities/bench.ts'
import { DyeRow, MixRow } from './entities/dye.ts'
import { LogRow, PhotographRow } from './entities/log.ts'
import { OrderRow } from './entities/order.ts'
import { PracticeRow } from './entities/practice.ts'
import { WeighingRow } from './entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from './entities/workshop.ts'
import { migrations } from './migrations/index.ts'

/** Longest that a request waits for a connection or an answer; a little below the request's own deadline. */
const PATIENCE_MS = 4000

/**
 * Connects to the database at `clientUrl`. Migrations are not run: see `prepareDatabase`.
 * @param options `patient` for work on the whole database, which may take its time.
 */
export function connect(clientUrl: string, { patient = false } = {}): Promise<MikroORM> {
  return MikroORM.init({
    clientUrl,
    entities: [
      ...[OrderRow, TipRow, BagRow, FlowerRow, IcingRow, SettingsRow, WeighingRow, DyeRow, MixRow],
      ...[RunRow, BenchEventRow, LogRow, PhotographRow, PracticeRow],
    ],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true },
    forceUtcTimezone: true,
    // said by whoever catches the error
    logger: () => undefined,
    pool: { min: 0, max: 10, ...(patient ? {} : { acquireTimeoutMillis: PATIENCE_MS }) },
    driverOptions: patient
      ? {}
      : {
          connection: {
            connectionTimeoutMillis: PATIENCE_MS,
            query_timeout: PATIENCE_MS,
            statement_timeout: 2 * PATIENCE_MS,
          },
        },
  })
}
