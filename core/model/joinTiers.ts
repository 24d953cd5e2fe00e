import { dequal as equal } from 'dequal/lite'

type Fields = Record<string, unknown>
interface OldTier extends Fields {
  shape: { kind: 'tier'; diameterMm: number; heightMm: number; coveredMm: number } & Fields
  flowers: Fields[]
}

/** A tier was meant to stand on another within this, mm. */
const SAME_MM = 0.5
/** What one piece holds; more is left as cakes of their own. */
const MOST_FLOWERS = 80
const MOST_TIERS = 8

const isFields = (value: unknown): value is Fields =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
const isTier = (piece: unknown): piece is Fields & { shape: Fields } =>
  isFields(piece) && isFields(piece.shape) && piece.shape.kind === 'tier'

/**
 * Brings an order from the time when every tier was a piece by itself up to now: a tier that said how wide the one above it
 * is, and that one, are one cake. Grams stay: each tier keeps its own coats and flowers. Anything else passes through.
 */
export function joinTiers(stored: unknown): unknown {
  if (!isFields(stored) || !Array.isArray(stored.pieces) || !stored.pieces.some(isTier)) return stored
  const tiers = stored.pieces.filter(isWhole)
  const above = stacked(tiers)
  const carried = new Set(above.values())
  const pieces = stored.pieces.flatMap((piece: unknown) => {
    if (!isTier(piece)) return [piece]
    if (!isWhole(piece)) return [alone(piece)]
    return carried.has(piece) ? [] : [joined(piece, above)]
  })
  return { ...stored, pieces }
}

/** A tier that can be read; a broken one is left to the schema, to say what is wrong with it. */
function isWhole(piece: unknown): piece is OldTier {
  if (!isTier(piece)) return false
  const { diameterMm, heightMm, coveredMm = 0 } = piece.shape
  return (
    [diameterMm, heightMm, coveredMm].every((mm) => typeof mm === 'number') &&
    (piece.flowers === undefined || (Array.isArray(piece.flowers) && piece.flowers.every(isFields)))
  )
}

/** Which tier stands on which. */
function stacked(tiers: readonly OldTier[]): Map<OldTier, OldTier> {
  const above = new Map<OldTier, OldTier>()
  const taken = new Set<OldTier>()
  for (const lower of tiers) {
    const wanted = lower.shape.coveredMm ?? 0
    if (wanted === 0) continue
    const upper = tiers.find(
      (t) =>
        t !== lower &&
        !taken.has(t) &&
        t.count === lower.count &&
        (t.icingKindId ?? null) === (lower.icingKindId ?? null) &&
        t.shape.diameterMm < lower.shape.diameterMm &&
        Math.abs(t.shape.diameterMm - wanted) <= SAME_MM,
    )
    if (!upper) continue
    above.set(lower, upper)
    taken.add(upper)
  }
  // what would not go into one piece stays apart
  for (const lowest of tiers.filter((t) => !taken.has(t))) {
    const stack = upFrom(lowest, above)
    const flowers = stack.reduce((sum, t) => sum + (t.flowers?.length ?? 0), 0)
    if (stack.length > MOST_TIERS || flowers > MOST_FLOWERS) for (const t of stack) above.delete(t)
  }
  return above
}

function upFrom(lowest: OldTier, above: ReadonlyMap<OldTier, OldTier>): OldTier[] {
  const stack = [lowest]
  for (let next = above.get(lowest); next; next = above.get(next)) stack.push(next)
  return stack
}

const asTier = ({ diameterMm, heightMm }: Fields) => ({ diameterMm, heightMm })

function alone(piece: Fields & { shape: Fields }): Fields {
  const { coveredMm = 0 } = piece.shape
  return { ...piece, shape: { kind: 'cake', tiers: [asTier(piece.shape)], coveredMm } }
}

const counts: Record<number, string> = { 2: 'Two-tier cake', 3: 'Three-tier cake' }
const spreadsOf = ({ crumbCoat = null, coat = null, filling = null }: Fields) => ({
  crumbCoat,
  coat,
  filling,
})

function joined(lowest: OldTier, above: ReadonlyMap<OldTier, OldTier>): Fields {
  const stack = upFrom(lowest, above)
  if (stack.length === 1) return alone(lowest)
  const own = stack.flatMap((t, tier) =>
    equal(spreadsOf(t), spreadsOf(lowest)) ? [] : [{ tier, ...spreadsOf(t) }],
  )
  const ids = new Set<unknown>()
  const flowers = stack.flatMap((t, tier) =>
    (t.flowers ?? []).map((flower) => {
      let { id } = flower
      for (let n = tier; ids.has(id); n++) id = `${flower.id}-${n}`.slice(-64)
      ids.add(id)
      return { ...flower, id, placement: onTier(flower.placement, tier) }
    }),
  )
  return {
    ...lowest,
    name: counts[stack.length] ?? `Cake of ${stack.length} tiers`,
    shape: {
      kind: 'cake',
      tiers: stack.map((t) => asTier(t.shape)),
      coveredMm: stack.at(-1)!.shape.coveredMm ?? 0,
    },
    ownTiers: own,
    flowers,
  }
}

const onTier = (placement: unknown, tier: number) =>
  isFields(placement) && placement.kind === 'border' ? { ...placement, tier } : placement

/** In words, which cakes of an order that was read were tiers by themselves in what it was read from. */
export function joinedWords(
  read: unknown,
  pieces: readonly { name: string; shape: { kind: string; tiers?: readonly unknown[] } }[],
): string[] {
  if (!isFields(read) || !Array.isArray(read.pieces) || !read.pieces.some(isTier)) return []
  return pieces.flatMap(({ name, shape }) =>
    (shape.tiers?.length ?? 0) > 1
      ? [
          `“${name}” came in as one cake: in the file its ${shape.tiers!.length} tiers were pieces by themselves. Each keeps its coats and flowers; what a tier covers is coated as your settings say.`,
        ]
      : [],
  )
}
