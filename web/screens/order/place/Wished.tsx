import { Button, FileButton, Slider } from '@mantine/core'
import { useEffect, useState } from 'react'
import { Image } from 'react-konva'
import { z } from 'zod'
import { type Wish, wishSchema } from '#core/model/order'
import { scaledWish } from '#core/orders/wish'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { LengthField } from '../../../parts/length.tsx'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

/** A picture is made so many pixels wide or high at most, and so fine, before an order carries it. */
const PIXELS = 900
const QUALITY = 0.72

/** Two points of the view, mm, between which somebody knows the distance. */
export type Measured = readonly { x: number; y: number }[]

/** Changes the picture that lies under a piece. */
export function useWish({
  piece,
}: Placing): (label: string, how: (now: Wish | null) => Wish | null, key?: string) => void {
  const { edit } = useOrderEditor()
  return (label, how, key) =>
    edit(
      label,
      (o) => ({
        ...o,
        pieces: o.pieces.map((p) => (p.id === piece.id ? { ...p, wish: how(p.wish) } : p)),
      }),
      key ?? `${piece.id} ${label}`,
    )
}

/** The picture that a customer sent, under the flowers as they are seen from above. */
export function WishedPicture(props: { placing: Placing; view: View; held: boolean }) {
  const { placing, view, held } = props
  const { wish } = placing.piece
  const change = useWish(placing)
  const image = useImage(wish?.data)
  if (!wish || !image) return null
  const wide = wish.widthMm * view.pxPerMm
  const high = (wide * image.height) / image.width
  return (
    <Image
      name={held ? undefined : 'ground'}
      image={image}
      x={view.widthPx / 2 + wish.x * view.pxPerMm}
      y={view.heightPx / 2 - wish.y * view.pxPerMm}
      offsetX={wide / 2}
      offsetY={high / 2}
      width={wide}
      height={high}
      opacity={wish.strength}
      listening={held}
      draggable={held}
      onDragEnd={(e) => {
        const x = (e.target.x() - view.widthPx / 2) / view.pxPerMm
        const y = (view.heightPx / 2 - e.target.y()) / view.pxPerMm
        change('move the picture', (now) => now && { ...now, x, y })
      }}
    />
  )
}

function useImage(data: string | undefined): HTMLImageElement | null {
  const [image, setImage] = useState<HTMLImageElement | null>(null)
  useEffect(() => {
    setImage(null)
    if (!data) return
    const made = new window.Image()
    made.onload = () => setImage(made)
    made.src = data
    return () => {
      made.onload = null
    }
  }, [data])
  return image
}

/** Chooses the picture, says how large what is in it really is, and how strongly it shows. */
export function WishPanel(props: {
  placing: Placing
  measured: Measured
  onMeasure: () => void
  onMeasured: () => void
}) {
  const { placing, measured, onMeasure, onMeasured } = props
  const { wish } = placing.piece
  const change = useWish(placing)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [strength, setStrength] = useState<number | null>(null)
  const choose = async (file: File | null) => {
    if (!file) return
    try {
      const { data } = await smaller(file)
      const { chart } = placing.hand
      const next = wishSchema.safeParse({ data, x: 0, y: 0, widthMm: 2 * chart.top.x, strength: 0.6 })
      if (!next.success) throw new Error(next.error.issues[0]?.message)
      change('lay a picture under it', () => next.data)
      setTrouble(null)
    } catch (error) {
      setTrouble(
        (error instanceof Error && error.message) ||
          'This file is not a picture that the browser can read. Choose a JPEG or PNG.',
      )
    }
  }
  const [from, to] = measured
  const nowMm = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0
  return (
    <section aria-label="Picture of what is wanted">
      <p className="quiet">
        A photograph or drawing of what is wanted can lie under the view from above. It is kept with the
        order.
      </p>
      <div className={css.wishButtons}>
        <FileButton
          accept="image/jpeg,image/png,image/webp"
          inputProps={{ 'aria-label': 'Picture of what is wanted' }}
          onChange={(file) => void choose(file)}
        >
          {(button) => <Button {...button}>{wish ? 'Another picture' : 'Choose a picture'}</Button>}
        </FileButton>
        {wish && (
          <Button variant="subtle" onClick={() => change('take the picture away', () => null)}>
            Take it away
          </Button>
        )}
      </div>
      {trouble && <p role="alert">{trouble}</p>}
      {wish && (
        <>
          <div className={css.slider}>
            <div className={css.sliderHead}>
              <span>How strongly it shows</span>
              <strong className="figure">{Math.round(100 * (strength ?? wish.strength))} %</strong>
            </div>
            <Slider
              thumbLabel="How strongly it shows"
              label={null}
              value={strength ?? wish.strength}
              min={0.05}
              max={1}
              step={0.05}
              onChange={setStrength}
              onChangeEnd={(end) => {
                setStrength(null)
                change('how strongly it shows', (now) => now && { ...now, strength: end })
              }}
            />
          </div>
          <p className="quiet">Drag it in the view to where it belongs.</p>
          {from && to ? (
            <LengthField
              label="From the first point to the second really"
              decimals={1}
              value={nowMm}
              schema={z
                .number()
                .min(1, 'At least 1 mm.')
                .max(3000, 'At most 3,000 mm.')
                .superRefine((mm, ctx) => {
                  const made = scaledWish(wish, [from, to], mm)
                  if (typeof made === 'string') ctx.addIssue({ code: 'custom', message: made })
                })}
              onChange={(mm) => {
                change('scale the picture', (now) => {
                  const made = now && scaledWish(now, [from, to], mm)
                  return typeof made === 'string' ? now : made
                })
                onMeasured()
              }}
            />
          ) : (
            <Button onClick={onMeasure}>Scale it by two points</Button>
          )}
        </>
      )}
    </section>
  )
}

/** A picture as an order carries it: no larger than it has to be to be looked at. */
async function smaller(file: File): Promise<{ data: string }> {
  const bitmap = await createImageBitmap(file)
  const by = Math.min(1, PIXELS / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * by))
  canvas.height = Math.max(1, Math.round(bitmap.height * by))
  const ctx = canvas.getContext('2d')
  if (!ctx) throw new Error('This browser cannot make the picture smaller.')
  // what is seen through in a drawing is paper
  ctx.fillStyle = '#ffffff'
  ctx.fillRect(0, 0, canvas.width, canvas.height)
  ctx.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return { data: canvas.toDataURL('image/jpeg', QUALITY) }
}
