import { ActionIcon, Menu } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { nameSchema } from '#core/common'
import type { OrderColour } from '#core/model/order'
import { replaceColour } from '#core/plan/remedies'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { HexInput } from '../../../parts/HexInput.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Colours.module.css'
import type { ChangeColour } from './changeColour.ts'
import { wearersOf } from './wearersOf.ts'

/** What is wished for, and what wears it. */
export function ColourWish(props: { colour: OrderColour; editable: boolean; change: ChangeColour }) {
  const { colour, editable, change } = props
  const { order, plan, edit } = useOrderEditor()
  const weight = useWeight()
  const wearers = wearersOf(plan, colour.id)
  const others = order.colours.filter((c) => c.id !== colour.id)
  return (
    <section aria-label="The wish">
      <header className={css.detailHead}>
        <h2>{editable ? 'The wish' : colour.name}</h2>
        {editable && (
          <AskedMenu
            position="bottom-end"
            button={
              <ActionIcon aria-label={`More for ${colour.name}`}>
                <IconDots size={18} stroke={1.6} />
              </ActionIcon>
            }
          >
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
          </AskedMenu>
        )}
      </header>
      {editable && (
        <div className={css.wishFields}>
          <TextField
            label="Name"
            value={colour.name}
            schema={nameSchema}
            onChange={(name) => change({ name }, 'name')}
          />
          <HexInput label="Colour wanted" value={colour.hex} onChange={(hex) => change({ hex }, 'colour')} />
        </div>
      )}
      <ul className={css.wearers}>
        {wearers.length === 0 && <li>nothing wears it yet</li>}
        {wearers.map((w) => (
          <li key={w.name}>
            <span>{w.name}</span> <span>{weight(w.grams)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
