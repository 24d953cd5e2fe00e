import type { MikroORM } from '@mikro-orm/postgresql'
import type { PlanPool } from './plans/pool.ts'

/** What the routes work with. */
export interface AppContext {
  orm: MikroORM
  plans: PlanPool
  /** Where the database is, for work on lines of its own. */
  databaseUrl: string
}
