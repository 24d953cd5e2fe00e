import { ActionIcon, Button, ColorInput, Menu, Popover, SegmentedControl } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useState } from 'react'
import { hexSchema, nameSchema } from '#core/model/common'
import type { OrderColour } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { newColour } from '#core/orders/new'
import { replaceColour } from '#core/plan/remedies'
import { partGrams } from '#core/plan/reserve'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { inkOn } from '../../../drawings/shade.ts'
import { AdviceList } from '../../../parts/AdviceList.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { Empty } from '../../../parts/states.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import css from './Colours.module.css'

/** The order's colours as large swatches: what each is worn by, and how much of it is mixed. */
export function Colours() {
  const { order, plan, before, edit, take } = useOrderEditor()
  const [sort, setSort] = useState('order')
  const advice = plan?.advice.filter((a) => a.about.kind === 'colour') ?? []
  const gramsOf = (p: Plan | undefined, id: string) => p?.colours.find((c) => c.id === id)?.grams
  const unchosen = plan?.colours.filter((c) => !order.colours.some((o) => o.id === c.id)) ?? []
  const shown =
    sort === 'order'
      ? order.colours
      : [...order.colours].sort((a, b) => (gramsOf(plan, b.id) ?? 0) - (gramsOf(plan, a.id) ?? 0))

  function add() {
    edit('add a colour', (o) => ({
      ...o,
      colours: [...o.colours, newColour(newId(), `Colour ${o.colours.length + 1}`, '#d8cfc0')],
    }))
  }

  if (order.colours.length === 0 && unchosen.length === 0)
    return (
      <Card>
        <Empty title="No colours yet" action={<Button onClick={add}>Add a colour</Button>}>
          Flowers bring their colours along when you put them on a piece. You can also begin here.
        </Empty>
      </Card>
    )
  return (
    <div className={css.page}>
      <Card
        title="Colours of this order"
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
              grams={gramsOf(plan, colour.id)}
              gramsBefore={gramsOf(before, colour.id)}
            />
          ))}
          {unchosen.map((colour) => (
            <li key={colour.id} className={css.card}>
              <div className={css.swatch} style={{ background: colour.hex }} />
              <div className={css.words}>
                <strong>{colour.name}</strong>
              </div>
            </li>
          ))}
        </ul>
      </Card>
      {advice.length > 0 && (
        <Card title="Worth a look">
          <AdviceList advice={advice} take={take} />
        </Card>
      )}
    </div>
  )
}

function ColourCard(props: {
  colour: OrderColour
  grams: number | undefined
  gramsBefore: number | undefined
}) {
  const { colour, grams, gramsBefore } = props
  const { order, plan, edit } = useOrderEditor()
  const weight = useWeight()
  const wearers = wearersOf(plan, colour.id)
  const others = order.colours.filter((c) => c.id !== colour.id)
  const change = (part: Partial<OrderColour>, label: string) =>
    edit(
      label,
      (o) => ({ ...o, colours: o.colours.map((c) => (c.id === colour.id ? { ...c, ...part } : c)) }),
      `colour ${colour.id} ${label}`,
    )
  return (
    <li className={css.card}>
      <Popover position="bottom-start" withinPortal>
        <Popover.Target>
          <button
            type="button"
            className={css.swatch}
            style={{ background: colour.hex, color: inkOn(colour.hex) }}
            aria-label={`Change the colour ${colour.name}, now ${colour.hex}`}
          >
            <span>{colour.hex}</span>
          </button>
        </Popover.Target>
        <Popover.Dropdown>
          <ColorInput
            label="Colour wanted"
            format="hex"
            value={colour.hex}
            onChange={(hex) =>
              hexSchema.safeParse(hex).success && change({ hex: hex.toLowerCase() }, 'colour')
            }
          />
        </Popover.Dropdown>
      </Popover>
      <div className={css.words}>
        <div className={css.nameRow}>
          <TextField
            hideLabel
            label={`Name of ${colour.name}`}
            value={colour.name}
            schema={nameSchema}
            onChange={(name) => change({ name }, 'name')}
          />
          <Menu position="bottom-end">
            <Menu.Target>
              <ActionIcon aria-label={`More for ${colour.name}`}>
                <IconDots size={18} stroke={1.6} />
              </ActionIcon>
            </Menu.Target>
            <Menu.Dropdown>
              {wearers.length === 0 && (
                <Menu.Item
                  onClick={() =>
                    edit('remove a colour', (o) => ({
                      ...o,
                      colours: o.colours.filter((c) => c.id !== colour.id),
                    }))
                  }
                >
                  Remove
                </Menu.Item>
              )}
              {wearers.length > 0 && others.length > 0 && <Menu.Label>Use another colour instead</Menu.Label>}
              {wearers.length > 0 &&
                others.map((other) => (
                  <Menu.Item
                    key={other.id}
                    onClick={() => edit('merge colours', (o) => replaceColour(o, colour.id, other.id))}
                  >
                    {other.name}
                  </Menu.Item>
                ))}
            </Menu.Dropdown>
          </Menu>
        </div>
        <div className={`${css.grams} figure`}>
          {grams === undefined ? '…' : weight(grams)}
          <Was
            now={weight(grams ?? 0)}
            before={gramsBefore === undefined ? undefined : weight(gramsBefore)}
          />
        </div>
        <ul className={css.wearers}>
          {wearers.length === 0 && <li>not used yet</li>}
          {wearers.map((w) => (
            <li key={w.name}>
              <span>{w.name}</span> <span>{weight(w.grams)}</span>
            </li>
          ))}
        </ul>
      </div>
    </li>
  )
}

const MOST_WEARERS = 5

/** What wears a colour and how many grams each takes, the most first. */
function wearersOf(plan: Plan | undefined, colourId: string): { name: string; grams: number }[] {
  const grams = new Map<string, number>()
  for (const use of plan?.uses ?? [])
    for (const part of use.parts)
      if (part.colourId === colourId) {
        const name = use.flowerId ? `${use.flowerName}, ${use.layerName.toLowerCase()}` : 'Coats'
        grams.set(name, (grams.get(name) ?? 0) + partGrams(part))
      }
  const all = [...grams].map(([name, g]) => ({ name, grams: g })).sort((a, b) => b.grams - a.grams)
  if (all.length <= MOST_WEARERS) return all
  const rest = all.slice(MOST_WEARERS - 1)
  return [
    ...all.slice(0, MOST_WEARERS - 1),
    { name: `${rest.length} more parts`, grams: rest.reduce((sum, w) => sum + w.grams, 0) },
  ]
}
