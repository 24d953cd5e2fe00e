import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

/**
 * `npm run faces`: turns single-line faces of a package into the strokes that lettering is piped from, in thousandths of a
 * capital's height; `--check` only says whether they are current. Their licences: docs/licences.
 */
const faces = {
  print: 'EMSReadability',
  'hand-print': 'EMSTech',
  plain: 'HersheySans1',
  school: 'HersheyScript1',
  flowing: 'EMSAllure',
}
/** Curves are cut into so many lines: less than a bead of icing shows. */
const CURVE_STEPS = 8
const SCALE = 1000

const require = createRequire(import.meta.url)
const source = join(dirname(require.resolve('hersheytext/package.json')), 'svg_fonts')
const checking = process.argv.includes('--check')

type Glyph = { advance: number; strokes: number[][] }

function glyphsOf(svg: string): Map<string, Glyph> {
  const found = new Map<string, Glyph>()
  const width = Number(/<font [^>]*horiz-adv-x="([\d.]+)"/.exec(svg)?.[1] ?? 378)
  for (const [tag] of svg.matchAll(/<glyph [^>]*\/>/g)) {
    const named = / unicode="([^"]*)"/.exec(tag)?.[1]
    if (named === undefined) continue
    const character = named
      .replace(/&#x([0-9a-f]+);/gi, (_, hex: string) => String.fromCodePoint(Number.parseInt(hex, 16)))
      .replace('&lt;', '<')
      .replace('&gt;', '>')
      .replace('&quot;', '"')
      .replace('&apos;', "'")
      .replace('&amp;', '&')
    if ([...character].length !== 1) continue
    found.set(character, {
      advance: Number(/ horiz-adv-x="([\d.]+)"/.exec(tag)?.[1] ?? width),
      strokes: strokesOf(/ d="([^"]*)"/.exec(tag)?.[1] ?? ''),
    })
  }
  return found
}

/** Absolute moves, lines and curves as polylines: x, y, x, y… */
function strokesOf(d: string): number[][] {
  const strokes: number[][] = []
  for (const [, command, rest] of d.matchAll(/([MLCZ])([^MLCZ]*)/g)) {
    const n = [...rest!.matchAll(/-?[\d.]+/g)].map(Number)
    const open = strokes.at(-1)
    if (command === 'M') strokes.push(n)
    else if (command === 'L') open!.push(...n)
    else if (command === 'Z') open!.push(open![0]!, open![1]!)
    else for (let i = 0; i < n.length; i += 6) open!.push(...curve(open!.slice(-2), n.slice(i, i + 6)))
  }
  return strokes.filter((s) => s.length >= 4)
}

function curve([x0, y0]: number[], [x1, y1, x2, y2, x3, y3]: number[]): number[] {
  return Array.from({ length: CURVE_STEPS }, (_, i) => {
    const t = (i + 1) / CURVE_STEPS
    const at = (a: number, b: number, c: number, d: number) =>
      (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t * t * c + t ** 3 * d
    return [at(x0!, x1!, x2!, x3!), at(y0!, y1!, y2!, y3!)]
  }).flat()
}

const stale = Object.entries(faces).filter(([id, name]) => {
  const glyphs = glyphsOf(readFileSync(join(source, `${name}.svg`), 'utf8'))
  // what the face itself says of its capitals is not so: measured on the H
  const capital = Math.max(...glyphs.get('H')!.strokes.flatMap((s) => s.filter((_, i) => i % 2 === 1)))
  const scaled = (v: number) => Math.round((v * SCALE) / capital)
  const text = `${JSON.stringify(
    Object.fromEntries(
      [...glyphs].map(([c, g]) => [c, [scaled(g.advance), g.strokes.map((s) => s.map(scaled))]]),
    ),
  )}\n`
  const file = new URL(`../core/words/faces/${id}.json`, import.meta.url)
  if (!checking) writeFileSync(file, text)
  return readFileSync(file, 'utf8') !== text
})
if (stale.length > 0) {
  console.error(`core/words/faces is out of date (${stale.map(([id]) => id).join(', ')}): run npm run faces`)
  process.exit(1)
}
console.log(`${Object.keys(faces).length} faces are current`)
