import { z } from 'zod'

/** Everything that can be printed for an order, in the order in which a bench wants it. */
export const printKinds = [
  'bagLabels',
  'bowlLabels',
  'trayLabels',
  'boxLabels',
  'runSheet',
  'pullList',
  'recipes',
  'practiceSheets',
  'nailGuides',
  'spacingMarks',
  'templates',
  'quote',
] as const
export const printKindSchema = z.enum(printKinds)
export type PrintKind = (typeof printKinds)[number]

/** What each is called, and what it is for. */
export const printWords: Record<PrintKind, { name: string; about: string }> = {
  bagLabels: { name: 'Bag labels', about: 'One for every filling, to stick on before the bag is filled.' },
  bowlLabels: { name: 'Bowl labels', about: 'What is in each bowl, and which bags it fills.' },
  trayLabels: { name: 'Tray labels', about: 'For flowers made ahead: what, how many, keep until.' },
  boxLabels: { name: 'Box labels', about: 'Allergens, what comes off before eating, keep cool.' },
  runSheet: { name: 'Run sheet', about: 'The work from first to last, to hang on the wall.' },
  pullList: { name: 'Shopping and pull list', about: 'What to take out of the drawer, and what to buy.' },
  recipes: { name: 'Recipe cards', about: 'Each flower of this order: layers, tips, how to hold and move.' },
  practiceSheets: {
    name: 'Practice sheets',
    about: 'Drills at true size, to pipe over on parchment before the order.',
  },
  nailGuides: { name: 'Nail guides', about: 'To lie under the squares, at true size.' },
  spacingMarks: { name: 'Spacing marks', about: 'Discs to hold over a piece and mark its parts by.' },
  templates: { name: 'Placing templates', about: 'Each arrangement at true size, to prick through.' },
  quote: { name: 'Quote sheet', about: 'For the customer, without the bakery’s own figures.' },
}

/** These are printed on labels. */
export const labelKinds: readonly PrintKind[] = ['bagLabels', 'bowlLabels', 'trayLabels', 'boxLabels']
