import type { Pose } from '#core/demonstration/pose'
import type { DemoScene } from './demoScene.ts'

/** What is needed to make pictures of it. */
export interface Filmed {
  /** Draws moments one after the other, at once; then what was shown is shown again. */
  still(take: (draw: Draw, canvas: HTMLCanvasElement) => void): void
  /** The same for as long as it takes. */
  moving<T>(take: (draw: Draw, canvas: HTMLCanvasElement) => Promise<T>): Promise<T>
}
type Draw = (pose: Pose, layer: number) => void

/** A scene as something that pictures are made of. */
export function filmedBy(scene: DemoScene, canvas: HTMLCanvasElement, pause: () => void): Filmed {
  const draw: Draw = (pose, layer) => {
    scene.pose(pose, layer)
    scene.drawNow()
  }
  const again = () => {
    const shown = scene.shown()
    scene.onPaper(true)
    return () => {
      scene.onPaper(false)
      if (shown) scene.pose(shown.pose, shown.layer)
    }
  }
  return {
    still(take) {
      const back = again()
      take(draw, canvas)
      back()
    },
    async moving(take) {
      pause()
      const back = again()
      try {
        return await take(draw, canvas)
      } finally {
        back()
      }
    },
  }
}
