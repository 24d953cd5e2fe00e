import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changes } from './changes.ts'
import { merge } from './merge.ts'
import { placeWords, valueWords } from './words.ts'

const base = {
  title: 'Opening night',
  note: '',
  pieces: [
    { id: 'a', name: 'Cupcakes', count: 12, shape: { kind: 'cupcake', diameterMm: 65 } },
    { id: 'b', name: 'Cookies', count: 24, shape: { kind: 'cookie', diameterMm: 75 } },
  ],
}
type Doc = typeof base
const edited = (change: (doc: Doc) => void): Doc => {
  const doc = structuredClone(base)
  change(doc)
  return doc
}

describe('two people’s changes to one order', () => {
  it('are both kept where they do not touch, in one piece too', () => {
    const mine = edited((d) => {
      d.pieces[0]!.count = 18
      d.note = 'ring before you come'
    })
    const theirs = edited((d) => {
      d.pieces[0]!.name = 'Mini cupcakes'
      d.pieces.push({ id: 'c', name: 'Tier', count: 1, shape: { kind: 'tier', diameterMm: 200 } })
    })
    const { document, clashes } = merge(base, mine, theirs)
    expect(clashes).toEqual([])
    expect(document.note).toBe('ring before you come')
    expect(document.pieces.map((p) => [p.name, p.count])).toEqual([
      ['Mini cupcakes', 18],
      ['Cookies', 24],
      ['Tier', 1],
    ])
  })

  it('clash at the one field that both changed, and the choice is kept', () => {
    const mine = edited((d) => {
      d.pieces[1]!.count = 30
      d.title = 'Mine'
    })
    const theirs = edited((d) => {
      d.pieces[1]!.count = 20
    })
    const merged = merge(base, mine, theirs, () => 'theirs')
    expect(merged.clashes).toEqual([{ path: ['pieces', 'b', 'count'], base: 24, mine: 30, theirs: 20 }])
    expect(merged.document.pieces[1]!.count).toBe(20)
    expect(merged.document.title).toBe('Mine')
    expect(merged.mine).toEqual([{ path: ['title'], kind: 'value', from: 'Opening night', to: 'Mine' }])
  })

  it('ask when one took out what the other changed', () => {
    const mine = edited((d) => {
      d.pieces.splice(0, 1)
    })
    const theirs = edited((d) => {
      d.pieces[0]!.count = 13
    })
    const merged = merge(base, mine, theirs)
    expect(merged.clashes.map((c) => [c.path, c.mine])).toEqual([[['pieces', 'a'], undefined]])
    expect(merged.document.pieces.map((p) => p.id)).toEqual(['b'])
    expect(merge(base, mine, theirs, () => 'theirs').document.pieces.map((p) => p.id)).toContain('a')
  })

  it('never mix two forms of one thing', () => {
    const mine = edited((d) => {
      d.pieces[0]!.shape = { kind: 'tier', diameterMm: 150 }
    })
    const theirs = edited((d) => {
      d.pieces[0]!.shape.diameterMm = 50
    })
    expect(merge(base, mine, theirs).clashes[0]!.path).toEqual(['pieces', 'a', 'shape'])
  })

  it('keep an order that one has changed, and put what the other added where it stood', () => {
    const mine = edited((d) => d.pieces.reverse())
    const theirs = edited((d) => {
      d.pieces.splice(1, 0, { id: 'c', name: 'Tier', count: 1, shape: { kind: 'tier', diameterMm: 200 } })
    })
    expect(merge(base, mine, theirs).document.pieces.map((p) => p.id)).toEqual(['b', 'a', 'c'])
    expect(merge(base, theirs, mine).document.pieces.map((p) => p.id)).toEqual(['b', 'a', 'c'])
  })
})

describe('merging any documents', () => {
  const piece = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), name: fc.string(), count: fc.nat(5) })
  const doc = fc.record({
    title: fc.constantFrom('x', 'y', 'z'),
    tags: fc.array(fc.nat(3), { maxLength: 3 }),
    pieces: fc.uniqueArray(piece, { selector: (p) => p.id, maxLength: 4 }),
  })
  it('gives back the other side when one has done nothing, and loses nothing when they swap', () => {
    fc.assert(
      fc.property(doc, doc, doc, (b, m, t) => {
        expect(merge(b, m, b).document).toEqual(m)
        expect(merge(b, b, t).document).toEqual(t)
        const one = merge(b, m, t, () => 'mine')
        const other = merge(b, t, m, () => 'theirs')
        const sorted = (d: typeof b) => ({
          ...d,
          pieces: [...d.pieces].sort((x, y) => (x.id < y.id ? -1 : 1)),
        })
        expect(sorted(one.document)).toEqual(sorted(other.document))
        expect(one.clashes.length).toBe(other.clashes.length)
      }),
    )
  })
  it('says no change for equal documents, and some for others', () => {
    fc.assert(
      fc.property(doc, doc, (b, m) => {
        expect(changes(b, structuredClone(b))).toEqual([])
        expect(changes(b, m).length > 0).toBe(JSON.stringify(b) !== JSON.stringify(m))
      }),
    )
  })
})

describe('changes in words', () => {
  const names = new Map([['rose', 'Classic rose']])
  const nameOf = (id: string) => names.get(id)
  it('name things as the person does', () => {
    expect(placeWords(['pieces', 'a', 'count'], [base], nameOf)).toEqual(['Pieces', 'Cupcakes', 'How many'])
    const placed = { pieces: [{ id: 'a', name: 'Cupcakes', flowers: [{ id: 'f1', flowerId: 'rose' }] }] }
    expect(placeWords(['pieces', 'a', 'flowers', 'f1', 'sizeMm'], [placed], nameOf)).toEqual([
      'Pieces',
      'Cupcakes',
      'Flowers',
      'Classic rose',
      'Size',
    ])
  })
  it('give values with their units', () => {
    expect(valueWords(65, 'diameterMm', nameOf)).toBe('65 mm')
    expect(valueWords({ kind: 'cupcake', diameterMm: 65 }, 'shape', nameOf)).toBe('cupcake, diameter 65 mm')
    expect(valueWords(['milk', 'egg'], 'avoid', nameOf)).toBe('milk, egg')
    expect(valueWords(undefined, 'x', nameOf)).toBe('not there')
  })
})
