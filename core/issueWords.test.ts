import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { starterWorkshop } from './catalogue/starter.ts'
import { orderSchema } from './model/order.ts'
import { workshopSchema } from './model/workshop.ts'
import { strokeSchema } from './strokes/index.ts'
import { openingSchema } from './tips/index.ts'

type Path = (string | number)[]
const demo = JSON.parse(readFileSync(new URL('../demo/observatory.json', import.meta.url), 'utf8'))

/**
 * Every number, text, list and object in a document, and where it stands; of entries of one kind, whatever list they are in,
 * each field once.
 */
function* places(
  value: unknown,
  path: Path = [],
  field = '',
  seen = new Set<string>(),
): Generator<[Path, unknown]> {
  if (path.length > 0 && !seen.has(`${field} ${typeof value}`)) yield [path, value]
  seen.add(`${field} ${typeof value}`)
  if (value === null || typeof value !== 'object') return
  const { kind, family } = value as { kind?: string; family?: string }
  for (const [key, inner] of Object.entries(value)) {
    const index = Array.isArray(value)
    yield* places(
      inner,
      [...path, index ? Number(key) : key],
      `${field}${kind ?? family ?? ''}/${index ? '' : key}`,
      seen,
    )
  }
}

/** The document with one place set to something else. */
function put(document: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value
  const copy = (Array.isArray(document) ? [...document] : { ...(document as object) }) as Record<
    string,
    unknown
  >
  copy[key as string] = put(copy[key as string], rest, value)
  return copy
}

const whole = /^[“A-Z].*[.?]$/s
/** What the library would have said by itself. */
const library = /expected|received|Invalid|Too (big|small)|Unrecognized/

/** What is said of a document with one place spoiled: every issue in our words, one of them at that place. */
function said(schema: z.ZodType, document: unknown, path: Path, value: unknown): string[] {
  const read = schema.safeParse(put(document, path, value))
  if (read.success) return []
  for (const { message } of read.error.issues) {
    expect(message, path.join('/')).not.toMatch(library)
    expect(message, path.join('/')).toMatch(whole)
  }
  const here = read.error.issues.filter((i) => i.path.join('/').startsWith(path.join('/')))
  expect(here.length, `${path.join('/')}: ${read.error.issues.map((i) => i.path.join('/'))}`).toBeGreaterThan(
    0,
  )
  return here.map((i) => i.message)
}

/** The demo order with two places of each arrangement: the others have the same fields. */
const order = orderSchema.parse(demo.order)
const fewPlaces = {
  ...order,
  pieces: order.pieces.map((p) => ({
    ...p,
    layouts: p.layouts.map((l) => ({ ...l, sites: l.sites.slice(0, 2) })),
  })),
}

const documents: [string, z.ZodType, unknown][] = [
  ['an order', orderSchema, fewPlaces],
  [
    'the workshop',
    workshopSchema,
    {
      ...starterWorkshop,
      flowers: starterWorkshop.flowers.slice(0, 6),
      tips: starterWorkshop.tips.slice(0, 12),
      dyes: starterWorkshop.dyes.slice(0, 3),
    },
  ],
]

describe.each(documents)('%s with one field spoiled', (_, schema, document) => {
  it('a number far out of range, or none at all, is refused at that field in our words', () => {
    let refused = 0
    for (const [path, value] of places(document)) {
      if (typeof value !== 'number') continue
      for (const bad of ['twelve', null, Number.NaN]) {
        const words = said(schema, document, path, bad)
        // some may be left empty
        if (bad !== null) expect(words.length, path.join('/')).toBeGreaterThan(0)
      }
      for (const far of [-1e9, 1e9]) refused += said(schema, document, path, far).length > 0 ? 1 : 0
    }
    expect(refused).toBeGreaterThan(50)
  })

  it('a text that is too long or is no text, a list that is none, and what is missing, too', () => {
    for (const [path, value] of places(document)) {
      if (typeof value === 'string') {
        said(schema, document, path, 'x'.repeat(5000))
        expect(said(schema, document, path, 7).length).toBeGreaterThan(0)
      }
      if (Array.isArray(value)) expect(said(schema, document, path, 'none').length).toBeGreaterThan(0)
      // a list that is left out is an empty one: whoever names what was in it says so
      const emptied = Array.isArray(value) && schema.safeParse(put(document, path, [])).success === false
      if (!emptied) said(schema, document, path, undefined)
    }
  })
})

describe('what to do about a field', () => {
  const words = (schema: z.ZodType, value: unknown) =>
    schema.safeParse(value).error?.issues.map((i) => i.message)
  it('is told with the limit and what it counts', () => {
    expect(words(z.number().min(0.5), 0)).toEqual(['At least 0.5.'])
    expect(words(z.number().positive(), 0)).toEqual(['More than 0.'])
    expect(words(z.number().max(1200), 1e6)).toEqual(['At most 1,200.'])
    expect(words(z.number().lt(3), 3)).toEqual(['Less than 3.'])
    expect(words(z.string().max(4), 'roses')).toEqual(['At most 4 characters.'])
    expect(words(z.string().min(1), '')).toEqual(['At least 1 character.'])
    expect(words(z.array(z.number()).max(2), [1, 2, 3])).toEqual(['At most 2 entries.'])
    expect(words(z.number().int(), 1.5)).toEqual(['Whole numbers only.'])
    expect(words(z.number(), 'x')).toEqual(['Give a number.'])
    expect(words(z.object({ a: z.string() }), {})).toEqual(['This is needed.'])
    expect(words(z.enum(['left', 'right']), 'up')).toEqual(['Use one of: left, right.'])
    expect(words(z.strictObject({ a: z.string() }), { a: '', b: 1 })).toEqual([
      'Leave out b: nothing here is called that.',
    ])
  })
  it('names the kinds there are, where a kind is not known', () => {
    expect(words(openingSchema, { family: 'square' })?.[0]).toMatch(/^Use one of: round, petal, /)
    expect(words(strokeSchema, { kind: 'swoosh' })?.[0]).toMatch(/^Use one of: mound, dot, spike/)
  })
  it('gives way to what a schema says itself', () => {
    expect(words(z.number().min(3, 'At least 3 mm.'), 1)).toEqual(['At least 3 mm.'])
  })
})
