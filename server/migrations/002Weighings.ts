import { Migration } from '@mikro-orm/migrations'

/** Flowers put on the scale. */
export class Migration002Weighings extends Migration {
  override up(): void {
    this.addSql(`
      create table weighings (
        id varchar(64) primary key,
        flower_id varchar(64) not null,
        at timestamptz not null,
        count int not null check (count > 0),
        grams double precision not null check (grams > 0),
        icing_kind_id varchar(64) not null,
        note text not null,
        computed_grams double precision not null check (computed_grams > 0)
      )`)
    this.addSql('create index weighing_row_flower_id_index on weighings (flower_id)')
  }

  override down(): void {
    this.addSql('drop table weighings')
  }
}
