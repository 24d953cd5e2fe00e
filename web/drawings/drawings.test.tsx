// @vitest-environment happy-dom

import { cleanup, fireEvent, render } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { planFigures } from '#core/plan/index'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { type Opening, openingOutlines } from '#core/tips/index'
import { Chart } from '../parts/Chart.tsx'
import { BagDrawing, type BagStripe } from './BagDrawing.tsx'
import { FlowDiagram } from './FlowDiagram.tsx'
import { OpeningDrawing, type OpeningFill } from './OpeningDrawing.tsx'
import { TradeOff } from './TradeOff.tsx'

// the package draws it; what it is given is ours
vi.mock('../parts/Chart.tsx', () => ({
  Chart: vi.fn(() => null),
  useInk: () => ({ dark: false, text: '#191919', quiet: '#606060', line: '#e2e2e2', paper: '#ffffff' }),
}))

afterEach(cleanup)

/** All numbers of a path, taken by twos. */
function corners(d: string): [number, number][] {
  const numbers = [...d.matchAll(/-?\d+(?:\.\d+)?(?:e-?\d+)?/g)].map((m) => Number(m[0]))
  return Array.from({ length: numbers.length / 2 }, (_, i) => [numbers[2 * i]!, numbers[2 * i + 1]!])
}
const widthOf = (points: readonly (readonly [number, number])[]) =>
  Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x))

