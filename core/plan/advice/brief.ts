import { allergenWords } from '../../common.ts'
import { type AdviceCheck, say } from './check.ts'

/** Allergens that must not be in it but are, and the standing cautions that follow from the icing. */
export const allergens: AdviceCheck = ({ at, base, otherBases }) =>
  [base, ...otherBases].flatMap((made) => {
    const clash = made.allergens.filter((a) => at.order.avoid.includes(a))
    const icing = at.icing(made.kind)
    const advice = clash.map((a) =>
      say(
        'allergen',
        'stop',
        { kind: 'icing', id: made.kind },
        `This order must be without ${allergenWords[a]}, and ${made.name} contains it. Choose another icing kind or another recipe. A kitchen that also works with it cannot promise none: follow your local rules.`,
      ),
    )
    if (icing.rawEgg)
      advice.push(
        say(
          'raw-egg',
          'decide',
          { kind: 'icing', id: made.kind },
          `${made.name} is made with raw egg white. Use pasteurised or dried egg white, and follow your local rules.`,
        ),
      )
    return advice
  })

/** An order with nothing to pipe. */
export const empty: AdviceCheck = ({ at, uses, setOns }) =>
  uses.length > 0 || setOns.length > 0
    ? []
    : [
        say(
          'nothing-yet',
          'note',
          { kind: 'order', id: at.order.id },
          'Nothing to pipe yet. Add a piece, then the flowers that go on it.',
        ),
      ]
