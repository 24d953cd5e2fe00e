import { escapeText, mm, type Stamp, tilePages } from '../guides/page.ts'
import type { Layout, Site } from '../model/layout.ts'
import type { Band, Chart, Point } from '../surfaces/chart.ts'
import type { Kind } from './body.ts'

/** What a template is drawn from. */
export interface TemplateOf {
  title: string
  chart: Chart
  kinds: readonly Kind[]
  layout: Pick<Layout, 'sites'>
  nameOf(placedId: string): string
  /** Lines of icing that words are piped in, as they lie on the piece. */
  lines: readonly (readonly Point[])[]
}

interface Dot {
  x: number
  y: number
}

/** One flower on a template: its middle, its size and the way it points, mm, y down. */
interface Print {
  x: number
  y: number
  /** Radians against the clock from the right as the page lies. */
  points: number
  kind: Kind
  number: number
}

const RIM_MM = 8
const FONT_MM = 3.6

/**
 * Pages at true size to lay on a piece and prick through: the tops as they are seen from above, and each side laid flat, its front
 * in the middle. Flowers are numbered by kind; pages with nothing on them are left out.
 */
export function templatePages(of: TemplateOf): string[] {
  const { chart, layout, title } = of
  const numbers = new Map(of.kinds.map((k, i) => [k.placedId, i + 1]))
  const used = of.kinds.filter((k) => layout.sites.some((s) => s.placedId === k.placedId))
  const words = used.map((k) => `${numbers.get(k.placedId)} ${of.nameOf(k.placedId)}`).join(', ')
  const prints = (on: (site: Site, p: Point) => { x: number; y: number; points: number } | null): Print[] =>
    layout.sites.flatMap((site) => {
      const kind = of.kinds.find((k) => k.placedId === site.placedId)
      if (!kind) return []
      const at = on(site, chart.point(chart.read(site.place)))
      return at ? [{ ...at, kind, number: numbers.get(site.placedId)! }] : []
    })
  const zoneOf = (site: Site) => chart.zoneOf(chart.read(site.place))
  const tops = prints((site, p) => {
    if (zoneOf(site).zone !== 'top') return null
    return { x: p.x, y: -p.y, points: Math.atan2(p.oy, p.ox) + (site.turnDeg * Math.PI) / 180 }
  })
  const dots = of.lines.map((line) => line.map((p) => ({ p, spot: chart.nearest(p.x, p.y, p.z) })))
  const written = (
    on: (zone: 'top' | 'side', tier: number) => boolean,
    to: (d: (typeof dots)[number][number]) => Dot,
  ) =>
    dots
      .filter(([first]) => {
        const at = first && chart.zoneOf(first.spot)
        return at && on(at.zone, at.tier)
      })
      .map((line) => line.map(to))
  const above = written(
    (zone) => zone === 'top',
    ({ p }) => ({ x: p.x, y: -p.y }),
  )
  const pages =
    tops.length + above.length > 0
      ? pagesOf(topStamp(chart, tops, above), `${title}, from above (${words})`, tops, above)
      : []
  for (const band of chart.bands.filter((b) => b.zone === 'side')) {
    const here = prints((site) => {
      const { zone, tier } = zoneOf(site)
      if (zone !== 'side' || tier !== band.tier) return null
      const { x, y } = chart.unroll(chart.read(site.place))
      const middle = (band.fromMm + band.toMm) / 2
      return {
        x: (x * roundOf(chart, band)) / chart.roundMm,
        y: y - middle,
        points: -Math.PI / 2 + (site.turnDeg * Math.PI) / 180,
      }
    })
    const middle = (band.fromMm + band.toMm) / 2
    const lines = written(
      (zone, tier) => zone === 'side' && tier === band.tier,
      ({ spot }) => {
        const { x, y } = chart.unroll(spot)
        return { x: (x * roundOf(chart, band)) / chart.roundMm, y: y - middle }
      },
    )
    if (here.length + lines.length > 0)
      pages.push(
        ...pagesOf(sideStamp(chart, band, here, lines), `${title}, ${band.label} (${words})`, here, lines),
      )
  }
  return pages
}

/** Once round a side at its own width, mm. */
const roundOf = (chart: Chart, band: Band): number =>
  chart.courses.find((c) => c.id === 'foot' && c.tier === band.tier)?.lengthMm ?? chart.roundMm

