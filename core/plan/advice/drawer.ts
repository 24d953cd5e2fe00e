import { effectWords, standInEffect } from '../../flowers/standInEffect.ts'
import { describeOpening, shortOpening } from '../../tips/index.ts'
import { standIns } from '../../tips/standIns.ts'
import { counted } from '../../units.ts'
import { type AdviceCheck, say } from './check.ts'

/** Flowers whose change is spelled out; more would bury the advice. */
const MOST_NAMED = 3

/** Tips that the order needs and the drawer does not have, with the nearest that it has. */
export const missingTips: AdviceCheck = ({ at, bags, placements }) =>
  [...new Set(bags.flatMap((b) => b.tipIds))]
    .map((id) => at.tip(id))
    .filter((tip) => tip.base !== 'none' && tip.owned === 0)
    .map((tip) => {
      const owned = at.workshop.tips.filter((t) => t.owned > 0 && t.id !== tip.id)
      const best = standIns(tip.opening, owned)[0]
      const affected = placements.filter((p) => p.fitted.layers.some((l) => l.tip.id === tip.id))
      const effects = best
        ? [...new Map(affected.map((p) => [p.flower.id, p])).values()].slice(0, MOST_NAMED).map((p) => {
            const effect = standInEffect(p.flower, p.placed, at.workshop.tips, tip.id, best)
            return `${p.flower.name}: ${effectWords(effect, tip, best)}`
          })
        : []
      return say(
        'tip-not-owned',
        'decide',
        { kind: 'tip', id: tip.id },
        `The drawer has no ${describeOpening(tip.opening)}.${best ? ` Nearest is ${describeOpening(best.opening)}. ${effects.join('. ')}.` : ' Nothing in it can stand in: buy one, or change the flower.'}`,
        best
          ? {
              label: `Use ${shortOpening(best.opening)}`,
              change: { kind: 'useTip', fromTipId: tip.id, toTipId: best.id },
            }
          : null,
      )
    })

/** Tips that go from one bag to another: washed between, or owned twice. */
export const sharedTips: AdviceCheck = ({ at, bags, conflicts }) =>
  [...new Set(bags.flatMap((b) => b.tipIds))].flatMap((id) => {
    const tip = at.tip(id)
    const wanting = bags.filter((b) => b.tipIds.includes(id) && b.reuses === null)
    const clash = conflicts.some((c) => c.tipId === id)
    if (clash || tip.base === 'none' || tip.owned === 0 || wanting.length <= tip.owned) return []
    const numbers = wanting.map((b) => b.number).join(', ')
    return [
      say(
        'tip-on-several-bags',
        'note',
        { kind: 'tip', id },
        `Bags ${numbers} all want the ${shortOpening(tip.opening)} tip, and there ${tip.owned === 1 ? 'is one' : `are ${tip.owned}`}. The order of work has it washed from bag to bag; with ${wanting.length} of them nothing is washed.`,
      ),
    ]
  })

/** A tip wanted on two bags at once, with no way round it: which limit binds, and what would lift it. */
export const tipConflicts: AdviceCheck = ({ at, bags, conflicts }) =>
  conflicts.map(({ tipId, bagNumbers }) => {
    const tip = at.tip(tipId)
    const others = at.workshop.tips.filter((t) => t.owned > 0 && t.id !== tipId && t.base !== 'none')
    const nearest = standIns(tip.opening, others)
    const best = nearest[0]
    // one that would be wanted twice at once in its turn is no way out
    const enough = nearest.find((t) => t.owned >= bagNumbers.length)
    const { couplersStandard, couplersLarge } = at.workshop.settings
    const fits = tip.base === 'large' ? 'large' : 'standard'
    const used = bags.filter((b) => b.coupler === fits).length
    const full = used >= (fits === 'large' ? couplersLarge : couplersStandard)
    const ways = [
      `buy another ${shortOpening(tip.opening)}`,
      full ? `buy another ${fits} coupler, so that the tip can leave a bag that is not empty` : null,
      best ? `pipe one of them with ${shortOpening(best.opening)}, chosen among that flower's tips` : null,
      'give both the same colour',
    ].filter(Boolean)
    return say(
      'tip-wanted-at-once',
      'stop',
      { kind: 'tip', id: tipId },
      `Bags ${bagNumbers.join(', ')} want the ${shortOpening(tip.opening)} tip at the same time, and there ${tip.owned > 1 ? `are ${tip.owned}` : 'is one'}. Either ${ways.join('; or ')}.`,
      enough
        ? {
            label: `Use ${shortOpening(enough.opening)} throughout`,
            change: { kind: 'useTip', fromTipId: tipId, toTipId: enough.id },
          }
        : null,
    )
  })

/** More couplers or bags than the bakery owns. */
export const shortStock: AdviceCheck = ({ supplies, bags }) => [
  ...supplies
    .filter((s) => (s.kind === 'coupler' || s.kind === 'bag') && s.short > 0)
    .map((s) =>
      say(
        s.kind === 'coupler' ? 'couplers-short' : 'bags-short',
        'decide',
        { kind: 'drawer', id: s.id },
        `${s.name}: ${s.needed} needed, ${s.owned} in the drawer. ${s.kind === 'coupler' ? 'Wash one between bags, or buy' : 'Buy'} ${counted(s.short, 'more', 'more')}.`,
      ),
    ),
  ...bags
    .filter((b) => b.bagStockId === null)
    .map((b) =>
      say(
        'no-bag',
        'stop',
        { kind: 'bag', id: String(b.number) },
        `Nothing in the drawer can hold bag ${b.number}. Add a bag (30 cm or longer for a large tip), or a parchment cone for a cut opening.`,
      ),
    ),
]

/** Opening area under which stiff icing hurts the hand, mm². */
const NARROW_MM2 = 2

/** Stiff icing through a narrow opening. */
export const handStrain: AdviceCheck = ({ at, bags }) =>
  bags.flatMap((bag) => {
    if (bag.stiffness !== 'stiff') return []
    return bag.tipIds
      .map((id) => at.tip(id))
      .filter((tip) => tip.opening.family === 'round' || tip.opening.family === 'cutBag')
      .filter((tip) => (Math.PI / 4) * (tip.opening as { diameterMm: number }).diameterMm ** 2 < NARROW_MM2)
      .map((tip) =>
        say(
          'hand-strain',
          'note',
          { kind: 'bag', id: String(bag.number) },
          `Bag ${bag.number} pushes stiff icing through ${shortOpening(tip.opening)}: hard on the hand, and it breaks. Mix it soft, fill small bags, rest often.`,
        ),
      )
  })
