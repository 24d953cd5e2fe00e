import type { EntityManager } from '@mikro-orm/postgresql'
import type { DeletedKind } from '#contract/deleted'

/** Where in an order's document each kind of thing is named. */
const namedAt: Partial<Record<DeletedKind, readonly string[]>> = {
  flowers: ['$.pieces[*].flowers[*].flowerId'],
  icings: ['$.icingKindId', '$.pieces[*].icingKindId'],
  tips: [
    '$.pieces[*].flowers[*].tips.*',
    '$.pieces[*].flowers[*].added[*].layer.tipId',
    '$.pieces[*].layouts[*].words[*].tipId',
  ],
}

/** Whether what has been deleted, and can be brought back, counts as using something. */
type Among = 'present' | 'all'

/** Title of an order that uses something; null when none does. */
export async function orderUsing(
  em: EntityManager,
  kind: DeletedKind,
  id: string,
  among: Among = 'present',
): Promise<string | null> {
  const paths = namedAt[kind]
  if (!paths) return null
  const exists = paths.map((path) => `jsonb_path_exists(document, '${path} \\? (@ == $id)', ?)`)
  const [row] = await em.execute<{ title: string }[]>(
    `select title from orders where (${exists.join(' or ')}) ${among === 'present' ? 'and deleted_at is null' : ''} limit 1`,
    paths.map(() => JSON.stringify({ id })),
  )
  return row?.title ?? null
}

/** Name of a flower of the bakery's own that is piped with a tip; null when none is. */
export async function recipeUsing(
  em: EntityManager,
  kind: DeletedKind,
  id: string,
  among: Among = 'present',
): Promise<string | null> {
  if (kind !== 'tips') return null
  const [row] = await em.execute<{ name: string }[]>(
    `select spec ->> 'name' as name from flowers
     where jsonb_path_exists(spec, '$.layers[*].tipId \\? (@ == $id)', ?) ${among === 'present' ? 'and deleted_at is null' : ''} limit 1`,
    [JSON.stringify({ id })],
  )
  return row?.name ?? null
}
