import { Migration } from '@mikro-orm/migrations'

/** Tries at drills of the practice sheet. */
export class Migration009Practice extends Migration {
  override up(): void {
    this.addSql(`
      create table practice_tries (
        id varchar(64) primary key,
        number bigserial not null,
        made jsonb not null
      )`)
  }

  override down(): void {
    this.addSql('drop table practice_tries')
  }
}
