import { expect, it } from 'vitest'
import { catalogueFlowers } from './flowers/index.ts'
import { pipeable, tipSets } from './tipSets.ts'

it('each set pipes the flowers it is named for, and fewer than all', () => {
  for (const { name, tipIds } of tipSets(catalogueFlowers)) {
    const can = pipeable(catalogueFlowers, new Set(tipIds)).map((f) => f.id)
    expect(can, name).toContain('leaf')
    expect(can.length, name).toBeGreaterThan(6)
    expect(can.length, name).toBeLessThan(catalogueFlowers.length)
  }
  const roses = tipSets(catalogueFlowers).find((s) => s.id === 'roses')!
  expect(pipeable(catalogueFlowers, new Set(roses.tipIds)).map((f) => f.id)).toEqual(
    expect.arrayContaining(['rose', 'ranunculus', 'peony']),
  )
})

it('a flower is piped only when its last tip is there', () => {
  const rose = catalogueFlowers.find((f) => f.id === 'rose')!
  const all = rose.layers.map((l) => l.tipId)
  expect(pipeable([rose], new Set(all))).toEqual([rose])
  expect(pipeable([rose], new Set(all.slice(1).filter((t) => t !== all[0])))).toEqual([])
})
