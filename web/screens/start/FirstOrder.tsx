import { Button } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { LineRead } from '#core/line/meant'
import type { Workshop } from '#core/model/workshop'
import { LineBox } from '../../line/LineBox.tsx'
import { makeOrder } from '../../line/makeOrder.ts'
import { Card } from '../../parts/Card.tsx'
import { attempt } from '../../parts/notify.tsx'
import { localMoment } from '../../parts/time.ts'
import css from './Start.module.css'

/** What many a bakery makes first, as somebody would write it down. */
const POINTS = [
  ['A dozen cupcakes', '12 cupcakes: roses with leaves; blush, moss'],
  [
    'Cupcakes of three kinds',
    '24 cupcakes: 8 rosette with stamens, 8 daisies, 8 anemones with leaves; ivory, dusk, moss',
  ],
  [
    'A two-tier cake',
    'cake 22 and 15 cm, fall of peonies and rose buds and leaves, bead border; blush, pink, sage',
  ],
  ['Cookies', '24 cookies: half pansies half primroses; violet, lemon, moss'],
] as const

/** A first order from one of four points, or in one's own words. */
export function FirstOrder({ workshop, made }: { workshop: Workshop; made: () => void }) {
  const navigate = useNavigate()
  const [busy, setBusy] = useState(false)
  async function make(read: LineRead): Promise<boolean> {
    const order = await attempt(() => makeOrder(read, workshop))
    if (!order) return false
    made()
    navigate(`/orders/${order.id}/bags`)
    return true
  }
  async function begin(line: string) {
    setBusy(true)
    const { readLine, vocabularyOf } = await import('../../line/reader.ts')
    await make(readLine(line, vocabularyOf(workshop.flowers), localMoment(new Date())))
    setBusy(false)
  }
  return (
    <div className={css.stack}>
      <Card title="Begin with one of these" aside="all of it can be changed afterwards">
        <ul className={css.points}>
          {POINTS.map(([name, line]) => (
            <li key={name}>
              <strong>{name}</strong>
              <span className="quiet">{line}</span>
              <Button disabled={busy} onClick={() => void begin(line)}>
                {`Begin with ${name.charAt(0).toLowerCase()}${name.slice(1)}`}
              </Button>
            </li>
          ))}
        </ul>
      </Card>
      <LineBox
        label="Or in your own words"
        example="30 cupcakes: 12 roses, 18 ranunculus with leaves; Saturday 11:00; no nuts"
        act="Make it"
        done={make}
      />
    </div>
  )
}
