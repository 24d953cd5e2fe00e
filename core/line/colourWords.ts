import { hexToLab, labToHex } from '../colour/lab.ts'

/** Colours by the names that people have for icing; in the middle of what each name may mean. */
const NAMED: Readonly<Record<string, string>> = {
  white: '#f6f2ea',
  ivory: '#f2e8d0',
  cream: '#f1e2bd',
  blush: '#ecc9c4',
  pink: '#dc94a6',
  coral: '#e2806f',
  peach: '#edb894',
  salmon: '#e39a86',
  red: '#b5352f',
  burgundy: '#762a3b',
  wine: '#6b2537',
  orange: '#dc7f2b',
  apricot: '#e8ab70',
  terracotta: '#b3613f',
  rust: '#9c4a2a',
  brown: '#79523a',
  chocolate: '#553526',
  caramel: '#b77f45',
  yellow: '#e8c64e',
  lemon: '#efdc7c',
  mustard: '#bd9330',
  gold: '#b88c3a',
  brass: '#b08a3c',
  green: '#7c9a58',
  moss: '#6f8450',
  sage: '#9dac8d',
  olive: '#7d7b44',
  mint: '#b4d3bd',
  teal: '#3f7f81',
  turquoise: '#63b0ad',
  blue: '#6d8cc0',
  sky: '#a5c3df',
  navy: '#2d3756',
  slate: '#5d6975',
  dusk: '#8f86b2',
  lilac: '#b7a2cd',
  lavender: '#a899cb',
  violet: '#7459a4',
  purple: '#6f4d93',
  plum: '#6e3d63',
  heather: '#b98aa6',
  mauve: '#b290a5',
  grey: '#9a9a98',
  gray: '#9a9a98',
  silver: '#c4c4c2',
  black: '#2b2a2d',
}

/** How a word before a colour's name moves it: lightness and strength, of CIELAB. */
const MOVED: Readonly<Record<string, { lighter: number; stronger: number }>> = {
  pale: { lighter: 14, stronger: 0.6 },
  light: { lighter: 12, stronger: 0.75 },
  soft: { lighter: 8, stronger: 0.75 },
  dusty: { lighter: 0, stronger: 0.6 },
  bright: { lighter: 4, stronger: 1.3 },
  deep: { lighter: -14, stronger: 1.2 },
  dark: { lighter: -18, stronger: 1 },
}

export const colourNames: readonly string[] = Object.keys(NAMED)
export const colourMoves: readonly string[] = Object.keys(MOVED)

/** The colour of a name, with or without a word that moves it: "deep pink". Null for a name that is none. */
export function colourOf(name: string): string | null {
  const words = name.split(' ')
  const base = NAMED[words.at(-1)!]
  if (!base || words.length > 2) return null
  if (words.length === 1) return base
  const move = MOVED[words[0]!]
  if (!move) return null
  const [l, a, b] = hexToLab(base)
  return labToHex([Math.min(97, Math.max(8, l + move.lighter)), a * move.stronger, b * move.stronger])
}
