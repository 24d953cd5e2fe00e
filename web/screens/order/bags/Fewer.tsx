import { Button } from '@mantine/core'
import { useState } from 'react'
import { applied, type FewerChoice, type FewerMove, type Takes } from '#core/plan/fewer/offer'
import { DECIDE_MINUTES } from '#core/plan/fewer/saving'
import { lookWords } from '#core/plan/look/kept'
import { formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { Card } from '../../../parts/Card.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useFewer } from '../../../workers/bags.ts'
import css from './Fewer.module.css'
import { FewerMoves } from './FewerMoves.tsx'
import { OtherWays } from './OtherWays.tsx'

/**
 * Fewer bags, tips and bowls by piping layers through openings and at stiffnesses that others use already; or otherwise: in
 * batches of squares, what nobody sees in one icing, what would be worth buying.
 */
export function Fewer({ ways }: { ways: 'fewer' | 'otherwise' }) {
  const { order, workshop, edit } = useOrderEditor()
  const weight = useWeight()
  const { offer, error } = useFewer(order, workshop)
  const [chosenId, setChosenId] = useState<FewerChoice['id'] | null>(null)
  const take = (label: string, changes: FewerMove['changes']) => edit(label, (o) => applied(o, changes))
  if (error)
    return (
      <Card title="Fewer bags and tips">
        <p role="alert">They could not be looked for: {error.message}</p>
      </Card>
    )
  if (!offer)
    return (
      <Card title="Fewer bags and tips" aside="looking whether layers could share an opening or a bowl">
        <p className="quiet">A few seconds for a large order; go on meanwhile.</p>
      </Card>
    )
  if (ways === 'otherwise')
    return (
      <Card title="Otherwise" aside="batches of squares, what nobody sees, what is worth buying">
        {offer.batches.length === 0 && !offer.hidden && offer.buys.length === 0 && (
          <p className="quiet">Nothing of that would save anything here.</p>
        )}
        <OtherWays {...offer} />
      </Card>
    )
  const chosen = offer.choices.find((c) => c.id === chosenId) ?? offer.choices[0]
  if (!chosen)
    return (
      <Card title="Fewer bags and tips">
        <p className="quiet">
          No layer could share an opening or a bowl with another and still look as its recipe says.
        </p>
      </Card>
    )
  const saved = offer.before.minutes - chosen.after.minutes
  return (
    <Card
      title="Fewer bags and tips"
      aside="layers through openings and at stiffnesses that others of this order use already"
      actions={
        <Button variant="filled" onClick={() => take('fewer bags and tips', chosen.changes)}>
          Take all {chosen.moves.length}
        </Button>
      }
    >
      <p className={css.gain}>
        {saved >= DECIDE_MINUTES && <FlagMark />} <strong>{formatMinutes(saved)} fewer</strong> in hand.{' '}
        {sentence(lookWords(chosen.look))}
        {chosen.effect ? `; most changed: ${chosen.effect}.` : ': nothing is wider or takes other icing.'}
      </p>
      <table className={css.front}>
        <thead>
          <tr>
            <td />
            <th scope="col">Bags</th>
            <th scope="col">Tips</th>
            <th scope="col">
              <Term id="portion">Portions</Term>
            </th>
            <th scope="col">In hand</th>
            <th scope="col">Icing</th>
            <th scope="col">Look kept</th>
            <th scope="col">Least on one piece</th>
          </tr>
        </thead>
        <tbody>
          <Row
            name={order.mixing.school === 'separate' ? 'As it is' : 'As it is, each colour in its own bowl'}
            takes={offer.before}
            look={1}
            leastPiece={1}
          />
          {offer.choices.map((c) => (
            <Row key={c.id} name={bestWords(c)} takes={c.after} {...c} choice={c.id} />
          ))}
        </tbody>
      </table>
      <FewerMoves moves={chosen.moves} take={take} />
      <p className="quiet">
        A portion is a colour mixed to one stiffness. Each saves on top of those above it. Undo brings
        everything back; a tip or stiffness chosen here stays until you choose another.
      </p>
    </Card>
  )

  function Row(props: {
    name: string
    takes: Takes
    look: number
    leastPiece: number
    choice?: FewerChoice['id']
  }) {
    const { name, takes, look, leastPiece, choice } = props
    const picked = choice !== undefined && choice === chosen?.id
    return (
      <tr data-picked={picked || undefined}>
        <th scope="row">
          {choice && offer!.choices.length > 1 ? (
            <label className={css.pick}>
              <input type="radio" name="fewer-choice" checked={picked} onChange={() => setChosenId(choice)} />
              {name}
            </label>
          ) : (
            name
          )}
        </th>
        <td>{takes.bags}</td>
        <td>{takes.tips}</td>
        <td>{takes.portions}</td>
        <td>{formatMinutes(takes.minutes)}</td>
        <td>{weight(takes.grams)}</td>
        <td>{kept(look)}</td>
        <td>{kept(leastPiece)}</td>
      </tr>
    )
  }
}

const BEST = { bags: 'bags', minutes: 'minutes', tips: 'tips' } as const

/** "Fewest bags and minutes", "nearest look". */
function bestWords({ best }: FewerChoice): string {
  const fewest = best.flatMap((b) => (b === 'look' ? [] : [BEST[b]]))
  const parts = [
    fewest.length > 0 && `fewest ${fewest.join(', ').replace(/, ([^,]*)$/, ' and $1')}`,
    best.includes('look') && 'nearest look',
  ].filter(Boolean)
  return sentence(parts.length > 0 ? parts.join(', ') : 'in between')
}

const sentence = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1)

/** Never 100 % where something was changed. */
const kept = (look: number) =>
  look === 1 ? '100 %' : `${Math.min(99.9, Math.floor(1000 * look) / 10).toFixed(1)} %`
