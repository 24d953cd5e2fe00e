import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { formatMinuteParts, formatMinutes } from '#core/units'
import { Card, Stat, Stats } from '../../../parts/Card.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Brief.module.css'

/** What an order comes to: icing, hands, flowers, money. */
export function ComesTo({ plan, workshop }: { plan: Plan; workshop: Workshop }) {
  const weight = useWeight()
  return (
    <Card title="What it comes to">
      <Stats>
        <Stat name="to mix" note={`${weight(plan.totals.pipedGrams)} lands on the pieces`}>
          {weight(plan.totals.mixedGrams)}
        </Stat>
        <Stat name="hands on the icing">{formatMinutes(plan.totals.handsOnMinutes)}</Stat>
        <Stat name="flowers">{plan.totals.flowers}</Stat>
        <Stat name="icing ingredients">
          {workshop.settings.currency} {plan.totals.cost.toFixed(2)}
        </Stat>
      </Stats>
      <p className={`${css.hands} quiet`}>
        Hands: {handsWords(plan)}. Preparing, boxing and washing up come on top: the timeline has them.
      </p>
    </Card>
  )
}

/** What the hands go into, the most first. */
function handsWords({ hands }: Plan): string {
  const { base, bowls, bags, kept, changes, coats, piping, nails } = hands
  const parts: [string, number][] = [
    ['base and bowls', base + bowls],
    ['bags and tips', bags + kept + changes],
    ['piping', piping],
    ['nails and lifting', nails],
    ['coats', coats],
  ]
  const most = parts.filter(([, minutes]) => minutes > 0).sort((a, b) => b[1] - a[1])
  const shown = formatMinuteParts(most.map(([, minutes]) => minutes))
  return most.flatMap(([what], i) => (shown[i] === '0 min' ? [] : [`${shown[i]} ${what}`])).join(', ')
}
