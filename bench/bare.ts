import express from 'express'
import { Pool } from 'pg'

/**
 * The least that could answer: Express and a query, without checks, versions or a model. What the server is compared with,
 * in a process of its own. `node --import tsx bench/bare.ts PORT URL`
 */
const [port, url] = process.argv.slice(2)
const pool = new Pool({ connectionString: url, max: 10 })
const app = express()
app.use(express.json({ limit: '5mb' }))
app.get('/orders', async (_req, res) => {
  const { rows } = await pool.query(
    `select id, title, customer, collect_at as "collectAt", piece_count as pieces, colours, version
     from orders where deleted_at is null order by collect_at, id limit 200`,
  )
  res.json(rows)
})
app.get('/orders/:id', async (req, res) => {
  const { rows } = await pool.query('select document, version from orders where id = $1', [req.params.id])
  res.json(rows[0])
})
app.put('/orders/:id', async (req, res) => {
  const { rows } = await pool.query(
    'update orders set document = $2, version = version + 1 where id = $1 returning version',
    [req.params.id, JSON.stringify(req.body)],
  )
  res.json(rows[0])
})
app.listen(Number(port), '127.0.0.1', () => console.log('bare'))
