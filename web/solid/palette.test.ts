import { expect, it } from 'vitest'
import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { inkOn, shade } from '../drawings/shade.ts'
import { flowerPalette } from './palette.ts'

it('gives every layer its two colours in linear light, with the border between them', () => {
  const { layers } = catalogueFlowers.find((f) => f.id === 'blossom')!
  const { texels } = flowerPalette(layers, { petal: '#ffffff', throat: '#800000' })
  const texel = (row: number, layer: number) => [
    ...texels.subarray((row * layers.length + layer) * 4).subarray(0, 4),
  ]
  // a plain foot: white twice
  expect(texel(0, 0).slice(0, 3)).toEqual([1, 1, 1])
  expect(texel(1, 0).slice(0, 3)).toEqual([1, 1, 1])
  // striped petals: #80 is 0.2159 in linear light, the border at 0.36
  const [r, g, b, border] = texel(0, 1)
  expect(r).toBeCloseTo(0.2159, 3)
  expect([g, b]).toEqual([0, 0])
  expect(border).toBeCloseTo(0.36, 6)
  expect(texel(1, 1).slice(0, 3)).toEqual([1, 1, 1])
})

it('has a column more for every food colour painted on, in the order of the layers, as the mesh numbers them', () => {
  const { layers, roles } = catalogueFlowers.find((f) => f.id === 'pansy')!
  const { texels, columns } = flowerPalette(layers, Object.fromEntries(roles.map((r) => [r.id, '#ffffff'])))
  const painted = layers.filter((l) => l.tools.some((s) => s.paint))
  expect(painted).toHaveLength(2)
  expect(columns).toBe(layers.length + 2)
  for (const column of [layers.length, layers.length + 1])
    for (const row of [0, 1, 2]) {
      const [r, g, b] = texels.subarray((row * columns + column) * 4)
      // #3a2348 in linear light
      expect(r).toBeCloseTo(0.0423, 3)
      expect(g).toBeCloseTo(0.0168, 3)
      expect(b).toBeCloseTo(0.0648, 3)
    }
  expect(texels[4 * (columns - 3)]).toBe(1)
})

it('shades towards white and black and writes in what can be read', () => {
  expect(shade('#808080', 1)).toBe('rgb(255 255 255)')
  expect(shade('#808080', -1)).toBe('rgb(0 0 0)')
  expect(shade('#3a3947', 0)).toBe('rgb(58 57 71)')
  expect([inkOn('#efe6cd'), inkOn('#3a3947')]).toEqual(['#000000', '#ffffff'])
})
