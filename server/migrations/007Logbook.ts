import { Migration } from '@mikro-orm/migrations'

/** The logbook: orders as they were made, and photographs of what came out. */
export class Migration007Logbook extends Migration {
  override up(): void {
    this.addSql(`
      create table log_entries (
        id varchar(64) primary key,
        entry jsonb not null,
        version int not null default 1
      )`)
    // an order may be photographed before it is written into the logbook
    this.addSql(`
      create table photographs (
        id varchar(64) primary key,
        entry_id varchar(64) not null,
        type varchar(32) not null,
        image bytea not null,
        added_at timestamptz not null
      )`)
    this.addSql('create index photographs_entry_id_index on photographs (entry_id)')
  }

  override down(): void {
    this.addSql('drop table photographs')
    this.addSql('drop table log_entries')
  }
}
