import { useCallback, useMemo } from 'react'
import type { Flower } from '#core/model/flower'
import type { Site } from '#core/model/layout'
import type { Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { middleOf } from '#core/placing/kinds'
import { arrange, type Ground, type Guest } from '#core/surfaces/arrange'
import type { Chart } from '#core/surfaces/chart'
import { chartOf, surfaceDefinition } from '#core/surfaces/index'
import type { Loop } from '#core/surfaces/outline'
import { usePictures } from '../workers/flowers.ts'
import type { Picture } from '../workers/flowers.worker.ts'
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
  /** By body, from the lowest. */
  coats: readonly string[]
  workshop: Workshop
  size: number
  /** The arrangement that is shown, the first where nothing is said, and the place in it that is pointed out. */
  lit?: { layout: number; siteId: string } | null
}) {
  const { piece, flowers, coats, workshop, size, lit } = props
  const outline = useMemo(() => outlineOf(piece.shape), [piece.shape])
  const frame = useMemo(() => ({ x: 0, y: 0, half: outline.outer * 1.08 }), [outline])
  const pictures = usePictures(flowers, workshop)
  const paint = useCallback(
    (ctx: CanvasRenderingContext2D) => {
      paintSurface(ctx, outline, coats)
      if (!pictures) return
      const drawn = flowers.map((flower, i) => ({ flower, picture: pictures[i]! }))
      for (const d of drawn) if (d.flower.border) paintBorder(ctx, outline, d.flower, d.picture)
      const layout = piece.layouts[lit?.layout ?? 0]
      if (layout) paintPlaced(ctx, piece.shape, layout.sites, drawn)
      else paintStanding(ctx, outline, drawn)
      const site = layout?.sites.find((s) => s.id === lit?.siteId)
      const next = drawn.find((d) => d.flower.placedId === site?.placedId)
      if (site && next) paintLit(ctx, piece.shape, site, next.picture.measure.diameterMm, outline.outer)
    },
    [outline, coats, pictures, flowers, piece.layouts, piece.shape, lit],
  )
  return <Canvas size={size} label={`${piece.name} from above`} frame={frame} paint={paint} />
}

/** What a piece looks like from above: its edges, how far it reaches, and the ground flowers could stand on. */
interface Outline {
  edges: Path2D
  /** Tops of further bodies, which lie over the first. */
  further: { top: Path2D; body: number }[]
  outer: number
  grounds: { x: number; y: number; ground: Ground }[]
}

/** Flowers keep off the edge by this share of the piece. */
const OFF_EDGE = 0.96

function outlineOf(shape: Piece['shape']): Outline {
  const chart = chartOf(shape)
  const edges = new Path2D()
  for (const loop of chart.above) edges.addPath(pathOf(loop))
  const further = chart.courses
    .filter((c) => c.id === 'top' && c.tier > 0)
    .map((c) => ({
      top: pathOf(Array.from({ length: POINTS }, (_, i) => c.at((c.lengthMm * i) / POINTS))),
      body: c.tier,
    }))
  const outer = Math.max(...chart.above.flat().map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y))))
  return { edges, further, outer, grounds: groundsOf(shape, chart) }
}

const POINTS = 96

function pathOf(loop: Loop): Path2D {
  const path = new Path2D()
  for (const [i, { x, y }] of loop.entries())
    if (i === 0) path.moveTo(x, y)
    else path.lineTo(x, y)
  path.closePath()
  return path
}

/** Half the width of what stands on it, or of its hole, mm. */
function innerOf(shape: Piece['shape']): number {
  if (shape.kind === 'cake') return (shape.tiers[1]?.diameterMm ?? shape.coveredMm) / 2
  return shape.kind === 'ring' ? shape.holeMm / 2 : 0
}

function groundsOf(shape: Piece['shape'], chart: Chart): Outline['grounds'] {
  const { x, y } = chart.top
  if (shape.kind === 'sheet')
    return [{ x: 0, y: 0, ground: { kind: 'rectangle', halfX: x * OFF_EDGE, halfY: y * OFF_EDGE } }]
  const across = surfaceDefinition(shape.kind).topAcrossMm(shape)
  const round = shape.kind === 'cake' || shape.kind === 'ring'
  const outerMm = (round ? chart.reachMm : across / 2) * OFF_EDGE
  const ground: Ground = { kind: 'ring', outerMm, innerMm: innerOf(shape) }
  return chart.parts.map((part) => ({ ...part, ground }))
}

function paintSurface(ctx: CanvasRenderingContext2D, outline: Outline, coats: readonly string[]): void {
  const paint = (path: Path2D, hex: string) => {
    ctx.fillStyle = hex
    ctx.fill(path)
    ctx.strokeStyle = shade(hex, -0.3)
    ctx.lineWidth = outline.outer / 60
    ctx.stroke(path)
  }
  paint(outline.edges, coats[0] ?? CAKE)
  for (const { top, body } of outline.further) paint(top, coats[body] ?? coats[0] ?? CAKE)
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
  ctx.stroke(outline.edges)
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
  // one after the other where several stand side by side
  const spots = outline.grounds.flatMap(({ x, y, ground }, part) =>
    arrange(
      guests.filter((_, i) => i % outline.grounds.length === part),
      ground,
    ).map((spot) => ({ ...spot, x: spot.x + x, y: spot.y + y })),
  )
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

/** A place pointed out: a ring in ink on a lighter one, so that it shows on any icing. */
function paintLit(
  ctx: CanvasRenderingContext2D,
  shape: Piece['shape'],
  site: Site,
  wideMm: number,
  outerMm: number,
): void {
  const chart = chartOf(shape)
  const at = chart.point(chart.read(site.place))
  const line = outerMm / 28
  for (const [colour, wide] of [
    ['#ffffff', 2.4],
    ['#191919', 1],
  ] as const) {
    ctx.strokeStyle = colour
    ctx.lineWidth = line * wide
    ctx.beginPath()
    ctx.arc(at.x, at.y, wideMm / 2 + line * 1.5, 0, 2 * Math.PI)
    ctx.stroke()
  }
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
