import { allergenWords } from '../../common.ts'
import type { Advice } from '../../model/plan.ts'
import { isStrewn, type SetOn, setOnWords } from '../../model/setOn.ts'
import { type AdviceCheck, say } from './check.ts'

/** What is put on: allergens, what is no food, what is small and hard, and what has to be made days before. */
export const putOn: AdviceCheck = ({ at, setOns }) =>
  at.order.setOns.flatMap((thing) => {
    const pieces = setOns.filter((s) => s.setOnId === thing.id)
    const amount = pieces.reduce((sum, p) => sum + p.amount, 0)
    if (amount === 0) return []
    const about: Advice['about'] = { kind: 'piece', id: pieces[0]!.pieceId }
    const quoted = thing.labelWords.trim() ? ` Its label says: “${thing.labelWords.trim()}”.` : ''
    return [
      ...thing.allergens
        .filter((a) => at.order.avoid.includes(a))
        .map((a) =>
          say(
            'set-on-allergen',
            'stop',
            about,
            `This order must be without ${allergenWords[a]}, and ${thing.name} contains it.${quoted} Leave it off or take another.`,
          ),
        ),
      ...foodOrNot(thing, amount, about, quoted),
      ...(thing.smallHard
        ? [
            say(
              'small-and-hard',
              'note',
              about,
              `${thing.name} is small and hard: a small child can choke on it, and teeth break on it. Tell whoever collects.`,
            ),
          ]
        : []),
      ...(thing.daysAhead > 0
        ? [
            say(
              'made-ahead',
              'note',
              about,
              `Make ${whole(amount)} × ${thing.name} by ${dayBefore(at.order.collectAt, thing.daysAhead)}: ${thing.daysAhead} ${thing.daysAhead === 1 ? 'day' : 'days'} before collection.`,
            ),
          ]
        : []),
    ]
  })

function foodOrNot(thing: SetOn, amount: number, about: Advice['about'], quoted: string): Advice[] {
  if (thing.edible === 'yes') return []
  if (thing.edible === 'unread')
    return [
      say(
        'label-unread',
        'decide',
        about,
        `Nobody has read the label of ${thing.name}. Only what is labelled edible goes on food; “non-toxic” is not the same.${quoted}`,
      ),
    ]
  // dust that is no food cannot be taken out again
  if (isStrewn(thing.kind) || thing.kind === 'painted')
    return [
      say(
        'not-edible',
        'stop',
        about,
        `${thing.name} is not food and cannot be taken off again.${quoted} Take ${setOnWords[thing.kind]} that is labelled edible.`,
      ),
    ]
  return [
    say(
      'not-edible',
      'decide',
      about,
      `${thing.name} is not food: count ${whole(amount)} on, put a barrier between it and the icing, and have them counted out before it is eaten.${quoted}`,
    ),
  ]
}

const whole = (amount: number) => Math.ceil(amount - 1e-9).toLocaleString('en')

/** "Thu 3 Dec", so many days before a moment. */
function dayBefore(collectAt: string, days: number): string {
  const day = new Date(`${collectAt.slice(0, 10)}T00:00:00Z`)
  day.setUTCDate(day.getUTCDate() - days)
  return day.toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  })
}
