import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { LayerLoad } from '../loads/index.ts'
import { flowerFaults } from '../model/faults.ts'
import { flowerSchema, layerSchema } from '../model/flower.ts'
import { stepKey } from '../model/toolStep.ts'
import { type StrokeKind, strokes } from '../strokes/index.ts'
import { blankFlower } from './blank.ts'
import {
  changeLayer,
  duplicateLayer,
  insertLayer,
  layerWith,
  lookedAtWithout,
  moveLayer,
  moveLayerTo,
  removeLayer,
  startingLayer,
} from './edit.ts'
import {
  addFloret,
  changeFloret,
  duplicateFloret,
  floretWidth,
  isGroup,
  putInFloret,
  removeFloret,
  resizedFloret,
  withLayers,
} from './florets.ts'
import { layerOnTop } from './onTop.ts'
import { fitFlower } from './resolve.ts'
import { changeRole, layersOfRole, mergeRole } from './roles.ts'
import { layerSpots } from './spots.ts'
import { laid } from './testing.ts'

const daisy = catalogueFlowers.find((f) => f.id === 'daisy')!
const names = (f: typeof daisy) => f.layers.map((l) => l.name)

describe('changing a flower’s layers', () => {
  it.each(Object.keys(strokes) as StrokeKind[])('a %s can be begun from the library', (kind) => {
    const layer = startingLayer(catalogueFlowers, kind, 'petal', 'new')
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

const at = (layerId: string) => ({ kind: 'layer', layerId, at: 'ends' }) as const
const [first, second] = daisy.layers.map((l) => l.id) as [string, string]
const standsOn = (f: typeof daisy, id: string) => f.layers.find((l) => l.id === id)!.at

describe('what is set on another layer', () => {
  const carried = changeLayer(daisy, second, { at: at(first) })

  it('stays after it, and stands on a ring once it is gone', () => {
    expect(moveLayer(carried, second, -1)).toBe(carried)
    expect(moveLayerTo(carried, first, daisy.layers.length - 1)).toBe(carried)
    expect(names(moveLayerTo(daisy, first, 1)).slice(0, 2)).toEqual(names(daisy).slice(0, 2).reverse())
    expect(standsOn(removeLayer(carried, first), second)).toEqual({ kind: 'ring' })
    expect(standsOn(removeLayer(carried, second), first)).toEqual({ kind: 'ring' })
  })

  it('is set on the first of two alike', () => {
    const twice = duplicateLayer(carried, first, 'again')
    expect(twice.layers.map((l) => l.id).slice(0, 3)).toEqual([first, 'again', second])
    expect(standsOn(twice, second)).toEqual(at(first))
    expect(flowerSchema.safeParse(twice).success).toBe(true)
  })
})

describe('florets', () => {
  let ids = 0
  const newId = () => `new-${ids++}`
  const primrose = catalogueFlowers.find((f) => f.id === 'primrose')!
  const tips = starterWorkshop.tips

  it('a whole flower is taken in: its layers, its colours, and none twice', () => {
    const both = addFloret(daisy, primrose, newId)!
    expect(flowerSchema.parse(both).layers).toHaveLength(daisy.layers.length + primrose.layers.length)
    expect(both.florets).toMatchObject([{ name: 'Primrose', count: 5 }])
    const roleNames = both.roles.map((r) => r.name.toLowerCase())
    expect(new Set(roleNames).size).toBe(roleNames.length)
    const twice = addFloret(both, primrose, newId)!
    expect(twice.roles).toEqual(both.roles)
    expect(flowerSchema.safeParse(twice).success).toBe(true)
  })

  it('is told by its own figures when it stands alone, and is as wide as it is made', () => {
    const both = addFloret(daisy, primrose, newId)!
    const { id } = both.florets[0]!
    const alone = fitFlower(primrose, { sizeMm: null, tips: {} }, tips).measure
    expect(floretWidth(both, id, tips)).toBeCloseTo(alone.diameterMm, 6)
    const small = withLayers(both, resizedFloret(both, id, alone.diameterMm * 0.7, tips))
    expect(floretWidth(small, id, tips) / (alone.diameterMm * 0.7)).toBeCloseTo(1, 1)
    expect(small.layers.slice(0, daisy.layers.length)).toEqual(both.layers.slice(0, daisy.layers.length))
    expect(flowerSchema.safeParse(small).success).toBe(true)
  })

  it('is begun from a layer, joined by another, and gone with its last; what stood on what moved stands on a ring', () => {
    const one = putInFloret(changeLayer(daisy, second, { at: at(first) }), first, 'f')
    expect(one.florets).toMatchObject([{ id: 'f' }])
    expect(standsOn(one, second)).toEqual({ kind: 'ring' })
    const two = putInFloret(one, second, 'f')
    expect(two.layers.filter((l) => l.floretId === 'f')).toHaveLength(2)
    expect(putInFloret(putInFloret(two, first, null), second, null).florets).toEqual([])
    expect(removeFloret(two, 'f').layers.map((l) => l.id)).not.toContain(first)
    const all = daisy.layers.reduce((f, l) => putInFloret(f, l.id, 'f'), daisy)
    expect(removeFloret(all, 'f')).toBe(all)
  })

  it('holds layers together as a group that changes nothing, until it is set elsewhere', () => {
    const one = putInFloret(daisy, first, 'g', 'group')
    const two = putInFloret(one, second, 'g')
    expect(isGroup(two.florets[0]!)).toBe(true)
    const mm3 = (f: typeof daisy) => fitFlower(f, { sizeMm: null, tips: {} }, tips).measure.volumeMm3
    const places = (f: typeof daisy) =>
      fitFlower(f, { sizeMm: null, tips: {} }, tips).layers.map((l, _, all) => layerSpots(l, all).length)
    expect(mm3(two)).toBeCloseTo(mm3(daisy), 6)
    expect(places(two)).toEqual(places(daisy))
    expect(isGroup(changeFloret(two, 'g', { count: 2 }).florets[0]!)).toBe(false)
    expect(isGroup(putInFloret(daisy, first, 'f').florets[0]!)).toBe(false)
  })

  it('is repeated with all of its layers, each set on the copy of what it was set on', () => {
    let n = 0
    const two = putInFloret(
      putInFloret(changeLayer(daisy, second, { at: at(first) }), first, 'f'),
      second,
      'f',
    )
    const set = changeLayer(two, second, { at: at(first) })
    const again = duplicateFloret(set, 'f', () => `n${n++}`)
    expect(again.florets.map((f) => f.id)).toEqual(['f', 'n0'])
    const copies = again.layers.filter((l) => l.floretId === 'n0')
    expect(copies.map((l) => l.name)).toEqual(set.layers.filter((l) => l.floretId === 'f').map((l) => l.name))
    expect(standsOn(again, copies[1]!.id)).toEqual({ ...at(first), layerId: copies[0]!.id })
    expect(flowerSchema.safeParse(again).success).toBe(true)
  })
})

describe('parts', () => {
  const role = (id: string) => ({ id, name: id, hex: '#aabbcc' })
  const three = { ...daisy, roles: [role('a'), role('b'), role('c')] }
  const loaded = (load: LayerLoad) =>
    mergeRole({ ...three, layers: [{ ...daisy.layers[0]!, load }] }, 'b', 'a').layers[0]!.load

  it('joined are one: what had both in one bag is filled plainly, three tones become two', () => {
    expect(loaded({ kind: 'plain', role: 'b' })).toEqual({ kind: 'plain', role: 'a' })
    expect(loaded({ kind: 'striped', wideEnd: 'b', rest: 'a', border: 0.3 })).toEqual({
      kind: 'plain',
      role: 'a',
    })
    expect(loaded({ kind: 'halves', inner: 'b', outer: 'c' })).toEqual({
      kind: 'halves',
      inner: 'a',
      outer: 'c',
    })
    expect(loaded({ kind: 'layered', tones: ['a', 'b', 'c'] })).toEqual({
      kind: 'layered',
      tones: ['a', 'c'],
    })
    expect(mergeRole(three, 'b', 'a').roles.map((r) => r.id)).toEqual(['a', 'c'])
  })

  it('changed keep their id, and say which layers they colour', () => {
    const changed = changeRole(three, 'b', { name: 'Heart' })
    expect(changed.roles[1]).toEqual({ id: 'b', name: 'Heart', hex: '#aabbcc' })
    const own = { ...three, layers: [{ ...daisy.layers[0]!, load: { kind: 'plain' as const, role: 'b' } }] }
    expect([layersOfRole(own, 'b').length, layersOfRole(own, 'a').length]).toEqual([1, 0])
  })
})

it.each(['flower', 'leaf', 'vine', 'border'] as const)(
  'a blank %s can be stored, piped and measured',
  (form) => {
    const blank = blankFlower(form, 'New', 'own-1', catalogueFlowers)
    const { measure } = fitFlower(blank, { sizeMm: null, tips: {} }, starterWorkshop.tips)
    expect(measure.volumeMm3).toBeGreaterThan(0)
    expect(blank).toMatchObject({ form, source: 'own', layers: [{ count: 1 }] })
    expect(flowerFaults(blank, starterWorkshop.tips)).toEqual([])
  },
)

describe('a layer that is added', () => {
  it('begins on the highest icing under it, sunk in a little, and on the table where nothing is', () => {
    const dome = { kind: 'mound', shape: 'dome', radiusMm: 12, tallMm: 8, topMm: 0 } as const
    const below = [laid(dome, { family: 'round', diameterMm: 8 }, { id: 'dome' })]
    const begun = { kind: 'dot', role: 'petal', id: 'x', name: 'Dot', floretId: null } as const
    const onDome = layerOnTop(catalogueFlowers, begun, below, 24)
    // the dome's height at that ring, 0.4 mm deeper; a foot finds the highest within 1.2 mm of it
    const at = (r: number) => 8 * Math.sqrt(1 - (r / 12) ** 2)
    expect(onDome.ringMm).toBeLessThanOrEqual(8)
    expect(onDome.heightMm).toBeGreaterThan(at(onDome.ringMm) - 0.6)
    expect(onDome.heightMm).toBeLessThan(at(Math.max(0, onDome.ringMm - 1.2)) - 0.2)
    expect(layerOnTop(catalogueFlowers, begun, [], 24).heightMm).toBe(0)
    // what is begun in a floret knows the floret's own layers only
    expect(layerOnTop(catalogueFlowers, { ...begun, floretId: 'f' }, below, 24)).toMatchObject({
      heightMm: 0,
      floretId: 'f',
    })
  })

  it('is looked at without others, and what is set on them; never without all', () => {
    const carried = changeLayer(daisy, second, { at: at(first) })
    expect(names(lookedAtWithout(carried, [first]))).toEqual(names(daisy).slice(2))
    expect(lookedAtWithout(daisy, [])).toBe(daisy)
    expect(
      lookedAtWithout(
        daisy,
        daisy.layers.map((l) => l.id),
      ),
    ).toBe(daisy)
  })
})

describe('tool steps while they are looked at', () => {
  const pansy = catalogueFlowers.find((f) => f.id === 'pansy')!
  const [side, lower] = pansy.layers.filter((l) => l.tools.length > 0)
  const steps = (f: typeof pansy) => f.layers.map((l) => l.tools.length)

  it('are left out one by one, by the layer that they are done to: steps of two layers may share an id', () => {
    expect(side!.tools[0]!.id).toBe(lower!.tools[0]!.id)
    const key = stepKey(side!, side!.tools[0]!)
    const without = lookedAtWithout(pansy, [key])
    expect(without.layers.find((l) => l.id === side!.id)!.tools).toEqual([])
    expect(without.layers.find((l) => l.id === lower!.id)).toEqual(lower)
    expect(steps(pansy).reduce((a, b) => a + b)).toBe(2)
    // the layer goes with its steps; nothing to leave out is nothing changed
    expect(lookedAtWithout(pansy, [side!.id]).layers.map((l) => l.id)).not.toContain(side!.id)
    expect(lookedAtWithout(pansy, [])).toBe(pansy)
  })

  it('are found with their layer by what the studio calls them', () => {
    expect(layerWith(pansy, stepKey(lower!, lower!.tools[0]!))?.id).toBe(lower!.id)
    expect(layerWith(pansy, lower!.id)?.id).toBe(lower!.id)
    expect(layerWith(pansy, lower!.tools[0]!.id)).toBeUndefined()
    expect(layerWith(pansy, null)).toBeUndefined()
  })

  it('go along when a layer is duplicated, and when its flower becomes a floret', () => {
    const twice = duplicateLayer(pansy, side!.id, 'again')
    expect(twice.layers.find((l) => l.id === 'again')!.tools).toEqual(side!.tools)
    let n = 0
    const host = addFloret(blankFlower('flower', 'Host', 'host', catalogueFlowers), pansy, () => `n${n++}`)!
    expect(host.layers.flatMap((l) => l.tools.map((s) => s.name))).toEqual(['Whiskers', 'Whiskers'])
    expect(flowerSchema.safeParse(host).success).toBe(true)
  })
})
