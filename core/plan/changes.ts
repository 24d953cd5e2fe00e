import type { Use } from '../model/plan.ts'

/**
 * Tip changes on one bag that does all the given uses, in the order given.
 *
 * A flower finished on a nail takes its layers in turn, so two tips on one bag change within every flower; a
 * flower piped in place is done a stage at a time over the whole tray, so each change happens once.
 */
export function tipChanges(uses: readonly Use[]): number {
  let changes = 0
  let mounted: string | null = null
  for (const [, layers] of byPlacement(uses)) {
    const tips = layers.map((u) => u.tipId!)
    const within = tips.filter((tip, i) => i > 0 && tip !== tips[i - 1]).length
    const first = tips[0]!
    const last = tips[tips.length - 1]!
    const repeats = layers[0]!.setting === 'nail' ? flowersPiped(layers[0]!) : 1
    changes += repeats * within + (repeats - 1) * (last === first ? 0 : 1)
    if (mounted !== null && mounted !== first) changes += 1
    mounted = last
  }
  return changes
}

/** Flowers really piped: wanted, spares and practice. */
export function flowersPiped(use: Use): number {
  return use.flowers + use.spares + use.practice
}

function byPlacement(uses: readonly Use[]): Map<string, Use[]> {
  const groups = new Map<string, Use[]>()
  for (const use of uses) {
    const key = `${use.pieceId}.${use.placedId}`
    groups.set(key, [...(groups.get(key) ?? []), use])
  }
  return groups
}
