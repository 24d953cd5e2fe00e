import { useCallback, useMemo } from 'react'
import type { ViewShape } from '#core/flowers/strokeShapes'
import { Canvas } from './Canvas.tsx'
import { bounds, type LayerChoice, paintFlower, type RoleColours } from './paintFlower.ts'

/** A flower from above, filling a square of `size` px. */
export function FlowerPicture(
  props: {
    shapes: readonly ViewShape[]
    colours: RoleColours
    label: string
    size: number
    fluid?: boolean
  } & LayerChoice,
) {
  const { shapes, colours, layers, hidden } = props
  const frame = useMemo(() => {
    const { x, y, half } = bounds(shapes)
    // room for the outline of the outermost stroke
    return { x, y, half: half * 1.04 + 0.2 }
  }, [shapes])
  const paint = useCallback(
    (ctx: CanvasRenderingContext2D) => paintFlower(ctx, shapes, colours, { layers, hidden }),
    [shapes, colours, layers, hidden],
  )
  return <Canvas size={props.size} fluid={props.fluid} label={props.label} frame={frame} paint={paint} />
}
