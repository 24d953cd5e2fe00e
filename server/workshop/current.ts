import type { EntityManager } from '@mikro-orm/postgresql'
import type { StoredWorkshop } from '#contract/workshop'
import { loadWorkshop } from './load.ts'
import { type SharedWorkshop, shared } from './shared.ts'

/** The workshop as it stands. */
export interface CurrentWorkshop extends StoredWorkshop {
  /** As threads get it. */
  shared: SharedWorkshop
}

/** Everything a workshop is read from: `xmin` changes with every write to a row, whoever writes it. */
const FINGERPRINT = `select md5(coalesce(string_agg(row, ',' order by row), '')) as fingerprint from (
  ${['tips', 'bags', 'flowers', 'icings', 'dyes', 'settings', 'weighings', 'mixes', 'log_entries']
    .map((table) => `select '${table}' || id || xmin::text as row from ${table}`)
    .join(' union all ')}
) rows`

const kept = new WeakMap<EntityManager['config'], CurrentWorkshop>()

/**
 * The workshop, read again only when something in it was written since: servers that share a database need no word from
 * each other. Must not be changed by whoever gets it.
 */
export async function currentWorkshop(em: EntityManager): Promise<CurrentWorkshop> {
  const [row] = await em.execute<[{ fingerprint: string }]>(FINGERPRINT)
  const known = kept.get(em.config)
  if (known?.shared.fingerprint === row.fingerprint) return known
  const stored = await loadWorkshop(em)
  const current = { ...stored, shared: shared(stored, row.fingerprint) }
  kept.set(em.config, current)
  return current
}
