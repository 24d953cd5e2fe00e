import { SegmentedControl } from '@mantine/core'
import { useMemo, useState } from 'react'
import type { BowlAnswer } from '#core/colour/bowl'
import { ciede2000 } from '#core/colour/ciede2000'
import { hexToLab } from '#core/colour/lab'
import { type Vision, visions } from '#core/colour/vision'
import { worn } from '#core/colour/worn'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { Flower } from '#core/model/flower'
import type { PlacedFlower } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlowerPicture } from '../../../drawings/FlowerPicture.tsx'
import { Card } from '../../../parts/Card.tsx'
import { usePictures } from '../../../workers/flowers.ts'
import css from './Colours.module.css'

/** Under this two parts of one flower run into each other at arm's length, CIEDE2000. */
const LITTLE_CONTRAST = 12
const MOST_SHOWN = 10

/** The palette as flowers wear it, on the coat it lies on: as it will be mixed, and for other eyes. */
export function Wearers({ answers }: { answers: readonly BowlAnswer[] | undefined }) {
  const { order, workshop } = useOrderEditor()
  const [vision, setVision] = useState<Vision>('usual')
  const placed = useMemo(() => {
    const seen = new Set<string>()
    return order.pieces
      .flatMap((piece) => piece.flowers.map((f) => ({ piece, placed: f })))
      .flatMap(({ piece, placed: f }) => {
        const recipe = workshop.flowers.find((w) => w.id === f.flowerId)
        const key = JSON.stringify([f.flowerId, f.colours, f.leftOut, f.twoTone, piece.coat?.colourId])
        if (!recipe || recipe.form === 'border' || seen.has(key)) return []
        seen.add(key)
        const { flower, colours } = flowerForOrder(recipe, f)
        return [{ flower, placed: { ...f, colours }, coatId: piece.coat?.colourId ?? null }]
      })
      .slice(0, MOST_SHOWN)
  }, [order.pieces, workshop.flowers])
  const wanted = useMemo(
    () => placed.map(({ flower, placed: f }) => ({ flower, sizeMm: f.sizeMm, tips: f.tips })),
    [placed],
  )
  const pictures = usePictures(wanted, workshop)
  const see = visions[vision].see
  const hexOf = (id: string | undefined) => {
    const made = answers?.find((a) => a.colourId === id)?.chosen.hex
    return made ?? order.colours.find((c) => c.id === id)?.hex
  }
  if (placed.length === 0) return null
  return (
    <Card
      title="As flowers wear them"
      aside="as mixed; overlapping petals look deeper than a swatch"
      actions={
        <SegmentedControl
          size="xs"
          aria-label="Seen with"
          value={vision}
          onChange={(v) => setVision(v as Vision)}
          data={Object.entries(visions).map(([value, v]) => ({ value, label: v.words }))}
        />
      }
    >
      <ul className={css.worn}>
        {placed.map(({ flower, placed: f, coatId }, i) => {
          const colours = Object.fromEntries(
            flower.roles.map((r) => [r.id, see(worn(hexOf(f.colours[r.id]) ?? r.hex))]),
          )
          const coat = see(hexOf(coatId ?? undefined) ?? '#ffffff')
          const faint = faintPair(flower, f, colours, coatId ? coat : null)
          return (
            <li key={`${f.id} ${coatId}`}>
              <span className={css.onCoat} style={{ background: coat }}>
                {pictures?.[i] && (
                  <FlowerPicture
                    shapes={pictures[i].shapes}
                    colours={colours}
                    size={88}
                    label={`${flower.name} in its colours`}
                  />
                )}
              </span>
              <span className={css.wornName}>{flower.name}</span>
              {faint && <span className="quiet">{faint}</span>}
            </li>
          )
        })}
      </ul>
    </Card>
  )
}

/** The first two neighbours on a flower that can hardly be told apart, in words. */
function faintPair(
  flower: Flower,
  placed: PlacedFlower,
  colours: Record<string, string>,
  coat: string | null,
): string | null {
  const parts = flower.roles.map((r) => ({
    name: r.name.toLowerCase(),
    id: placed.colours[r.id],
    hex: colours[r.id]!,
  }))
  const near = (a: string, b: string) => ciede2000(hexToLab(a), hexToLab(b)) < LITTLE_CONTRAST
  // one colour on two parts is meant
  for (const [i, a] of parts.entries())
    for (const b of parts.slice(i + 1))
      if (a.id !== b.id && near(a.hex, b.hex)) return `${a.name} and ${b.name} are near`
  if (coat && parts[0] && near(parts[0].hex, coat)) return `${parts[0].name} near the coat`
  return null
}
