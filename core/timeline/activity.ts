/** What is done, by what it is. */
export type ActivityKind =
  | 'base'
  | 'mix'
  | 'fill'
  | 'practise'
  | 'spread'
  | 'stack'
  | 'pipe'
  | 'work'
  | 'lift'
  | 'setOn'
  | 'box'
  | 'wash'

/** What happens by itself between two activities. */
export type WaitKind = 'whip' | 'deepen' | 'chill' | 'freeze' | 'firm' | 'dry' | 'crust'

/** Where things stand while nobody works on them. */
export const STORES = ['freezer', 'fridge', 'rack'] as const
export type Store = (typeof STORES)[number]

/** What must be done before an activity, and what must have happened since, in minutes. */
export interface After {
  id: string
  lag: number
  wait: WaitKind | null
}

/** Something a pair of hands does without being called away, in exact minutes. */
export interface Activity {
  id: string
  kind: ActivityKind
  /** "Dahlia", "Crumb coat", "Moss". */
  what: string
  /** What it is done on or for: "on nails, for the cupcakes". */
  where: string
  minutes: number
  /** Only hands that pipe can do it. */
  pipes: boolean
  /** Stiff icing is squeezed: hands need their rest. */
  stiff: boolean
  pieceId: string | null
  flowerId: string | null
  /** How many are done in it, of what it is about. */
  count: number | null
  colourIds: string[]
  /** Bag numbers and tips that it holds. */
  bags: number[]
  tipIds: string[]
  nail: boolean
  mixer: boolean
  /** How long the mixer goes on by itself. */
  whips: number
  after: After[]
  /** Where what it makes stands until another activity fetches it, and on how many trays; null where it stays on its piece. */
  keeps: { store: Store; trays: number; until: string } | null
}

/** An activity with nothing in it yet. */
export const activity = (
  own: Pick<Activity, 'id' | 'kind' | 'what' | 'where' | 'minutes'> & Partial<Activity>,
): Activity => ({
  ...{ pipes: false, stiff: false, pieceId: null, flowerId: null, count: null, colourIds: [], bags: [] },
  ...{ tipIds: [], nail: false, mixer: false, whips: 0, after: [], keeps: null },
  ...own,
})

/** Comes after others at once. */
export const after = (...ids: readonly string[]): After[] =>
  [...new Set(ids)].map((id) => ({ id, lag: 0, wait: null }))
