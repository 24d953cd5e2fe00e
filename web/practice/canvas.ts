/** Makes a canvas as large as a sheet, as sharp as the screen; what was on it is gone. */
export function sized(canvas: HTMLCanvasElement, wide: number, high: number): CanvasRenderingContext2D {
  const sharp = window.devicePixelRatio || 1
  canvas.width = Math.ceil(wide * sharp)
  canvas.height = Math.ceil(high * sharp)
  canvas.style.width = `${wide}px`
  canvas.style.height = `${high}px`
  const ctx = canvas.getContext('2d', { desynchronized: true })!
  ctx.setTransform(sharp, 0, 0, sharp, 0, 0)
  return ctx
}
