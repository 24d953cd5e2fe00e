import type { Dye } from '../model/dye.ts'

const dye = (id: string, name: string, weights: Dye['weights']): Dye => ({
  id,
  name,
  weights,
  owned: false,
  dropGrams: 0.04,
  dabs: [],
  learnt: { log: 0, sd: 0, mixes: 0 },
  source: 'catalogue',
})

/**
 * Neutral dyes by hue. Weights are the absorption peaks of one drop in 100 g of butter icing, starting figures. The
 * two plain blues are twice as strong as the others, because drop for drop blue food dyes absorb
 * several times what yellow ones do: leaf green then comes out at six parts yellow and more to one of blue, as benches
 * know it (docs/decisions.md).
 */
export const catalogueDyes: readonly Dye[] = [
  dye('lemon', 'Lemon', { yel: 0.42 }),
  dye('golden', 'Golden', { yel: 0.4, ora: 0.1, red: 0.012 }),
  dye('orange', 'Orange', { yel: 0.16, ora: 0.3, red: 0.05 }),
  dye('red', 'Red', { red: 0.26, crm: 0.06, yel: 0.05 }),
  dye('pink', 'Pink', { ros: 0.24, red: 0.015 }),
  dye('burgundy', 'Burgundy', { crm: 0.24, red: 0.08, blu: 0.035, car: 0.05 }),
  dye('violet', 'Violet', { ros: 0.16, crm: 0.05, blu: 0.13, ind: 0.05 }),
  dye('royal', 'Royal blue', { blu: 0.48, ros: 0.12, ind: 0.2 }),
  dye('sky', 'Sky blue', { blu: 0.52 }),
  dye('teal', 'Teal', { blu: 0.22, yel: 0.055, ind: 0.02 }),
  dye('leaf', 'Leaf green', { yel: 0.34, blu: 0.085, car: 0.03 }),
  dye('brown', 'Brown', { car: 0.26, ora: 0.1, red: 0.09, ind: 0.045 }),
  dye('black', 'Black', { red: 0.16, ora: 0.1, yel: 0.12, blu: 0.13, ind: 0.17, blk: 0.1 }),
]
