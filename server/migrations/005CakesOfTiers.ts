import { Migration } from '@mikro-orm/migrations'
import { joinTiers } from '#core/model/joinTiers'

interface Stored {
  id: string
  document: { pieces?: { count?: number }[] }
}

/** Orders whose cake tiers are pieces by themselves get cakes of tiers; what the list counts follows. */
export class Migration005CakesOfTiers extends Migration {
  override async up(): Promise<void> {
    const rows = (await this.execute(
      `select id, document from orders where document::text like '%"tier"%'`,
    )) as Stored[]
    for (const { id, document } of rows) {
      const now = joinTiers(document) as Stored['document']
      const pieces = (now.pieces ?? []).reduce((sum, piece) => sum + (piece.count ?? 0), 0)
      // the stamp goes: whoever reads it next checks it by the schema of that day
      await this.execute(
        `update orders set document = ?::jsonb, piece_count = ?, schema_stamp = '' where id = ?`,
        [JSON.stringify(now), pieces, id],
      )
    }
  }
}
