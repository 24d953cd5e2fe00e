import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { nailGuide, nailGuidePages } from './nailGuide.ts'
import { layPages, tilePages } from './page.ts'
import { tipSheetPages } from './tipSheet.ts'

const fitted = (id: string) => {
  const flower = catalogueFlowers.find((f) => f.id === id)!
  const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  return [flower, layers, measure.diameterMm] as const
}

describe('nail guides', () => {
  it('divide as the flower does, with a ring for each row', () => {
    expect(nailGuide(...fitted('hellebore'))).toMatchObject({ nailMm: 50, folds: 5, ringsMm: [3.5, 6] })
    expect(nailGuide(...fitted('rose'))).toMatchObject({ folds: 3, ringsMm: [4, 5.5, 7, 8.5] })
  })
  it('show how far the petals reach, in long dashes, where they stay on the nail', () => {
    const [flower, layers, wideMm] = fitted('hellebore')
    expect(nailGuide(flower, layers, wideMm).reachMm).toBe(Math.round(wideMm) / 2)
    const [page] = nailGuidePages(flower, layers, wideMm)
    expect(page).toContain('stroke-dasharray="4 1.5"')
    expect(page).toContain(`petals to ${Math.round(wideMm) / 2} mm`)
    expect(nailGuide({ ...flower, nailMm: 30 }, layers, wideMm).reachMm).toBeNull()
  })
  it('leave out rows that do not stand round the middle', () => {
    const [flower, layers, wideMm] = fitted('hellebore')
    const thrown = layers.map((l) => ({
      ...l,
      layer: { ...l.layer, at: { kind: 'dome', radiusMm: 9, tallMm: 5, fromDeg: 0, toDeg: 80 } as const },
    }))
    expect(nailGuide(flower, thrown, wideMm)).toMatchObject({ folds: 0, ringsMm: [] })
  })
  it('take a nail that holds the flower where it names none', () => {
    expect(nailGuide(...fitted('peony')).nailMm).toBeGreaterThanOrEqual(fitted('peony')[2])
  })
  it.each(catalogueFlowers.filter((f) => f.form === 'flower').map((f) => [f.name, f.id] as const))(
    'of %s fit on a page, at true size',
    (_, id) => {
      const [page] = nailGuidePages(...fitted(id))
      const { nailMm } = nailGuide(...fitted(id))
      expect(page).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"')
      expect(page).toContain(`<circle r="${nailMm / 2}" stroke-width="0.4"/>`)
    },
  )
})

describe('pages', () => {
  it('hold every tip once', () => {
    const pages = tipSheetPages(starterWorkshop.tips).join('')
    const metal = starterWorkshop.tips.filter((t) => t.base !== 'none')
    expect(pages.match(/<g transform/g)).toHaveLength(metal.length)
  })
  it('lay nothing over the edge', () => {
    const pages = layPages(Array(40).fill({ widthMm: 60, heightMm: 60, svg: '' }), 'Test')
    const spots = pages
      .flatMap((p) => [...p.matchAll(/translate\(([\d.]+) ([\d.]+)\)/g)])
      .map((m) => [Number(m[1]), Number(m[2])])
    expect(spots).toHaveLength(40)
    for (const [x, y] of spots) {
      expect(x! + 30).toBeLessThanOrEqual(200)
      expect(y! + 30).toBeLessThanOrEqual(287)
    }
  })
  it('refuse what cannot fit', () => {
    expect(() => layPages([{ widthMm: 250, heightMm: 20, svg: '' }], 'Too wide')).toThrow(/does not fit/)
  })
})

describe('a drawing over several pages', () => {
  it('has its joining marks at the same places of the drawing on both pages that share a lap', () => {
    const pages = tilePages({ widthMm: 300, heightMm: 400, svg: '' }, 'Cake', () => true)
    expect(pages).toHaveLength(4)
    const marks = pages.map((page) => {
      const [, dx, dy] = /<g clip-path="url\(#tile\)"><g transform="translate\(([\d.-]+) ([\d.-]+)\)">/.exec(
        page,
      )!
      return [...page.matchAll(/M([\d.-]+) ([\d.-]+)h6M/g)]
        .map((m) => ({ x: Number(m[1]) + 3, y: Number(m[2]) }))
        .filter(({ x, y }) => {
          const [px, py] = [x + Number(dx), y + Number(dy)]
          return px > 10 && px < 200 && py > 24 && py < 287
        })
    })
    const shared = (a: number, b: number) =>
      marks[a]!.filter((m) => marks[b]!.some((n) => n.x === m.x && n.y === m.y)).length
    for (const [a, b] of [
      [0, 1],
      [2, 3],
      [0, 2],
      [1, 3],
    ] as const)
      expect(shared(a, b)).toBeGreaterThan(1)
    // what fits on one page needs none
    expect(tilePages({ widthMm: 100, heightMm: 100, svg: '' }, 'Cup', () => true)[0]).not.toContain('h6M')
  })
})
