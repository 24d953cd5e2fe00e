import type { Flower } from '../model/flower.ts'
import type { Workshop } from '../model/workshop.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { describeOpening } from '../tips/index.ts'

/** What can be gone to. */
export const foundKinds = ['order', 'flower', 'tip', 'colour', 'command'] as const
export type FoundKind = (typeof foundKinds)[number]

/** Something that can be found: by its name, and by words that say what it has. */
export interface Findable {
  id: string
  kind: FoundKind
  name: string
  /** Shown under the name. */
  about: string
  words: readonly string[]
  /** Address of its screen. */
  to: string
  hex?: string
}

/** An order as far as it is looked for. */
export interface OrderToFind {
  id: string
  title: string
  customer: string
  collectAt: string
}

/** Words for how a flower comes to its piece, beside the model's own. */
const SETTINGS: Record<Flower['setting'], readonly string[]> = {
  nail: ['lifted', 'nail', 'made ahead'],
  inPlace: ['in place', 'piped on', 'direct'],
}

/** Screens and what is done there, each with the words that people have for it. */
const COMMANDS: readonly (readonly [name: string, to: string, words: string])[] = [
  ['Orders', '/orders', 'jobs customers list new order'],
  ['Week', '/week', 'calendar days schedule all orders'],
  ['Hours and limits', '/week/limits', 'opening hours hands rest shelves freezer fridge'],
  ['Bench day', '/day', 'several orders one day'],
  ['Flowers', '/flowers', 'library recipes'],
  ['Practise', '/practice', 'practice sheet drill training exercise'],
  ['What goes wrong', '/wrong', 'mistakes faults trouble help'],
  ['Drawer: tips', '/drawer', 'nozzles openings owned'],
  ['Drawer: bags and couplers', '/drawer?shelf=bags', 'piping bags cones coupler'],
  ['Drawer: icing kinds', '/drawer?shelf=icings', 'buttercream royal recipe base'],
  ['Drawer: dyes', '/drawer?shelf=dyes', 'food colour gel bottles'],
  ['Pantry', '/drawer?shelf=pantry', 'ingredients butter sugar stock'],
  ['Logbook', '/logbook', 'records history made before'],
  ['What was learnt', '/logbook/over/learnt', 'learning factors weights seconds'],
  ['Promises kept', '/logbook/over/promises', 'ran short predicted used'],
  ['Words', '/words', 'glossary terms meaning what is help explain'],
  ['Deleted', '/deleted', 'bin trash bring back restore'],
  ['Settings', '/settings', 'bakery units hand theme dark'],
  ['Back up the bakery', '/settings', 'backup save restore file'],
  ['What practice rests on', '/settings/practice', 'icing flow constants'],
]

/** Everything that can be gone to, from what the bakery has and the orders that are known. */
export function findables(
  { flowers, tips, dyes }: Pick<Workshop, 'flowers' | 'tips' | 'dyes'>,
  orders: readonly OrderToFind[],
): Findable[] {
  return [
    ...orders.map(
      (o): Findable => ({
        ...{ id: `order ${o.id}`, kind: 'order', name: o.title, to: `/orders/${o.id}/brief` },
        ...{ about: [o.collectAt.slice(0, 10), o.customer].filter(Boolean).join(' · '), words: [o.customer] },
      }),
    ),
    ...flowers.map(flowerToFind),
    ...tips.map(
      (t): Findable => ({
        ...{ id: `tip ${t.id}`, kind: 'tip', name: describeOpening(t.opening), to: `/drawer?tip=${t.id}` },
        about: t.owned > 0 ? `${t.owned} in the drawer${t.stamp ? `, stamped ${t.stamp}` : ''}` : 'not owned',
        words: [t.stamp, 'tip', 'nozzle'].filter(Boolean),
      }),
    ),
    ...dyes.map(
      (d): Findable => ({
        ...{ id: `dye ${d.id}`, kind: 'colour', name: d.name, to: '/drawer?shelf=dyes' },
        ...{ about: d.owned ? 'dye, owned' : 'dye', words: ['dye', 'colour'] },
      }),
    ),
    ...COMMANDS.map(
      ([name, to, words]): Findable => ({
        ...{ id: `command ${name}`, kind: 'command', name, to, about: 'screen', words: words.split(' ') },
      }),
    ),
  ]
}

/** A flower by its name, its parts, their strokes and how it comes to its piece. */
export function flowerToFind(f: Flower): Findable {
  const parts = f.layers.map((l) => l.name)
  const strokes = f.layers.flatMap((l) => {
    const { label, texture } = strokeDefinition(l.stroke.kind)
    return [label, texture]
  })
  return {
    ...{ id: `flower ${f.id}`, kind: 'flower', name: f.name, to: `/flowers/${f.id}` },
    about: [...new Set(parts)].slice(0, 5).join(', ').toLowerCase(),
    words: [
      ...new Set([...parts, ...strokes, ...f.roles.map((r) => r.name), ...SETTINGS[f.setting], f.form]),
    ],
    hex: f.roles[0]!.hex,
  }
}
