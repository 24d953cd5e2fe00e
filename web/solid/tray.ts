import {
  AmbientLight,
  type BufferGeometry,
  Color,
  DirectionalLight,
  Group,
  Mesh,
  PerspectiveCamera,
  Scene,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { Solid } from '../workers/solid.worker.ts'
import { type CakeBody, cakeBody } from './cake.ts'
import { flowerGeometry, flowerMaterial, KEY_LIGHT, setPalette } from './flowerParts.ts'
import type { Palette } from './palette.ts'

/** A flower standing on a piece: which solid, where, and in which colours. */
export interface TrayFlower {
  solid: Solid
  palette: Palette
  spots: { x: number; y: number; turn: number }[]
}

/** One cupcake or cookie of the tray, at the tray's millimetres. */
export interface TrayPiece extends CakeBody {
  x: number
  y: number
  flowers: TrayFlower[]
}

/**
 * The tray as it will stand: pieces in rows, their flowers from the same solids as the studio, each drawn as
 * often as it is piped. Returns a function that lets everything go.
 */
export function createTray(
  canvas: HTMLCanvasElement,
  pieces: readonly TrayPiece[],
  antialias: boolean,
): () => void {
  const renderer = new WebGLRenderer({ canvas, antialias, alpha: true })
  renderer.setClearColor(new Color(0xffffff), 0)
  const scene = new Scene()
  scene.add(new AmbientLight(0xffffff, 2.2))
  const sun = new DirectionalLight(0xffffff, 1.5)
  sun.position.copy(KEY_LIGHT)
  scene.add(sun)
  const held: { dispose(): void }[] = [renderer]
  const geometries = new Map<Solid, BufferGeometry>()
  const hold = <T extends { dispose(): void }>(thing: T): T => {
    held.push(thing)
    return thing
  }

  let reach = 60
  for (const piece of pieces) {
    reach = Math.max(reach, Math.abs(piece.x) + piece.radiusMm, Math.abs(piece.y) + piece.radiusMm)
    const group = new Group()
    group.position.set(piece.x, piece.y, 0)
    const { radiusMm: r, bodyMm: h, domeMm } = piece
    group.add(cakeBody(piece, hold))
    for (const flower of piece.flowers) {
      const geometry = geometries.get(flower.solid) ?? hold(flowerGeometry(flower.solid))
      geometries.set(flower.solid, geometry)
      const material = hold(flowerMaterial(0.4))
      setPalette(material, flower.palette)
      hold(material.uniforms.palette!.value as { dispose(): void })
      for (const { x, y, turn } of flower.spots) {
        const mesh = new Mesh(geometry, material)
        // on the dome, a little sunk in so that nothing floats
        const away = Math.min(1, Math.hypot(x, y) / r)
        mesh.position.set(x, y, h + domeMm * (1 - away * away) + 0.6)
        mesh.rotation.z = turn
        group.add(mesh)
      }
    }
    scene.add(group)
  }

  const camera = new PerspectiveCamera(24, 1, 10, 6000)
  camera.up.set(0, 0, 1)
  const controls = new OrbitControls(camera, canvas)
  controls.enablePan = false
  controls.enableZoom = false
  controls.maxPolarAngle = Math.PI * 0.46
  let asked = 0
  const draw = () => {
    asked ||= requestAnimationFrame(() => {
      asked = 0
      renderer.render(scene, camera)
    })
  }
  controls.addEventListener('change', draw)
  const fit = new ResizeObserver(() => {
    const { clientWidth: width, clientHeight: height } = canvas
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
    renderer.setSize(width, height, false)
    camera.aspect = width / height
    const away = reach / Math.sin((camera.fov * Math.PI) / 360) / Math.max(1, camera.aspect * 0.62)
    camera.position.set(0, -away * 0.72, away * 0.69)
    controls.target.set(0, 0, 18)
    controls.update()
    camera.updateProjectionMatrix()
    draw()
  })
  fit.observe(canvas)
  return () => {
    fit.disconnect()
    cancelAnimationFrame(asked)
    controls.dispose()
    for (const thing of held) thing.dispose()
    // a browser has room for a few drawings at once: this one's place is free for the next
    renderer.forceContextLoss()
  }
}
