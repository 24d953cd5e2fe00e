import { describe, expect, it } from 'vitest'
import { orderFields } from '../model/order.ts'
import { settingsSchema } from '../model/workshop.ts'
import { fieldName, placeWords, valueWords } from './words.ts'

const names = new Map([
  ['rose', 'Classic rose'],
  ['dusk', 'Dusk'],
])
const nameOf = (id: string) => names.get(id)
const value = (of: unknown, key = 'x') => valueWords(of, key, nameOf)

describe('a field’s name', () => {
  it('is what screens call it, or the words it is written with, its unit left out', () => {
    expect(fieldName('collectAt')).toBe('Ready by')
    expect(fieldName('mixerResidueGrams')).toBe('Mixer residue')
    expect(fieldName('keptBagMinutes')).toBe('Kept bag')
    expect(fieldName('startDeg')).toBe('Starts at')
    // names that every object answers to are words like others
    expect(fieldName('constructor')).toBe('Constructor')
    expect(fieldName('toString')).toBe('To string')
  })

  it('is words for every field of an order and of the settings: no code, no unit', () => {
    for (const key of [...Object.keys(orderFields.shape), ...Object.keys(settingsSchema.shape)]) {
      expect(fieldName(key), key).toMatch(/^[A-Z][a-z ]+$/)
      expect(fieldName(key), key).not.toMatch(/ (mm|grams|minutes|deg)$/i)
    }
  })
})

describe('a value', () => {
  it.each([
    [12.34567, 'diameterMm', '12.346 mm'],
    [0.5, 'couplerMinutes', '0.5 min'],
    [40, 'leanDeg', '40°'],
    [97, 'yieldPercent', '97%'],
    [3, 'count', '3'],
    [true, 'largeType', 'yes'],
    [false, 'largeType', 'no'],
    [null, 'coat', 'none'],
    ['', 'note', 'empty'],
    ['rose', 'flowerId', 'Classic rose'],
    ['unknown', 'flowerId', 'unknown'],
    [[], 'avoid', 'none'],
  ])('%j in “%s” is “%s”', (of, key, words) => expect(value(of, key)).toBe(words))

  it('of many parts is told in six and how many more', () => {
    expect(value([1, 2, 3, 4, 5, 6])).toBe('1, 2, 3, 4, 5, 6')
    expect(value([1, 2, 3, 4, 5, 6, 7, 8])).toBe('1, 2, 3, 4, 5, 6 and 2 more')
  })

  it('of several fields is their words, its kind first; by its name where it has one', () => {
    expect(value({ kind: 'tier', diameterMm: 200, heightMm: 100 })).toBe(
      'tier, diameter 200 mm, height 100 mm',
    )
    expect(value({ colourId: 'dusk', thicknessMm: 2 })).toBe('colour Dusk, thickness 2 mm')
    expect(value({ id: 'p', name: 'Cupcakes', count: 3 })).toBe('Cupcakes')
    expect(value({ id: 'f', flowerId: 'rose' })).toBe('Classic rose')
    expect(value({ deep: { down: 1 } })).toBe('changed inside')
  })
})

describe('a place', () => {
  const before = {
    colours: [{ id: 'c', name: 'Blush' }],
    pieces: [{ id: 'p', name: 'Old', flowers: [{ id: 'f', flowerId: 'rose', colours: { petal: 'c' } }] }],
  }
  const after = { ...before, pieces: [{ ...before.pieces[0]!, name: 'New' }] }
  const place = (path: string[], documents: unknown[] = [after, before]) =>
    placeWords(path, documents, nameOf).join(' › ')
  it('is named by the first state that has it', () => {
    expect(place(['pieces', 'p', 'name'])).toBe('Pieces › New › Name')
    expect(place(['pieces', 'p', 'name'], [before, after])).toBe('Pieces › Old › Name')
    expect(place(['pieces', 'p', 'name'], [{ pieces: [] }, before])).toBe('Pieces › Old › Name')
  })
  it('names things by themselves, flowers by their recipe, and what is nowhere by its id', () => {
    expect(place(['colours', 'c', 'hex'])).toBe('Colours › Blush › Colour')
    expect(place(['pieces', 'p', 'flowers', 'f', 'colours', 'petal'])).toBe(
      'Pieces › New › Flowers › Classic rose › Colours › Petal',
    )
    expect(place(['pieces', 'gone'])).toBe('Pieces › gone')
  })
})
