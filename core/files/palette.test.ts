import { describe, expect, it } from 'vitest'
import { readGpl, writeCss, writeGpl } from './palette.ts'

const colours = [
  { name: 'Dusk', hex: '#8f86b2' },
  { name: 'Brass & moss', hex: '#b98a3a' },
]

describe('palette files', () => {
  it('come back as they went', () => {
    expect(readGpl(writeGpl('Opening night', colours))).toEqual({ ok: true, value: colours })
  })
  it('take what other programs write: comments, no names, odd spacing', () => {
    expect(readGpl('GIMP Palette\r\nName: x\r\n#\r\n  0 10 255\r\n1 2 3 deep\r\n')).toEqual({
      ok: true,
      value: [
        { name: 'Colour 1', hex: '#000aff' },
        { name: 'deep', hex: '#010203' },
      ],
    })
  })
  it.each([
    ['', 1],
    ['GIMP Palette\n300 0 0 red', 2],
    ['GIMP Palette\nred green blue', 2],
    ['GIMP Palette\n# nothing', 1],
  ])('that are not right are refused with the line: %j', (text, line) => {
    const read = readGpl(text)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults[0]?.path).toEqual(['line', line])
  })
  it('are custom properties for a page, each with a name of its own', () => {
    expect(writeCss([...colours, { name: 'dusk', hex: '#000000' }])).toBe(
      ':root {\n  --dusk: #8f86b2;\n  --brass-moss: #b98a3a;\n  --dusk-2: #000000;\n}\n',
    )
  })
})