function pagesOf(
  stamp: Stamp,
  title: string,
  prints: readonly Print[],
  lines: readonly (readonly Dot[])[],
): string[] {
  return tilePages(stamp, title, (left, top, width, height) => {
    const shows = ({ x, y }: Dot, r: number) =>
      x + r > left && x - r < left + width && y + r > top && y - r < top + height
    return (
      prints.some((p) => shows(p, reachOf(p.kind))) || lines.some((line) => line.some((d) => shows(d, 1)))
    )
  })
}

/** Words as dotted lines, to be pricked through or gone over. */
const dotted = (lines: readonly (readonly Dot[])[]): string =>
  lines
    .map(
      (line) =>
        `<path d="M${line.map(({ x, y }) => `${mm(x)} ${mm(y)}`).join('L')}" fill="none" stroke="#000" stroke-width="0.6" stroke-linecap="round" stroke-dasharray="0.01 1.4"/>`,
    )
    .join('')

const reachOf = (kind: Kind) => (kind.lies ? Math.hypot(kind.longMm, kind.wideMm) / 2 : kind.r)

const pen = (drawn: string, more = '') =>
  `<g fill="none" stroke="#000" stroke-width="0.3"${more}>${drawn}</g>`

/** A flower's outline, its middle to prick through, the way it points, and its number. */
function printed({ x, y, points, kind, number }: Print): string {
  const turn = `translate(${mm(x)} ${mm(y)}) rotate(${mm((-points * 180) / Math.PI)})`
  const [l, w] = [kind.longMm / 2, kind.wideMm / 2]
  const outline = kind.lies
    ? `<path d="M${mm(-l)} 0C${mm(-l / 2)} ${mm(-w * 1.3)} ${mm(l / 2)} ${mm(-w * 1.3)} ${mm(l)} 0C${mm(l / 2)} ${mm(w * 1.3)} ${mm(-l / 2)} ${mm(w * 1.3)} ${mm(-l)} 0z"/>`
    : `<circle r="${mm(kind.r)}"/><path d="M${mm(kind.r - 2)} 0h4"/>`
  return (
    pen(`${outline}<path d="M-1.5 0h3M0 -1.500v3"/>`, ` transform="${turn}"`) +
    `<text x="${mm(x + 1.2)}" y="${mm(y - 1.2)}" font-size="${FONT_MM}">${number}</text>`
  )
}

function topStamp(chart: Chart, prints: readonly Print[], lines: readonly (readonly Dot[])[]): Stamp {
  const half = chart.reachMm + RIM_MM
  const rims = chart.courses
    .filter((c) => c.id === 'top' || c.tier > 0)
    .map((course) => {
      const points = Array.from({ length: 120 }, (_, i) => course.at((course.lengthMm * i) / 120))
      return `<path d="M${points.map((p) => `${mm(p.x)} ${mm(-p.y)}`).join('L')}z"${course.id === 'foot' ? ' stroke-dasharray="2 1.5"' : ''}/>`
    })
    .join('')
  const front = Math.min(...chart.above.flat().map((p) => p.y))
  return {
    widthMm: 2 * half,
    heightMm: 2 * half,
    svg:
      pen(`${rims}<path d="M-4 0h8M0 -4v8"/>`) +
      `<text x="0" y="${mm(-front - 1.5)}" text-anchor="middle" font-size="${FONT_MM}">${escapeText('front')}</text>` +
      prints.map(printed).join('') +
      dotted(lines),
  }
}

function sideStamp(
  chart: Chart,
  band: Band,
  prints: readonly Print[],
  lines: readonly (readonly Dot[])[],
): Stamp {
  const [round, high] = [roundOf(chart, band), band.toMm - band.fromMm]
  return {
    widthMm: round,
    heightMm: high + 2 * RIM_MM,
    svg:
      pen(
        `<path d="M${mm(-round / 2)} ${mm(-high / 2)}h${mm(round)}M${mm(-round / 2)} ${mm(high / 2)}h${mm(round)}"/><path d="M0 ${mm(high / 2)}v-5" stroke-width="0.6"/>`,
      ) +
      `<text x="1.500" y="${mm(high / 2 - 1.5)}" font-size="${FONT_MM}">front</text>` +
      prints.map(printed).join('') +
      dotted(lines),
  }
}
