import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { findables } from './entries.ts'
import { newFinder } from './find.ts'

const orders = [
  {
    id: 'observatory',
    title: 'Observatory opening night',
    customer: 'Astronomers',
    collectAt: '2027-09-04T14:00',
  },
  { id: 'allotment', title: 'Allotment lunch', customer: 'Plot 14', collectAt: '2027-09-11T11:00' },
]
const finder = newFinder(findables(starterWorkshop, orders))
const names = (text: string) => finder.find(text).map((f) => f.name)
const withLayer = (name: RegExp) =>
  starterWorkshop.flowers.filter((f) => f.layers.some((l) => name.test(l.name))).map((f) => f.name)

describe('what is looked for', () => {
  it('is found by its name, whole, in part, and misspelt', () => {
    for (const typed of ['Hellebore', 'helle', 'helebore', 'hellebor', 'HELLEBORE '])
      expect(names(typed)[0], typed).toBe('Hellebore')
    expect(names('dalia')[0]).toBe('Dahlia')
    expect(names('ranunclus')[0]).toMatch(/Ranunculus/i)
    expect(names('observatry')[0]).toBe('Observatory opening night')
  })
  it('is found by part and stroke, and by how it comes to its piece', () => {
    for (const name of names('stamens').slice(0, 5)) expect(withLayer(/stamen/i)).toContain(name)
    expect(
      finder
        .find('ruffle')
        .every((f) => f.kind !== 'flower' || /ruffl/i.test([f.name, ...f.words].join(' '))),
    ).toBe(true)
    const lifted = finder.find('lifted').filter((f) => f.kind === 'flower')
    expect(lifted.length).toBeGreaterThan(5)
    for (const f of lifted)
      expect(starterWorkshop.flowers.find((s) => s.name === f.name)!.setting).toBe('nail')
  })
  it('is what has all the words that are typed', () => {
    for (const found of finder.find('rose lifted')) expect(found.words).toContain('lifted')
    expect(names('rose lifted').some((n) => /rose/i.test(n))).toBe(true)
    expect(names('opening night')[0]).toBe('Observatory opening night')
  })
  it('goes to tips, dyes and screens as well, and to nothing that was not meant', () => {
    expect(finder.find('petal 13')[0]).toMatchObject({ kind: 'tip', to: '/drawer?tip=petal-13' })
    expect(finder.find('backup')[0]).toMatchObject({ kind: 'command', to: '/settings' })
    expect(finder.find('drill')[0]!.to).toBe('/practice')
    expect(finder.find('nozle').some((f) => f.kind === 'tip')).toBe(true)
    expect(finder.find('xylophone')).toEqual([])
    expect(finder.find('   ')).toEqual([])
  })
})
