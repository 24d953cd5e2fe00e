import {
  type BufferGeometry,
  Color,
  Group,
  InstancedMesh,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PerspectiveCamera,
  Raycaster,
  RingGeometry,
  type ShaderMaterial,
  Vector2,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { Solid } from '../workers/solid.worker.ts'
import { flowerGeometry, flowerMaterial, setPalette } from './flowerParts.ts'
import { litScene } from './litScene.ts'
import type { Palette } from './palette.ts'
import { type PieceBody, pieceBody, spreadMm, underMm } from './pieceBody.ts'
import { type Rope, ropeGeometry } from './ropes.ts'

/** One flower, as often as it stands there. */
export interface Stood {
  solid: Solid
  palette: Palette
  /** 4 by 4 matrices, and the sites that they belong to; borders have none. */
  stands: readonly Float32Array[]
  siteIds: readonly string[]
}

export interface PieceScene {
  body(body: PieceBody): void
  flowers(flowers: readonly Stood[]): void
  /** Lines of icing that lie on the surface. */
  ropes(ropes: readonly Rope[]): void
  /** Rings around what is chosen: where, and how wide, mm. */
  chosen(stands: readonly { stand: Float32Array; r: number }[]): void
  /** Which thing is under a point of the canvas, in CSS pixels. */
  pick(x: number, y: number): string | null
  /** Where the surface of the piece is hit. */
  hit(x: number, y: number): { x: number; y: number; z: number } | null
  /** Turning by the pointer, on or off: off while a flower is dragged. */
  turnable(on: boolean): void
  resize(width: number, height: number): void
  dispose(): void
}

const ELEVATION = 0.5
/** What lies flat is looked at from higher up, and fills more of the picture. */
const FLAT = 0.45
const FLAT_ELEVATION = 0.95
const FLAT_ROOM = 0.86
/** Room over a piece for what stands on it, in its half width. */
const HEADROOM = 0.12

/** A piece that turns under the pointer, with its flowers. `onLook` hears from which side it is looked at. @throws Error without WebGL. */
export function createPieceScene(
  canvas: HTMLCanvasElement,
  antialias: boolean,
  onLook: (angle: number) => void,
): PieceScene {
  const renderer = new WebGLRenderer({ canvas, antialias, alpha: true })
  renderer.setClearColor(new Color(0xffffff), 0)
  const scene = litScene()
  const camera = new PerspectiveCamera(22, 1, 10, 8000)
  camera.up.set(0, 0, 1)
  const controls = new OrbitControls(camera, canvas)
  controls.enablePan = false
  controls.maxPolarAngle = Math.PI * 0.5
  let asked = 0
  const draw = () => {
    asked ||= requestAnimationFrame(() => {
      asked = 0
      renderer.render(scene, camera)
    })
  }
  controls.addEventListener('change', () => {
    onLook(Math.atan2(camera.position.x, -camera.position.y))
    draw()
  })

  const piece = new Group()
  const standing = new Group()
  const marks = new Group()
  const lettering = new Group()
  scene.add(piece, standing, lettering, marks)
  const ring = new RingGeometry(0.94, 1.06, 48)
  const ink = new MeshBasicMaterial({ color: 0x191919, depthTest: false, transparent: true })
  const geometries = new Map<Solid, BufferGeometry>()
  const materials = new Map<string, ShaderMaterial>()
  const held: { dispose(): void }[] = []
  let surface: Mesh | null = null
  let framed = ''
  let size: { reach: number; high: number; below: number } | null = null

  function clear(group: Group, keep: (mesh: Mesh) => boolean = () => false) {
    for (const child of [...group.children]) {
      group.remove(child)
      const mesh = child as Mesh
      if (!keep(mesh)) mesh.geometry?.dispose()
      if (child instanceof InstancedMesh) child.dispose()
    }
  }

  /** Moves the camera so that all of the piece is in the picture, when the piece or the picture has become another. */
  function frame() {
    if (!size) return
    const { reach, high, below } = size
    // a picture that is higher than wide shows less to the sides
    const narrow = Math.min(1, camera.aspect)
    const key = `${reach} ${high} ${below} ${narrow.toFixed(2)}`
    if (key === framed) return
    framed = key
    const middle = (high - below) / 2
    const flat = high + below < FLAT * reach
    const elevation = flat ? FLAT_ELEVATION : ELEVATION
    const radius = Math.hypot(reach, (high + below) / 2) * (flat ? FLAT_ROOM : 0.98)
    const away = radius / Math.sin((camera.fov * Math.PI) / 360) / narrow
    controls.target.set(0, 0, middle)
    camera.position.set(0, -Math.cos(elevation) * away, middle + Math.sin(elevation) * away)
    controls.minDistance = away * 0.3
    controls.maxDistance = away * 2
    controls.update()
  }

  const caster = new Raycaster()
  const aim = (x: number, y: number) => {
    const { clientWidth, clientHeight } = canvas
    caster.setFromCamera(new Vector2((2 * x) / clientWidth - 1, 1 - (2 * y) / clientHeight), camera)
    return caster
  }

  return {
    body(body) {
      for (const thing of held.splice(0)) thing.dispose()
      piece.clear()
      const made = pieceBody(body, (thing) => {
        held.push(thing)
        return thing
      })
      surface = made.surface
      piece.add(made.group)
      size = {
        reach: spreadMm(body),
        high: body.highMm + body.reachMm * HEADROOM,
        below: underMm(body),
      }
      frame()
      draw()
    },
    flowers(flowers) {
      const used = new Set(flowers.map((f) => f.solid))
      clear(standing, () => true)
      for (const [solid, geometry] of geometries)
        if (!used.has(solid)) {
          geometry.dispose()
          geometries.delete(solid)
        }
      for (const { solid, palette, stands, siteIds } of flowers) {
        if (stands.length === 0) continue
        const geometry = geometries.get(solid) ?? flowerGeometry(solid)
        geometries.set(solid, geometry)
        const key = `${palette.columns} ${palette.texels.join()}`
        let material = materials.get(key)
        if (!material) {
          material = flowerMaterial(0.4)
          setPalette(material, palette)
          materials.set(key, material)
        }
        const mesh = new InstancedMesh(geometry, material, stands.length)
        for (const [i, stand] of stands.entries()) mesh.setMatrixAt(i, new Matrix4().fromArray(stand))
        mesh.userData.siteIds = siteIds
        mesh.frustumCulled = false
        standing.add(mesh)
      }
      draw()
    },
    ropes(ropes) {
      for (const child of [...lettering.children]) {
        lettering.remove(child)
        ;(child as Mesh<BufferGeometry, MeshLambertMaterial>).geometry.dispose()
        ;(child as Mesh<BufferGeometry, MeshLambertMaterial>).material.dispose()
      }
      for (const rope of ropes) {
        const tube = ropeGeometry(rope)
        if (tube) lettering.add(new Mesh(tube, new MeshLambertMaterial({ color: rope.hex })))
      }
      draw()
    },
    chosen(stands) {
      clear(marks, () => true)
      for (const { stand, r } of stands) {
        const mark = new Mesh(ring, ink)
        mark.matrixAutoUpdate = false
        mark.matrix.fromArray(stand).multiply(new Matrix4().makeScale(r, r, 1))
        mark.renderOrder = 2
        marks.add(mark)
      }
      draw()
    },
    pick(x, y) {
      const hits = aim(x, y).intersectObjects([...standing.children, ...(surface ? [surface] : [])])
      for (const { object, instanceId } of hits) {
        if (object === surface) return null
        const id = (object.userData.siteIds as string[])[instanceId ?? -1]
        if (id) return id
      }
      return null
    },
    hit(x, y) {
      const at = surface && aim(x, y).intersectObject(surface)[0]?.point
      return at ? { x: at.x, y: at.y, z: at.z } : null
    },
    turnable(on) {
      controls.enabled = on
    },
    resize(width, height) {
      renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
      renderer.setSize(width, height, false)
      camera.aspect = width / Math.max(1, height)
      frame()
      camera.updateProjectionMatrix()
      draw()
    },
    dispose() {
      cancelAnimationFrame(asked)
      controls.dispose()
      for (const thing of held) thing.dispose()
      clear(standing, () => true)
      clear(lettering)
      for (const geometry of geometries.values()) geometry.dispose()
      for (const material of materials.values()) {
        ;(material.uniforms.palette?.value as { dispose(): void } | null)?.dispose()
        material.dispose()
      }
      ring.dispose()
      ink.dispose()
      renderer.dispose()
      renderer.forceContextLoss()
    },
  }
}
