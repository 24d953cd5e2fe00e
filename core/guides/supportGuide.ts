import { escapeText, layPages, mm, PAGE, type Stamp } from './page.ts'

/** What a template is drawn from: where the supports of a tier stand. */
export interface SupportGuide {
  /** The tier that they carry. */
  name: string
  aboveMm: number
  count: number
  ringMm: number
  lengthMm: number
}

/** A whole circle up to so wide fits on a page; wider ones are printed as the part between two supports, mm. */
const WHOLE_MM = 180
const CROSS_MM = 4
const RIM_MM = 6

/** Pages to lay on the lower tier and push through at true size: all supports, or one or two, the paper then turned about its middle. */
export const supportPages = (guides: readonly SupportGuide[], title: string): string[] =>
  layPages(
    guides.map((g) =>
      g.aboveMm <= WHOLE_MM ? wholeStamp(g) : partWide(g) <= WIDEST_MM ? partStamp(g) : spokeStamp(g),
    ),
    title,
  )

const WIDEST_MM = PAGE.widthMm - 2 * PAGE.marginMm
const partWide = ({ ringMm, count }: SupportGuide) => 2 * ringMm * Math.sin(Math.PI / count) + 4 * RIM_MM

const cross = (x: number, y: number) =>
  `<path d="M${mm(x - CROSS_MM)} ${mm(y)}h${2 * CROSS_MM}M${mm(x)} ${mm(y - CROSS_MM)}v${2 * CROSS_MM}"/><circle cx="${mm(x)}" cy="${mm(y)}" r="2.5"/>`

const pen = (drawn: string) => `<g fill="none" stroke="#000" stroke-width="0.3">${drawn}</g>`

const words = (x: number, y: number, lines: readonly string[]) =>
  lines
    .map(
      (line, i) =>
        `<text x="${mm(x)}" y="${mm(y + 4.5 * i)}" font-size="3.4" text-anchor="middle">${escapeText(line)}</text>`,
    )
    .join('')

function wholeStamp(guide: SupportGuide): Stamp {
  const half = guide.aboveMm / 2
  const supports = Array.from({ length: guide.count }, (_, i) => {
    const a = (2 * Math.PI * i) / guide.count - Math.PI / 2
    return cross(guide.ringMm * Math.cos(a), guide.ringMm * Math.sin(a))
  }).join('')
  return {
    widthMm: guide.aboveMm + 2 * RIM_MM,
    heightMm: guide.aboveMm + 2 * RIM_MM,
    svg:
      pen(
        `<circle r="${mm(half)}"/><circle r="${mm(guide.ringMm)}" stroke-dasharray="1 1"/>${cross(0, 0)}${supports}`,
      ) + words(0, half * 0.25, saying(guide)),
  }
}

/** The middle and two supports of a ring that is wider than a page. */
function partStamp(guide: SupportGuide): Stamp {
  const half = Math.PI / guide.count
  const [aside, down] = [guide.ringMm * Math.sin(half), guide.ringMm * Math.cos(half)]
  const top = -down / 2
  const [width, height] = [2 * aside + 4 * RIM_MM, down + 6 * RIM_MM]
  const arc = `<path d="M${mm(-aside)} ${mm(top + down)}A${mm(guide.ringMm)} ${mm(guide.ringMm)} 0 0 0 ${mm(aside)} ${mm(top + down)}" stroke-dasharray="1 1"/>`
  const legs = `<path d="M0 ${mm(top)}L${mm(-aside)} ${mm(top + down)}M0 ${mm(top)}L${mm(aside)} ${mm(top + down)}" stroke-dasharray="4 2"/>`
  return {
    widthMm: width,
    heightMm: height,
    svg:
      pen(arc + legs + cross(0, top) + cross(-aside, top + down) + cross(aside, top + down)) +
      words(0, top + down * 0.45, [...saying(guide), 'pin the middle, then turn', 'from support to support']),
  }
}

/** The middle and one support, where two next to each other are further apart than a page is wide. */
function spokeStamp(guide: SupportGuide): Stamp {
  const top = -guide.ringMm / 2
  return {
    widthMm: 90,
    heightMm: guide.ringMm + 6 * RIM_MM,
    svg:
      pen(`<path d="M0 ${mm(top)}V${mm(-top)}" stroke-dasharray="4 2"/>${cross(0, top)}${cross(0, -top)}`) +
      words(0, 0, [...saying(guide), 'pin the middle, then turn', `by ${mm(360 / guide.count)}° each time`]),
  }
}

const saying = ({ name, count, lengthMm, aboveMm }: SupportGuide): string[] => [
  `under ${name}`,
  `${count} supports, ${mm(lengthMm)} mm, cut level`,
  `${mm(aboveMm)} mm across`,
]
