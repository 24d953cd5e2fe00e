import { Migrator } from '@mikro-orm/migrations'
import { MikroORM } from '@mikro-orm/postgresql'
import { DyeRow, MixRow } from './entities/dye.ts'
import { OrderRow, PieceRow } from './entities/order.ts'
import { WeighingRow } from './entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from './entities/workshop.ts'
import { migrations } from './migrations/index.ts'

/** Connects to the database at `clientUrl`. Migrations are not run: see `migrate`. */
export function connect(clientUrl: string): Promise<MikroORM> {
  return MikroORM.init({
    clientUrl,
    entities: [
      OrderRow,
      PieceRow,
      TipRow,
      BagRow,
      FlowerRow,
      IcingRow,
      SettingsRow,
      WeighingRow,
      DyeRow,
      MixRow,
    ],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true },
    forceUtcTimezone: true,
  })
}

/** Brings the database's tables up to date; running it again changes nothing. */
export async function migrate(orm: MikroORM): Promise<void> {
  await orm.getMigrator().up()
}
