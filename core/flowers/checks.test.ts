import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Flower, Layer } from '../model/flower.ts'
import { flowerChecks } from './checks.ts'
import { changeLayer, removeLayer } from './edit.ts'
import { fitFlower } from './resolve.ts'

const find = (id: string) => catalogueFlowers.find((f) => f.id === id)!
const checksOf = (flower: Flower) => {
  const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  return flowerChecks(flower, layers, measure)
}
const codes = (flower: Flower) => checksOf(flower).map((c) => c.code)

/** The flower with the first remedy of a check taken. */
function mended(flower: Flower): Flower {
  const remedy = checksOf(flower)[0]!.remedy!
  const layered = remedy.layer ? changeLayer(flower, remedy.layer.id, remedy.layer.part) : flower
  return { ...layered, ...remedy.flower }
}

it.each(catalogueFlowers.map((f) => [f.name, f] as const))('%s passes every check', (_, flower) => {
  expect(codes(flower)).toEqual([])
})

describe('what geometry can tell', () => {
  const rose = find('rose')
  const row = rose.layers.find((l) => l.id === 'row-of-8')!
  const narcissus = find('narcissus')
  const mound: Layer = {
    ...rose.layers[0]!,
    stroke: { kind: 'mound', radiusMm: 3, topMm: 1, tallMm: 17, shape: 'cone' },
  }

  // the trumpet's slot is 10 mm and starts at 1.2 mm: a 17 mm mound stands above its rim
  it('a mound higher than the wall around it', () => {
    const tall = {
      ...narcissus,
      layers: [{ ...mound, load: narcissus.layers[0]!.load }, ...narcissus.layers],
    }
    const [said] = checksOf(tall)
    expect(said).toMatchObject({ code: 'mound-too-high', layerId: mound.id })
    const { tallMm } = said!.remedy!.layer!.part.stroke as { tallMm: number }
    // a millimetre under the rim: on the table that is 10 mm, and a foot of icing lifts the trumpet by one or two
    expect(tallMm).toBeGreaterThanOrEqual(10)
    expect(tallMm).toBeLessThanOrEqual(12)
    expect(codes(mended(tall))).not.toContain('mound-too-high')
  })
  it.each([
    ['row-gaps', changeLayer(rose, row.id, { count: 2 })],
    ['row-full', changeLayer(rose, row.id, { count: 22 })],
    ['wider-than-nail', { ...rose, nailMm: 25 }],
    ['in-place-only', { ...find('rosette'), setting: 'nail' as const, nailMm: 60 }],
    ['petals-opposite', changeLayer(find('blossom'), find('blossom').layers[1]!.id, { count: 4 })],
    [
      'hand-strain',
      changeLayer(find('daisy'), find('daisy').layers.at(-1)!.id, { stiffness: 'stiff', tipId: 'round-1' }),
    ],
  ])('%s, and the remedy mends it', (code, flower) => {
    expect(codes(flower)).toContain(code)
    expect(codes(mended(flower))).not.toContain(code)
  })
  it('petals with nothing that ties them together', () => {
    const bare = rose.layers
      .filter((l) => l.stroke.kind === 'mound')
      .reduce((f, l) => removeLayer(f, l.id), rose)
    expect(codes(changeLayer(bare, 'wrap', { ringMm: 4 }))).toContain('no-foot')
  })
})
