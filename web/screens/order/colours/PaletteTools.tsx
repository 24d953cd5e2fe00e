import { Button, FileButton, Menu, Select } from '@mantine/core'
import { useState } from 'react'
import useSWR from 'swr'
import { companions, muted } from '#core/colour/harmony'
import { readGpl, writeCss, writeGpl, writePaletteJson } from '#core/files/palette'
import { newColour } from '#core/model/newColour'
import type { OrderColour } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { offerText } from '../../../parts/offer.ts'
import { colourBench } from '../../../workers/colours.ts'
import css from './Colours.module.css'

/** How much a palette is muted at a time, and the specks that tie it together: drops in 100 g. */
const MUTE = 0.85
const TIE_DROPS = 0.4
const PHOTO_COLOURS = 6
const PHOTO_SIDE = 160

/** Ways to a palette: companions and tones of a colour, muting and tying all, photographs and files. */
export function PaletteTools({ chosen }: { chosen: OrderColour | null }) {
  const { order, workshop, edit } = useOrderEditor()
  const [proposal, setProposal] = useState<{ words: string; hexes: string[] } | null>(null)
  const [found, setFound] = useState<string[]>([])
  const icing = workshop.icings.find((i) => i.id === order.icingKindId)!
  const { data: tones = [] } = useSWR(
    chosen ? ['tones', chosen.hex, chosen.dyeIds, icing.id, workshop.dyes] : null,
    () =>
      colourBench().tones(
        {
          colourId: chosen!.id,
          targetHex: chosen!.hex,
          icingKindId: icing.id,
          grams: 100,
          dyeIds: chosen!.dyeIds,
        },
        { ...workshop, flowers: [], tips: [], bags: [] },
      ),
  )
  const add = (colours: readonly { name: string; hex: string }[], label: string) =>
    edit(label, (o) => ({
      ...o,
      colours: [...o.colours, ...colours.map((c) => newColour(newId(), c.name, c.hex))].slice(0, 60),
    }))

  async function fromPhoto(file: File | null) {
    if (!file) return
    try {
      const picture = await createImageBitmap(file)
      const scale = PHOTO_SIDE / Math.max(picture.width, picture.height)
      const canvas = new OffscreenCanvas(
        Math.max(1, Math.round(picture.width * scale)),
        Math.max(1, Math.round(picture.height * scale)),
      )
      const pen = canvas.getContext('2d')!
      pen.drawImage(picture, 0, 0, canvas.width, canvas.height)
      const { data } = pen.getImageData(0, 0, canvas.width, canvas.height)
      setFound((await colourBench().dominant(data, PHOTO_COLOURS)).map((d) => d.hex))
    } catch {
      tell('This file is not a picture that the browser can read. Choose a JPEG or PNG.')
    }
  }

  async function fromGpl(file: File | null) {
    if (!file) return
    const read = readGpl(await file.text())
    if (!read.ok) return tell(`${file.name}: ${read.faults[0]!.message} Nothing was taken in.`)
    const known = new Set(order.colours.map((c) => c.hex))
    const fresh = read.value.filter((c) => !known.has(c.hex))
    add(fresh, 'colours from a palette')
    tell(`${fresh.length} of ${read.value.length} colours taken in; the others were there.`)
  }

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

  const name = order.title
  return (
    <Card
      title="Change the palette"
      actions={
        <>
          <FileButton
            onChange={fromPhoto}
            accept="image/*"
            inputProps={{ 'aria-label': 'Photograph for colours' }}
          >
            {(button) => <Button {...button}>From a photograph</Button>}
          </FileButton>
          <FileButton onChange={fromGpl} accept=".gpl" inputProps={{ 'aria-label': 'Palette file' }}>
            {(button) => <Button {...button}>Import .gpl</Button>}
          </FileButton>
          <Menu position="bottom-end">
            <Menu.Target>
              <Button disabled={order.colours.length === 0}>Save as…</Button>
            </Menu.Target>
            <Menu.Dropdown>
              <Menu.Item onClick={() => offerText(writeGpl(name, order.colours), `${name}.gpl`)}>
                Palette (.gpl)
              </Menu.Item>
              <Menu.Item onClick={() => offerText(writeCss(order.colours), `${name}.css`)}>
                Custom properties (CSS)
              </Menu.Item>
              <Menu.Item onClick={() => offerText(writePaletteJson(name, order.colours), `${name}.json`)}>
                JSON
              </Menu.Item>
            </Menu.Dropdown>
          </Menu>
        </>
      }
    >
      {found.length > 0 && (
        <div className={css.toolRow}>
          <span>In the picture</span>
          <Chips
            chips={found.map((hex) => ({ words: 'add', hex }))}
            take={(hex) => add([{ name: `From a picture ${hex}`, hex }], 'a colour from a picture')}
          />
        </div>
      )}
      {chosen && (
        <>
          <div className={css.toolRow}>
            <span>Goes with {chosen.name}</span>
            <Chips
              chips={companions(chosen.hex)}
              take={(hex, words) => add([{ name: `${chosen.name}, ${words}`, hex }], 'a companion')}
            />
          </div>
          <div className={css.toolRow}>
            <span>Its tones, let down with icing</span>
            <Chips
              chips={tones.map((hex, i) => ({ words: `1 : ${2 ** (i + 1) - 1}`, hex }))}
              take={(hex, words) => add([{ name: `${chosen.name} ${words}`, hex }], 'a tone')}
            />
          </div>
        </>
      )}
      {order.colours.length > 1 && (
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
      )}
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
    </Card>
  )
}

function Chips(props: {
  chips: readonly { words: string; hex: string }[]
  take: (hex: string, words: string) => void
}) {
  return (
    <span className={css.chips}>
      {props.chips.map(({ words, hex }) => (
        <button
          key={`${words} ${hex}`}
          type="button"
          onClick={() => props.take(hex, words)}
          aria-label={`Add ${words} ${hex}`}
        >
          <span style={{ background: hex }} />
          {words}
        </button>
      ))}
    </span>
  )
}
