import type { TermId } from '#core/glossary/terms'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { Card, Stat, Stats } from '../../../parts/Card.tsx'
import { useParts } from '../../../parts/weight.tsx'
import { BaseCard } from './BaseCard.tsx'
import { BowlTable } from './BowlTable.tsx'
import css from './Icing.module.css'

/** Names that explain themselves. */
const terms: Partial<Record<string, TermId>> = {
  'spares and spoiled': 'spoiled',
  'against running short': 'reserve',
  'stays in bags': 'staysInBags',
}

/** How much of what to make: base and ingredients, why so much, and the bowls in figures. */
export function Amounts() {
  const { order, plan, before } = useOrderEditor()
  const parts = useParts()
  if (!plan) return null
  const { totals, reserve, residues } = plan
  const carried = plan.batches.reduce((sum, b) => sum + b.carriedGrams, 0)
  const whys: [string, number][] = [
    ['lands on the pieces', totals.pipedGrams],
    ['spares and spoiled', reserve.spoiled],
    ['practice', reserve.practice],
    ['against running short', reserve.margin],
    ['stays in bags', residues.bags + residues.topUps],
    ['stays in bowls, rounding', residues.bowls + residues.rounding],
    // one bowl through its colours: what is left of one is mixed only once
    ...(carried > 0 ? [['of that, goes on into the next bowl', -carried] as [string, number]] : []),
  ]
  const shown = parts(whys.map(([, grams]) => grams))
  return (
    <div className={css.page}>
      <div className={css.columns}>
        {[plan.base, ...plan.otherBases]
          .filter((base) => base.grams > 0)
          .map((base) => (
            <BaseCard key={base.kind} base={base} />
          ))}
        <Card title="What is mixed, and why">
          <Stats>
            {whys.map(([name], i) => (
              <Stat key={name} name={terms[name] ? <Term id={terms[name]}>{name}</Term> : name}>
                {shown.parts[i]}
              </Stat>
            ))}
            <Stat name="mixed in all">{shown.total}</Stat>
          </Stats>
        </Card>
      </div>
      <Card>
        <BowlTable plan={plan} before={before} csvHref={`/api/orders/${order.id}/plan/batches.csv`} />
      </Card>
    </div>
  )
}
