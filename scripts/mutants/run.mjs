import { spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { mutationsOf } from './mutate.mjs'

/**
 * `npm run mutants [-- --rooms core/plan,server] [--each 16] [--seed 1]`: makes small mistakes in the sources, one at a
 * time and in a copy, and sees whether the tests notice. Prints a table and what nobody noticed; docs/quality.md keeps
 * the last figures. An hour or two for the whole sample: a room by itself takes minutes.
 */
const root = fileURLToPath(new URL('../..', import.meta.url))
const arg = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`)
  return at < 0 ? otherwise : process.argv[at + 1]
}
const CORE = [
  'tips',
  'geometry',
  'strokes',
  'loads',
  'surfaces',
  'words',
  'bouquet',
  'flowers',
  'solids',
  'pile',
  'placing',
  'schedule',
  'lighter',
  'timeline',
  'bags',
  'colour',
  'plan',
  'orders',
]
const rooms = arg(
  'rooms',
  [...CORE.map((r) => `core/${r}`), 'server', 'web/data', 'web/workers'].join(','),
).split(',')
const each = Number(arg('each', '25'))
const seed = Number(arg('seed', '1'))
/** So many times as long as without a mistake, and a test run hangs, which is noticed too. */
const HANGS_TIMES = 4

/** Tests of seconds: run where their own room is tried, and left out elsewhere, which can only lower the figures. */
const SLOW = [
  ...['colour/formula', 'colour/bench', 'bags/milp', 'flowers/size', 'plan/conservation', 'plan/fair'],
  ...['plan/fewer/fewer', 'plan/work/work'],
].map((t) => `core/${t}.test.ts`)

const copy = mkdtempSync(join(tmpdir(), 'kanten-mutants-'))
for (const part of [
  'core',
  'contract',
  'server',
  'web',
  'demo',
  'docs',
  'scripts',
  'bench',
  'package.json',
  'tsconfig.json',
  'vitest.config.ts',
])
  cpSync(join(root, part), join(copy, part), { recursive: true })
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'))

const random = generator(seed)
/** How long each test run takes without a mistake, ms, by its filters. */
const usualMs = new Map()
const rows = []
try {
  for (const room of rooms) {
    const all = readdirSync(join(copy, room), { recursive: true, encoding: 'utf8' })
      .filter(
        (f) => f.endsWith('.ts') && !/(\.test|testing|\.d)\.ts$|testing\/|migrations\/|instances\.ts/.test(f),
      )
      .flatMap((f) => {
        const file = join(room, f)
        return mutationsOf(file, readFileSync(join(copy, file), 'utf8')).map((m) => ({ ...m, file }))
      })
    const sample = drawn(all, each)
    timed(room)
    let survivors = 0
    for (const mutation of sample) {
      const alive = survives(mutation, room)
      if (alive) survivors += 1
      process.stdout.write(
        alive ? `\nnot noticed: ${mutation.file}:${mutation.line} ${mutation.what}\n` : '.',
      )
    }
    const noticed = sample.length - survivors
    rows.push({
      room,
      mistakes: all.length,
      tried: sample.length,
      noticed: `${Math.round((100 * noticed) / Math.max(1, sample.length))} %`,
    })
    process.stdout.write(` ${room} ${noticed}/${sample.length}\n`)
  }
} finally {
  rmSync(copy, { recursive: true, force: true })
}
console.table(rows)

/** Whether no test fails with the mistake in: those of its own room first, then those of all of core, or of the server. */
function survives({ file, start, end, text }, room) {
  const path = join(copy, file)
  const code = readFileSync(path, 'utf8')
  writeFileSync(path, code.slice(0, start) + text + code.slice(end))
  const alive = runsOf(room).every((filters) => passes(filters, usualMs.get(filters.join(' ')) * HANGS_TIMES))
  writeFileSync(path, code)
  return alive
}

/** The test runs a mistake in a room has to pass, narrowest first. */
function runsOf(room) {
  if (!room.startsWith('core/')) return [[room]]
  const slow = SLOW.filter((f) => !f.startsWith(`${room}/`)).flatMap((f) => ['--exclude', f])
  return [[`${room}/`], ['core/', ...slow]]
}

/** Runs a room's tests with nothing wrong: how long they take, and that a failure will be the mistake's. */
function timed(room) {
  for (const filters of runsOf(room)) {
    const name = filters.join(' ')
    if (usualMs.has(name)) continue
    const start = performance.now()
    if (!passes(filters)) throw new Error(`${room}: its tests fail before any mistake is made.`)
    usualMs.set(name, Math.ceil(performance.now() - start))
  }
}

function passes(filters, timeout) {
  const { status } = spawnSync(
    'npx',
    ['vitest', 'run', ...filters, '--config', 'scripts/mutants/vitest.config.ts', '--bail', '1', '--silent'],
    {
      cwd: copy,
      timeout,
      killSignal: 'SIGKILL',
      stdio: 'ignore',
      env: { ...process.env, KANTEN_MUTANTS_ROOM: filters[0] },
    },
  )
  return status === 0
}

/** So many of a list, each as likely, in its order. */
function drawn(list, count) {
  const left = [...list]
  while (left.length > count) left.splice(Math.floor(random() * left.length), 1)
  return left
}

function generator(from) {
  let state = from >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
