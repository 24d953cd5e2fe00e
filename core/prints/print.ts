/** One page as it is printed: its size, and all that is on it as SVG, a unit of which is a millimetre. */
export interface Page {
  widthMm: number
  heightMm: number
  svg: string
}

/** A drawing within a page that is set by the printer: its size in mm, and its SVG with the origin at its top left. */
export interface Drawing {
  widthMm: number
  heightMm: number
  svg: string
}

/** What stands in a cell: words, a box to tick, a colour, or a drawing. */
export type Cell =
  | { kind: 'words'; text: string; strong?: boolean; quiet?: boolean; right?: boolean }
  | { kind: 'tick' }
  | { kind: 'colours'; hexes: string[] }
  | { kind: 'drawing'; drawing: Drawing }

/** A part of a print whose lines are broken and whose pages are turned by the printer. */
export type Block =
  | { kind: 'heading'; text: string; newPage?: boolean }
  | { kind: 'words'; text: string; quiet?: boolean }
  | { kind: 'table'; head: string[]; widths: ('least' | 'rest')[]; rows: Cell[][] }
  | { kind: 'drawing'; drawing: Drawing }

interface Head {
  title: string
  /** What whoever prints it should know, such as words that found no room. */
  notes: string[]
}
/** Something printed: pages drawn to the last millimetre, or blocks that flow over pages. */
export type Print = Head & ({ kind: 'pages'; pages: Page[] } | { kind: 'blocks'; blocks: Block[] })

export const words = (
  text: string,
  how: { strong?: boolean; quiet?: boolean; right?: boolean } = {},
): Cell => ({
  ...{ kind: 'words', text },
  ...how,
})
export const TICK: Cell = { kind: 'tick' }

/** More names than these are counted and not told: notes are read at a glance. */
const MOST_TOLD = 5

/** Some names in a note: "Cake, Cookies", "A, B, C, D, E and 12 more". */
export function someOf(names: readonly string[]): string {
  const told = names.slice(0, MOST_TOLD).join(', ')
  return names.length > MOST_TOLD ? `${told} and ${names.length - MOST_TOLD} more` : told
}

/** A print of which there is nothing in an order: a page that says so. */
export const nothing = (title: string, why: string): Print => ({
  ...{ kind: 'blocks', title, notes: [why] },
  blocks: [{ kind: 'words', text: why }],
})
