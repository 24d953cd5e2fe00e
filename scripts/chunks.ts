/** Screens that must share something before it is fetched with the first of them. */
const SHARED_BY = 8

/** The rooms of the core that flowers are made of, wherever they are looked at. */
const FLOWERS =
  /^core\/(\w+\.ts|(tips|geometry|strokes|tools|places|loads|solids|pile|flowers|mesh|merge)\/|model\/(flower|toolStep|placeFaults|names|tip)\.ts|colour\/(lab|typed)\.ts)/

const PARTS = /[\\/](web|@mantine|@floating-ui|@dnd-kit)[\\/]/
/** What opens over a screen, and what it stands on. */
const OVER =
  /[\\/]@floating-ui[\\/]|TermDrawing|AskedMenu|[\\/]@mantine[\\/].*[\\/](Menu|Popover|Tooltip|Modal|ModalBase|ScrollArea|Overlay|FocusTrap)[\\/]/
const CHOICES = /[\\/]@mantine[\\/].*[\\/](Combobox|Select|Checkbox)[\\/]/
const TABLES = /[\\/](@tanstack|DataTable|TableTools)/
const NOT_AT_ONCE = [/\.worker\.ts|orderEditor/, OVER, CHOICES, TABLES]

/**
 * How the built interface is cut into files: few, each with what comes and changes together. A worker has no document
 * and must come to nothing that draws, so what page and workers share lies apart from all that does.
 * @param root the folder of the project, with a slash at its end.
 */
export function chunks(root: string) {
  const from = (test: RegExp) => (id: string) => id.startsWith(root) && test.test(id.slice(root.length))
  return [
    // what workers may use of the first screen's files
    {
      name: 'base',
      tags: ['$initial' as const],
      test: (id: string) =>
        /preload-helper|[\\/](dequal|uuid)[\\/]|[\\/]newId\.ts/.test(id) || from(/^(core|contract)\//)(id),
      priority: 5,
    },
    // what changes seldom stays in a browser over many versions of Kanten
    {
      name: 'react',
      test: /node_modules[\\/](react|react-dom|react-router|swr|scheduler)[\\/]/,
      priority: 4,
    },
    // the frame and the first screen in one file: many small ones wait for each other
    {
      name: 'frame',
      tags: ['$initial' as const],
      test: (id: string) => !/\.worker\.ts/.test(id),
      priority: 3,
    },
    {
      name: 'flowers',
      test: (id: string) => /[\\/]comlink[\\/]/.test(id) || from(FLOWERS)(id),
      minShareCount: 2,
      priority: 2,
    },
    // what orders stand on beyond their flowers
    {
      name: 'orders',
      test: from(/^(core\/(?!glossary)|contract\/)/),
      minShareCount: SHARED_BY,
      priority: 1,
    },
    // solids, and how all of them are lit
    {
      name: 'three',
      test: /[\\/]three[\\/]|[\\/]solid[\\/](litScene|fitTo|flowerParts|shader|freshCanvas)\./,
      minShareCount: 2,
      priority: 1,
    },
    // what several screens are made of
    {
      name: 'parts',
      test: (id: string) => PARTS.test(id) && !NOT_AT_ONCE.some((test) => test.test(id)),
      minShareCount: SHARED_BY,
      priority: 1,
    },
    // what some screens show at once, and others only when it is asked for
    { name: 'over', test: OVER, minShareCount: 2 },
    { name: 'tables', test: TABLES, minShareCount: 2 },
    { name: 'choices', test: CHOICES, minShareCount: 2 },
  ]
}
