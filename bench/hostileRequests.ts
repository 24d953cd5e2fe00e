import { readFileSync } from 'node:fs'
import { allEndpoints } from '#contract/endpoints'

const demo = JSON.parse(readFileSync('demo/observatory.json', 'utf8')) as { order: object }

/** What ids and words are put in the place of. */
const WORDS = [
  'observatory',
  'rose',
  'round-2',
  'butter-sugar',
  'toString',
  '__proto__',
  'constructor',
  '%00',
  '%E0%A4%A',
  '..%2f..%2fetc',
  'x'.repeat(300),
  '%F0%9F%8C%B9',
  "'; drop table orders; --",
  '-1',
  'batches',
]
const VALUES: unknown[] = [
  null,
  true,
  -1,
  1e308,
  0.1,
  '',
  '\u0000',
  '\ud800',
  'x'.repeat(5000),
  [],
  {},
  [[[[]]]],
  { __proto__: null, constructor: 1 },
  '2026-02-31T25:61',
  '#gggggg',
]
const LIMITS = ['0', '-1', '10', '1e9', 'many', '\u0000', '[]', '']
const HEADERS: Record<string, string>[] = [
  {},
  { 'If-Match': '"0"' },
  { 'If-Match': '"1"' },
  { 'If-Match': 'W/"99999999999999999999"' },
  { 'If-Match': '*' },
  { 'Content-Encoding': 'gzip' },
  { 'Content-Encoding': 'nonsense' },
  { 'Content-Type': 'application/json; charset=utf-7' },
  { 'Content-Type': 'text/plain' },
  { Range: 'bytes=5-1' },
  { Accept: 'application/nothing' },
  { Cookie: 'kanten-session=%%%; =; a' },
  { Authorization: 'Basic %%%' },
  { 'Sec-Fetch-Site': 'cross-site' },
]
const BODIES: ((random: () => number) => string)[] = [
  () => '',
  () => '{"title":',
  () => '['.repeat(20_000),
  () => `{"a":"${'\\u0000'}"}`,
  () => JSON.stringify(demo),
  () => JSON.stringify(demo.order),
  (random) => JSON.stringify(mutated(demo, random)),
  (random) => JSON.stringify(mutated(demo.order, random)),
  (random) =>
    JSON.stringify({ count: 1, grams: 10 ** (8 * random()), icingKindId: 'butter-sugar', note: '' }),
  (random) => JSON.stringify({ title: pick(VALUES, random), collectAt: pick(VALUES, random) }),
  (random) => JSON.stringify({ owned: pick(VALUES, random), stamp: pick(VALUES, random) }),
]

const pick = <T>(list: readonly T[], random: () => number): T => list[Math.floor(list.length * random())]!

/** A document with one of its values replaced. */
function mutated(document: unknown, random: () => number): unknown {
  const copy = structuredClone(document) as Record<string, unknown>
  let at = copy
  for (;;) {
    const keys = Object.keys(at)
    const key = pick(keys, random)
    const inside = at[key]
    if (inside === null || typeof inside !== 'object' || Object.keys(inside).length === 0 || random() < 0.2) {
      at[key] = pick(VALUES, random)
      return copy
    }
    at = inside as Record<string, unknown>
  }
}

/** A request that no browser of ours would send: every call of the API, with odd words, headers and bodies. */
export function hostileRequest(random: () => number): { path: string; init: RequestInit } {
  // not what takes the whole bakery away or reads it all
  const { method, path } = pick(
    allEndpoints.filter((e) => !e.path.startsWith('/backup')),
    random,
  )
  const filled = path.replace(/:(\w+)/g, () => encodeWord(pick(WORDS, random)))
  const query = random() < 0.2 ? `?limit=${encodeURIComponent(pick(LIMITS, random))}` : ''
  const outside = random() < 0.05 ? `/${encodeWord(pick(WORDS, random))}` : null
  const init: RequestInit = { method: method.toUpperCase(), headers: { ...pick(HEADERS, random) } }
  if (method === 'post' || method === 'put') {
    const headers = init.headers as Record<string, string>
    headers['Content-Type'] ??= 'application/json'
    init.body = pick(BODIES, random)(random)
  }
  return { path: outside ?? `/api${filled}${query}`, init }
}

/** As it stands where it is already written for an address; else made fit for one. */
const encodeWord = (word: string) => (word.includes('%') ? word : encodeURIComponent(word))
