import type { Use } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import type { StrokeKind } from '../strokes/index.ts'
import { type DrillName, KINDS } from './drills.ts'
import { lastMarks } from './progress.ts'

/** The drill that trains what a stroke needs; nothing trains what is poured. */
const TRAINS: Record<StrokeKind, DrillName | null> = {
  ...{ mound: 'dots', dot: 'dots', drop: 'dots', dropStar: 'dots', beadTrail: 'beadTrail' },
  ...{ wrap: 'petals', petalArc: 'petals', fan: 'petals', wall: 'petals', disc: 'petals', funnel: 'petals' },
  ...{ ruffle: 'petals', outAndBack: 'petals', brushDrag: 'line', ribbon: 'sCurve' },
  ...{ scoop: 'leafRow', leafPull: 'leafRow', spike: 'leafRow', curvedSpike: 'vine', grass: 'leafRow' },
  ...{ rosette: 'rosette', shell: 'shells', beadTail: 'beadBorder', zigzag: 'zigzag' },
  ...{ vine: 'vine', comma: 'vine', line: 'line', flood: null },
}

/** A drill before an order, for how long and for the sake of what. */
export interface DrillBefore {
  drill: DrillName
  label: string
  minutes: number
  /** "48 × Hellebore", what there is most of. */
  sake: string
  /** Last marks; null where nobody has tried it. */
  marks: number | null
}

/** Together, and of one at least, minutes. */
const BEFORE_MINUTES = 10
const LEAST_MINUTES = 3
const DRILLS = 2
/** What nobody has tried yet is taken to have these marks. */
const UNTRIED = 50

/**
 * Which two drills do most for an order in ten minutes: its strokes by the drill that trains them, as the square root of their
 * number (a thousand dots do not need ten times the practice of ten petals), times what the hand still lacks there.
 * @param marksOf marks of a drill, oldest first.
 */
export function beforeOrder(
  uses: readonly Pick<
    Use,
    'flowerId' | 'layerId' | 'flowerName' | 'layerName' | 'form' | 'flowers' | 'strokes'
  >[],
  { flowers }: Pick<Workshop, 'flowers'>,
  marksOf: (drill: string) => readonly number[],
): DrillBefore[] {
  const needs = new Map<DrillName, { strokes: number; sakes: Map<string, number> }>()
  for (const use of uses) {
    const drill = trains(use, flowers)
    if (!drill) continue
    const need = needs.get(drill) ?? { strokes: 0, sakes: new Map<string, number>() }
    const count = Math.max(1, use.strokes)
    need.strokes += count
    const name = use.form === 'words' ? use.layerName : use.flowerName
    // a border and a word are one thing, however many pieces wear them
    need.sakes.set(
      name,
      Math.max(need.sakes.get(name) ?? 0, use.form === 'border' || use.form === 'words' ? 1 : use.flowers),
    )
    needs.set(drill, need)
  }
  const weighed = [...needs]
    .map(([drill, { strokes: count, sakes }]) => {
      const marks = lastMarks(marksOf(drill))
      const lacks = 100 - (marks ?? UNTRIED)
      const [name, flowersOf] = [...sakes].sort((a, b) => b[1] - a[1])[0]!
      return {
        drill,
        marks,
        weight: Math.sqrt(count) * lacks,
        sake: flowersOf > 1 ? `${flowersOf} × ${name}` : name,
      }
    })
    .sort((a, b) => b.weight - a.weight)
    .slice(0, DRILLS)
  const all = weighed.reduce((sum, w) => sum + w.weight, 0)
  if (all === 0) return []
  const first = Math.round((BEFORE_MINUTES * weighed[0]!.weight) / all)
  const most = weighed.length === 1 ? BEFORE_MINUTES : BEFORE_MINUTES - LEAST_MINUTES
  const minutes = Math.min(most, Math.max(LEAST_MINUTES, first))
  return weighed.map(({ drill, marks, sake }, i) => ({
    ...{ drill, marks, sake, label: KINDS[drill].label },
    minutes: i === 0 ? minutes : BEFORE_MINUTES - minutes,
  }))
}

function trains(
  { flowerId, layerId, form }: Pick<Use, 'flowerId' | 'layerId' | 'form'>,
  flowers: Workshop['flowers'],
): DrillName | null {
  if (form === 'words') return 'letters'
  if (form === 'coat') return null
  const kind = flowers.find((f) => f.id === flowerId)?.layers.find((l) => l.id === layerId)?.stroke.kind
  return kind ? TRAINS[kind] : null
}
