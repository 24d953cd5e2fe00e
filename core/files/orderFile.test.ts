import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { planOrder } from '../plan/index.ts'
import { readBakeryFile, withBakery } from './bakeryFile.ts'
import { readOrderFile, withFile, writeOrderFile } from './orderFile.ts'

const demo = new URL('../../demo/', import.meta.url)
const load = (name: string) => JSON.parse(readFileSync(new URL(name, demo), 'utf8'))

describe('the demo bakery', () => {
  const bakery = readBakeryFile(load('bakery.json'), starterWorkshop)
  it('is a valid bakery file', () => expect(bakery.ok).toBe(true))

  it.each(readdirSync(demo).filter((n) => n !== 'bakery.json'))(
    '%s can be read, planned and written again',
    (name) => {
      if (!bakery.ok) throw new Error('no bakery')
      const workshop = withBakery(starterWorkshop, bakery.value)
      const read = readOrderFile(load(name), workshop)
      if (!read.ok) throw new Error(JSON.stringify(read.faults))
      const all = withFile(workshop, read.value)
      expect(planOrder(read.value.order, all).totals.mixedGrams).toBeGreaterThan(100)
      expect(readOrderFile(writeOrderFile(read.value.order, all), workshop)).toEqual(read)
    },
  )
})

describe('a bad order file', () => {
  const faults = (change: (file: ReturnType<typeof load>) => void) => {
    const file = load('observatory.json')
    change(file)
    const read = readOrderFile(file, starterWorkshop)
    return read.ok ? [] : read.faults.map((f) => `${f.path.join('/')}: ${f.message}`)
  }
  it('is refused with the path of every fault', () => {
    const found = faults((file) => {
      file.order.pieces[0].count = -3
      file.order.pieces[2].shape.diameterMm = 900
      file.order.collectAt = 'Saturday'
    })
    expect(found).toHaveLength(3)
    expect(found[0]).toMatch(/^order\/collectAt: Use a date and time/)
    expect(found[1]).toMatch(/^order\/pieces\/0\/count: At least one piece/)
    expect(found[2]).toMatch(/^order\/pieces\/2\/shape\/diameterMm: A cupcake is at most 110 mm/)
  })
  it('may not name a day that does not exist', () => {
    const found = faults((file) => {
      file.order.collectAt = '2026-02-31T10:00'
    })
    expect(found).toEqual(['order/collectAt: There is no such date or time.'])
  })
  it('may not point at what is not there', () => {
    const found = faults((file) => {
      file.order.pieces[0].flowers[0].flowerId = 'orchid'
      file.order.pieces[1].coat.colourId = 'teal'
    })
    expect(found).toEqual([
      'order/pieces/0/flowers/0/flowerId: There is no flower "orchid" in the library. Choose another.',
      'order/pieces/1/coat/colourId: The order has no colour "teal". Add it to the colours or choose another.',
    ])
  })
  it('may not use an id twice', () => {
    expect(faults((file) => file.order.pieces.push(file.order.pieces[0]))[0]).toMatch(
      /Two pieces have the id/,
    )
  })
  it('of another kind says so', () => {
    expect(faults((file) => (file.format = 'something'))[0]).toMatch(/not a Kanten order file/)
  })
})
