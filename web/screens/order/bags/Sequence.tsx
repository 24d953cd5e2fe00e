import type { Plan, Use } from '#core/model/plan'
import { isStrewn, type SetOn } from '#core/model/setOn'
import { counted } from '#core/units'
import { Card } from '../../../parts/Card.tsx'
import css from './Bags.module.css'

type Step = Plan['sequence'][number]

/** The work in its order: what is spread and chilled, which flower or layer is piped with which bags, what is lifted on. */
export function Sequence(props: {
  plan: Plan
  pieces: ReadonlyMap<string, string>
  colours: ReadonlyMap<string, string>
  /** What is put on by the id of the thing. */
  things: ReadonlyMap<string, SetOn>
  /** The opened bag: its steps are pointed out. */
  bag: number
}) {
  const { plan, pieces, colours, things } = props
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const chained = plan.sequence.some((s) => s.colourId !== null)
  return (
    <Card
      title="Then work in this order"
      aside={
        chained
          ? `${counted(plan.sequence.length, 'step')}: a colour at a time, layer by layer over all nails`
          : `${counted(plan.sequence.length, 'step')}: flowers on nails one at a time, what is piped in place a stage at a time over the tray`
      }
    >
      <ol className={css.sequence}>
        {plan.sequence.map((step, i) => {
          const before = plan.sequence[i - 1]?.colourId
          const bowl = step.colourId !== null && step.colourId !== before ? colours.get(step.colourId) : null
          const { what, how } = wordsOf(
            step,
            step.useIds.map((id) => uses.get(id)!),
            step.setOnIds.flatMap((id) => putOnWords(plan, things, id)),
          )
          return (
            <li key={stepKey(step, i)} data-lit={step.bagNumbers.includes(props.bag) || undefined}>
              <span className="figure">{i + 1}</span>
              <span>
                {bowl && <span className={css.bowl}>{bowl} is in the bowl</span>}
                <strong>{what}</strong> {how}{' '}
                <span className="quiet">{step.pieceIds.map((id) => pieces.get(id)).join(', ')}</span>
              </span>
              <span>{step.bagNumbers.length > 0 && `bag ${[...new Set(step.bagNumbers)].join(', ')}`}</span>
            </li>
          )
        })}
      </ol>
      <p className="quiet">
        Chill until a finger leaves no mark; lift flowers when they are frozen, cold or dry enough to hold.
        Your icing and your food-safety plan decide how long.
      </p>
    </Card>
  )
}

function putOnWords(plan: Plan, things: ReadonlyMap<string, SetOn>, placedId: string): string[] {
  const put = plan.setOns.find((s) => s.placedId === placedId)
  const thing = put && things.get(put.setOnId)
  if (!put || !thing) return []
  const amount = isStrewn(thing.kind) ? `${Math.round(put.amount)} g of` : `${Math.ceil(put.amount)} ×`
  return [`${amount} ${thing.name.toLowerCase()}`]
}

/** A flower in batches has the same step again and again. */
const stepKey = (step: Step, i: number) =>
  `${step.kind} ${step.pieceIds.join()} ${step.useIds.join()} ${step.setOnIds.join()}${step.repeats > 1 ? ` ${i}` : ''}`

/** What is done to a layer with tools: at its own moment. */
const toolWords = (use: Use, when: (tool: Use['tools'][number]) => boolean): string[] =>
  use.tools.filter(when).map((t) => `${t.words.charAt(0).toLowerCase()}${t.words.slice(1)}`)

/** A layer within a line; what is written is quoted as it is typed. */
const layerWords = (use: Use) => (use.form === 'words' ? use.layerName : use.layerName.toLowerCase())

function wordsOf(step: Step, uses: readonly Use[], things: readonly string[]): { what: string; how: string } {
  const first = uses[0]
  if (step.kind === 'setOn') return { what: 'Put on', how: things.join(', ') }
  if (!first)
    return step.kind === 'dry'
      ? { what: 'Leave to dry', how: 'until the surface is firm' }
      : { what: 'Chill', how: 'until the coat is firm' }
  const name = first.flowerName
  if (step.kind === 'spread') return { what: name, how: first.layerName }
  if (step.kind === 'lift') return { what: 'Lift and place', how: `${first.flowers} × ${name.toLowerCase()}` }
  if (step.kind === 'work')
    return {
      what: name,
      how: uses
        .map((u) => ({ layer: u.layerName, words: toolWords(u, (t) => !t.fresh) }))
        .filter(({ words }) => words.length > 0)
        .map(({ layer, words }) => `${layer.toLowerCase()}: ${words.join(', ')}`)
        .join('; '),
    }
  const layers = uses.map((u) => [layerWords(u), ...toolWords(u, (t) => t.fresh)].join(': ')).join(', ')
  const fresh = uses.flatMap((u) =>
    u.tools.some((t) => t.fresh)
      ? [`${u.layerName.toLowerCase()}: ${toolWords(u, (t) => t.fresh).join(', ')}`]
      : [],
  )
  if (first.setting !== 'nail') return { what: name, how: layers }
  if (first.batch > 1) return { what: name, how: `${layers}, × ${step.repeats} on nails` }
  return step.repeats > 1
    ? { what: name, how: [`× ${step.repeats} on nails`, ...fresh].join('; ') }
    : { what: name, how: `${layers}, on all nails` }
}
