import { type BufferGeometry, Color, InstancedMesh, Matrix4, PerspectiveCamera, WebGLRenderer } from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { Solid } from '../workers/solid.worker.ts'
import { flowerGeometry, flowerMaterial, setPalette } from './flowerParts.ts'
import { litScene } from './litScene.ts'
import type { Palette } from './palette.ts'
import { type PieceBody, pieceBody, spreadMm, underMm } from './pieceBody.ts'

/** A flower standing on a piece: which solid, in which colours, and where, as matrices from the piece's own zero. */
export interface TrayFlower {
  solid: Solid
  palette: Palette
  stands: readonly Float32Array[]
}

/** One piece of the tray, at the tray's millimetres. */
export interface TrayPiece {
  body: PieceBody
  x: number
  y: number
  flowers: TrayFlower[]
}

/** How steeply the tray is looked at, radians; how far up the highest piece; and the room around it all. */
const ELEVATION = 0.66
const LOOKS_AT = 0.4
const ROOM = 0.94

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
  const scene = litScene()
  const held: { dispose(): void }[] = [renderer]
  const geometries = new Map<Solid, BufferGeometry>()
  const hold = <T extends { dispose(): void }>(thing: T): T => {
    held.push(thing)
    return thing
  }

  const half = { x: 60, y: 60 }
  let high = 0
  for (const { body, x, y, flowers } of pieces) {
    const wide = spreadMm(body)
    half.x = Math.max(half.x, Math.abs(x) + wide)
    half.y = Math.max(half.y, Math.abs(y) + wide)
    high = Math.max(high, body.highMm + underMm(body))
    const { group } = pieceBody(body, hold)
    group.position.set(x, y, underMm(body))
    for (const flower of flowers) {
      if (flower.stands.length === 0) continue
      const geometry = geometries.get(flower.solid) ?? hold(flowerGeometry(flower.solid))
      geometries.set(flower.solid, geometry)
      const material = hold(flowerMaterial(0.4))
      setPalette(material, flower.palette)
      hold(material.uniforms.palette!.value as { dispose(): void })
      const mesh = hold(new InstancedMesh(geometry, material, flower.stands.length))
      for (const [i, stand] of flower.stands.entries()) mesh.setMatrixAt(i, new Matrix4().fromArray(stand))
      mesh.frustumCulled = false
      group.add(mesh)
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
    const [c, s] = [Math.cos(ELEVATION), Math.sin(ELEVATION)]
    const slope = Math.tan((camera.fov * Math.PI) / 360)
    const across = half.x / (slope * camera.aspect)
    const upward = (half.y * s + (high / 2) * c) / slope
    // what stands in front is nearer, and larger
    const away = ROOM * Math.max(across, upward) + half.y * c
    camera.position.set(0, -away * c, high * LOOKS_AT + away * s)
    controls.target.set(0, 0, high * LOOKS_AT)
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
