import { useCallback, useMemo } from 'react'
import type { Flower } from '#core/model/flower'
import type { Site } from '#core/model/layout'
import type { Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { middleOf } from '#core/placing/kinds'
import { arrange, type Ground, type Guest } from '#core/surfaces/arrange'
import { chartOf } from '#core/surfaces/index'
import { usePictures } from '../workers/planner.ts'
import type { Picture } from '../workers/planner.worker.ts'
import { Canvas } from './Canvas.tsx'
import { paintFlower, type RoleColours } from './paintFlower.ts'
import { poseFromAbove } from './poseFromAbove.ts'
import { shade } from './shade.ts'

/** A placed flower with what is needed to draw it. */
export interface DrawnFlower {
  placedId: string
  flower: Flower
  sizeMm: number | null
  tips: Record<string, string>
  perPiece: number
  border: boolean
  colours: RoleColours
}

/** More than this on one piece is drawn as this many: the picture is for recognising, not for counting. */
const MOST_DRAWN = 40
const CAKE = '#d9c7a3'

/** A piece from above, to scale within itself: its flowers where they were placed, or one way they could stand. */
export function PiecePicture(props: {
  piece: Piece
  flowers: DrawnFlower[]
  coatHex: string | null
  workshop: Workshop
  size: number
}) {
  const { piece, flowers, coatHex, workshop, size } = props
  const outline = useMemo(() => outlineOf(piece.shape), [piece.shape])
  const frame = useMemo(() => ({ x: 0, y: 0, half: outline.outer * 1.08 }), [outline])
  const pictures = usePictures(flowers, workshop)
  const paint = useCallback(
    (ctx: CanvasRenderingContext2D) => {
      paintSurface(ctx, outline, coatHex ?? CAKE)
      if (!pictures) return
      const drawn = flowers.map((flower, i) => ({ flower, picture: pictures[i]! }))
      for (const d of drawn) if (d.flower.border) paintBorder(ctx, outline, d.flower, d.picture)
      const [layout] = piece.layouts
      if (layout) paintPlaced(ctx, piece.shape, layout.sites, drawn)
      else paintStanding(ctx, outline, drawn)
    },
    [outline, coatHex, pictures, flowers, piece.layouts, piece.shape],
  )
  return <Canvas size={size} label={`${piece.name} from above`} frame={frame} paint={paint} />
}

/** A piece's top: half its width, what an upper tier covers, and depth over width for a rectangle. */
interface Outline {
  outer: number
  inner: number
  depth: number | null
}

function outlineOf(shape: Piece['shape']): Outline {
  if (shape.kind === 'sheet') {
    const long = Math.max(shape.lengthMm, shape.widthMm)
    return { outer: long / 2, inner: 0, depth: Math.min(shape.lengthMm, shape.widthMm) / long }
  }
  if (shape.kind === 'cake') {
    const above = shape.tiers[1]?.diameterMm ?? shape.coveredMm
    return { outer: shape.tiers[0]!.diameterMm / 2, inner: above / 2, depth: null }
  }
  return { outer: shape.diameterMm / 2, inner: 0, depth: null }
}

/** Flowers keep off the edge by this share of the piece. */
const OFF_EDGE = 0.96

const groundOf = ({ outer, inner, depth }: Outline): Ground =>
  depth === null
    ? { kind: 'ring', outerMm: outer * OFF_EDGE, innerMm: inner }
    : { kind: 'rectangle', halfX: outer * OFF_EDGE, halfY: outer * depth * OFF_EDGE }

function edgePath({ outer, depth }: Outline, inset = 0): Path2D {
  const path = new Path2D()
  const r = outer - inset
  if (depth === null) path.arc(0, 0, r, 0, 2 * Math.PI)
  else path.rect(-r, -outer * depth + inset, 2 * r, 2 * (outer * depth - inset))
  return path
}

function paintSurface(ctx: CanvasRenderingContext2D, outline: Outline, hex: string): void {
  const edge = edgePath(outline)
  ctx.fillStyle = hex
  ctx.fill(edge)
  ctx.strokeStyle = shade(hex, -0.3)
  ctx.lineWidth = outline.outer / 60
  ctx.stroke(edge)
  if (outline.inner > 0) {
    ctx.beginPath()
    ctx.arc(0, 0, outline.inner, 0, 2 * Math.PI)
    ctx.fillStyle = shade(hex, -0.08)
    ctx.fill()
    ctx.setLineDash([4, 3])
    ctx.stroke()
    ctx.setLineDash([])
  }
}

function paintBorder(
  ctx: CanvasRenderingContext2D,
  outline: Outline,
  drawn: DrawnFlower,
  picture: Picture,
): void {
  const wide = picture.measure.diameterMm
  ctx.strokeStyle = Object.values(drawn.colours)[0] ?? '#b9b9b9'
  ctx.lineWidth = Math.max(1.5, wide * 0.7)
  ctx.lineCap = 'round'
  ctx.setLineDash([0.1, Math.max(2, wide * 0.9)])
  ctx.stroke(edgePath(outline, wide / 2))
  ctx.setLineDash([])
}

function paintStanding(
  ctx: CanvasRenderingContext2D,
  outline: Outline,
  drawn: { flower: DrawnFlower; picture: Picture }[],
): void {
  const standing = drawn.filter((d) => !d.flower.border)
  const guests: Guest[] = standing.flatMap(({ flower, picture }) =>
    Array.from({ length: Math.min(flower.perPiece, MOST_DRAWN) }, (_, i) => ({
      key: `${flower.placedId} ${i}`,
      diameterMm: picture.measure.diameterMm,
      tucked: flower.flower.form === 'leaf' || flower.flower.form === 'vine',
    })),
  )
  const spots = arrange(guests, groundOf(outline))
  const byPlaced = new Map(standing.map((d) => [d.flower.placedId, d]))
  // leaves lie beneath the flowers they are tucked under
  for (const tucked of [true, false])
    spots.forEach((spot, i) => {
      const guest = guests.find((g) => g.key === spot.key)
      const d = byPlaced.get(spot.key.slice(0, spot.key.lastIndexOf(' ')))
      if (!d || guest?.tucked !== tucked || i > MOST_DRAWN * 4) return
      ctx.save()
      ctx.translate(spot.x, spot.y)
      ctx.rotate(spot.turn)
      paintFlower(ctx, d.picture.shapes, d.flower.colours)
      ctx.restore()
    })
}

/** Flowers where they stand: those on a side foreshortened, leaves beneath. */
function paintPlaced(
  ctx: CanvasRenderingContext2D,
  shape: Piece['shape'],
  sites: readonly Site[],
  drawn: { flower: DrawnFlower; picture: Picture }[],
): void {
  const chart = chartOf(shape)
  const byPlaced = new Map(drawn.map((d) => [d.flower.placedId, d]))
  const seen = sites
    .map((site) => ({ site, at: chart.point(chart.read(site.place)) }))
    .sort((p, q) => Number(q.site.role === 'leaf') - Number(p.site.role === 'leaf') || p.at.z - q.at.z)
  for (const { site, at } of seen) {
    const d = byPlaced.get(site.placedId)
    if (!d) continue
    const { middleX, middleY } = middleOf(d.picture.shapes)
    const { angle, squeeze } = poseFromAbove(at)
    ctx.save()
    ctx.translate(at.x, at.y)
    ctx.rotate(angle)
    ctx.scale(squeeze, 1)
    ctx.rotate((site.turnDeg * Math.PI) / 180)
    ctx.translate(-middleX, -middleY)
    paintFlower(ctx, d.picture.shapes, d.flower.colours)
    ctx.restore()
  }
}
