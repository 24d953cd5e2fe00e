import { overlapMm } from '../body.ts'
import { fullnessOf } from '../counts.ts'
import { schoolOf } from '../schools/index.ts'
import { hangsBadly, intoTierMm } from '../trouble.ts'
import { type Finding, type Judged, OVER_MM, standing, whereWords } from './finding.ts'

/** What stands into another by less is petals running into each other, mm. */
const INTO_MM = 0.5
/** And so far soft petals give way as they are set down, mm. */
const MATTERS_MM = 1

/** No layout of round things covers more of its ground than this, as the sum of their discs. */
const MOST_FULL = 1.05

export function crowded({ ground, bodies, kinds, layout }: Judged): Finding[] {
  const counts = kinds.map((kind, of) => ({ kind, count: bodies.filter((b) => b.of === of).length }))
  const full = fullnessOf(ground, counts)
  if (full <= MOST_FULL) return []
  const { label, fullness } = schoolOf(layout.schoolId)
  return [
    {
      key: 'crowded',
      severity: 'decide',
      words: `More than fits: these flowers would fill ${full.toFixed(1)} of what a ${label.toLowerCase()} has room for, so they stand in each other`,
      siteIds: [],
      spot: null,
      remedies: [{ kind: 'fit', label: 'As many as fit', fullness }],
    },
  ]
}

export function standsInto({ chart, bodies, nameOf, length }: Judged): Finding[] {
  const all = standing(bodies)
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Finding[] => {
      const mm = overlapMm(a, b)
      if (mm <= INTO_MM) return []
      const small = a.kind.r < b.kind.r ? a : b
      return [
        {
          key: `into ${[a.siteId, b.siteId].sort().join(' ')}`,
          severity: mm > MATTERS_MM ? 'decide' : 'note',
          words: `${nameOf(a.kind.placedId)} and ${nameOf(b.kind.placedId)} stand ${length(mm)} into each other, ${whereWords(chart, small, small.spot)}${mm > MATTERS_MM ? '' : ': petals give way so far'}`,
          siteIds: [a.siteId!, b.siteId!],
          spot: null,
          remedies: [
            { kind: 'giveWay', label: 'Let them give way', siteIds: [a.siteId!, b.siteId!] },
            {
              kind: 'takeOff',
              label: `Take the ${nameOf(small.kind.placedId).toLowerCase()} off`,
              siteId: small.siteId!,
            },
          ],
        },
      ]
    }),
  )
}

export function hangsOver({ chart, ground, bodies, nameOf, length }: Judged): Finding[] {
  return standing(bodies).flatMap((b): Finding[] => {
    // over the end of the piece, not over where the school would have it
    const over = b.kind.r * (1 - ground.area.overhang) - chart.insideMm(b.spot)
    if (over <= OVER_MM) return []
    return [
      {
        key: `over ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} hangs over by ${length(b.kind.r - chart.insideMm(b.spot))}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'moveIn', label: 'Move it in', siteId: b.siteId! }],
      },
    ]
  })
}

export function tooHeavy({ bodies, chart, nameOf }: Judged): Finding[] {
  return bodies.filter(hangsBadly).map(
    (b): Finding => ({
      key: `heavy ${b.siteId}`,
      severity: 'decide',
      words: `${nameOf(b.kind.placedId)} is too heavy or too high to hang there: ${whereWords(chart, b, b.spot)}`,
      siteIds: [b.siteId!],
      spot: null,
      remedies: [
        { kind: 'moveIn', label: 'Move it to where it holds', siteId: b.siteId! },
        { kind: 'takeOff', label: 'Take it off', siteId: b.siteId! },
      ],
    }),
  )
}

export function touchesTier({ chart, bodies, nameOf, length }: Judged): Finding[] {
  return standing(bodies).flatMap((b): Finding[] => {
    const mm = intoTierMm(chart, b)
    if (mm <= OVER_MM) return []
    return [
      {
        key: `tier ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} touches the tier above it by ${length(mm)}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'moveIn', label: 'Move it out', siteId: b.siteId! }],
      },
    ]
  })
}

export function touchesLid({ chart, bodies, lidMm, nameOf, length }: Judged): Finding[] {
  if (lidMm === null) return []
  const rim = Math.max(...chart.courses.filter((c) => c.id === 'top').map((c) => c.at(0).z))
  return standing(bodies).flatMap((b): Finding[] => {
    // it reaches up by its height as it leans, and by its rim
    const reach = b.z + b.kind.h * b.nz + b.kind.r * Math.sqrt(Math.max(0, 1 - b.nz * b.nz))
    const mm = reach - rim - lidMm
    if (mm <= OVER_MM) return []
    return [
      {
        key: `lid ${b.siteId}`,
        severity: 'decide',
        words: `${nameOf(b.kind.placedId)} touches the lid of the box by ${length(mm)}, ${whereWords(chart, b, b.spot)}`,
        siteIds: [b.siteId!],
        spot: null,
        remedies: [{ kind: 'takeOff', label: 'Take it off', siteId: b.siteId! }],
      },
    ]
  })
}
