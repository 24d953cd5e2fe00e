import { randomUUID } from 'node:crypto'
import { MikroORM } from '@mikro-orm/postgresql'
import { pino } from 'pino'
import request from 'supertest'
import { createApp } from '../app.ts'
import { connect, migrate } from '../orm.ts'

/** The whole server on a database of its own in the test cluster. */
export async function testApi(passphrase: string | null = null) {
  const clusterUrl = process.env.KANTEN_TEST_DATABASE
  if (!clusterUrl) throw new Error('The test cluster is not up: run the tests through vitest.')
  const name = `test_${randomUUID().replaceAll('-', '')}`
  const admin = await MikroORM.init({
    clientUrl: clusterUrl,
    entities: [],
    discovery: { warnWhenNoEntities: false },
  })
  await admin.em.getConnection().execute(`create database ${name}`)
  await admin.close()
  const orm = await connect(clusterUrl.replace(/\/postgres$/, `/${name}`))
  await migrate(orm)
  const app = createApp({ orm, logger: pino({ level: 'silent' }), webFolder: null, passphrase })
  return { orm, api: request(app), close: () => orm.close() }
}
