import { Migration } from '@mikro-orm/migrations'

/** Orders being worked, frozen as they stood, and what was noted at the bench. */
export class Migration006Bench extends Migration {
  override up(): void {
    this.addSql(`
      create table runs (
        id varchar(64) primary key,
        order_id varchar(64) not null unique,
        frozen jsonb not null,
        plan_version int not null,
        begun_at timestamptz not null,
        version int not null default 1
      )`)
    // the number says what a tablet has heard already
    this.addSql(`
      create table bench_events (
        id varchar(64) primary key,
        run_id varchar(64) not null,
        number bigserial not null,
        event jsonb not null,
        heard_at timestamptz not null
      )`)
    this.addSql('create index bench_events_run_id_number_index on bench_events (run_id, number)')
  }

  override down(): void {
    this.addSql('drop table bench_events')
    this.addSql('drop table runs')
  }
}
