import { Migration } from '@mikro-orm/migrations'

/**
 * Orders as whole documents with what the list shows beside them; deleted flowers, icing kinds, tips and bottles kept
 * until somebody takes them out for good; when the bakery was last backed up.
 */
export class Migration004WholeDocuments extends Migration {
  override up(): void {
    this.addSql(`
      alter table orders
        add column document jsonb,
        add column schema_stamp varchar(32) not null default '',
        add column piece_count int not null default 0,
        add column colours jsonb not null default '[]'`)
    this.addSql(`
      update orders o set
        document = o.details || jsonb_build_object(
          'id', o.id, 'title', o.title, 'customer', o.customer, 'collectAt', o.collect_at,
          'pieces', coalesce((
            select jsonb_agg(p.spec || jsonb_build_object('id', p.id, 'name', p.name, 'count', p.count) order by p.position)
            from pieces p where p.order_id = o.id), '[]'::jsonb)),
        piece_count = coalesce((select sum(p.count) from pieces p where p.order_id = o.id), 0),
        colours = coalesce((
          select jsonb_agg(c.value -> 'hex' order by c.ordinality)
          from jsonb_array_elements(o.details -> 'colours') with ordinality c), '[]'::jsonb)`)
    this.addSql('alter table orders alter column document set not null, drop column details')
    this.addSql('drop table pieces')
    this.addSql('drop index order_row_collect_at_index')
    this.addSql('create index orders_by_day on orders (collect_at, id) where deleted_at is null')
    for (const table of ['flowers', 'icings', 'tips', 'dyes'])
      this.addSql(`alter table ${table} add column deleted_at timestamptz null`)
    this.addSql('alter table settings add column backed_up_at timestamptz null')
  }
}
