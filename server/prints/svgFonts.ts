import { familyName, stretches, TEXT_FAMILY } from './fonts.ts'

const ENTITIES: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"' }
const plain = (text: string) => text.replace(/&(amp|lt|gt|quot);/g, (_, name: string) => ENTITIES[name]!)
const escaped = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')

/** A drawing set in the screens' face, with the letters that a face's first file does not have set from the file that has them. */
export function withFonts(svg: string): string {
  const set = svg.replaceAll('font-family="sans-serif"', `font-family="${TEXT_FAMILY}"`)
  return set.replace(/<text([^>]*)>([^<]*)<\/text>/g, (whole, attributes: string, text: string) => {
    const parts = stretches(plain(text), /font-weight="bold"/.test(attributes) ? 'strong' : 'text')
    if (parts.length === 1 && parts[0]!.file === 0) return whole
    const family = /font-family="([^"]+)"/.exec(attributes)?.[1] ?? TEXT_FAMILY
    const spans = parts.map((p) =>
      p.file === 0
        ? escaped(p.text)
        : `<tspan font-family="${familyName(family, p.file)}">${escaped(p.text)}</tspan>`,
    )
    return `<text${attributes}>${spans.join('')}</text>`
  })
}
