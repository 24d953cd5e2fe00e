import { lazy, Suspense, useEffect, useState } from 'react'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { Flower } from '#core/model/flower'
import { type Site, siteSchema } from '#core/model/layout'
import type { OrderColour, Piece } from '#core/model/order'
import { middleOf } from '#core/placing/kinds'
import { standOf } from '#core/placing/stands'
import { arrange } from '#core/surfaces/arrange'
import type { Chart } from '#core/surfaces/chart'
import { chartOf } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { boardOf, bodyOf, coatsOf } from '../../../solid/bodyOf.ts'
import { flowerPalette } from '../../../solid/palette.ts'
import type { TrayFlower, TrayPiece } from '../../../solid/tray.ts'
import { usePictures } from '../../../workers/flowers.ts'
import type { Picture } from '../../../workers/flowers.worker.ts'
import { COARSE, solidOf } from '../../../workers/solids.ts'

const TrayView = lazy(async () => ({ default: (await import('../../../solid/TrayView.tsx')).TrayView }))

/** So many of an order's cupcakes and cookies stand on the tray, each kind by its share, at least one; cakes stand behind them. */
const ON_TRAY = 12
const SEEDS = 2

/** The pieces of the order as they will stand together, in the order's own colours, their flowers where they were placed. */
export function Tray() {
  const { order, workshop } = useOrderEditor()
  const placed = order.pieces.flatMap((piece) =>
    piece.flowers.flatMap((f) => {
      const recipe = workshop.flowers.find((known) => known.id === f.flowerId)
      if (!recipe) return []
      const { flower, colours } = flowerForOrder(recipe, f)
      return [{ piece, placed: { ...f, colours }, flower, sizeMm: f.sizeMm, tips: f.tips }]
    }),
  )
  const pictures = usePictures(placed, workshop)
  const pieces = useTrayPieces(order.pieces, placed, pictures, order.colours, workshop.settings.boardMarginMm)
  if (placed.length === 0)
    return (
      <Card title="The tray">
        <Empty title="Nothing to see yet">Put flowers on the pieces first.</Empty>
      </Card>
    )
  const all = order.pieces.reduce((sum, p) => sum + p.count, 0)
  return (
    <Card
      title="The tray"
      aside={pieces ? `${pieces.length} of ${all}, each kind by its share; drag to turn it` : undefined}
    >
      <div style={{ height: 'max(380px, calc(100vh - 380px))' }}>
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
type Drawn = Placed & { picture: Picture }

/** Solids fetched, pieces set out in rows. Rebuilt when shapes change, and when colours do. */
function useTrayPieces(
  all: readonly Piece[],
  placed: readonly Placed[],
  pictures: Picture[] | undefined,
  colours: readonly OrderColour[],
  marginMm: number,
): TrayPiece[] | null {
  const [pieces, setPieces] = useState<TrayPiece[] | null>(null)
  const key = JSON.stringify([all, colours, marginMm])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says whether pieces, placed or colours changed
  useEffect(() => {
    if (!pictures) return
    let current = true
    const drawn = placed.map((p, k) => ({ ...p, picture: pictures[k]! }))
    void setOut(all, drawn, colours, marginMm).then((next) => {
      if (current) setPieces(next)
    })
    return () => {
      current = false
    }
  }, [key, pictures])
  return pieces
}

const isSmall = ({ shape }: Piece) => shape.kind === 'cupcake' || shape.kind === 'cookie'
/** Pieces stand so far apart, in their width; large ones behind, so far from the others and from each other, mm. */
const APART = 1.16
const BEHIND_MM = 30
/** A tray is looked at on a wide screen: so many times as many columns as rows. */
const WIDER = 3.2

async function setOut(
  all: readonly Piece[],
  drawn: readonly Drawn[],
  colours: readonly OrderColour[],
  marginMm: number,
): Promise<TrayPiece[]> {
  const small = all.filter(isSmall)
  const count = small.reduce((sum, p) => sum + p.count, 0)
  const kinds = small.flatMap((piece) =>
    Array.from(
      { length: Math.min(piece.count, Math.max(1, Math.round((ON_TRAY * piece.count) / count))) },
      (_, way) => ({ piece, way }),
    ),
  )
  const large = all.filter((p) => !isSmall(p)).map((piece) => ({ piece, chart: chartOf(piece.shape) }))
  const columns = Math.ceil(Math.sqrt(kinds.length * WIDER))
  const step = Math.max(0, ...kinds.map((k) => 2 * chartOf(k.piece.shape).reachMm)) * APART
  const rows = Math.ceil(kinds.length / Math.max(1, columns))
  const wide = large.map(
    ({ piece, chart }) => (boardOf(piece, chart, marginMm)?.wideMm ?? 2 * chart.reachMm) + BEHIND_MM,
  )
  const deepest = Math.max(0, ...wide)
  const fromX = -wide.reduce((sum, mm) => sum + mm, 0) / 2
  const made = (piece: Piece, chart: Chart, way: number, x: number, y: number) =>
    pieceAt(piece, chart, way, x, y, drawn, colours, marginMm)
  return Promise.all([
    ...kinds.map(({ piece, way }, i) => {
      const column = i % columns
      const row = Math.floor(i / columns)
      return made(
        piece,
        chartOf(piece.shape),
        way,
        (column - (columns - 1) / 2 + (row % 2) * 0.25) * step,
        ((rows - 1) / 2 - row) * step - deepest / 2,
      )
    }),
    ...large.map(({ piece, chart }, i) => {
      const before = wide.slice(0, i).reduce((sum, mm) => sum + mm, 0)
      return made(piece, chart, 0, fromX + before + wide[i]! / 2, (rows * step) / 2)
    }),
  ])
}

async function pieceAt(
  piece: Piece,
  chart: Chart,
  way: number,
  x: number,
  y: number,
  drawn: readonly Drawn[],
  colours: readonly OrderColour[],
  marginMm: number,
): Promise<TrayPiece> {
  const hexes = new Map(colours.map((c) => [c.id, c.hex]))
  const mine = drawn.filter((d) => d.piece.id === piece.id && d.placed.placement.kind === 'each')
  const sites = piece.layouts[way % Math.max(1, piece.layouts.length)]?.sites ?? spread(chart, mine, way)
  const flowers = await Promise.all(
    mine.map(async ({ placed, flower, picture }): Promise<TrayFlower> => {
      const worn = Object.fromEntries(
        flower.roles.map((r) => [r.id, hexes.get(placed.colours[r.id] ?? '') ?? r.hex]),
      )
      const middle = middleOf(picture.shapes)
      return {
        solid: await solidOf(picture.layers, 1 + (way % SEEDS), COARSE),
        palette: flowerPalette(
          picture.layers.map((l) => l.layer),
          worn,
        ),
        stands: sites.filter((s) => s.placedId === placed.id).map((s) => standOf(chart, middle, s)),
      }
    }),
  )
  const body = bodyOf(piece, chart, coatsOf(piece, colours), boardOf(piece, chart, marginMm))
  return { body, x, y, flowers }
}

/** Flowers keep off the rim by this share of the piece; more of one flower than this are not drawn. */
const OFF_RIM = 0.94
const MOST_DRAWN = 24

/** One way in which flowers could stand that nobody has placed yet, no two pieces turned alike. */
function spread(chart: Chart, mine: readonly Drawn[], way: number): Site[] {
  const guests = mine.flatMap(({ placed, flower, picture }) =>
    Array.from(
      { length: placed.placement.kind === 'each' ? Math.min(MOST_DRAWN, placed.placement.perPiece) : 0 },
      (_, k) => ({
        key: `${placed.id} ${k}`,
        diameterMm: picture.measure.diameterMm,
        tucked: flower.form === 'leaf' || flower.form === 'vine',
      }),
    ),
  )
  const ground = { kind: 'ring' as const, outerMm: Math.min(chart.top.x, chart.top.y) * OFF_RIM, innerMm: 0 }
  return arrange(guests, ground).map((spot, i) =>
    siteSchema.parse({
      id: `s${i}`,
      placedId: spot.key.slice(0, spot.key.lastIndexOf(' ')),
      place: chart.store(chart.under(spot.x, spot.y)),
      turnDeg: ((i * 137 + way * 97) % 360) - 180,
      role: 'filler',
    }),
  )
}
