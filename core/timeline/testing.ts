import type { Order } from '../model/order.ts'
import type { PlanFigures, Use } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import type { TimedTask, Timetable } from './timetable.ts'

const minute = (at: string) => Date.parse(`${at}Z`) / 60_000

/**
 * What is wrong with the timetable of some orders, read from the orders, their plans and the bars alone: nothing that makes timetables
 * is used, every rule of the bench is written down here once more.
 */
export function wrongOnBench(
  planned: readonly { order: Order; plan: PlanFigures }[],
  workshop: Workshop,
  table: Timetable,
): string[] {
  const { day } = workshop.settings
  const wrong: string[] = []
  const say = (bad: boolean, words: string) => bad && wrong.push(words)
  const name = (t: TimedTask) =>
    `${t.orderId}: ${t.id} at ${new Date(t.from * 60_000).toISOString().slice(5, 16)}`

  // hands: one thing at a time, in open hours, and only those that pipe pipe
  day.hands.forEach((hand, h) => {
    const own = table.tasks.filter((t) => t.hand === h).sort((a, b) => a.from - b.from)
    own.forEach((t, i) => {
      say(i > 0 && own[i - 1]!.to > t.from, `${name(t)} overlaps ${own[i - 1]?.id}`)
      say(t.kind === 'pipe' && !hand.pipes, `${name(t)} is piped by ${hand.name}`)
    })
  })
  for (const t of table.tasks) {
    const date = new Date(t.from * 60_000)
    const hours = day.week[(date.getUTCDay() + 6) % 7]
    const since = date.getUTCHours() * 60 + date.getUTCMinutes()
    say(
      !hours || since < hours.from || since + t.to - t.from > hours.to,
      `${name(t)} is outside opening hours`,
    )
    say(t.to <= t.from, `${name(t)} takes no time`)
  }

  // tips: never more in use than there are
  const tipsOf = new Map<string, { from: number; to: number }[]>()
  for (const { order, plan } of planned) {
    for (const t of table.tasks.filter((x) => x.orderId === order.id && x.kind === 'pipe')) {
      // with one bowl, the layers of a flower are piped as their colours come
      const inHand = new Set(plan.bags.filter((b) => t.bags.includes(b.number)).flatMap((b) => b.useIds))
      const own = usesOf(t, plan.uses).filter((u) => inHand.has(u.id))
      for (const tip of new Set(own.map((u) => u.tipId)))
        if (tip !== null) tipsOf.set(tip, [...(tipsOf.get(tip) ?? []), t])
    }
  }
  for (const [id, spans] of tipsOf) {
    const tip = workshop.tips.find((t) => t.id === id)!
    if (tip.base === 'none') continue
    for (const s of spans) {
      const at = spans.filter((o) => o.from <= s.from && o.to > s.from).length
      say(at > Math.max(1, tip.owned), `tip ${id} is in use ${at} times at once`)
    }
  }

  for (const { order, plan } of planned) {
    const own = table.tasks.filter((t) => t.orderId === order.id)
    const due = minute(order.collectAt) - day.marginMinutes
    const of = (kind: TimedTask['kind'], is: (t: TimedTask) => boolean = () => true) =>
      own.filter((t) => t.kind === kind && is(t))
    const begins = (list: readonly TimedTask[]) => Math.min(...list.map((t) => t.from))
    const ends = (list: readonly TimedTask[]) => Math.max(...list.map((t) => t.to))
    const follows = (later: readonly TimedTask[], sooner: readonly TimedTask[], by: number, words: string) =>
      say(
        later.length > 0 && sooner.length > 0 && begins(later) < ends(sooner) + by - 1e-9,
        `${order.id}: ${words}: ${begins(later)} after ${ends(sooner)} and ${by}`,
      )
    for (const t of own) say(t.to > due, `${name(t)} ends after it is due`)

    // bags: filled before they are used, one use at a time
    for (const bag of plan.bags) {
      const used = of('pipe', (t) => t.bags.includes(bag.number))
      const filled = of('fill', (t) => t.bags.includes(bag.number))
      say(filled.length === 0, `${order.id}: bag ${bag.number} is never filled`)
      say(used.length === 0, `${order.id}: bag ${bag.number} is never used`)
      follows(used, filled, 0, `bag ${bag.number} is used before it is filled`)
      const sorted = [...used].sort((a, b) => a.from - b.from)
      for (const [i, t] of sorted.entries())
        say(i > 0 && sorted[i - 1]!.to > t.from, `${name(t)}: bag ${bag.number} is in use`)
      // the bowl may be another order's that has the same colour
      for (const { colourId } of bag.load) {
        const hex = plan.colours.find((c) => c.id === colourId)!.hex
        const bowls = bowlsOf(table, planned, order.id, colourId, hex, bag.icingKindId)
        say(bowls.length === 0, `${order.id}: nobody mixes ${colourId}`)
        say(
          !bowls.some((b) => b.to <= begins(filled)),
          `${order.id}: bag ${bag.number} is filled before its bowl`,
        )
      }
    }
    for (const base of [plan.base, ...plan.otherBases]) {
      const made = of('base', (t) => t.id.split(' ')[1] === base.kind)
      say(made.length !== base.makes.length, `${order.id}: ${made.length} makes of ${base.makes.length}`)
      follows(
        of('mix', (t) => t.id.split(' ')[1] === base.kind),
        made,
        day.whipMinutes,
        'mixed before the base is whipped',
      )
    }

    for (const piece of order.pieces) {
      const on = (t: TimedTask) => t.pieceId === piece.id
      const icing = workshop.icings.find((i) => i.id === (piece.icingKindId ?? order.icingKindId))!
      const cold = icing.can.freeze
      const uses = plan.uses.filter((u) => u.pieceId === piece.id)
      const piped = (is: (u: Use) => boolean) =>
        of('pipe', (t) => on(t) && usesOf(t, uses).some((u) => u.setting !== 'nail' && is(u)))
      const spread = (what: string) => of('spread', (t) => on(t) && t.id.split('#')[0]!.trim().endsWith(what))
      const [crumb, coat] = [spread('crumb-coat'), spread(' coat')]
      const lifted = of('lift', on)
      const stages = [
        piped((u) => u.form === 'border' || u.form === 'vine'),
        piped((u) => u.form === 'flower'),
        lifted,
        piped((u) => u.form === 'leaf'),
        piped((u) => u.form === 'words'),
      ]
      const sets = icing.times?.coatMinutes ?? (cold ? 30 : icing.can.dryHard ? 120 : 20)
      follows(coat, crumb, sets, `${piece.id} is coated on a crumb coat that has not set`)
      const isCake = piece.shape.kind === 'cake'
      for (const [i, stage] of stages.entries()) {
        follows(stage, coat, isCake ? sets : 0, `${piece.id}: stage ${i} on a coat that has not set`)
        for (const [k, earlier] of stages.entries())
          if (k < i) follows(stage, earlier, 0, `${piece.id}: stage ${i} before stage ${k}`)
      }
      const boxed = of('box', on)
      follows(boxed, [...stages.flat(), ...of('setOn', on)], 0, `${piece.id} is boxed too soon`)
      follows(stages.flat(), of('stack', on), 0, `${piece.id} is piped on before it is stacked`)

      // flowers from nails: firm before they are lifted
      for (const placed of piece.flowers) {
        const lift = of(
          'lift',
          (t) => on(t) && t.id.split('#')[0]!.trim() === `lift ${piece.id} ${placed.id}`,
        )
        const nails = of('pipe', (t) => on(t) && usesOf(t, uses).some((u) => u.placedId === placed.id))
        if (uses.some((u) => u.placedId === placed.id && u.setting === 'nail')) {
          say(lift.length === 0, `${order.id}: ${placed.id} is never lifted`)
          const [small, large] = cold ? [20, 60] : icing.can.dryHard ? [480, 900] : [30, 60]
          const wide = placed.sizeMm
          const least =
            wide === null
              ? small
              : wide >= 55
                ? large
                : wide <= 25
                  ? small
                  : small + ((wide - 25) / 30) * (large - small)
          if (icing.times === null)
            follows(lift, nails, Math.floor(least), `${piece.id}: ${placed.id} is lifted before it is firm`)
        } else say(lift.length > 0, `${order.id}: ${placed.id} is lifted and never was on a nail`)
      }
    }
    // every use is piped or spread somewhere
    for (const use of plan.uses)
      say(
        !own.some((t) => (t.kind === 'pipe' || t.kind === 'spread') && usesOf(t, [use]).length > 0),
        `${order.id}: ${use.id} is never done`,
      )
  }
  return wrong
}

