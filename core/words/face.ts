import type { FaceId } from './faceIds.ts'
import flowing from './faces/flowing.json' with { type: 'json' }
import handPrint from './faces/hand-print.json' with { type: 'json' }
import plain from './faces/plain.json' with { type: 'json' }
import print from './faces/print.json' with { type: 'json' }
import school from './faces/school.json' with { type: 'json' }

/** Of every character: how far the next one is, and the strokes it is piped in, x and y in turn; thousandths of a capital's height. */
type Glyphs = Readonly<Record<string, readonly [advance: number, strokes: readonly (readonly number[])[]]>>

/** A way of lettering. */
export interface Face {
  label: string
  style: 'print' | 'script'
  glyphs: Glyphs
  /** Least height of a capital, in widths of the bead, at which its small letters stay open. */
  leastBeads: number
}

const asGlyphs = (json: object) => json as unknown as Glyphs

/** Every face, by name. Least heights: where the hole of a small e is still as wide as 0.4 of the bead, or by eye for script. */
export const faces: Readonly<Record<FaceId, Face>> = {
  print: { label: 'Print', style: 'print', glyphs: asGlyphs(print), leastBeads: 5 },
  'hand-print': { label: 'Hand print', style: 'print', glyphs: asGlyphs(handPrint), leastBeads: 6 },
  plain: { label: 'Plain print', style: 'print', glyphs: asGlyphs(plain), leastBeads: 5.5 },
  school: { label: 'School script', style: 'script', glyphs: asGlyphs(school), leastBeads: 8 },
  flowing: { label: 'Flowing script', style: 'script', glyphs: asGlyphs(flowing), leastBeads: 10 },
}

/** Curly signs that keyboards make, as the faces have them. */
const same: Record<string, string> = {
  '’': "'",
  '‘': "'",
  '“': '"',
  '”': '"',
  '–': '-',
  '—': '-',
  '\u00a0': ' ',
}

/** A character as a face has it; undefined where it has not. */
export function glyphOf(face: Face, character: string): Glyphs[string] | undefined {
  const known = same[character] ?? character
  return Object.hasOwn(face.glyphs, known) ? face.glyphs[known] : undefined
}
