import type { Cutout } from '#core/surfaces/outline'
import { inShares, pathLoops, shapesOf } from '#core/surfaces/pathLoops'

/** What SVG draws closed lines with. */
const DRAWN = 'path, rect, circle, ellipse, polygon, polyline'
/** Drawings inside these are not part of the picture. */
const ASIDE = 'defs, clipPath, mask, symbol, pattern, marker'

/**
 * The outlines of an SVG drawing, in shares of their width. Nothing of the file is put on the page: only its numbers are read.
 * @throws Error that says what to do when there is no outline in it.
 */
export function outlineFromSvg(text: string): Cutout[] {
  const read = new DOMParser().parseFromString(text, 'image/svg+xml')
  if (read.querySelector('parsererror') || read.documentElement.nodeName !== 'svg')
    throw new Error('This is not an SVG drawing. Save it as plain SVG and choose it again.')
  const loops = [...read.querySelectorAll(DRAWN)]
    .filter((element) => !element.closest(ASIDE))
    .flatMap((element) => pathLoops(pathOf(element), transformsOf(element)))
  if (loops.length === 0)
    throw new Error('There is no outline in this drawing. Turn words and pictures in it into paths first.')
  return inShares(shapesOf(loops))
}

function transformsOf(element: Element): string[] {
  const own = element.getAttribute('transform')
  const above = element.parentElement ? transformsOf(element.parentElement) : []
  return own ? [...above, own] : above
}

/** Any of them as a path. */
function pathOf(element: Element): string {
  const of = (name: string) => Number.parseFloat(element.getAttribute(name) ?? '0') || 0
  const round = (cx: number, cy: number, rx: number, ry: number) =>
    `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`
  switch (element.nodeName) {
    case 'rect':
      return `M${of('x')} ${of('y')}h${of('width')}v${of('height')}h${-of('width')}z`
    case 'circle':
      return round(of('cx'), of('cy'), of('r'), of('r'))
    case 'ellipse':
      return round(of('cx'), of('cy'), of('rx'), of('ry'))
    case 'path':
      return element.getAttribute('d') ?? ''
    default:
      return `M${element.getAttribute('points') ?? ''}z`
  }
}
