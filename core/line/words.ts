import type { Allergen } from '../common.ts'
import type { SurfaceKind } from '../surfaces/index.ts'

/** Words of an order's line that the library does not have: what things are called on a pad and in a message. */

/** What flowers go on. The longest that fits is taken. */
export const pieceWords: readonly (readonly [phrase: string, kind: SurfaceKind])[] = [
  ['cupcake', 'cupcake'],
  ['cup cake', 'cupcake'],
  ['muffin', 'cupcake'],
  ['fairy cake', 'cupcake'],
  ['cookie', 'cookie'],
  ['biscuit', 'cookie'],
  ['round cookie', 'cookie'],
  ['cake', 'cake'],
  ['round cake', 'cake'],
  ['layer cake', 'cake'],
  ['wedding cake', 'cake'],
  ['birthday cake', 'cake'],
  ['sheet cake', 'sheet'],
  ['sheet', 'sheet'],
  ['traybake', 'sheet'],
  ['heart cake', 'heart'],
  ['heart', 'heart'],
  ['ring cake', 'ring'],
  ['number cake', 'number'],
  ['hexagon', 'hexagon'],
  ['hexagon cookie', 'hexagon'],
  ['cupcake bouquet', 'bouquet'],
]

/** Ways of placing, by the names of their schools. */
export const schoolWords: readonly (readonly [phrase: string, schoolId: string])[] = [
  ['fall', 'fall'],
  ['diagonal fall', 'fall'],
  ['cascade', 'fall'],
  ['crescent', 'crescent'],
  ['half moon', 'crescent'],
  ['wreath', 'wreath'],
  ['ring', 'ring'],
  ['scatter', 'scatter'],
  ['scattered', 'scatter'],
  ['band', 'band'],
  ['side band', 'band'],
  ['full top', 'dome'],
  ['dome', 'dome'],
  ['corner spray', 'spray'],
  ['spray', 'spray'],
  ['in the middle', 'single'],
  ['cluster of three', 'three'],
]

/** Where a border runs. */
export const edgeWords: readonly (readonly [phrase: string, edges: readonly ('top' | 'foot')[]])[] = [
  ['foot', ['foot']],
  ['bottom', ['foot']],
  ['base', ['foot']],
  ['top', ['top']],
  ['rim', ['top']],
  ['top and bottom', ['top', 'foot']],
  ['top and foot', ['top', 'foot']],
]

/** How large, beside a flower's own size. */
export const sizeWords: readonly (readonly [phrase: string, size: 'big' | 'small'])[] = [
  ['big', 'big'],
  ['large', 'big'],
  ['small', 'small'],
  ['little', 'small'],
  ['tiny', 'small'],
  ['mini', 'small'],
]

export const allergenNames: readonly (readonly [phrase: string, allergen: Allergen])[] = [
  ['nut', 'nuts'],
  ['egg', 'egg'],
  ['milk', 'milk'],
  ['dairy', 'milk'],
  ['gluten', 'gluten'],
  ['soy', 'soy'],
  ['soya', 'soy'],
]

/** Other names of library flowers, the usual one for a short word first. */
export const flowerWords: Readonly<Record<string, readonly string[]>> = {
  rose: ['rose'],
  thrift: ['thrift'],
  windflower: ['windflower'],
  blossom: ['blossom'],
  'rosette-bloom': ['rosette with stamens', 'rosette with leaves'],
  'heart-bloom': ['heart bloom'],
  'funnel-lily': ['lily'],
  carnation: ['carnation'],
  hydrangea: ['hydrangea'],
  'drop-star-flower': ['drop star'],
  'wheat-ear': ['wheat'],
  'leaf-cluster': ['leaf cluster'],
  fern: ['fern'],
  'ball-cactus': ['cactus'],
  succulent: ['succulent'],
  agave: ['agave'],
  'vine-buds': ['vine'],
  'berry-sprig': ['berry'],
  'leafy-sprig': ['sprig'],
  'grass-tuft': ['grass'],
  scroll: ['scroll'],
  'cabbage-bloom': ['cabbage bloom'],
  'shell-border': ['border'],
}

export const numberWords: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
}

/** Words that join others and mean nothing by themselves. */
export const joining: ReadonlySet<string> = new Set(
  'with and of on a an the in at by for to plus along over from some all across wide is are has have'.split(
    ' ',
  ),
)

/** Joining words that belong to what follows them, when that is not understood. */
export const leading: ReadonlySet<string> = new Set(['for', 'by', 'from', 'to', 'with'])
