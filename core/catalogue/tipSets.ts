import type { Flower } from '../model/flower.ts'

/** Tips that belong together by what they pipe. */
export interface TipSet {
  id: string
  name: string
  tipIds: string[]
}

/** What many bakeries begin with, by the library flowers that each set is for. */
const SETS: readonly { id: string; name: string; flowers: readonly string[] }[] = [
  {
    id: 'swirls',
    name: 'Swirls, rosettes and borders',
    flowers: ['swirl', 'rosette', 'shell-border', 'bead-border', 'dot-border', 'drop-star-flower', 'leaf'],
  },
  {
    id: 'roses',
    name: 'Roses and their leaves',
    flowers: [
      'rose',
      'rose-in-place',
      'rose-bud',
      'half-rose',
      'ranunculus',
      'peony',
      'camellia',
      'leaf',
      'leaf-cluster',
    ],
  },
  {
    id: 'blossoms',
    name: 'Blossoms and daisies',
    flowers: [
      'blossom',
      'cherry-blossom',
      'primrose',
      'violet',
      'pansy',
      'daisy',
      'forget-me-not',
      'anemone',
      'leaf',
    ],
  },
  {
    id: 'scooped',
    name: 'Chrysanthemums and dahlias',
    flowers: ['chrysanthemum', 'dahlia', 'aster', 'zinnia', 'sunflower', 'leaf'],
  },
]

/** The sets with the tips that their flowers are piped with at their own size. */
export function tipSets(flowers: readonly Flower[]): TipSet[] {
  return SETS.map(({ id, name, flowers: ids }) => ({
    ...{ id, name },
    tipIds: [
      ...new Set(flowers.filter((f) => ids.includes(f.id)).flatMap((f) => f.layers.map((l) => l.tipId))),
    ],
  }))
}

/** The flowers for which every tip is at hand. */
export const pipeable = (flowers: readonly Flower[], tipIds: ReadonlySet<string>): Flower[] =>
  flowers.filter((f) => f.layers.every((l) => tipIds.has(l.tipId)))
