import { Button, FileButton } from '@mantine/core'
import { useRef, useState } from 'react'
import { corrected } from '#core/colour/photo'
import { HexInput } from './HexInput.tsx'
import css from './PickColour.module.css'

/**
 * A colour as somebody sees it: typed, picked from the screen where the browser can, or taken from a photograph with
 * plain icing in it, whose light is corrected by that icing.
 */
export function PickColour(props: {
  label: string
  value: string
  /** What the plain icing in a photograph really looks like. */
  plainHex: string
  onChange: (hex: string) => void
}) {
  const [picture, setPicture] = useState<ImageBitmap | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  return (
    <div className={css.pick}>
      <HexInput label={props.label} value={props.value} onChange={props.onChange} />
      <FileButton
        accept="image/*"
        inputProps={{ 'aria-label': 'Photograph' }}
        onChange={async (file) => {
          if (!file) return
          try {
            setPicture(await createImageBitmap(file))
            setTrouble(null)
          } catch {
            setTrouble('This file is not a picture that the browser can read. Choose a JPEG or PNG.')
          }
        }}
      >
        {(button) => (
          <Button {...button} size="compact-sm">
            From a photograph…
          </Button>
        )}
      </FileButton>
      {trouble && <p role="alert">{trouble}</p>}
      {picture && <Photograph picture={picture} plainHex={props.plainHex} onChange={props.onChange} />}
    </div>
  )
}

const WIDTH = 420
/** Half the side of the square of pixels whose mean is taken. */
const REACH = 5

/** First the plain icing, then the colour: two touches on the picture. It never leaves this machine. */
function Photograph(props: { picture: ImageBitmap; plainHex: string; onChange: (hex: string) => void }) {
  const { picture, plainHex, onChange } = props
  const canvas = useRef<HTMLCanvasElement | null>(null)
  const [reference, setReference] = useState<string | null>(null)
  const height = Math.round((WIDTH * picture.height) / picture.width)
  return (
    <>
      <p className="quiet">
        {reference ? 'Now touch the colour.' : 'First touch plain icing in the picture: it tells the light.'}{' '}
        {reference && (
          <Button size="compact-xs" onClick={() => setReference(null)}>
            Another plain spot
          </Button>
        )}
      </p>
      <canvas
        ref={(element) => {
          canvas.current = element
          element?.getContext('2d', { willReadFrequently: true })?.drawImage(picture, 0, 0, WIDTH, height)
        }}
        width={WIDTH}
        height={height}
        className={css.photo}
        role="img"
        aria-label="The photograph"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          const seen = meanAt(
            event.currentTarget,
            ((event.clientX - box.left) * WIDTH) / box.width,
            ((event.clientY - box.top) * height) / box.height,
          )
          if (reference) onChange(corrected(seen, reference, plainHex))
          else setReference(seen)
        }}
      />
    </>
  )
}

function meanAt(canvas: HTMLCanvasElement, x: number, y: number): string {
  const { data } = canvas
    .getContext('2d')!
    .getImageData(Math.max(0, x - REACH), Math.max(0, y - REACH), 2 * REACH + 1, 2 * REACH + 1)
  const sum = [0, 0, 0]
  for (let i = 0; i < data.length; i += 4) for (let k = 0; k < 3; k++) sum[k]! += data[i + k]!
  const pixels = data.length / 4
  return `#${sum
    .map((s) =>
      Math.round(s / pixels)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
