import type { Piece, PlacedFlower } from './order.ts'

/** Ids of the tips that a placed flower names itself: those a person chose for its layers, and those of added layers. */
export function tipsNamed({ tips, added }: PlacedFlower): string[] {
  return [...Object.values(tips), ...added.map((a) => a.layer.tipId)]
}

/** A placed flower with every tip that it names looked up anew. */
export function retipped(placed: PlacedFlower, idOf: (tipId: string) => string): PlacedFlower {
  return {
    ...placed,
    tips: Object.fromEntries(Object.entries(placed.tips).map(([layer, tip]) => [layer, idOf(tip)])),
    added: placed.added.map((a) => ({ ...a, layer: { ...a.layer, tipId: idOf(a.layer.tipId) } })),
  }
}

/** Every tip that a piece names besides its flowers: what its words are written with, and its stems drawn. */
export const tipsOfLayouts = ({ layouts }: Pick<Piece, 'layouts'>): string[] =>
  layouts.flatMap((layout) => [
    ...layout.words.map((words) => words.tipId),
    ...layout.lines.flatMap((line) => (line.kind === 'spray' ? [line.tipId] : [])),
  ])

/** A piece's arrangements with every tip that they name looked up anew. */
export const retippedLayouts = ({ layouts }: Pick<Piece, 'layouts'>, idOf: (tipId: string) => string) =>
  layouts.map((layout) => ({
    ...layout,
    words: layout.words.map((words) => ({ ...words, tipId: idOf(words.tipId) })),
    lines: layout.lines.map((line) => (line.kind === 'spray' ? { ...line, tipId: idOf(line.tipId) } : line)),
  }))
