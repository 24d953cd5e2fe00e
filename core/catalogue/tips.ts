import type { Tip } from '../model/tip.ts'
import type { Opening } from '../tips/index.ts'

const tip = (id: string, opening: Opening, base: Tip['base'] = 'standard'): Tip => ({ id, opening, base })

const round = (d: number, base?: Tip['base']) =>
  tip(`round-${String(d).replace('.', '-')}`, { family: 'round', diameterMm: d }, base)

const petal = (l: number, wide: number, narrow: number, base?: Tip['base']) =>
  tip(`petal-${l}`, { family: 'petal', lengthMm: l, wideMm: wide, narrowMm: narrow }, base)

const curve = (l: number, wide: number, narrow: number, bend: number, base?: Tip['base']) =>
  tip(
    `curve-${l}`,
    { family: 'curvedPetal', lengthMm: l, wideMm: wide, narrowMm: narrow, bendDeg: bend },
    base,
  )

const moon = (id: string, width: number, wall: number, arc: number) =>
  tip(id, { family: 'halfMoon', widthMm: width, wallMm: wall, arcDeg: arc })

const star = (id: string, teeth: number, outer: number, inner: number, closed: boolean, base?: Tip['base']) =>
  tip(id, { family: 'star', teeth, outerMm: outer, innerMm: inner, closed }, base)

const leaf = (w: number, h: number, base?: Tip['base']) =>
  tip(`leaf-${w}`, { family: 'leaf', widthMm: w, heightMm: h, cut: 'beak' }, base)

/**
 * The built-in tips: sizes as commonly found, by opening only. Figures follow the sizes listed in
 * docs/calculations.md, "Openings"; no maker's numbers.
 */
export const catalogueTips: readonly Tip[] = [
  round(1),
  round(1.2),
  round(1.5),
  round(2),
  round(3),
  round(4),
  round(5),
  round(6),
  round(8, 'large'),
  round(10, 'large'),
  round(12, 'large'),
  petal(5, 1.3, 0.4),
  petal(8, 1.7, 0.5),
  petal(10, 2, 0.6),
  petal(13, 2.2, 0.7),
  petal(17, 2.6, 0.8),
  petal(22, 3.2, 0.9, 'large'),
  petal(28, 3, 0.9, 'large'),
  petal(40, 3.4, 1, 'large'),
  curve(8, 1.6, 0.6, 45),
  curve(11, 1.9, 0.7, 50),
  curve(15, 2.2, 0.8, 55),
  curve(20, 2.6, 0.9, 55, 'large'),
  moon('moon-3-6', 3.6, 0.9, 200),
  moon('moon-5', 5.2, 1.1, 200),
  moon('moon-7', 7, 1.1, 60),
  star('star-6-5', 5, 3, 1.5, false),
  star('star-5-8', 8, 2.6, 1.9, false),
  star('star-9-6', 6, 4.5, 1.9, true),
  star('star-13-8', 8, 6.6, 3.7, false, 'large'),
  star('star-13-6', 6, 6.3, 2.6, true, 'large'),
  star('star-15-8', 8, 7.5, 5, false, 'large'),
  star('star-14-12', 12, 7, 5.3, false, 'large'),
  leaf(5, 1.8),
  leaf(7, 2.4),
  leaf(10, 3),
  leaf(14, 3.6, 'large'),
  tip('slit-7', { family: 'leaf', widthMm: 7, heightMm: 2.6, cut: 'slit' }),
  tip('grass-10', { family: 'multiHole', holes: 10, holeMm: 0.9 }),
  tip('grass-12', { family: 'multiHole', holes: 12, holeMm: 1.3 }),
  tip('cut-1', { family: 'cutBag', diameterMm: 1 }, 'none'),
  tip('cut-2', { family: 'cutBag', diameterMm: 2 }, 'none'),
  tip('cut-4', { family: 'cutBag', diameterMm: 4 }, 'none'),
  tip('vee-6', { family: 'veeCut', widthMm: 6 }, 'none'),
  tip('vee-9', { family: 'veeCut', widthMm: 9 }, 'none'),
]
