import { ActionIcon, Button, Menu } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { setOnsOn } from '#core/model/arrangements'
import { takeOff } from '#core/model/onPiece'
import type { Piece } from '#core/model/order'
import { isStrewn, type PlacedSetOn, placedSetOnSchema, setOnWords } from '#core/model/setOn'
import { changeSetOn, newSetOn, putOnPiece, withoutLooseSetOns } from '#core/orders/setOns'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { useLength } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import { SetOnForm } from '../../../parts/SetOnForm.tsx'
import { Dab } from '../../../parts/Swatch.tsx'
import css from './Pieces.module.css'

const counted = placedSetOnSchema.shape.perPiece.refine(Number.isInteger, 'Whole ones only.')

/** What a thing is in this order, to be changed. */
function OrdersForm({ id, close }: { id: string | null; close: () => void }) {
  const { order, workshop, edit } = useOrderEditor()
  return (
    <SetOnForm
      thing={order.setOns.find((t) => t.id === id) ?? null}
      currency={workshop.settings.currency}
      close={close}
      onChange={(part) =>
        id && edit('what is put on', (o) => changeSetOn(o, id, part), `set-on ${id} ${Object.keys(part)}`)
      }
    />
  )
}

/** What is put on a piece and not piped, a row each. */
export function SetOnRows({ piece }: { piece: Piece }) {
  const [open, setOpen] = useState<string | null>(null)
  return (
    <>
      {piece.setOns.map((placed) => (
        <Row key={placed.id} piece={piece} placed={placed} onOpen={() => setOpen(placed.setOnId)} />
      ))}
      <OrdersForm id={open} close={() => setOpen(null)} />
    </>
  )
}

function Row(props: { piece: Piece; placed: PlacedSetOn; onOpen: () => void }) {
  const { piece, placed, onOpen } = props
  const { order, workshop, edit } = useOrderEditor()
  const length = useLength()
  const thing = order.setOns.find((t) => t.id === placed.setOnId)
  if (!thing) return null
  const strewn = isStrewn(thing.kind)
  const amount = setOnsOn(piece, placed)
  const standing = piece.layouts.some((l) => l.sites.some((s) => s.placedId === placed.id))
  const said = [
    setOnWords[thing.kind],
    ...(strewn ? [] : [`${length(thing.widthMm)} across`]),
    thing.when === 'wet' ? 'while the icing is wet' : 'last',
  ]
  return (
    <div className={css.row}>
      <Dab hex={thing.hex} size={34} />
      <div>
        <button type="button" className={css.asLink} onClick={onOpen}>
          {thing.name}
        </button>
        <div className="quiet">{said.join(', ')}</div>
      </div>
      {standing ? (
        <Link
          to={`place/${piece.id}`}
          className={css.placed}
        >{`${Math.round((10 * amount) / piece.count) / 10} placed`}</Link>
      ) : (
        <NumberField
          short="On each"
          counts={!strewn}
          label={`${thing.name} on each of ${piece.name}`}
          unit={strewn ? 'g' : undefined}
          decimals={strewn ? 1 : 0}
          value={placed.perPiece}
          schema={strewn ? placedSetOnSchema.shape.perPiece : counted}
          onChange={(perPiece) =>
            edit(
              'how many are put on',
              (o) => ({
                ...o,
                pieces: o.pieces.map((p) =>
                  p.id === piece.id
                    ? { ...p, setOns: p.setOns.map((s) => (s.id === placed.id ? { ...s, perPiece } : s)) }
                    : p,
                ),
              }),
              `${placed.id} number`,
            )
          }
        />
      )}
      <span />
      <span className="quiet">
        {thing.edible === 'yes'
          ? 'edible by its label'
          : thing.edible === 'no'
            ? 'not food'
            : 'label not read yet'}
        {thing.smallHard && ', small and hard'}
      </span>
      <div className={css.weight}>
        <small className={css.all}>all of them</small>
        {strewn ? `${Math.round(amount)} g` : Math.ceil(amount).toLocaleString('en')}
        <div className="quiet">
          {(amount * thing.cost).toFixed(2)} {workshop.settings.currency}
        </div>
      </div>
      <AskedMenu
        position="bottom-end"
        button={
          <ActionIcon aria-label={`More for ${thing.name} on ${piece.name}`}>
            <IconDots size={20} stroke={1.6} />
          </ActionIcon>
        }
      >
        <Menu.Item onClick={onOpen}>Change what it is…</Menu.Item>
        <Menu.Item
          onClick={() =>
            edit(`${thing.name}: take off`, (o) => withoutLooseSetOns(takeOff(o, piece.id, placed.id)))
          }
        >
          Take off
        </Menu.Item>
      </AskedMenu>
    </div>
  )
}

/** Chooses something to put on: from the order, from the drawer, or described anew. */
export function AddSetOn({ piece }: { piece: Piece }) {
  const { order, workshop, edit } = useOrderEditor()
  const [open, setOpen] = useState<string | null>(null)
  const known = new Set(order.setOns.map((t) => t.id))
  const things = [...order.setOns, ...workshop.settings.setOns.filter((t) => !known.has(t.id))]
  const put = (thing: (typeof things)[number]) =>
    edit(`put on ${thing.name}`, (o) => putOnPiece(o, piece.id, thing, newId), `put on ${newId()}`)
  return (
    <>
      <AskedMenu position="bottom-start" button={<Button>Put something on</Button>}>
        {things.map((thing) => (
          <Menu.Item key={thing.id} leftSection={<Dab hex={thing.hex} />} onClick={() => put(thing)}>
            {thing.name}
          </Menu.Item>
        ))}
        <Menu.Divider />
        <Menu.Item
          onClick={() => {
            const thing = newSetOn(newId())
            put(thing)
            setOpen(thing.id)
          }}
        >
          Something else…
        </Menu.Item>
      </AskedMenu>
      <OrdersForm id={open} close={() => setOpen(null)} />
    </>
  )
}
