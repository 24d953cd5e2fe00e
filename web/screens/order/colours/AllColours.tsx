import { Button, Select } from '@mantine/core'
import { useState } from 'react'
import { muted } from '#core/colour/harmony'
import type { Order } from '#core/model/order'
import { becomes, fewerColours, merged } from '#core/orders/fewerColours'
import { counted } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { colourBench } from '../../../workers/colours.ts'
import css from './Colours.module.css'

/** How much a palette is muted at a time, and the specks that tie it together: drops in 100 g. */
const MUTE = 0.85
const TIE_DROPS = 0.4

/** What all colours would be like, in their order, and what is done when it is taken. */
interface Proposal {
  words: string
  hexes: string[]
  take: (order: Order) => Order
}

/** The same colours in other shades. */
const shades = (words: string, hexes: string[]): Proposal => ({
  words,
  hexes,
  take: (o) => ({ ...o, colours: o.colours.map((c, i) => ({ ...c, hex: hexes[i]! })) }),
})

/** All colours of the order changed together, looked at before they are taken. */
export function AllColours() {
  const { order, workshop, plan, edit } = useOrderEditor()
  const [proposal, setProposal] = useState<Proposal | null>(null)
  const icing = workshop.icings.find((i) => i.id === order.icingKindId)!

  async function tie(dyeId: string | null) {
    const dye = workshop.dyes.find((d) => d.id === dyeId)
    if (!dye) return
    const hexes = await colourBench().tied(
      order.colours.map((c) => c.hex),
      dye,
      TIE_DROPS,
      icing,
      workshop.icings,
    )
    setProposal(shades(`with a few specks of ${dye.name.toLowerCase()} in all of them`, hexes))
  }

  const worn = plan?.colours.filter((c) => c.grams > 0) ?? []
  function bringDown(to: string | null) {
    if (!to) return
    const merges = fewerColours(order, new Map(worn.map((c) => [c.id, c.grams])), Number(to))
    const hexOf = new Map(order.colours.map((c) => [c.id, c.hex]))
    setProposal({
      words: `${counted(Number(to), 'colour')}: those that are missed least give way to the nearest`,
      hexes: order.colours.map((c) => hexOf.get(becomes(c.id, merges))!),
      take: (o) => merged(o, merges),
    })
  }

  if (order.colours.length < 2) return null
  return (
    <>
      <div className={css.toolRow}>
        <span>All of them</span>
        <Button
          size="compact-sm"
          onClick={() =>
            setProposal(
              shades(
                'a little muted',
                order.colours.map((c) => muted(c.hex, MUTE)),
              ),
            )
          }
        >
          Mute a little
        </Button>
        <Select
          size="xs"
          w={190}
          aria-label="Tie together with a dye"
          placeholder="Tie together with…"
          value={null}
          onChange={(id) => void tie(id)}
          data={workshop.dyes.filter((d) => d.owned).map((d) => ({ value: d.id, label: d.name }))}
        />
        {worn.length > 1 && (
          <Select
            size="xs"
            w={190}
            aria-label="Bring down to fewer colours"
            placeholder="Bring down to…"
            value={null}
            onChange={bringDown}
            data={Array.from({ length: worn.length - 1 }, (_, i) => ({
              value: String(worn.length - 1 - i),
              label: counted(worn.length - 1 - i, 'colour'),
            }))}
          />
        )}
      </div>
      {proposal && proposal.hexes.length === order.colours.length && (
        <div className={css.proposal}>
          <span>
            <strong>Then:</strong> {proposal.words}
          </span>
          <span className={css.pairs}>
            {order.colours.map((c, i) => (
              <span key={c.id} title={c.name} className={css.pair}>
                <span className={css.pairHalf} style={{ background: c.hex }} />
                <span className={css.pairHalf} style={{ background: proposal.hexes[i] }} />
              </span>
            ))}
          </span>
          <Button
            size="compact-sm"
            variant="filled"
            onClick={() => {
              edit('change the palette', proposal.take)
              setProposal(null)
            }}
          >
            Take it
          </Button>
          <Button size="compact-sm" onClick={() => setProposal(null)}>
            Leave it
          </Button>
        </div>
      )}
    </>
  )
}
