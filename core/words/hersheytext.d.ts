declare module 'hersheytext' {
  interface Glyph {
    d: string
    width: number | string
  }
  const hershey: {
    renderTextArray(text: string, options: { font: string; pos: { x: number; y: number } }): Glyph[]
    getFontData(font: string): { getChar(c: string): Glyph }
  }
  export default hershey
}
