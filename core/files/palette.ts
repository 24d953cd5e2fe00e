import type { Fault } from '../model/faults.ts'
import type { OrderColour } from '../model/order.ts'
import type { Read } from './orderFile.ts'

/** A colour with the name it goes by. */
export type NamedColour = Pick<OrderColour, 'name' | 'hex'>

const hex2 = (n: number) => n.toString(16).padStart(2, '0')

/** Reads a .gpl palette: a first line "GIMP Palette", then a line a colour: red, green, blue, name. */
export function readGpl(text: string): Read<NamedColour[]> {
  const lines = text.split(/\r?\n/)
  if (!/^GIMP Palette/.test(lines[0] ?? ''))
    return refused([
      { path: ['line', 1], message: 'A .gpl palette begins with "GIMP Palette". Choose another file.' },
    ])
  const colours: NamedColour[] = []
  const faults: Fault[] = []
  lines.slice(1).forEach((line, i) => {
    if (line.trim() === '' || /^(#|Name:|Columns:)/.test(line.trim())) return
    const match = /^\s*(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(line)
    const rgb = match?.slice(1, 4).map(Number)
    if (!rgb || rgb.some((c) => c > 255)) {
      faults.push({
        path: ['line', i + 2],
        message: `Line ${i + 2} is not three numbers from 0 to 255 and a name: "${line.trim().slice(0, 40)}".`,
      })
      return
    }
    colours.push({
      hex: `#${rgb.map(hex2).join('')}`,
      name: (match?.[4]?.trim() || `Colour ${colours.length + 1}`).slice(0, 80),
    })
  })
  if (faults.length > 0) return refused(faults)
  if (colours.length === 0)
    return refused([{ path: ['line', 1], message: 'The palette has no colours in it.' }])
  return { ok: true, value: colours }
}

const refused = (faults: Fault[]): Read<NamedColour[]> => ({ ok: false, faults })

export function writeGpl(name: string, colours: readonly NamedColour[]): string {
  const lines = colours.map(({ hex, name: colour }) => {
    const rgb = [1, 3, 5].map((at) => String(Number.parseInt(hex.slice(at, at + 2), 16)).padStart(3))
    return `${rgb.join(' ')}\t${oneLine(colour)}`
  })
  return ['GIMP Palette', `Name: ${oneLine(name)}`, 'Columns: 4', '#', ...lines, ''].join('\n')
}

const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()

/** Custom properties a web page can use: `--dusk: #8f86b2;`. Names that come out alike are numbered. */
export function writeCss(colours: readonly NamedColour[]): string {
  const taken = new Map<string, number>()
  const lines = colours.map(({ name, hex }) => {
    const plain =
      name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'colour'
    const times = (taken.get(plain) ?? 0) + 1
    taken.set(plain, times)
    return `  --${times > 1 ? `${plain}-${times}` : plain}: ${hex};`
  })
  return [':root {', ...lines, '}', ''].join('\n')
}

export function writePaletteJson(name: string, colours: readonly NamedColour[]): string {
  return `${JSON.stringify({ format: 'kanten-palette', schemaVersion: 1, name, colours: colours.map(({ name: n, hex }) => ({ name: n, hex })) }, null, 2)}\n`
}
