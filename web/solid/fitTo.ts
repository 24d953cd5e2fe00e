import type { PerspectiveCamera, WebGLRenderer } from 'three'

/** Draws so large from now on, CSS pixels: as finely as the screen shows, and no finer than twice. */
export function fitTo(
  renderer: WebGLRenderer,
  camera: PerspectiveCamera,
  width: number,
  height: number,
): void {
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
  renderer.setSize(width, height, false)
  camera.aspect = width / height
  camera.updateProjectionMatrix()
}
