import type { Advice } from '#core/model/plan'

/** Where what a piece of advice is about is changed. */
export const stopOf: Record<Advice['about']['kind'], 'brief' | 'pieces' | 'colours' | 'bags'> = {
  order: 'pieces',
  piece: 'pieces',
  flower: 'pieces',
  colour: 'colours',
  bag: 'bags',
  tip: 'bags',
  drawer: 'bags',
  icing: 'brief',
}
