import { escapeText, mm } from '../guides/page.ts'

/** The faces that prints are set in, as the screens are. */
export type Face = 'title' | 'text' | 'strong'

/** How wide some text is, mm, set in a face of so many mm. */
export type Measure = (text: string, face: Face, sizeMm: number) => number

const FAMILY: Record<Face, string> = {
  title: 'font-family="Bricolage Grotesque" font-weight="bold"',
  text: 'font-family="Hanken Grotesk"',
  strong: 'font-family="Hanken Grotesk" font-weight="bold"',
}

/** A line of text with the foot of its letters at `y`. */
export function lineSvg(
  text: string,
  x: number,
  y: number,
  face: Face,
  sizeMm: number,
  anchor = 'start',
): string {
  return `<text x="${mm(x)}" y="${mm(y)}" ${FAMILY[face]} font-size="${mm(sizeMm)}" text-anchor="${anchor}">${escapeText(text)}</text>`
}

/** Text broken into lines no wider than `widthMm`; a word that is too long for a line is broken within. */
export function wrap(text: string, widthMm: number, face: Face, sizeMm: number, measure: Measure): string[] {
  const fits = (line: string) => measure(line, face, sizeMm) <= widthMm
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word
    if (fits(longer)) {
      line = longer
      continue
    }
    if (line) lines.push(line)
    line = ''
    for (const letter of word) {
      if (line && !fits(line + letter)) {
        lines.push(line)
        line = ''
      }
      line += letter
    }
  }
  return line ? [...lines, line] : lines
}
