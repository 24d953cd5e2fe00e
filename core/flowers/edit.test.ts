import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { layerSchema } from '../model/flower.ts'
import { type StrokeKind, strokes } from '../strokes/index.ts'
import { insertLayer, moveLayer, removeLayer, startingLayer } from './edit.ts'

const daisy = catalogueFlowers.find((f) => f.id === 'daisy')!
const names = (f: typeof daisy) => f.layers.map((l) => l.name)

describe('changing a flower’s layers', () => {
  it.each(Object.keys(strokes) as StrokeKind[])('a %s can be begun from the library', (kind) => {
    const layer = startingLayer(kind, 'petal', 'new')
    expect(layerSchema.parse(layer)).toMatchObject({ id: 'new', stroke: { kind } })
  })
  it('puts in, moves and takes out', () => {
    const [first, second] = daisy.layers
    expect(names(insertLayer(daisy, { ...second!, id: 'x', name: 'New' }, first!.id))[1]).toBe('New')
    expect(names(moveLayer(daisy, first!.id, 1)).slice(0, 2)).toEqual([second!.name, first!.name])
    expect(moveLayer(daisy, first!.id, -1)).toBe(daisy)
    expect(names(removeLayer(daisy, first!.id))).not.toContain(first!.name)
  })
  it('keeps the last layer', () => {
    const single = { ...daisy, layers: [daisy.layers[0]!] }
    expect(removeLayer(single, daisy.layers[0]!.id)).toBe(single)
  })
})
