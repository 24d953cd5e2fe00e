import { settingOf } from '../icings/setting.ts'
import { timesOf } from '../icings/times.ts'
import type { Workshop } from '../model/workshop.ts'
import { counted, formatMinutes } from '../units.ts'
import { DAY_MINUTES, dayOf, momentOf } from './clock.ts'
import type { OrderWork } from './problem.ts'
import type { Solved } from './solve.ts'

/** Stiff piping of one pair of hands on one day from which wrists are strained, min. A usual figure, no limit of the law. */
const STRAIN_MINUTES = 180

/** What no timetable can take care of and somebody has to look to; local rules and the bakery's food-safety plan go before it. */
export function cautions(solved: Solved, works: readonly OrderWork[], workshop: Workshop): string[] {
  return [
    ...madeAhead(works),
    ...outOfCold(solved, workshop),
    ...onTheBench(solved, works, workshop),
    ...strain(solved),
    ...tooOld(solved, works, workshop),
  ]
}

/** What is put on and has to be made days before anything else begins. */
function madeAhead(works: readonly OrderWork[]): string[] {
  return works.flatMap(({ order, collect }) =>
    order.setOns
      .filter((s) => s.daysAhead > 0 && order.pieces.some((p) => p.setOns.some((on) => on.setOnId === s.id)))
      .map(
        (s) =>
          `${s.name} for ${order.title} is made by ${momentOf(collect - s.daysAhead * DAY_MINUTES).slice(0, 10)}, ${counted(s.daysAhead, 'day')} before collection.`,
      ),
  )
}

/** Flowers that take longer to place than they may be out of the cold. */
function outOfCold({ tasks }: Solved, workshop: Workshop): string[] {
  return tasks.flatMap(({ of, minutes, work }) => {
    if (of.kind !== 'lift') return []
    const piece = work.order.pieces.find((p) => p.id === of.pieceId)
    const icing = workshop.icings.find((i) => i.id === (piece?.icingKindId ?? work.order.icingKindId))
    if (!icing || settingOf(icing) === 'drying') return []
    const { outMinutes } = timesOf(icing)
    if (minutes <= outMinutes) return []
    return [
      `${of.what} ${of.where} takes ${formatMinutes(minutes)}, and they may be out of the cold for ${formatMinutes(outMinutes)}: take them out a tray at a time, and do not freeze again what has become wet.`,
    ]
  })
}

/**
 * Pieces that are worked on for longer, without time to go back into the cold, than their icing stays good at the bench: as long as in
 * a bag.
 */
function onTheBench({ tasks, schedule }: Solved, works: readonly OrderWork[], workshop: Workshop): string[] {
  return works.flatMap((work) =>
    work.order.pieces.flatMap((piece) => {
      const icing = workshop.icings.find((i) => i.id === (piece.icingKindId ?? work.order.icingKindId))
      if (!icing || settingOf(icing) === 'drying') return []
      const { bagMinutes, coatMinutes } = timesOf(icing)
      const own = tasks
        .flatMap(({ of, work: its, minutes }, i) =>
          its === work && of.pieceId === piece.id && !of.nail && of.kind !== 'box'
            ? [{ from: schedule.start[i]!, to: schedule.start[i]! + minutes }]
            : [],
        )
        .sort((a, b) => a.from - b.from)
      let longest = 0
      let from = Number.NEGATIVE_INFINITY
      let to = Number.NEGATIVE_INFINITY
      for (const t of own) {
        if (t.from - to >= coatMinutes) from = t.from
        to = Math.max(to, t.to)
        longest = Math.max(longest, to - from)
      }
      if (longest <= bagMinutes) return []
      return [
        `${piece.name} is worked on for ${formatMinutes(longest)} without going back into the cold for ${formatMinutes(coatMinutes)}; its icing is good at the bench for ${formatMinutes(bagMinutes)}. Put it back in between.`,
      ]
    }),
  )
}

/** Hands that squeeze stiff icing for too long on one day. */
function strain({ tasks, schedule, day }: Solved): string[] {
  const sums = new Map<string, { hand: number; minutes: number }>()
  tasks.forEach(({ of, minutes }, i) => {
    if (!of.stiff) return
    const hand = schedule.hand[i]!
    const key = `${hand} ${dayOf(schedule.start[i]!)}`
    sums.set(key, { hand, minutes: (sums.get(key)?.minutes ?? 0) + minutes })
  })
  return [...sums.values()]
    .filter((s) => s.minutes > STRAIN_MINUTES)
    .map(
      (s) =>
        `${day.hands[s.hand]?.name} squeezes stiff icing for ${formatMinutes(s.minutes)} on one day. Smaller bags, softer icing or a second hand spare the wrist.`,
    )
}

/** Icing that would be older when it is fetched than it keeps in the cold. */
function tooOld({ tasks, schedule }: Solved, works: readonly OrderWork[], workshop: Workshop): string[] {
  return works.flatMap((work) => {
    const kinds = new Map<string, number>()
    tasks.forEach(({ of, work: own }, i) => {
      if (own !== work || of.kind !== 'mix') return
      const kindId = of.id.split(' ')[1]!
      kinds.set(kindId, Math.min(kinds.get(kindId) ?? Number.POSITIVE_INFINITY, schedule.start[i]!))
    })
    return [...kinds].flatMap(([kindId, from]) => {
      const icing = workshop.icings.find((i) => i.id === kindId)
      const days = (work.collect - from) / DAY_MINUTES
      if (!icing || days <= icing.holds.coldDays) return []
      return [
        `${icing.name} for ${work.order.title} is mixed ${Math.ceil(days)} days before it is fetched; it keeps for ${icing.holds.coldDays} in the cold.`,
      ]
    })
  })
}
