import { Button } from '@mantine/core'
import { useState } from 'react'
import type { OneTipLess } from '#core/lighter/oneTip'
import { applied } from '#core/plan/fewer/offer'
import { shortOpening } from '#core/tips/index'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { OpeningDrawing } from '../../../drawings/OpeningDrawing.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useOneTip } from '../../../workers/lighter.ts'
import css from './Lighter.module.css'

/** Those that save most are shown at once. */
const FIRST = 3

/** Tips that the whole order could do without: what stands in, which bags go, what it does to the flowers. */
export function OneTip() {
  const { order, workshop, edit } = useOrderEditor()
  const found = useOneTip(order, workshop)
  const [all, setAll] = useState(false)
  if (!found) return null
  return (
    <Card
      title="One tip less"
      aside={
        found.length > 0
          ? 'a stand-in for every layer that uses it, from the tips that are on the table anyway'
          : 'no tip of this order has a stand-in for all its layers'
      }
    >
      <ul className={css.tips}>
        {(all ? found : found.slice(0, FIRST)).map((t) => (
          <TipRow
            key={t.tipId}
            tip={t}
            take={() => edit('one tip less', (o) => applied(o, t.changes))}
            workshop={workshop}
          />
        ))}
      </ul>
      {!all && found.length > FIRST && (
        <Button onClick={() => setAll(true)}>Show the other {found.length - FIRST}</Button>
      )}
    </Card>
  )
}

function TipRow(props: {
  tip: OneTipLess
  take: () => void
  workshop: ReturnType<typeof useOrderEditor>['workshop']
}) {
  const { tip, take, workshop } = props
  const weight = useWeight()
  const opening = (id: string) => workshop.tips.find((t) => t.id === id)!.opening
  const more =
    Math.abs(tip.grams) < 0.5 ? '' : `${weight(Math.abs(tip.grams))} ${tip.grams > 0 ? 'more' : 'less'} icing`
  const saved =
    Math.abs(tip.minutes) < 0.5
      ? 'as long'
      : `${formatMinutes(Math.abs(tip.minutes))} ${tip.minutes > 0 ? 'less' : 'more'}`
  return (
    <li>
      <span className={css.opening}>
        <OpeningDrawing opening={opening(tip.tipId)} box={40} pxPerMm={1.6} id={`less-${tip.tipId}`} />
        <span aria-hidden="true">→</span>
        <OpeningDrawing opening={opening(tip.standIns[0]!)} box={40} pxPerMm={1.6} id={`for-${tip.tipId}`} />
      </span>
      <span>
        <strong>
          Without the {shortOpening(opening(tip.tipId))}:{' '}
          {tip.standIns.map((id) => shortOpening(opening(id))).join(', ')} for {counted(tip.layers, 'layer')}
        </strong>
        <br />
        <span className="quiet">
          {[
            saved,
            tip.bags > 0 ? `${counted(tip.bags, 'bag')} fewer` : '',
            more,
            `look ${tip.look.toFixed(2)}`,
            tip.effect,
          ]
            .filter(Boolean)
            .join(' · ')}
          {tip.bags > 0 && tip.bagsGone.length > 0 && ` · no more: ${tip.bagsGone.slice(0, 3).join('; ')}`}
        </span>
      </span>
      <Button size="compact-md" onClick={take}>
        Take this
      </Button>
    </li>
  )
}
