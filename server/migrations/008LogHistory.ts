import { Migration } from '@mikro-orm/migrations'

/** What entries of the logbook were before they were changed or deleted. */
export class Migration008LogHistory extends Migration {
  override up(): void {
    this.addSql(`
      create table log_history (
        id bigserial primary key,
        entry_id varchar(64) not null,
        entry jsonb not null,
        until_at timestamptz not null,
        deleted boolean not null
      )`)
    this.addSql('create index log_history_entry_id_index on log_history (entry_id)')
  }

  override down(): void {
    this.addSql('drop table log_history')
  }
}
