import { useEffect, useRef, useState } from 'react'
import type { Layer } from '#core/model/flower'
import type { StrokeRange } from '#core/solids/mesh'
import { quickPictures } from '../parts/pictures.ts'
import type { Solid } from '../workers/solid.worker.ts'

import css from './FlowerSolid.module.css'
import { freshCanvas } from './freshCanvas.ts'
import { flowerPalette } from './palette.ts'
import { createScene, type FlowerScene } from './scene.ts'

/** Part of the piping to show: everything, or a run of strokes. */
export interface Shown {
  start: number
  count: number
}

/** A flower that turns under the pointer. `onPick` hears which stroke the pointer rests on. */
export function FlowerSolid(props: {
  solid: Solid
  layers: readonly Layer[]
  colours: Readonly<Record<string, string>>
  shown: Shown | null
  rings: boolean
  cupcake: boolean
  label: string
  onPick: (stroke: StrokeRange | null) => void
  onScene: (scene: FlowerScene | null) => void
}) {
  const { solid, layers, colours, shown, rings, cupcake, onPick } = props
  // one scene for as long as it is on the page, whoever listens
  const onScene = useRef(props.onScene)
  onScene.current = props.onScene
  const host = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const scene = useRef<FlowerScene>(null)
  const label = useRef(props.label)
  const [trouble, setTrouble] = useState<string | null>(null)

  useEffect(() => {
    label.current = props.label
    canvas.current?.setAttribute('aria-label', props.label)
  }, [props.label])

  useEffect(() => {
    if (!host.current) return
    const element = freshCanvas(host.current, css.canvas!, label.current)
    canvas.current = element
    try {
      scene.current = createScene(element, !quickPictures())
    } catch {
      setTrouble('This browser has no WebGL, which the solid needs. The figures are right all the same.')
      return
    }
    onScene.current(scene.current)
    const fit = new ResizeObserver(() => scene.current?.resize(element.clientWidth, element.clientHeight))
    fit.observe(element)
    return () => {
      fit.disconnect()
      scene.current?.dispose()
      scene.current = null
      element.remove()
      onScene.current(null)
    }
  }, [])

  useEffect(() => scene.current?.show(solid), [solid])
  useEffect(() => scene.current?.colour(flowerPalette(layers, colours)), [layers, colours])
  useEffect(() => scene.current?.scaleRings(rings), [rings])
  useEffect(() => scene.current?.cupcake(cupcake), [cupcake])
  // after every new mesh too, because the range lives on it
  useEffect(() => {
    scene.current?.range(shown)
    void solid
  }, [shown, solid])

  function pick(e: React.PointerEvent) {
    const box = e.currentTarget.getBoundingClientRect()
    onPick(scene.current?.pick(e.clientX - box.left, e.clientY - box.top) ?? null)
  }

  if (trouble) return <p className={css.trouble}>{trouble}</p>
  return (
    <div
      ref={host}
      className={css.host}
      onPointerMove={(e) => e.buttons === 0 && pick(e)}
      onPointerDown={pick}
      onPointerLeave={() => onPick(null)}
    />
  )
}
