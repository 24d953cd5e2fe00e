import { Migration } from '@mikro-orm/migrations'

/** Orders and their pieces; what the bakery owns and knows; settings. */
export class Migration001FirstTables extends Migration {
  override up(): void {
    this.addSql(`
      create table orders (
        id varchar(64) primary key,
        title varchar(80) not null,
        customer varchar(120) not null,
        collect_at varchar(16) not null,
        details jsonb not null,
        deleted_at timestamptz null,
        updated_at timestamptz not null,
        version int not null default 1
      )`)
    this.addSql('create index order_row_collect_at_index on orders (collect_at)')
    this.addSql(`
      create table pieces (
        order_id varchar(64) not null references orders (id) on update cascade on delete cascade,
        id varchar(64) not null,
        position int not null,
        name varchar(80) not null,
        count int not null,
        spec jsonb not null,
        primary key (order_id, id)
      )`)
    this.addSql(`
      create table tips (
        id varchar(64) primary key,
        owned int not null check (owned >= 0),
        stamp varchar(40) not null,
        spec jsonb null,
        version int not null default 1
      )`)
    this.addSql(`
      create table bags (
        id varchar(64) primary key,
        owned int not null check (owned >= 0),
        spec jsonb not null,
        version int not null default 1
      )`)
    this.addSql(
      'create table flowers (id varchar(64) primary key, spec jsonb not null, version int not null default 1)',
    )
    this.addSql(
      'create table icings (id varchar(64) primary key, spec jsonb not null, version int not null default 1)',
    )
    this.addSql(`
      create table settings (
        id varchar(16) primary key,
        "values" jsonb not null,
        demo_loaded_at timestamptz null,
        version int not null default 1
      )`)
  }

  override down(): void {
    for (const table of ['settings', 'icings', 'flowers', 'bags', 'tips', 'pieces', 'orders'])
      this.addSql(`drop table ${table}`)
  }
}
