import type { EntityManager } from '@mikro-orm/postgresql'
import type { StoredWorkshop } from '#contract/workshop'
import { loadWorkshop } from './load.ts'

/** The workshop as it stands, and the name of exactly this state of it. */
export interface CurrentWorkshop extends StoredWorkshop {
  fingerprint: string
  /** As it is sent: JSON in memory that every thread can read without a copy. */
  bytes: SharedArrayBuffer
}

/** Everything a workshop is read from: `xmin` changes with every write to a row, whoever writes it. */
const FINGERPRINT = `select md5(coalesce(string_agg(row, ',' order by row), '')) as fingerprint from (
  ${['tips', 'bags', 'flowers', 'icings', 'dyes', 'settings', 'weighings', 'mixes']
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
  if (known?.fingerprint === row.fingerprint) return known
  const stored = await loadWorkshop(em)
  const current = { ...stored, fingerprint: row.fingerprint, bytes: shared(JSON.stringify(stored)) }
  kept.set(em.config, current)
  return current
}

function shared(text: string): SharedArrayBuffer {
  const encoded = new TextEncoder().encode(text)
  const bytes = new SharedArrayBuffer(encoded.length)
  new Uint8Array(bytes).set(encoded)
  return bytes
}
