import { describe, expect, it } from 'vitest'
import { loads } from '../loads/index.ts'
import { dyeSchema } from '../model/dye.ts'
import { flowerSchema } from '../model/flower.ts'
import { icingKindSchema } from '../model/icing.ts'
import { ownedTipSchema } from '../model/tip.ts'
import { bagStockSchema, settingsSchema } from '../model/workshop.ts'
import { strokes } from '../strokes/index.ts'
import { openingArea, openingSize, tipFamilies } from '../tips/index.ts'
import { catalogueFlowers } from './flowers/index.ts'
import { starterWorkshop } from './starter.ts'

const { tips, icings, dyes, bags, settings } = starterWorkshop
const unique = (ids: readonly string[]) => new Set(ids).size === ids.length

describe('what every bakery begins with', () => {
  it('can all be stored as it is, under ids of its own', () => {
    for (const [schema, list] of [
      [ownedTipSchema, tips],
      [flowerSchema, catalogueFlowers],
      [icingKindSchema, icings],
      [dyeSchema, dyes],
      [bagStockSchema, bags],
    ] as const) {
      for (const item of list) expect(schema.parse(item)).toEqual(item)
      expect(unique(list.map((i) => i.id))).toBe(true)
    }
    expect(settingsSchema.parse(settings)).toEqual(settings)
  })

  it('has a tip of every family, none twice, none larger than its coupler takes', () => {
    expect(new Set(tips.map((t) => t.opening.family))).toEqual(new Set(Object.keys(tipFamilies)))
    expect(unique(tips.map((t) => JSON.stringify(t.opening)))).toBe(true)
    for (const { id, opening, base } of tips) {
      expect(openingArea(opening), id).toBeGreaterThan(0.3)
      if (base === 'standard') expect(openingSize(opening), id).toBeLessThanOrEqual(20)
      expect(base === 'none', id).toBe(opening.family === 'cutBag' || opening.family === 'veeCut')
    }
  })

  it('thins every icing the more the softer it is', () => {
    for (const { id, liquidPer100: thin } of icings) {
      const steps = [thin.stiff, thin.medium, thin.soft, thin.writing, thin.flood]
      expect(steps, id).toEqual([...steps].sort((a, b) => a - b))
      expect(steps[0], id).toBe(0)
    }
  })

  it('says of every icing what is in it: milk in butter and cream, egg in whites', () => {
    for (const { id, ingredients, rawEgg } of icings)
      for (const { name, allergens } of ingredients) {
        expect(allergens.includes('milk'), `${id}: ${name}`).toBe(
          /butter|milk|cream(?! of tartar)/i.test(name),
        )
        expect(allergens.includes('egg'), `${id}: ${name}`).toBe(/\begg/i.test(name))
        if (rawEgg) expect(ingredients.some((i) => i.allergens.includes('egg'))).toBe(true)
      }
  })

  it('names no two flowers alike, and uses every stroke and every way to fill a bag', () => {
    expect(unique(catalogueFlowers.map((f) => f.name.toLowerCase()))).toBe(true)
    const layers = catalogueFlowers.flatMap((f) => f.layers)
    expect(new Set(layers.map((l) => l.stroke.kind))).toEqual(new Set(Object.keys(strokes)))
    const used = new Set(layers.map((l) => l.load.kind))
    for (const kind of used) expect(Object.keys(loads)).toContain(kind)
  })

  it('gives every flower a nail that holds it where it is lifted, and none where it is piped in place', () => {
    for (const { id, setting, nailMm } of catalogueFlowers)
      expect(nailMm === null, id).toBe(setting === 'inPlace')
  })

  it('lets no first layer wait for a batch, and every role be worn by something', () => {
    for (const flower of catalogueFlowers) {
      expect(flower.layers[0]!.mayWait, flower.id).toBe(false)
      const worn = JSON.stringify(flower.layers.map((l) => l.load))
      for (const role of flower.roles) expect(worn, flower.id).toContain(`"${role.id}"`)
    }
  })
})

describe('what is said of a stroke', () => {
  it.each(Object.entries(strokes))(
    '%s: how to hold, press and stop, and what goes wrong, in whole sentences',
    (_, { label, words, overheadSeconds, speedMmPerS }) => {
      for (const text of [words.hold, words.pressure, words.stop, ...words.goesWrong]) {
        expect(text).toMatch(/^[A-Z].{8,}\.$/s)
        expect(text).not.toMatch(/ {2}|\bTODO\b/)
      }
      expect(words.goesWrong.length).toBeGreaterThan(0)
      if (words.clock !== null) {
        expect(words.clock).toBeGreaterThanOrEqual(1)
        expect(words.clock).toBeLessThanOrEqual(12)
      }
      expect(label).toMatch(/^[a-z]/)
      // a hand begins and ends no stroke in no time, and none moves faster than a metre a second
      expect(overheadSeconds).toBeGreaterThan(0.1)
      expect(speedMmPerS).toBeLessThan(200)
    },
  )
})
