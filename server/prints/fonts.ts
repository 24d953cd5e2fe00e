import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { basename, join } from 'node:path'
import { threadId } from 'node:worker_threads'
import { create, type Font } from 'fontkit'
import type { Face, Measure } from '#core/prints/type'
import { CACHE } from '../cache.ts'
import { unwrapped } from './woff.ts'

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

/** A font file as it is read once. */
interface Opened {
  /** Where the printer reads it. */
  path: string
  font: Font
}
const opened = new Map<string, Opened>()
function fileAt(path: string): Opened {
  const known = opened.get(path)
  if (known) return known
  const bytes = unwrapped(readFileSync(path))
  const read = { path: keptUnwrapped(path, bytes), font: create(bytes) as Font }
  opened.set(path, read)
  return read
}
const fontAt = (path: string): Font => fileAt(path).font

/** Beside the packages, as other tools keep what they work out from them. */
const KEPT = join(CACHE, 'kanten-faces')

/** Keeps a font unwrapped where that can be written; elsewhere the printer reads the wrapped one, which only takes longer. */
function keptUnwrapped(wrapped: string, bytes: Buffer): string {
  const kept = join(KEPT, `${basename(wrapped, '.woff')}-${bytes.length}.ttf`)
  if (existsSync(kept)) return kept
  const writing = `${kept}.${process.pid}-${threadId}`
  try {
    mkdirSync(KEPT, { recursive: true })
    writeFileSync(writing, bytes)
    // whoever reads it meanwhile finds all of it or nothing
    renameSync(writing, kept)
    return kept
  } catch {
    return wrapped
  }
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

/** How wide a line is without its kerning, which draws letters together and next to never apart. */
export const measure: Measure = (text, face, sizeMm) =>
  stretches(text, face).reduce((sum, { text: part, file }) => {
    const font = fontAt(FILES[face].files[file]!)
    const advance = font.glyphsForString(part).reduce((all, glyph) => all + glyph.advanceWidth, 0)
    return sum + (advance / font.unitsPerEm) * sizeMm
  }, 0)

/** The name of a further file of a family. */
export const familyName = (family: string, file: number): string =>
  file === 0 ? family : `${family} ${file}`

/** The files of every family, as the printer wants them. */
export function printerFonts(): Record<string, { normal: string; bold: string }> {
  const fonts: Record<string, { normal: string; bold: string }> = {}
  const { text, strong, title } = FILES
  const at = (path: string) => fileAt(path).path
  text.files.forEach((file, i) => {
    fonts[familyName(text.family, i)] = { normal: at(file), bold: at(strong.files[i]!) }
  })
  title.files.forEach((file, i) => {
    fonts[familyName(title.family, i)] = { normal: at(file), bold: at(file) }
  })
  return fonts
}

export const TEXT_FAMILY = FILES.text.family
export const TITLE_FAMILY = FILES.title.family
