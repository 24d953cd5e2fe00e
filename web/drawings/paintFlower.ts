import type { ViewShape } from '#core/flowers/strokeShapes'
import { shade } from './shade.ts'

/** Colours by role id; a role that is missing is drawn in grey. */
export type RoleColours = Readonly<Record<string, string>>

const GREY = '#b9b9b9'

/** Which layers of a flower are drawn, and how. */
export interface LayerChoice {
  /** Layers drawn in full; others are ghosted. All when left out. */
  layers?: ReadonlySet<string>
  /** Layers left out altogether. */
  hidden?: ReadonlySet<string>
}

/** Paints the strokes of a flower from above; the canvas's units must be millimetres, y up. */
export function paintFlower(
  ctx: CanvasRenderingContext2D,
  shapes: readonly ViewShape[],
  colours: RoleColours,
  choice: LayerChoice = {},
): void {
  const top = shapes.reduce((most, s) => Math.max(most, s.heightMm), 1)
  ctx.lineJoin = 'round'
  ctx.lineCap = 'round'
  for (const shape of shapes) {
    if (choice.hidden?.has(shape.layerId)) continue
    ctx.globalAlpha = choice.layers && !choice.layers.has(shape.layerId) ? 0.22 : 1
    paintShape(ctx, shape, colours[shape.role] ?? GREY, shape.heightMm / top)
  }
  ctx.globalAlpha = 1
}

function paintShape(ctx: CanvasRenderingContext2D, shape: ViewShape, hex: string, level: number): void {
  const fill = shade(hex, -0.1 + 0.24 * level)
  const edge = shade(hex, -0.42)
  switch (shape.kind) {
    case 'area': {
      const area = line(shape.points)
      area.closePath()
      ctx.fillStyle = fill
      ctx.fill(area)
      stroke(ctx, area, edge, 0.28)
      stroke(ctx, line(shape.ridge), shade(hex, 0.2), 0.4)
      break
    }
    case 'rope': {
      const rope = line(shape.points)
      stroke(ctx, rope, edge, 2 * shape.radiusMm + 0.5)
      stroke(ctx, rope, fill, 2 * shape.radiusMm)
      if (shape.ridged) {
        ctx.setLineDash([0.35, 1.5])
        stroke(ctx, rope, shade(hex, -0.25), 1.1 * shape.radiusMm)
        ctx.setLineDash([])
      }
      break
    }
    case 'disc': {
      const disc = circle(shape.x, shape.y, shape.radiusMm)
      ctx.fillStyle = fill
      ctx.fill(disc)
      stroke(ctx, disc, edge, 0.28)
      ctx.fillStyle = shade(hex, 0.22 + 0.1 * level)
      ctx.fill(
        circle(shape.x - shape.radiusMm * 0.28, shape.y + shape.radiusMm * 0.28, shape.radiusMm * 0.36),
      )
    }
  }
}

function stroke(ctx: CanvasRenderingContext2D, path: Path2D, colour: string, widthMm: number): void {
  ctx.strokeStyle = colour
  ctx.lineWidth = widthMm
  ctx.stroke(path)
}

function line(points: readonly number[]): Path2D {
  const path = new Path2D()
  for (let i = 0; i < points.length; i += 2) path.lineTo(points[i]!, points[i + 1]!)
  return path
}

function circle(x: number, y: number, r: number): Path2D {
  const path = new Path2D()
  path.arc(x, y, r, 0, 2 * Math.PI)
  return path
}

/** Middle and half width of the square that holds all shapes, mm. */
export function bounds(shapes: readonly ViewShape[]): { x: number; y: number; half: number } {
  let [left, right, low, high] = [0, 0, 0, 0]
  const grow = (x: number, y: number, r: number) => {
    left = Math.min(left, x - r)
    right = Math.max(right, x + r)
    low = Math.min(low, y - r)
    high = Math.max(high, y + r)
  }
  for (const shape of shapes) {
    if (shape.kind === 'disc') grow(shape.x, shape.y, shape.radiusMm)
    else
      for (let i = 0; i < shape.points.length; i += 2)
        grow(shape.points[i]!, shape.points[i + 1]!, shape.kind === 'rope' ? shape.radiusMm : 0)
  }
  return {
    x: (left + right) / 2,
    y: (low + high) / 2,
    half: Math.max(1, (right - left) / 2, (high - low) / 2),
  }
}
