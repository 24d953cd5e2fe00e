import { describe, expect, it } from 'vitest'
import { tilePages } from '../guides/page.ts'
import { siteSchema } from '../model/layout.ts'
import { chartOf } from '../surfaces/index.ts'
import { templatePages } from './template.ts'
import { flower, leaf } from './testing.ts'

const cake = chartOf({
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 100 },
  ],
  coveredMm: 0,
})
const site = (id: string, placedId: string, place: object) =>
  siteSchema.parse({ id, placedId, role: 'focal', place })
const pages = (...sites: ReturnType<typeof site>[]) =>
  templatePages({
    title: 'Cake <1>',
    chart: cake,
    kinds: [flower('rose', 20, 10), leaf('leaf', 24, 10)],
    layout: { sites },
    lines: [],
    nameOf: (id) => id,
  })
/** Where a page says that a thing of this radius stands: the tile's and the thing's own shift, page mm from the tile's corner. */
const shifts = (page: string, what: string) => {
  const tile = /clip-path="url\(#tile\)"><g transform="translate\(([-\d.]+) ([-\d.]+)\)/.exec(page)!
  const own = new RegExp(
    `transform="translate\\(([-\\d.]+) ([-\\d.]+)\\) rotate\\([-\\d.]+\\)"><${what}`,
  ).exec(page)!
  return {
    x: Number(tile[1]) + Number(own[1]),
    y: Number(tile[2]) + Number(own[2]),
    ownX: Number(own[1]),
    ownY: Number(own[2]),
  }
}

describe('the placing template', () => {
  it('shows tops from above and each side laid flat, true to the millimetre, and nothing that is empty', () => {
    const top = site('a', 'rose', { zone: 'top', tier: 1, from: 'middle', a: 30, b: 0 })
    // on the upper side 25 mm above its foot, a quarter round to the right of the front
    const side = site('b', 'leaf', { zone: 'side', tier: 1, from: 'foot', a: 25, b: 0 })
    const [above, upper, ...more] = pages(top, side)
    expect(more).toEqual([])
    expect(above).toContain('Cake &lt;1&gt;, from above (1 rose, 2 leaf)')
    expect(shifts(above!, 'circle r="20"')).toMatchObject({ ownX: 30, ownY: 0 })
    expect(upper).toContain('side, upper tier')
    const at = shifts(upper!, 'path d="M-12')
    expect(at.ownX).toBeCloseTo((Math.PI * 150) / 4, 1)
    // the band's middle is 3 mm of rounding off 50 mm: 25 mm above the foot
    expect(at.ownY).toBeGreaterThan(20)
    expect(at.ownY).toBeLessThan(28)
  })

  it('laps its tiles, so that a thing on a seam is whole on one of them', () => {
    const stamp = { widthMm: 600, heightMm: 100, svg: '<circle r="3"/>' }
    const tiles = tilePages(stamp, 'T', () => true)
    expect(tiles).toHaveLength(4)
    const lefts = tiles.map((t) => Number(/translate\(([-\d.]+) /.exec(t)![1]))
    // each tile shows 190 mm and shares ten with the next
    expect(lefts.slice(1).map((x, i) => Math.round(lefts[i]! - x))).toEqual([180, 180, 180])
    expect(tiles[1]).toContain('T: row 1, column 2')
    expect(tilePages(stamp, 'T', (left) => left < -200)).toHaveLength(1)
    expect(tilePages({ ...stamp, widthMm: 100 }, 'T', () => true)[0]).not.toContain('row')
  })
})
