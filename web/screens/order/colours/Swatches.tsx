import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { BowlAnswer } from '#core/colour/bowl'
import type { OrderColour } from '#core/model/order'
import { counted } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { ColourCard } from './ColourCard.tsx'
import css from './Colours.module.css'

/** What the offer to clear unused colours is known by once it was waved off. */
const KEEP_UNUSED = 'unused-colours order'

/** The order's palette as swatches: wished for, and what a hand is likely to get. */
export function Swatches(props: {
  colours: readonly OrderColour[]
  answers: readonly BowlAnswer[] | undefined
  chosen: OrderColour
  select: (id: string) => void
  add: () => void
}) {
  const { colours, answers, chosen } = props
  const { plan, before } = useOrderEditor()
  const [sort, setSort] = useState('order')
  const gramsOf = (id: string) => plan?.colours.find((c) => c.id === id)?.grams
  const shown =
    sort === 'order' ? colours : [...colours].sort((a, b) => (gramsOf(b.id) ?? 0) - (gramsOf(a.id) ?? 0))
  /** The largest bowl of a colour is the one its formula is shown for. */
  const answerOf = (id: string) =>
    answers?.filter((a) => a.colourId === id).sort((a, b) => b.grams - a.grams)[0]
  return (
    <Card
      title="Colours of this order"
      aside="left: wanted, right: what you are likely to get"
      actions={
        <>
          <SegmentedControl
            size="xs"
            aria-label="Order of the swatches"
            value={sort}
            onChange={setSort}
            data={[
              { value: 'order', label: 'as entered' },
              { value: 'grams', label: 'most first' },
            ]}
          />
          <Button onClick={props.add}>Add a colour</Button>
        </>
      }
    >
      <Unused />
      <ul className={css.grid}>
        {shown.map((colour) => (
          <ColourCard
            key={colour.id}
            colour={colour}
            grams={gramsOf(colour.id)}
            gramsBefore={before?.colours.find((c) => c.id === colour.id)?.grams}
            answer={answerOf(colour.id)}
            selected={colour.id === chosen.id}
            select={() => props.select(colour.id)}
          />
        ))}
      </ul>
    </Card>
  )
}

/** Colours that flowers brought along and nothing wears any more are offered to be cleared, once. */
function Unused() {
  const { order, plan, edit } = useOrderEditor()
  const unused = order.colours.filter((c) => plan?.colours.find((p) => p.id === c.id)?.grams === 0)
  if (unused.length === 0 || order.wavedOff.includes(KEEP_UNUSED)) return null
  const ids = new Set(unused.map((c) => c.id))
  return (
    <p className={css.unused}>
      <span>
        {counted(unused.length, 'colour')} not used: {unused.map((c) => c.name).join(', ')}.
      </span>
      <Button
        onClick={() =>
          edit('clear unused colours', (o) => ({ ...o, colours: o.colours.filter((c) => !ids.has(c.id)) }))
        }
      >
        Clear {unused.length === 1 ? 'it' : 'them'}
      </Button>
      <Button
        variant="subtle"
        onClick={() => edit('keep unused colours', (o) => ({ ...o, wavedOff: [...o.wavedOff, KEEP_UNUSED] }))}
      >
        Keep {unused.length === 1 ? 'it' : 'them'}
      </Button>
    </p>
  )
}