describe('an opening end-on', () => {
  const shown = (opening: Opening, more: { bare?: true; fills?: OpeningFill[] } = {}) => {
    cleanup()
    const { bare, fills } = more
    const room = bare ? { bare } : { box: 100 }
    const { container } = render(
      <OpeningDrawing opening={opening} pxPerMm={6} id="one" {...room} {...(fills && { fills })} />,
    )
    const svg = container.querySelector('svg')!
    const scale = Number(
      /scale\(([\d.]+)\)/.exec(container.querySelector('g')!.getAttribute('transform')!)![1],
    )
    const outline = corners(container.querySelector('clipPath path')!.getAttribute('d')!)
    return { svg, scale, widePx: widthOf(outline) * scale, box: Number(svg.getAttribute('width')) }
  }
  const slot: Opening = { family: 'petal', lengthMm: 16, wideMm: 2.4, narrowMm: 0.8 }

  it('is as wide on the screen as it is in millimetres', () => {
    expect(shown({ family: 'round', diameterMm: 3 }).widePx).toBeCloseTo(18, 0)
    // what two are compared by: one twice as wide is drawn twice as wide
    expect(shown({ family: 'round', diameterMm: 12 }).widePx).toBeCloseTo(72, 0)
  })

  it('is drawn smaller where it does not fit, unless it must be true to size: then it has the room it needs', () => {
    expect(shown(slot).widePx).toBeLessThan(100)
    const grown = shown(slot, { bare: true })
    expect(grown.widePx).toBeCloseTo(96, 0)
    expect(grown.box).toBeGreaterThan(grown.widePx)
  })

  it.each(starterWorkshop.tips.map((t) => [t.id, t.opening] as const))(
    '%s lies within its box',
    (_, opening) => {
      const { svg, scale, box } = shown(opening)
      const all = openingOutlines(opening).flat()
      expect(widthOf(all) * scale).toBeLessThan(box)
      // the middle of the opening is the middle of the box
      const d = svg.querySelector('clipPath path')!.getAttribute('d')!
      const [left, right] = [Math.min(...corners(d).map(([x]) => x)), Math.max(...corners(d).map(([x]) => x))]
      const moved = Number(
        /translate\((-?[\d.e-]+)/.exec(svg.querySelector('g')!.getAttribute('transform')!)![1],
      )
      expect((left + right) / 2 + moved).toBeCloseTo(0, 1)
    },
  )

  it('shows each colour as far along the slot as the load says, the wide end first', () => {
    const { svg } = shown(slot, {
      fills: [
        { hex: '#aa0000', until: 0.25 },
        { hex: '#00aa00', until: 1 },
      ],
    })
    const rects = [...svg.querySelectorAll('rect')].map((r) => ({
      hex: r.getAttribute('fill'),
      from: Number(r.getAttribute('x')),
      wide: Number(r.getAttribute('width')),
    }))
    expect(rects.map((r) => r.hex)).toEqual(['#aa0000', '#00aa00'])
    expect(rects[0]!.wide / (rects[0]!.wide + rects[1]!.wide)).toBeCloseTo(0.25, 1)
    expect(rects[1]!.from).toBeCloseTo(rects[0]!.from + rects[0]!.wide, 0)
    // and says where the wide end is, to whoever cannot see the wedge
    expect(svg.getAttribute('aria-label')).toContain('wide end left')
    expect(shown({ family: 'round', diameterMm: 3 }).svg.getAttribute('aria-label')).not.toContain('wide end')
  })
})

describe('a bag hanging', () => {
  const shown = (
    fill: number,
    stripes: BagStripe[],
    more: { cut?: boolean; coupler?: 'none' | 'large' } = {},
  ) => {
    cleanup()
    const { container } = render(
      <BagDrawing
        number={7}
        stripes={stripes}
        fill={fill}
        coupler={more.coupler ?? 'none'}
        parchment={false}
        cut={more.cut ?? false}
        width={96}
        label="a bag"
      />,
    )
    const loads = stripes.map((s) => {
      const points = corners(container.querySelector(`path[fill="${s.hex}"]`)!.getAttribute('d')!)
      return { level: points[0]![1], top: widthOf(points.slice(0, 2)), point: points[2]![1] }
    })
    return { container, loads }
  }
  const one = [{ hex: '#aa3311', share: 1 }]

  it('stands as high as its icing is in a cone: an eighth of it half as high', () => {
    const depth = (fill: number) => {
      const { level, point } = shown(fill, one).loads[0]!
      return point - level
    }
    expect(depth(0.125) / depth(1)).toBeCloseTo(0.5, 2)
    expect(depth(0.5) / depth(1)).toBeCloseTo(0.5 ** (1 / 3), 2)
    // more than full and next to nothing are still drawn inside the bag
    expect(depth(3)).toBe(depth(1))
    expect(depth(0)).toBeGreaterThan(0)
  })

  it('shows each colour by its share of the load', () => {
    const { loads } = shown(1, [
      { hex: '#aa3311', share: 0.3 },
      { hex: '#1133aa', share: 0.7 },
    ])
    expect(loads[0]!.top / (loads[0]!.top + loads[1]!.top)).toBeCloseTo(0.3, 2)
  })

  it('has a coupler only where there is one, and no tip where the point is cut', () => {
    const parts = (more: Parameters<typeof shown>[2]) => {
      const { container } = shown(0.5, one, more)
      return {
        couplers: container.querySelectorAll('rect').length,
        tips: container.querySelectorAll('path[fill="#b5b5b5"]').length,
      }
    }
    expect(parts({})).toEqual({ couplers: 0, tips: 1 })
    expect(parts({ coupler: 'large' })).toEqual({ couplers: 1, tips: 1 })
    expect(parts({ cut: true, coupler: 'large' })).toEqual({ couplers: 0, tips: 0 })
  })
})

describe('where the icing goes', () => {
  const order = demoOrder('observatory')
  const plan = { ...planFigures(order, demoWorkshop()), advice: [], cakes: [], boards: [] }
  const drawn = () =>
    render(<FlowDiagram plan={plan} pieces={order.pieces} weight={(grams) => `${grams.toFixed(3)} g`} />)
      .container
  const grams = (title: string) => Number(/: ([\d.]+) g$/.exec(title)![1])
  const titles = (container: HTMLElement, of: string) =>
    [...container.querySelectorAll(`${of} > title`)].map((t) => t.textContent!)

  it('draws every stream as wide as its grams', () => {
    const container = drawn()
    const streams = [...container.querySelectorAll('path')].map((path) => ({
      wide: Number(path.getAttribute('stroke-width')),
      grams: grams(path.querySelector('title')!.textContent!),
    }))
    const perGram = streams.reduce((most, s) => (s.grams > most.grams ? s : most))
    for (const s of streams) {
      const wide = (s.grams * perGram.wide) / perGram.grams
      // a hair is drawn a pixel wide, so that it is seen at all
      expect(Math.abs(s.wide - Math.max(1, wide))).toBeLessThan(0.02)
    }
  })

  it('brings to every piece what lands on it', () => {
    const ends = new Map(titles(drawn(), 'g').map((t) => [t.slice(0, t.lastIndexOf(':')), grams(t)] as const))
    for (const piece of order.pieces) {
      const piped = plan.uses
        .filter((u) => u.pieceId === piece.id)
        .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
      if (piped > 0) expect(ends.get(piece.name), piece.name).toBeCloseTo(piped, 1)
    }
  })

  it('lights what a thing comes from and feeds, and nothing else', () => {
    const container = drawn()
    const groups = [...container.querySelectorAll('g')]
    const named = (name: string) =>
      groups.find((g) => g.querySelector('title')!.textContent!.startsWith(name))!
    const piece = order.pieces[0]!.name
    fireEvent.pointerEnter(named(piece))
    const lit = groups
      .filter((g) => g.getAttribute('opacity') === '1')
      .map((g) => g.querySelector('title')!.textContent!)
    // other pieces are fed by the same bowls, but not by this piece
    for (const other of order.pieces.slice(1))
      expect(lit.some((t) => t.startsWith(`${other.name}:`))).toBe(false)
    expect(lit.some((t) => t.startsWith(piece))).toBe(true)
    expect(container.querySelector('figcaption')!.textContent).toContain(piece)
    fireEvent.pointerLeave(named(piece))
    expect(groups.every((g) => g.getAttribute('opacity') === '1')).toBe(true)
  })
})

describe('plans as points', () => {
  const offer = (id: string, bags: number, changes: number, wasteGrams: number) =>
    ({ id, bags, changes, washes: 1, wasteGrams }) as const
  const drawn = () => vi.mocked(Chart).mock.lastCall![0] as Parameters<typeof Chart>[0]
  it('stand higher with more bags, further right with more changes, and say so', () => {
    const offers = [offer('fewest', 6, 22, 120), offer('calm', 14, 3, 250)]
    render(<TradeOff offers={offers} chosen={offer('now', 10, 9, 200)} />)
    const { series, options, said } = drawn()
    // across: changes and washes; up: bags; as large as what stays in bags
    expect(series).toMatchObject([
      {
        data: [
          { x: 23, y: 6, z: 120 },
          { x: 4, y: 14, z: 250 },
          { x: 10, y: 10, z: 200 },
        ],
      },
    ])
    expect(said).toContain('6 bags, 23 changes and washes; 14 bags, 4 changes and washes')
    expect(said).toContain('As it stands: 10 bags, 10 changes and washes')
    const { xaxis, yaxis } = options as {
      xaxis: { min: number; max: number }
      yaxis: { min: number; max: number }
    }
    expect([xaxis.min < 4, xaxis.max > 23, yaxis.min < 6, yaxis.max > 14]).toEqual([true, true, true, true])
  })

  it('have room about them where all plans are alike', () => {
    const same = offer('one', 4, 2, 50)
    render(<TradeOff offers={[same]} chosen={same} />)
    const { xaxis } = drawn().options as { xaxis: { min: number; max: number } }
    expect(xaxis.max - xaxis.min).toBeGreaterThan(0)
  })
})
