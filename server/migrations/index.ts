import { Migration001FirstTables } from './001FirstTables.ts'
import { Migration002Weighings } from './002Weighings.ts'
import { Migration003Dyes } from './003Dyes.ts'
import { Migration004WholeDocuments } from './004WholeDocuments.ts'
import { Migration005CakesOfTiers } from './005CakesOfTiers.ts'
import { Migration006Bench } from './006Bench.ts'
import { Migration007Logbook } from './007Logbook.ts'
import { Migration008LogHistory } from './008LogHistory.ts'
import { Migration009Practice } from './009Practice.ts'

/** Every migration, oldest first. Names are stored in the database: never rename one that has shipped. */
export const migrations = [
  { name: '001FirstTables', class: Migration001FirstTables },
  { name: '002Weighings', class: Migration002Weighings },
  { name: '003Dyes', class: Migration003Dyes },
  { name: '004WholeDocuments', class: Migration004WholeDocuments },
  { name: '005CakesOfTiers', class: Migration005CakesOfTiers },
  { name: '006Bench', class: Migration006Bench },
  { name: '007Logbook', class: Migration007Logbook },
  { name: '008LogHistory', class: Migration008LogHistory },
  { name: '009Practice', class: Migration009Practice },
]
