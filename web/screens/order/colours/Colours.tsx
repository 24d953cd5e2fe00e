import { Button, SegmentedControl } from '@mantine/core'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { newColour } from '#core/model/newColour'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AdviceList } from '../../../parts/AdviceList.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { Empty } from '../../../parts/states.tsx'
import { useBowls } from '../../../workers/colours.ts'
import { ColourCard } from './ColourCard.tsx'
import { ColourDetail } from './ColourDetail.tsx'
import css from './Colours.module.css'
import { PaletteTools } from './PaletteTools.tsx'
import { Wearers } from './Wearers.tsx'

/** From the colour somebody wants to the drops that make it, colour by colour and as a palette. */
export function Colours() {
  const { order, plan, before, workshop, edit, take } = useOrderEditor()
  const [params, setParams] = useSearchParams()
  const [sort, setSort] = useState('order')
  const bowls = useMemo(() => (plan ? colourBowls(order, plan) : []), [order, plan])
  const tasks = useMemo(() => bowls.map(taskOf), [bowls])
  const answers = useBowls(tasks, workshop)
  const advice = plan?.advice.filter((a) => a.about.kind === 'colour') ?? []
  const gramsOf = (id: string) => plan?.colours.find((c) => c.id === id)?.grams
  const unchosen = plan?.colours.filter((c) => !order.colours.some((o) => o.id === c.id)) ?? []
  const all = [...order.colours, ...unchosen.map((c) => newColour(c.id, c.name, c.hex))]
  const shown = sort === 'order' ? all : [...all].sort((a, b) => (gramsOf(b.id) ?? 0) - (gramsOf(a.id) ?? 0))
  const chosen = all.find((c) => c.id === params.get('colour')) ?? shown[0]
  // at once: whoever types next must type into the colour that was pressed
  const select = (id: string) => setParams({ colour: id }, { replace: true, flushSync: true })

  function add() {
    const id = newId()
    edit('add a colour', (o) => ({
      ...o,
      colours: [...o.colours, newColour(id, `Colour ${o.colours.length + 1}`, '#d8cfc0')],
    }))
    select(id)
  }
  /** The largest bowl of a colour is the one its formula is shown for. */
  const answerOf = (id: string) =>
    answers?.filter((a) => a.colourId === id).sort((a, b) => b.grams - a.grams)[0]

  if (!chosen)
    return (
      <Card>
        <Empty title="No colours yet" action={<Button onClick={add}>Add a colour</Button>}>
          Flowers bring their colours along when you put them on a piece. You can also begin here, or with a
          photograph or a palette file.
        </Empty>
        <PaletteTools chosen={null} />
      </Card>
    )
  return (
    <div className={css.page}>
      <div className={css.columns}>
        <div className={css.left}>
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
                <Button onClick={add}>Add a colour</Button>
              </>
            }
          >
            <ul className={css.grid}>
              {shown.map((colour) => (
                <ColourCard
                  key={colour.id}
                  colour={colour}
                  grams={gramsOf(colour.id)}
                  gramsBefore={before?.colours.find((c) => c.id === colour.id)?.grams}
                  answer={answerOf(colour.id)}
                  selected={colour.id === chosen.id}
                  select={() => select(colour.id)}
                />
              ))}
            </ul>
          </Card>
          <Wearers answers={answers} />
          <PaletteTools chosen={chosen} />
        </div>
        <ColourDetail
          key={chosen.id}
          colour={chosen}
          editable={order.colours.some((c) => c.id === chosen.id)}
          answers={answers?.filter((a) => a.colourId === chosen.id) ?? []}
        />
      </div>
      {advice.length > 0 && (
        <Card title="Worth a look">
          <AdviceList advice={advice} take={take} />
        </Card>
      )}
    </div>
  )
}
