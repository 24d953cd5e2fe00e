import type { OwnedTip } from '../model/tip.ts'
import { familyOf } from '../tips/index.ts'
import { openingPath } from './opening.ts'
import { escapeText, layPages, mm, type Stamp } from './page.ts'

/** One opening at true size with its name: a person lays a tip on it to see whether it is this one. */
function tipStamp(tip: OwnedTip): Stamp {
  const { d, heightMm } = openingPath(tip.opening)
  const family = familyOf(tip.opening)
  const words = [family.label, family.describe(tip.opening), tip.stamp ? `stamped ${tip.stamp}` : '']
  const below = heightMm / 2 + 1.5
  return {
    widthMm: 43,
    heightMm: Math.max(18, heightMm + 17),
    svg:
      `<path d="${d}" transform="translate(0 -4)" fill="#000"/>` +
      words
        .map(
          (line, i) =>
            `<text y="${mm(below + 3 * i)}" text-anchor="middle" font-size="2.400">${escapeText(line)}</text>`,
        )
        .join(''),
  }
}

/** A4 pages of every opening at true size, family by family. */
export function tipSheetPages(tips: readonly OwnedTip[]): string[] {
  return layPages(tips.filter((t) => t.base !== 'none').map(tipStamp), 'Openings at true size')
}
