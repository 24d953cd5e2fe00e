/**
 * A canvas in a place of the page, and what takes it away again. Each drawing gets one of its own: a context that was given
 * back to the browser can never be had again on the same canvas.
 */
export function freshCanvas(host: HTMLElement, className: string, label: string): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.className = className
  canvas.setAttribute('role', 'img')
  canvas.setAttribute('aria-label', label)
  host.append(canvas)
  return canvas
}
