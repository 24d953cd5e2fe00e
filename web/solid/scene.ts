import {
  BufferGeometry,
  Color,
  DataTexture,
  Group,
  LinearFilter,
  Mesh,
  MeshBasicMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Raycaster,
  RGBAFormat,
  RingGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { StrokeRange } from '#core/solids/mesh'
import type { Solid } from '../workers/solid.worker.ts'
import { type CakeBody, cakeBody } from './cake.ts'
import { fitTo } from './fitTo.ts'
import { flowerGeometry, flowerMaterial, setPalette } from './flowerParts.ts'
import { litScene } from './litScene.ts'
import type { Palette } from './palette.ts'

/** Share of the finished flower's shadows that a part of it lies in: most of what threw them is not there. */
const SHADOWS_OF_A_PART = 0.4

/** What a scene shows and does; drawn only when something has changed. */
export interface FlowerScene {
  show(solid: Solid): void
  colour(palette: Palette): void
  /** Only the strokes of these entries of the index are drawn, or all of them. */
  range(part: { start: number; count: number } | null): void
  /** The stroke under a point of the canvas, in CSS pixels. */
  pick(x: number, y: number): StrokeRange | null
  /** Rings on the table, ten millimetres apart; the fifth is heavier. */
  scaleRings(shown: boolean): void
  /** A cupcake under the flower. */
  cupcake(shown: boolean): void
  resize(width: number, height: number): void
  look(elevationDeg: number): void
  /** @throws Error where the browser has no room for so large a picture. */
  png(wish: PictureWish): Promise<Blob>
  dispose(): void
}

/** A picture to be saved: so many pixels wide, square or shaped as it is seen, with the table's shadow and what stands on it or clear. */
export interface PictureWish {
  widePx: number
  square: boolean
  ground: boolean
}

/** A scene with one flower on the table, turned by the pointer. @throws Error when there is no WebGL. */
export function createScene(canvas: HTMLCanvasElement, antialias: boolean): FlowerScene {
  const renderer = new WebGLRenderer({ canvas, antialias, alpha: true, preserveDrawingBuffer: true })
  renderer.setClearColor(new Color(0xffffff), 0)
  const scene = litScene()
  const camera = new PerspectiveCamera(26, 1, 1, 2000)
  camera.up.set(0, 0, 1)
  const controls = new OrbitControls(camera, canvas)
  controls.enablePan = false
  controls.maxPolarAngle = Math.PI * 0.495
  const material = flowerMaterial(1)
  const flower = new Mesh(new BufferGeometry(), material)
  const shadow = new Mesh(
    new PlaneGeometry(1, 1),
    new MeshBasicMaterial({ transparent: true, depthWrite: false }),
  )
  const held: { dispose(): void }[] = []
  const hold = <T extends { dispose(): void }>(thing: T): T => {
    held.push(thing)
    return thing
  }
  const rings = scaleRings(hold)
  rings.visible = false
  const cake = cakeBody(CUPCAKE, hold)
  cake.position.z = -CUPCAKE.bodyMm - 1.2
  cake.visible = false
  scene.add(flower, shadow, rings, cake)
  const caster = new Raycaster()
  let strokes: StrokeRange[] = []
  let asked = 0
  let flowerRadius = 0
  let flowerMiddle = new Vector3()
  let elevation = 46

  const draw = () => {
    asked ||= requestAnimationFrame(() => {
      asked = 0
      renderer.render(scene, camera)
    })
  }
  controls.addEventListener('change', draw)

  function frame(radius: number, middle: Vector3) {
    const away = (radius * 1.18) / Math.sin((camera.fov * Math.PI) / 360)
    const angle = (elevation * Math.PI) / 180
    controls.target.copy(middle)
    camera.position.set(middle.x, middle.y - Math.cos(angle) * away, middle.z + Math.sin(angle) * away)
    controls.minDistance = away * 0.3
    controls.maxDistance = away * 3
    controls.update()
  }

  /** The flower fills the view, or the cupcake it stands on. */
  function reframe() {
    const middle = middleOf(flower.geometry)
    if (cake.visible) middle.z -= CUPCAKE.bodyMm * 0.32
    frame(cake.visible ? Math.max(flowerRadius, CUPCAKE.radiusMm * 1.25) : flowerRadius, middle)
  }

  return {
    show({ mesh, bake }) {
      const geometry = flowerGeometry({ mesh, bake })
      geometry.computeBoundingSphere()
      geometry.computeBoundingBox()
      flower.geometry.dispose()
      flower.geometry = geometry
      strokes = mesh.strokes
      castShadow(shadow, bake.ground)
      const box = geometry.boundingBox!
      const size = box.getSize(new Vector3())
      const radius = Math.max(size.x / 2, size.y / 2, size.z * 0.7)
      const middle = middleOf(geometry)
      // a slider that is dragged must not move the camera; another flower must, and one that grows out of the picture
      const moved = middle.distanceTo(flowerMiddle) > flowerRadius * 0.3
      if (moved || Math.abs(radius - flowerRadius) > flowerRadius * 0.3) {
        flowerRadius = radius
        flowerMiddle = middle
        reframe()
      }
      draw()
    },
    colour(palette) {
      setPalette(material, palette)
      draw()
    },
    range(part) {
      flower.geometry.setDrawRange(part?.start ?? 0, part?.count ?? Number.POSITIVE_INFINITY)
      const whole = !part || (part.start === 0 && part.count === flower.geometry.index?.count)
      const left = whole ? 1 : SHADOWS_OF_A_PART
      material.uniforms.shadows!.value = left
      shadow.material.opacity = left
      draw()
    },
    pick(x, y) {
      const { clientWidth, clientHeight } = canvas
      caster.setFromCamera(new Vector2((2 * x) / clientWidth - 1, 1 - (2 * y) / clientHeight), camera)
      const face = caster.intersectObject(flower)[0]?.faceIndex
      if (face === undefined || face === null) return null
      return strokes.find((s) => face * 3 >= s.start && face * 3 < s.start + s.count) ?? null
    },
    scaleRings(shown) {
      rings.visible = shown
      draw()
    },
    cupcake(shown) {
      cake.visible = shown
      reframe()
      draw()
    },
    resize(width, height) {
      fitTo(renderer, camera, width, height)
      draw()
    },
    look(elevationDeg) {
      elevation = elevationDeg
      reframe()
      draw()
    },
    png({ widePx, square, ground }) {
      const asSeen = {
        aspect: camera.aspect,
        ratio: renderer.getPixelRatio(),
        size: renderer.getSize(new Vector2()),
      }
      const table = [shadow, rings, cake].map((thing) => ({ thing, visible: thing.visible }))
      const high = square ? widePx : Math.round(widePx / asSeen.aspect)
      if (!ground) for (const { thing } of table) thing.visible = false
      renderer.setPixelRatio(1)
      renderer.setSize(widePx, high, false)
      camera.aspect = widePx / high
      camera.updateProjectionMatrix()
      renderer.render(scene, camera)
      // what is drawn now is what is kept, however long it takes to write
      const picture = new Promise<Blob>((done, fail) =>
        canvas.toBlob((blob) =>
          blob
            ? done(blob)
            : fail(new Error('The browser has no room for so large a picture. Take a smaller one.')),
        ),
      )
      for (const { thing, visible } of table) thing.visible = visible
      renderer.setPixelRatio(asSeen.ratio)
      renderer.setSize(asSeen.size.x, asSeen.size.y, false)
      camera.aspect = asSeen.aspect
      camera.updateProjectionMatrix()
      renderer.render(scene, camera)
      return picture
    },
    dispose() {
      cancelAnimationFrame(asked)
      controls.dispose()
      flower.geometry.dispose()
      material.dispose()
      for (const thing of held) thing.dispose()
      renderer.dispose()
      // a browser has room for a few drawings at once: this one's place is free for the next
      renderer.forceContextLoss()
    },
  }
}

/** What is shown under a flower on request: the usual cupcake with a flat coat. */
const CUPCAKE: CakeBody = { radiusMm: 32, bodyMm: 38, domeMm: 0, coat: '#efe9dc', cased: true }

/** Rings on the table every ten millimetres out to fifty, the last one heavier. */
function scaleRings(hold: <T extends { dispose(): void }>(thing: T) => T): Group {
  const group = new Group()
  for (let r = 10; r <= 50; r += 10) {
    const width = r === 50 ? 0.5 : 0.22
    const ring = new Mesh(
      hold(new RingGeometry(r - width, r, 96)),
      hold(new MeshBasicMaterial({ color: r === 50 ? 0x666666 : 0x999999 })),
    )
    ring.position.z = 0.02
    group.add(ring)
  }
  return group
}

/** What the camera turns about: the middle of the box, a little below half its height. */
function middleOf(geometry: BufferGeometry): Vector3 {
  const middle = new Vector3()
  const box = geometry.boundingBox
  if (!box) return middle
  box.getCenter(middle)
  middle.z = box.max.z * 0.42
  return middle
}

/** The baked openness of the ground as a soft dark patch under the flower. */
function castShadow(plane: Mesh, ground: Solid['bake']['ground']): void {
  const { size, reachMm, openness } = ground
  const texels = new Uint8Array(size * size * 4)
  for (let j = 0; j < size; j++)
    for (let i = 0; i < size; i++) {
      const r = Math.hypot((i + 0.5) / size - 0.5, (j + 0.5) / size - 0.5) * 2
      const fade = Math.max(0, 1 - r ** 3)
      texels[(j * size + i) * 4 + 3] = Math.round(120 * (1 - openness[j * size + i]!) * fade)
    }
  const texture = new DataTexture(texels, size, size, RGBAFormat)
  texture.minFilter = LinearFilter
  texture.magFilter = LinearFilter
  texture.needsUpdate = true
  const material = plane.material as MeshBasicMaterial
  material.map?.dispose()
  material.map = texture
  material.needsUpdate = true
  plane.scale.set(2 * reachMm, 2 * reachMm, 1)
  plane.position.z = -0.02
}
