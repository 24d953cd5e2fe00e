import { Migration } from '@mikro-orm/migrations'

/** Dyes, and bowls as they came out. */
export class Migration003Dyes extends Migration {
  override up(): void {
    this.addSql(`
      create table dyes (
        id varchar(64) primary key,
        spec jsonb not null,
        version int not null default 1
      )`)
    this.addSql(`
      create table mixes (
        id varchar(64) primary key,
        order_id varchar(64),
        colour_id varchar(64) not null,
        icing_kind_id varchar(64) not null,
        grams double precision not null check (grams > 0),
        doses jsonb not null,
        target_hex varchar(7) not null,
        observed_hex varchar(7) not null,
        at timestamptz not null
      )`)
    this.addSql('create index mix_row_order_id_index on mixes (order_id)')
  }

  override down(): void {
    this.addSql('drop table mixes')
    this.addSql('drop table dyes')
  }
}
