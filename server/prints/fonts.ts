import { createRequire } from 'node:module'
import { type Font, openSync } from 'fontkit'
import type { Face, Measure } from '#core/prints/type'

const require = createRequire(import.meta.url)

/** The screens' own faces; what the first file of a face does not have is looked for in the next. */
const FILES: Record<Face, { family: string; bold: boolean; files: string[] }> = {
  text: { family: 'Hanken Grotesk', bold: false, files: subsets('hanken-grotesk', 400) },
  strong: { family: 'Hanken Grotesk', bold: true, files: subsets('hanken-grotesk', 700) },
  title: { family: 'Bricolage Grotesque', bold: true, files: subsets('bricolage-grotesque', 700) },
}

function subsets(name: string, weight: number): string[] {
  return ['latin', 'latin-ext', 'vietnamese'].map((subset) =>
    require.resolve(`@fontsource/${name}/files/${name}-${subset}-${weight}-normal.woff`),
  )
}

const opened = new Map<string, Font>()
function fontAt(file: string): Font {
  const known = opened.get(file) ?? (openSync(file) as Font)
  opened.set(file, known)
  return known
}

/** A stretch of text that one file of a face can set. */
export interface Stretch {
  text: string
  /** How often the face was changed for the next file: 0 for its own. */
  file: number
}

/** Text in stretches by the file that has its letters; what no file has stays with the first, which shows that something is missing. */
export function stretches(text: string, face: Face): Stretch[] {
  const { files } = FILES[face]
  const found: Stretch[] = []
  for (const letter of text) {
    const at = files.findIndex((f) => fontAt(f).hasGlyphForCodePoint(letter.codePointAt(0)!))
    const file = Math.max(0, at)
    const last = found.at(-1)
    if (last?.file === file) last.text += letter
    else found.push({ text: letter, file })
  }
  return found
}

/** Whether every letter of a text can be set. */
export const canSet = (text: string, face: Face): boolean =>
  [...text].every((l) => FILES[face].files.some((f) => fontAt(f).hasGlyphForCodePoint(l.codePointAt(0)!)))

/** How wide a line is as the printer sets it. */
export const measure: Measure = (text, face, sizeMm) =>
  stretches(text, face).reduce((sum, { text: part, file }) => {
    const font = fontAt(FILES[face].files[file]!)
    return sum + (font.layout(part).advanceWidth / font.unitsPerEm) * sizeMm
  }, 0)

/** The name of a further file of a family. */
export const familyName = (family: string, file: number): string =>
  file === 0 ? family : `${family} ${file}`

/** Every file under the name of its family, as the printer wants them; drawings without a family are set in the text's. */
export function printerFonts(): Record<string, { normal: string; bold: string }> {
  const fonts: Record<string, { normal: string; bold: string }> = {}
  const { text, strong, title } = FILES
  text.files.forEach((file, i) => {
    fonts[familyName(text.family, i)] = { normal: file, bold: strong.files[i]! }
    fonts[familyName('sans-serif', i)] = { normal: file, bold: strong.files[i]! }
  })
  title.files.forEach((file, i) => {
    fonts[familyName(title.family, i)] = { normal: file, bold: file }
  })
  return fonts
}

export const TEXT_FAMILY = FILES.text.family
export const TITLE_FAMILY = FILES.title.family
