import type { Plan } from '#core/model/plan'
import { counted } from '#core/units'
import { Card } from '../../../parts/Card.tsx'
import css from './Bags.module.css'

/** Piping in the order of work: which flower or stage, with which bags in turn. */
export function Sequence({ plan, pieces }: { plan: Plan; pieces: ReadonlyMap<string, string> }) {
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  return (
    <Card
      title="Then pipe in this order"
      aside={`${counted(plan.sequence.length, 'step')}: flowers on nails one at a time, what is piped in place a stage at a time over the tray`}
    >
      <ol className={css.sequence}>
        {plan.sequence.map((step, i) => {
          const first = uses.get(step.useIds[0]!)!
          const layers = step.useIds.map((id) => uses.get(id)!.layerName.toLowerCase())
          return (
            <li key={step.useIds.join()}>
              <span className="figure">{i + 1}</span>
              <span>
                <strong>{first.flowerName}</strong>{' '}
                {step.repeats > 1 ? `× ${step.repeats} on nails` : layers.join(', ')}
                <br />
                <span className="quiet">{pieces.get(first.pieceId)}</span>
              </span>
              <span>bag {[...new Set(step.bagNumbers)].join(', ')}</span>
            </li>
          )
        })}
      </ol>
    </Card>
  )
}
