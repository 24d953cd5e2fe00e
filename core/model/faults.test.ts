import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { flowerFaults, orderFaults } from './faults.ts'
import { flowerSchema } from './flower.ts'
import { orderSchema } from './order.ts'

const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
const withTips = (tips: Record<string, string>, flowers = starterWorkshop.flowers) =>
  orderFaults(
    orderSchema.parse({
      id: 'o',
      title: 'Test',
      collectAt: '2026-12-01T10:00',
      icingKindId: 'butter-sugar',
      pieces: [
        {
          id: 'p',
          name: 'Cupcakes',
          count: 1,
          shape: { kind: 'cupcake', diameterMm: 60, domeMm: 0 },
          flowers: [{ id: 'f', flowerId: 'rose', placement: { kind: 'each', perPiece: 1 }, tips }],
        },
      ],
    }),
    { ...starterWorkshop, flowers },
  )

describe('tips that cannot do the work', () => {
  it('are refused where they were chosen', () => {
    expect(withTips({ 'row-of-5': 'round-3', cone: 'gone' })).toEqual([
      {
        path: ['pieces', 0, 'flowers', 0, 'tips', 'cone'],
        message: 'There is no tip "gone" in the drawer or the catalogue. Choose another.',
      },
      {
        path: ['pieces', 0, 'flowers', 0, 'tips', 'row-of-5'],
        message: 'A standing petal cannot be piped with round 3 mm. Choose a tip with another opening.',
      },
    ])
  })
  it('are fine when they can, and when the layer is no longer there', () => {
    expect(withTips({ 'row-of-5': 'curve-15', 'a-layer-of-before': 'round-3' })).toEqual([])
  })
  it('make the flower itself faulty, and every order that uses it', () => {
    const broken = {
      ...rose,
      layers: rose.layers.map((l) => ({ ...l, tipId: l.id === 'wrap' ? 'star-9-6' : l.tipId })),
    }
    expect(flowerFaults(broken, starterWorkshop.tips).map((f) => f.path)).toEqual([['layers', 1, 'tipId']])
    expect(withTips({}, [broken])).toMatchObject([
      { path: ['pieces', 0, 'flowers', 0, 'flowerId'], message: /^Classic rose cannot be piped as it is/ },
    ])
  })
})

describe('a flower', () => {
  const faultsOf = (change: object) =>
    flowerSchema.safeParse({ ...rose, ...change }).error?.issues.map((i) => i.path.join('/'))
  it('may not use an id twice', () => {
    expect(faultsOf({ layers: [...rose.layers, rose.layers[0]!] })).toEqual(['layers/6/id'])
    expect(faultsOf({ roles: [rose.roles[0]!, ...rose.roles] })).toEqual(['roles/1/id'])
  })
  it('may not draw on a colour role it does not have', () => {
    expect(faultsOf({ roles: [rose.roles[1]!] })).toEqual(['layers/0/load/role', 'layers/1/load/role'])
  })
  it('that is a border says how far apart its units are', () => {
    expect(faultsOf({ form: 'border', pitchMm: null })).toEqual(['pitchMm'])
  })
})
