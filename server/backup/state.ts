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
] as const

/** Names the state of everything a backup would hold; any write to any of it gives another name. */
export async function bakeryState(em: EntityManager): Promise<string> {
  const rows = [...backedUpTables, 'settings']
    .map(
      (table) =>
        `select '${table}' || id || ${table === 'settings' ? 'version' : 'xmin'}::text as row from ${table}`,
    )
    .join(' union all ')
  const [{ state }] = await em.execute<[{ state: string }]>(
    `select md5(coalesce(string_agg(row, ',' order by row), '')) as state from (${rows}) rows`,
  )
  return state
}
