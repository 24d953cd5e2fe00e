import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { useLocation, useParams, useSearchParams } from 'react-router'
import { newColour } from '#core/model/newColour'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Beside } from '../../../parts/Beside.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { AT_ONCE } from '../../../parts/openAtOnce.ts'
import { PartLinks } from '../../../parts/PartLinks.tsx'
import { Empty } from '../../../parts/states.tsx'
import { useBowls } from '../../../workers/colours.ts'
import { FirstToDecide } from '../advice/FirstToDecide.tsx'
import { ColourDetail } from './ColourDetail.tsx'
import { PaletteTools } from './PaletteTools.tsx'
import { Swatches } from './Swatches.tsx'
import { Wearers } from './Wearers.tsx'

const parts = [
  ['', 'Mix'],
  ['/worn', 'As flowers wear them'],
  ['/palette', 'Change the palette'],
] as const

/** From the colour somebody wants to the drops that make it: the order's palette, and one colour opened beside it. */
export function Colours() {
  const { order, plan, workshop, edit } = useOrderEditor()
  const { part } = useParams()
  const { search } = useLocation()
  const [params, setParams] = useSearchParams()
  const bowls = useMemo(() => (plan ? colourBowls(order, plan) : []), [order, plan])
  const tasks = useMemo(() => bowls.map(taskOf), [bowls])
  const answers = useBowls(tasks, workshop)
  const unchosen = plan?.colours.filter((c) => !order.colours.some((o) => o.id === c.id)) ?? []
  const all = [...order.colours, ...unchosen.map((c) => newColour(c.id, c.name, c.hex))]
  const chosen = all.find((c) => c.id === params.get('colour')) ?? all[0]
  const select = (id: string) => setParams({ colour: id }, AT_ONCE)

  function add() {
    const id = newId()
    edit('add a colour', (o) => ({
      ...o,
      colours: [...o.colours, newColour(id, `Colour ${o.colours.length + 1}`, '#d8cfc0')],
    }))
    select(id)
  }

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
  const at = `/orders/${order.id}/colours`
  return (
    <>
      <PartLinks
        label="Parts of the colours"
        parts={parts.map(([to, name]) => ({ to: `${at}${to}${search}`, end: true, name }))}
      />
      <FirstToDecide at="colours" />
      <Beside
        label="The opened colour"
        width={372}
        list={
          part === 'worn' ? (
            <Wearers answers={answers} />
          ) : part === 'palette' ? (
            <PaletteTools chosen={chosen} />
          ) : (
            <Swatches colours={all} answers={answers} chosen={chosen} select={select} add={add} />
          )
        }
        opened={
          <ColourDetail
            key={chosen.id}
            colour={chosen}
            editable={order.colours.some((c) => c.id === chosen.id)}
            answers={answers?.filter((a) => a.colourId === chosen.id) ?? []}
          />
        }
      />
    </>
  )
}
