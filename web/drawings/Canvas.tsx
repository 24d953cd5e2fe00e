import { useEffect, useRef } from 'react'

/**
 * A square picture painted in millimetres, y up. One element however many strokes it holds, so that a page full
 * of flowers stays light. `fluid` lets it shrink and grow with its container.
 */
export function Canvas(props: {
  size: number
  fluid?: boolean
  label: string
  /** Middle and half width of what is shown, mm. */
  frame: { x: number; y: number; half: number }
  paint: (ctx: CanvasRenderingContext2D) => void
}) {
  const { size, frame, paint } = props
  const ref = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    // with the next frame: whoever types sees the letter first
    const asked = requestAnimationFrame(() => {
      const canvas = ref.current
      const ctx = canvas?.getContext('2d')
      if (!canvas || !ctx) return
      const pixels = Math.round(size * Math.max(1.5, window.devicePixelRatio))
      canvas.width = pixels
      canvas.height = pixels
      const scale = pixels / (2 * frame.half)
      ctx.setTransform(scale, 0, 0, -scale, pixels / 2 - frame.x * scale, pixels / 2 + frame.y * scale)
      paint(ctx)
    })
    return () => cancelAnimationFrame(asked)
  }, [size, frame, paint])
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={props.label}
      style={{ display: 'block', width: props.fluid ? '100%' : size, aspectRatio: 1, maxWidth: '100%' }}
    />
  )
}
