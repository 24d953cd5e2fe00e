import { type ReactNode, useEffect, useRef, useState } from 'react'
import { eyeFor } from '#core/demonstration/eye'
import type { Pose } from '#core/demonstration/pose'
import { quickPictures } from '../parts/pictures.ts'
import { freshCanvas } from '../solid/freshCanvas.ts'
import { flowerPalette } from '../solid/palette.ts'

import { createDemoScene, type DemoScene } from './demoScene.ts'
import { firstColours } from './firstColours.ts'
import type { Piped } from './useShow.ts'
import css from './Watch.module.css'

/** Bag, nail and icing at one moment; turned by the pointer. */
export function Stage(props: {
  piped: Piped
  pose: Pose
  layer: number
  left: boolean
  colours: Readonly<Record<string, string>>
  label: string
  children?: ReactNode
  onScene: (scene: DemoScene | null, canvas: HTMLCanvasElement | null) => void
}) {
  const { piped, pose, layer, left, colours } = props
  const host = useRef<HTMLDivElement>(null)
  const mark = useRef<HTMLSpanElement>(null)
  const wide = useRef<HTMLSpanElement>(null)
  const scene = useRef<DemoScene>(null)
  const label = useRef(props.label)
  const onScene = useRef(props.onScene)
  onScene.current = props.onScene
  const [trouble, setTrouble] = useState<string | null>(null)

  useEffect(() => {
    if (!host.current) return
    const canvas = freshCanvas(host.current, css.canvas!, label.current)
    try {
      scene.current = createDemoScene(canvas, !quickPictures())
    } catch {
      setTrouble('This browser has no WebGL, which the picture needs. The numbers are right all the same.')
      return
    }
    const made = scene.current
    onScene.current(made, canvas)
    made.onDrawn((marks) => {
      put(mark.current, marks.mark)
      put(wide.current, marks.wideEnd)
    })
    const fit = new ResizeObserver(() => made.resize(canvas.clientWidth, canvas.clientHeight))
    fit.observe(canvas)
    return () => {
      fit.disconnect()
      made.dispose()
      scene.current = null
      canvas.remove()
      onScene.current(null, null)
    }
  }, [])

  useEffect(() => {
    scene.current?.show(piped.solid, piped.layers)
  }, [piped])
  useEffect(() => {
    const layers = piped.layers.map((l) => l.layer)
    scene.current?.colour(flowerPalette(layers, colours), firstColours(layers, colours))
  }, [piped, colours])
  useEffect(() => {
    const { azimuth, elevation } = eyeFor(piped.show, layer)
    scene.current?.look(azimuth, elevation)
  }, [piped, layer])
  useEffect(() => scene.current?.hand(left), [left])
  // after every new solid too
  useEffect(() => {
    scene.current?.pose(pose, layer)
    void piped
  }, [pose, layer, piped])

  if (trouble) return <p className={css.trouble}>{trouble}</p>
  return (
    <div ref={host} className={css.stage}>
      {props.children}
      <span ref={mark} className={css.tag} aria-hidden="true">
        mark
      </span>
      <span ref={wide} className={css.tag} aria-hidden="true">
        wide end
      </span>
    </div>
  )
}

/** Words go where what they name is. */
function put(words: HTMLSpanElement | null, at: readonly [number, number] | null): void {
  if (!words) return
  words.style.visibility = at ? 'visible' : 'hidden'
  if (at) words.style.transform = `translate(${at[0].toFixed(1)}px, ${at[1].toFixed(1)}px)`
}
