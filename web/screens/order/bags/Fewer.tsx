import { Button } from '@mantine/core'
import { applied, type FewerMove, type Takes } from '#core/plan/fewer/offer'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { OpeningDrawing } from '../../../drawings/OpeningDrawing.tsx'
import { FlagMark } from '../../../parts/AdviceList.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useFewer } from '../../../workers/bags.ts'
import css from './Bags.module.css'

/** A gain of so many minutes is something to decide, not a note. */
const DECIDE_MINUTES = 15

/** Fewer bags, tips and bowls by piping layers through openings and at stiffnesses that others use already. */
export function Fewer() {
  const { order, workshop, edit } = useOrderEditor()
  const weight = useWeight()
  const { offer, error } = useFewer(order, workshop)
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
  if (offer.moves.length === 0)
    return (
      <Card title="Fewer bags and tips">
        <p className="quiet">
          No layer could share an opening or a bowl with another and still look as its recipe says.
        </p>
      </Card>
    )
  const saved = offer.before.minutes - offer.after.minutes
  return (
    <Card
      title="Fewer bags and tips"
      aside="layers through openings and at stiffnesses that others of this order use already"
      actions={
        <Button variant="filled" onClick={() => take('fewer bags and tips', offer.changes)}>
          Take all {offer.moves.length}
        </Button>
      }
    >
      <p className={css.gain}>
        {saved >= DECIDE_MINUTES && <FlagMark />} <strong>{formatMinutes(saved)} fewer</strong> in hand:{' '}
        {fromTo(offer.before, offer.after, 'bags', 'bag')}, {fromTo(offer.before, offer.after, 'tips', 'tip')}
        , {fromTo(offer.before, offer.after, 'bowls', 'bowl')}; {weight(offer.after.grams)} of icing instead
        of {weight(offer.before.grams)}. No flower is more than {percent(offer.width)} wider or narrower, or
        takes more than {percent(offer.icing)} more or less icing.
      </p>
      <ol className={css.moves}>
        {offer.moves.map((move, i) => (
          <li key={JSON.stringify(move.changes)}>
            <span className={css.openings}>
              {move.fromTipIds.slice(0, 1).map((id) => (
                <Opening key={id} tipId={id} id={`fewer-from-${i}`} />
              ))}
              {move.toTipId && <span aria-hidden="true">→</span>}
              {move.toTipId && <Opening tipId={move.toTipId} id={`fewer-to-${i}`} />}
            </span>
            <span>
              <strong>{move.what}</strong>
              <br />
              <span className="quiet">{savesWords(move)}</span>
            </span>
            <Button size="compact-sm" onClick={() => take('a layer otherwise', move.changes)}>
              Take this
            </Button>
          </li>
        ))}
      </ol>
      <p className="quiet">
        Each saves on top of those above it. Undo brings everything back; a tip or stiffness chosen here stays
        until you choose another.
      </p>
    </Card>
  )

  function Opening({ tipId, id }: { tipId: string; id: string }) {
    const tip = workshop.tips.find((t) => t.id === tipId)
    return tip ? <OpeningDrawing opening={tip.opening} box={44} pxPerMm={3} id={id} /> : null
  }
}

const percent = (share: number) => `${Math.ceil(100 * share)} %`

const fromTo = (now: Takes, then: Takes, of: 'bags' | 'tips' | 'bowls', one: string) =>
  now[of] === then[of] ? counted(now[of], one) : `${now[of]} ${one}s become ${then[of]}`

function savesWords({ saves }: FewerMove): string {
  const parts = [
    saves.bags > 0 && counted(saves.bags, 'bag'),
    saves.tips > 0 && counted(saves.tips, 'tip'),
    saves.bowls > 0 && counted(saves.bowls, 'bowl'),
  ].filter((p) => p !== false)
  const minutes = saves.minutes >= 1 ? formatMinutes(saves.minutes) : 'under a minute'
  return parts.length > 0 ? `${parts.join(', ')} fewer; ${minutes}` : minutes
}
