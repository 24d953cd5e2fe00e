import { useInViewport } from '@mantine/hooks'
import { lazy, Suspense, useEffect, useState } from 'react'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { Flower } from '#core/model/flower'
import type { Piece } from '#core/model/order'
import { arrange } from '#core/surfaces/arrange'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { Loading } from '../../../parts/states.tsx'
import { flowerPalette } from '../../../solid/palette.ts'
import type { TrayFlower, TrayPiece } from '../../../solid/tray.ts'
import { usePictures } from '../../../workers/planner.ts'
import type { Picture } from '../../../workers/planner.worker.ts'
import { COARSE, solidOf } from '../../../workers/solids.ts'

const TrayView = lazy(async () => ({ default: (await import('../../../solid/TrayView.tsx')).TrayView }))

/** So many of an order's cupcakes and cookies stand on the tray, each kind by its share, at least one. */
const ON_TRAY = 12
const SEEDS = 2

/** The small pieces of the order as they will stand together, in the order's own colours. */
export function Tray() {
  const { order, workshop } = useOrderEditor()
  const small = order.pieces.filter((p) => p.shape.kind === 'cupcake' || p.shape.kind === 'cookie')
  const placed = small.flatMap((piece) =>
    piece.flowers.flatMap((f) => {
      const recipe = workshop.flowers.find((known) => known.id === f.flowerId)
      if (!recipe || f.placement.kind !== 'each') return []
      const { flower, colours } = flowerForOrder(recipe, f)
      return [{ piece, placed: { ...f, colours }, flower, sizeMm: f.sizeMm, tips: f.tips }]
    }),
  )
  // a dozen lit solids are only made for somebody who scrolls to them
  const { ref, inViewport } = useInViewport()
  const [seen, setSeen] = useState(false)
  if (inViewport && !seen) setSeen(true)
  const pictures = usePictures(placed, workshop)
  const pieces = useTrayPieces(small, placed, seen ? pictures : undefined, order.colours)
  if (small.length === 0 || placed.length === 0) return null
  const shown = pieces?.length ?? 0
  return (
    <Card
      title="The tray"
      aside={
        shown > 0
          ? `${shown} of ${small.reduce((sum, p) => sum + p.count, 0)}, each kind by its share; drag to turn it`
          : undefined
      }
    >
      <div ref={ref} style={{ height: 380 }}>
        {pieces ? (
          <Suspense fallback={<Loading what="the tray" />}>
            <TrayView pieces={pieces} />
          </Suspense>
        ) : (
          <Loading what="the tray" />
        )}
      </div>
    </Card>
  )
}

interface Placed {
  piece: Piece
  placed: Piece['flowers'][number]
  flower: Flower
}

/** Solids fetched, pieces set out in rows. Rebuilt when shapes change, and when colours do. */
function useTrayPieces(
  small: readonly Piece[],
  placed: readonly Placed[],
  pictures: Picture[] | undefined,
  colours: readonly { id: string; hex: string }[],
): TrayPiece[] | null {
  const [pieces, setPieces] = useState<TrayPiece[] | null>(null)
  const key = JSON.stringify([small, colours])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says whether small, placed or colours changed
  useEffect(() => {
    if (!pictures) return
    let current = true
    void setOut(small, placed, pictures, new Map(colours.map((c) => [c.id, c.hex]))).then((next) => {
      if (current) setPieces(next)
    })
    return () => {
      current = false
    }
  }, [key, pictures])
  return pieces
}

async function setOut(
  small: readonly Piece[],
  placed: readonly Placed[],
  pictures: Picture[],
  hexes: Map<string, string>,
): Promise<TrayPiece[]> {
  const all = small.reduce((sum, p) => sum + p.count, 0)
  const kinds = small.flatMap((piece) =>
    Array<Piece>(Math.min(piece.count, Math.max(1, Math.round((ON_TRAY * piece.count) / all)))).fill(piece),
  )
  const columns = Math.ceil(Math.sqrt(kinds.length * 1.6))
  const step = Math.max(...kinds.map(diameterOf)) * 1.16
  const rows = Math.ceil(kinds.length / columns)
  return Promise.all(
    kinds.map(async (piece, i) => {
      const column = i % columns
      const row = Math.floor(i / columns)
      const mine = placed.map((p, k) => ({ ...p, picture: pictures[k]! })).filter((p) => p.piece === piece)
      return {
        x: (column - (columns - 1) / 2 + (row % 2) * 0.25) * step,
        y: ((rows - 1) / 2 - row) * step,
        radiusMm: diameterOf(piece) / 2,
        bodyMm: piece.shape.kind === 'cupcake' ? 32 : 7,
        domeMm: piece.shape.kind === 'cupcake' ? piece.shape.domeMm : 0,
        cased: piece.shape.kind === 'cupcake',
        coat: (piece.coat && hexes.get(piece.coat.colourId)) ?? '#d9c7a3',
        flowers: await standing(piece, mine, i, hexes),
      }
    }),
  )
}

/** Flowers keep off the rim by this share of the piece. */
const OFF_RIM = 0.94

function diameterOf(piece: Piece): number {
  return piece.shape.kind === 'cupcake' || piece.shape.kind === 'cookie' ? piece.shape.diameterMm : 0
}

async function standing(
  piece: Piece,
  mine: (Placed & { picture: Picture })[],
  place: number,
  hexes: Map<string, string>,
): Promise<TrayFlower[]> {
  const guests = mine.flatMap(({ placed, flower, picture }) =>
    Array.from(
      { length: placed.placement.kind === 'each' ? Math.min(24, placed.placement.perPiece) : 0 },
      (_, k) => ({
        key: `${placed.id} ${k}`,
        diameterMm: picture.measure.diameterMm,
        tucked: flower.form === 'leaf' || flower.form === 'vine',
      }),
    ),
  )
  const spots = arrange(guests, { kind: 'ring', outerMm: (diameterOf(piece) / 2) * OFF_RIM, innerMm: 0 })
  return Promise.all(
    mine.map(async ({ placed, flower, picture }) => {
      const layers = picture.layers.map((l) => l.layer)
      const colours = Object.fromEntries(
        flower.roles.map((r) => [r.id, hexes.get(placed.colours[r.id] ?? '') ?? r.hex]),
      )
      return {
        solid: await solidOf(picture.layers, 1 + (place % SEEDS), COARSE),
        palette: flowerPalette(layers, colours),
        spots: spots
          .filter((s) => s.key.slice(0, s.key.lastIndexOf(' ')) === placed.id)
          // no two cupcakes are turned alike
          .map((s) => ({ ...s, turn: s.turn + place * 1.7 })),
      }
    }),
  )
}
