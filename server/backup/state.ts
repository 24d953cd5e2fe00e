import type { EntityManager } from '@mikro-orm/postgresql'

/** Every table that a backup holds. */
export const backedUpTables = [
  'orders',
  'flowers',
  'icings',
  'tips',
  'bags',
  'dyes',
  'weighings',
  'mixes',
  'runs',
  'bench_events',
  'log_entries',
  'photographs',
  'practice_tries',
] as const

/** Names the state of everything a backup would hold; any write to any of it gives another name. */
export async function bakeryState(em: EntityManager): Promise<string> {
  const rows = backedUpTables.map((table) => `select '${table}' || id || xmin::text as row from ${table}`)
  // the day of the last backup is kept with the settings and must not count: a backup changes nothing
  rows.push(`select 'settings' || id || version::text as row from settings where version > 0`)
  const [{ state }] = await em.execute<[{ state: string }]>(
    `select md5(coalesce(string_agg(row, ',' order by row), '')) as state from (${rows.join(' union all ')}) rows`,
  )
  return state
}
