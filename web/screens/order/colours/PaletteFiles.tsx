import { Button, FileButton, Menu } from '@mantine/core'
import { readGpl, writeCss, writeGpl, writePaletteJson } from '#core/files/palette'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { tell } from '../../../parts/notify.tsx'
import { offerText } from '../../../parts/offer.ts'
import { colourBench } from '../../../workers/colours.ts'
import type { AddColours } from './addColours.ts'

const PHOTO_COLOURS = 6
const PHOTO_SIDE = 160

/** A palette from a photograph or a file, and into one. */
export function PaletteFiles(props: { add: AddColours; setFound: (hexes: string[]) => void }) {
  const { add, setFound } = props
  const { order } = useOrderEditor()
  const name = order.title

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

  return (
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
      <AskedMenu
        position="bottom-end"
        button={<Button disabled={order.colours.length === 0}>Save as…</Button>}
      >
        <Menu.Item onClick={() => offerText(writeGpl(name, order.colours), `${name}.gpl`)}>
          Palette (.gpl)
        </Menu.Item>
        <Menu.Item onClick={() => offerText(writeCss(order.colours), `${name}.css`)}>
          Custom properties (CSS)
        </Menu.Item>
        <Menu.Item onClick={() => offerText(writePaletteJson(name, order.colours), `${name}.json`)}>
          JSON
        </Menu.Item>
      </AskedMenu>
    </>
  )
}
