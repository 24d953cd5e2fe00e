import type { PlanFigures, Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'

/**
 * Layers that a plan pipes before what they stand on, or works on with tools before they are piped, read from its order of work and the recipes alone: "piece, flower,
 * layer". An empty list for a plan that can be piped as it is written.
 */
export function brokenLayers(plan: PlanFigures, workshop: Workshop): string[] {
  const place = new Map<string, number>()
  const begun = new Map<string, number>()
  const lifted = new Map<string, number>()
  const worked = new Map<string, number>()
  plan.sequence.forEach((step, i) => {
    if (step.kind === 'lift') for (const id of step.useIds) lifted.set(id, i)
    else if (step.kind === 'work') for (const id of step.useIds) worked.set(id, i)
    // within a step, layers are piped as they are listed
    else
      for (const [k, id] of step.useIds.entries()) {
        place.set(id, i + k / 1000)
        if (!begun.has(id)) begun.set(id, i + k / 1000)
      }
  })
  return plan.uses.flatMap((use) => {
    const at = place.get(use.id)
    if (at === undefined) return [`${use.id}: left out`]
    // what an order adds to a recipe comes last
    const layers = (workshop.flowers.find((f) => f.id === use.flowerId)?.layers ?? []).map((l) => l.id)
    const placeIn = (u: Use) => {
      const i = layers.indexOf(u.layerId ?? '')
      return i < 0 ? layers.length : i
    }
    const below = plan.uses.filter(
      (u) =>
        u.pieceId === use.pieceId &&
        (u.form === 'coat' && use.form !== 'coat' && use.setting === 'inPlace'
          ? true
          : u.placedId !== null && u.placedId === use.placedId && placeIn(u) < placeIn(use)),
    )
    // in batches, a layer is begun before the last of those below is done, but not before the first
    const early = below.some((u) =>
      u.batch > 1 && u.placedId === use.placedId
        ? begun.get(u.id)! > begun.get(use.id)! || place.get(u.id)! > at
        : place.get(u.id)! > at,
    )
    const tooSoon = use.tools.some((t) => !t.fresh) && !((worked.get(use.id) ?? -1) > at)
    const neverOn = use.setting === 'nail' && !((lifted.get(use.id) ?? -1) > at)
    return early || tooSoon || neverOn ? [use.id] : []
  })
}