/** Uses that a bar is about, by its name: what is piped of one flower on one piece, or spread on it. */
function usesOf(task: TimedTask, uses: readonly Use[]): Use[] {
  const [kind, pieceId, thing] = task.id.split('#')[0]!.trim().split(' ')
  return uses.filter((u) => {
    if (u.pieceId !== pieceId) return false
    if (kind === 'spread') {
      const layer = u.id.slice(pieceId.length + 1).split('.')[0]
      return (
        u.form === 'coat' &&
        (thing === 'coat' ? layer !== 'filling' && layer !== 'crumb-coat' : layer === thing)
      )
    }
    return kind === 'pipe' && u.form !== 'coat' && (u.placedId ?? u.form) === thing
  })
}

function bowlsOf(
  table: Timetable,
  planned: readonly { order: Order; plan: PlanFigures }[],
  orderId: string,
  colourId: string,
  hex: string,
  kindId: string,
): TimedTask[] {
  return table.tasks.filter((t) => {
    if (t.kind !== 'mix' || t.id.split(' ')[1] !== kindId) return false
    if (t.orderId === orderId) return t.colourIds[0] === colourId
    const plan = planned.find((p) => p.order.id === t.orderId)?.plan
    const other = plan?.colours.find((c) => c.id === t.colourIds[0])
    return other !== undefined && near(other.hex, hex)
  })
}

/** Hardly any difference in any channel: far within what counts as one bowl. */
const near = (a: string, b: string) =>
  [1, 3, 5].every(
    (i) => Math.abs(Number.parseInt(a.slice(i, i + 2), 16) - Number.parseInt(b.slice(i, i + 2), 16)) <= 6,
  )
