import type { StoredWorkshop } from '#contract/workshop'
import type { Dye } from '#core/model/dye'
import type { Flower } from '#core/model/flower'
import type { IcingKind } from '#core/model/icing'
import type { OwnedTip } from '#core/model/tip'
import type { BagStock, Settings } from '#core/model/workshop'

/** What of the workshop is edited whole and saved by itself, one document each. */
export interface WorkshopDocuments {
  flower: Flower
  icing: IcingKind
  tip: OwnedTip
  bag: BagStock
  dye: Dye
  settings: Settings
}
export type DocumentKind = keyof WorkshopDocuments

interface Definition<T> {
  /** What a sentence calls it. */
  what: string
  path(id: string): string
  /** What is sent: a tip of the catalogue keeps its opening, only what the bakery says of it is sent. */
  body(document: T): unknown
  /** As the workshop has it; undefined when it is not there. */
  find(stored: StoredWorkshop, id: string): T | undefined
  version(stored: StoredWorkshop, id: string): number
  /** The workshop with this document in the place of its own. */
  put(stored: StoredWorkshop, document: T, version: number): StoredWorkshop
  /** Without what the server works out by itself: two documents that differ only in that are the same. */
  told(document: T): T
  /** With what the server has worked out for it. */
  withLearnt(document: T, stored: StoredWorkshop): T
}

type ListKey = 'tips' | 'bags' | 'flowers' | 'icings' | 'dyes'
type Item<K extends ListKey> = StoredWorkshop['workshop'][K][number]

function listed<K extends ListKey, T extends Item<K> & { id: string }>(
  list: K,
  what: string,
  more: Partial<Definition<T>> = {},
): Definition<T> {
  const items = (stored: StoredWorkshop) => stored.workshop[list] as unknown as T[]
  return {
    what,
    path: (id) => `/${list}/${id}`,
    body: (document) => document,
    find: (stored, id) => items(stored).find((item) => item.id === id),
    version: (stored, id) => stored.versions[list][id] ?? 0,
    put: (stored, document, version) => ({
      ...stored,
      workshop: {
        ...stored.workshop,
        [list]: items(stored).map((item) => (item.id === document.id ? document : item)),
      },
      versions: { ...stored.versions, [list]: { ...stored.versions[list], [document.id]: version } },
    }),
    told: (document) => document,
    withLearnt: (document) => document,
    ...more,
  }
}

const untaught = { log: 0, sd: 0, mixes: 0 }

export const workshopDocuments: { [K in DocumentKind]: Definition<WorkshopDocuments[K]> } = {
  flower: listed<'flowers', Flower>('flowers', 'this flower', {
    withLearnt: (flower, { calibrations, taught }) => {
      const weight = calibrations[flower.id]
      const taughtPace = { ...flower, pace: taught.pace[flower.id] ?? flower.pace }
      return weight ? { ...taughtPace, calibration: weight.factor, spread: weight.spread } : taughtPace
    },
  }),
  icing: listed<'icings', IcingKind>('icings', 'this icing kind'),
  tip: listed<'tips', OwnedTip>('tips', 'this tip', {
    body: ({ owned, stamp }) => ({ owned, stamp }),
  }),
  bag: listed<'bags', BagStock>('bags', 'this size of bag'),
  dye: listed<'dyes', Dye>('dyes', 'this dye', {
    told: (dye) => ({ ...dye, learnt: untaught }),
    withLearnt: (dye, { workshop }) => {
      const known = workshop.dyes.find((d) => d.id === dye.id)
      return known ? { ...dye, learnt: known.learnt } : dye
    },
  }),
  settings: {
    what: 'the settings',
    path: () => '/settings',
    body: (settings) => settings,
    find: ({ workshop }) => workshop.settings,
    version: ({ versions }) => versions.settings,
    put: (stored, settings, version) => ({
      ...stored,
      workshop: { ...stored.workshop, settings },
      versions: { ...stored.versions, settings: version },
    }),
    told: (settings) => settings,
    withLearnt: (settings) => settings,
  },
}
