import { type Face, faces, glyphOf } from './face.ts'
import type { FaceId } from './faceIds.ts'

/** What is written, and how. Lengths in mm. */
export interface Lettering {
  text: string
  faceId: FaceId
  capitalMm: number
  /** Radius of the arc that the line stands on; 0 for a straight line, negative for one that smiles. */
  arcMm: number
}

/** A line of icing laid without lifting: x to the right and y up from the middle of all of it, in turn, mm. */
export type PipedLine = readonly number[]

export interface Lettered {
  lines: PipedLine[]
  /** Characters that the face has not got, each once. */
  missing: string[]
  /** All of it with half a bead around it. */
  widthMm: number
  heightMm: number
}

/** From one line of words to the next, in a capital's height. */
const LEADING = 1.75
/** On an arc lines are cut so short that nobody sees corners, mm. */
const ARC_STEP_MM = 1

/** Words as the lines that are piped, centred, each line of words beneath the other. @param beadMm width of the icing. */
export function letter({ text, faceId, capitalMm, arcMm }: Lettering, beadMm: number): Lettered {
  const face: Face = faces[faceId]
  const scale = capitalMm / 1000
  const missing = new Set<string>()
  const rows = text.split('\n')
  const flat = rows.flatMap((row, i) => {
    const { strokes, width } = rowOf(face, row, missing)
    const down = (i - (rows.length - 1) / 2) * LEADING * capitalMm
    return strokes.map((stroke) =>
      stroke.map((v, k) => (k % 2 === 0 ? (v - width / 2) * scale : v * scale - down)),
    )
  })
  const bent = arcMm === 0 ? flat : flat.map((line) => onArc(line, arcMm))
  return { ...centred(bent, beadMm), missing: [...missing] }
}

function rowOf(face: Face, row: string, missing: Set<string>): { strokes: number[][]; width: number } {
  let x = 0
  const strokes: number[][] = []
  for (const character of row) {
    const glyph = glyphOf(face, character)
    if (!glyph) {
      missing.add(character)
      continue
    }
    const [advance, own] = glyph
    for (const stroke of own) strokes.push(stroke.map((v, i) => (i % 2 === 0 ? v + x : v)))
    x += advance
  }
  return { strokes, width: x }
}

/** A line laid round a circle: above its middle, or below it for a negative radius, upright at the middle either way. */
function onArc(line: readonly number[], arcMm: number): number[] {
  const bent: number[] = []
  const put = (x: number, y: number) => {
    const angle = x / arcMm
    const r = arcMm + y
    bent.push(r * Math.sin(angle), r * Math.cos(angle) - arcMm)
  }
  for (let i = 0; i + 3 < line.length; i += 2) {
    const [x0, y0, x1, y1] = [line[i]!, line[i + 1]!, line[i + 2]!, line[i + 3]!]
    const steps = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0) / ARC_STEP_MM))
    for (let k = 0; k < steps; k++) put(x0 + ((x1 - x0) * k) / steps, y0 + ((y1 - y0) * k) / steps)
  }
  put(line.at(-2)!, line.at(-1)!)
  return bent
}

function centred(lines: readonly number[][], beadMm: number): Omit<Lettered, 'missing'> {
  if (lines.length === 0) return { lines: [], widthMm: 0, heightMm: 0 }
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity }
  for (const line of lines)
    for (let i = 0; i < line.length; i += 2) {
      box.left = Math.min(box.left, line[i]!)
      box.right = Math.max(box.right, line[i]!)
      box.low = Math.min(box.low, line[i + 1]!)
      box.high = Math.max(box.high, line[i + 1]!)
    }
  const [x, y] = [(box.left + box.right) / 2, (box.low + box.high) / 2]
  return {
    lines: lines.map((line) => line.map((v, i) => (i % 2 === 0 ? v - x : v - y))),
    widthMm: box.right - box.left + beadMm,
    heightMm: box.high - box.low + beadMm,
  }
}

/** What words take: icing laid, mm; how often the bag touches down; seconds of the hand; mm³. */
export interface Taken {
  lengthMm: number
  touchDowns: number
  seconds: number
  volumeMm3: number
}

/** Seconds to set the bag down once, and how far it goes in a second of careful writing, mm. */
const TOUCH_S = 0.6
const WRITES_MM_PER_S = 25

/** Lines are piped as round beads as wide as the opening: volume is their length by π d²/4. */
export function taken({ lines }: Pick<Lettered, 'lines'>, beadMm: number): Taken {
  const lengthMm = lines.reduce((sum, line) => sum + lengthOf(line), 0)
  return {
    lengthMm,
    touchDowns: lines.length,
    seconds: TOUCH_S * lines.length + lengthMm / WRITES_MM_PER_S,
    volumeMm3: (lengthMm * Math.PI * beadMm ** 2) / 4,
  }
}

function lengthOf(line: PipedLine): number {
  let sum = 0
  for (let i = 0; i + 3 < line.length; i += 2)
    sum += Math.hypot(line[i + 2]! - line[i]!, line[i + 3]! - line[i + 1]!)
  return sum
}

/** Least height of a capital in a face piped so wide, mm: smaller ones close. */
export const leastCapitalMm = (faceId: FaceId, beadMm: number): number => faces[faceId].leastBeads * beadMm
