import { Button, Select } from '@mantine/core'
import { useState } from 'react'
import { muted } from '#core/colour/harmony'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { colourBench } from '../../../workers/colours.ts'
import css from './Colours.module.css'

/** How much a palette is muted at a time, and the specks that tie it together: drops in 100 g. */
const MUTE = 0.85
const TIE_DROPS = 0.4

/** All colours of the order changed together, looked at before they are taken. */
export function AllColours() {
  const { order, workshop, edit } = useOrderEditor()
  const [proposal, setProposal] = useState<{ words: string; hexes: string[] } | null>(null)
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
    setProposal({ words: `with a few specks of ${dye.name.toLowerCase()} in all of them`, hexes })
  }

  if (order.colours.length < 2) return null
  return (
    <>
      <div className={css.toolRow}>
        <span>All of them</span>
        <Button
          size="compact-sm"
          onClick={() =>
            setProposal({ words: 'a little muted', hexes: order.colours.map((c) => muted(c.hex, MUTE)) })
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
              edit('change the palette', (o) => ({
                ...o,
                colours: o.colours.map((c, i) => ({ ...c, hex: proposal.hexes[i]! })),
              }))
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
