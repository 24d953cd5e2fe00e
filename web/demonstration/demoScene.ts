import { BufferGeometry, Color, Group, Mesh, PerspectiveCamera, Vector3, WebGLRenderer } from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import { laidSoFar } from '#core/demonstration/laid'
import type { Pose } from '#core/demonstration/pose'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { StrokeRange } from '#core/solids/mesh'
import { fitTo } from '../solid/fitTo.ts'
import { flowerGeometry, flowerMaterial, setPalette } from '../solid/flowerParts.ts'
import { litScene } from '../solid/litScene.ts'
import type { Palette } from '../solid/palette.ts'
import type { Solid } from '../workers/solid.worker.ts'
import { type BagBody, bagBody } from './bagBody.ts'
import { nailBody } from './nailBody.ts'

/** Where words belong on the canvas, CSS pixels; null for what is not in sight. */
export interface Marks {
  mark: readonly [number, number] | null
  wideEnd: readonly [number, number] | null
}

/** A flower being piped: bag, nail and as much of the icing as lies. */
export interface DemoScene {
  show(solid: Solid, layers: readonly ResolvedLayer[]): void
  colour(palette: Palette, layerHexes: readonly string[]): void
  /** Shows a moment. `layer` is that of the stroke. */
  pose(pose: Pose, layer: number): void
  /** What is shown now. */
  shown(): { pose: Pose; layer: number } | null
  hand(left: boolean): void
  /** Looks from where the bag of a layer is not in the way: azimuth and height of the eye over the table, radians. */
  look(azimuth: number, elevation: number): void
  resize(width: number, height: number): void
  /** Called after every drawing. */
  onDrawn(listener: (marks: Marks) => void): void
  /** White behind it, as a film needs; else what is behind the canvas is seen. */
  onPaper(white: boolean): void
  /** Draws at once, as a picture that is read back needs. */
  drawNow(): void
  dispose(): void
}

const FIELD_DEG = 26
/** The picture reaches so far beyond the nail: the bag comes in from there. */
const ROOM_ROUND = 1.06
/** The nail reaches so far beyond the icing, mm. */
const BEYOND_MM = 4
const LEAST_GROUND_MM = 14
/** A bag that the eye looks along is faded: from this angle between the two on, degrees, to that. */
const ALONG_DEG = { from: 48, to: 28 }

/** @throws Error when there is no WebGL. */
export function createDemoScene(canvas: HTMLCanvasElement, antialias: boolean): DemoScene {
  const renderer = new WebGLRenderer({ canvas, antialias, alpha: true, preserveDrawingBuffer: true })
  renderer.setClearColor(new Color(0xffffff), 0)
  const scene = litScene()
  const camera = new PerspectiveCamera(FIELD_DEG, 1, 1, 2000)
  camera.up.set(0, 0, 1)
  const controls = new OrbitControls(camera, canvas)
  controls.enablePan = false
  controls.maxPolarAngle = Math.PI * 0.495
  const material = flowerMaterial(1)
  /** Everything over the table; a left hand sees its mirror image. */
  const bench = new Group()
  /** What turns with the nail. */
  const turning = new Group()
  // paths run as a left hand pipes
  const flower = new Mesh<BufferGeometry, (typeof material)[]>(new BufferGeometry(), [material])
  flower.scale.set(1, -1, 1)
  turning.add(flower)
  bench.add(turning)
  scene.add(bench)
  let bags: BagBody[] = []
  let strokes: readonly StrokeRange[] = []
  let held: { dispose(): void }[] = []
  const hold = <T extends { dispose(): void }>(thing: T): T => {
    held.push(thing)
    return thing
  }
  let mark: Vector3 | null = null
  let now: { bag: BagBody; pose: Pose; layer: number } | null = null
  let radius = 20
  let tall = 10
  let eye = { azimuth: -2, elevation: 0.5 }
  let tell: (marks: Marks) => void = () => {}
  let asked = 0

  const clear = () => {
    for (const bag of bags) bench.remove(bag.group)
    turning.clear()
    turning.add(flower)
    for (const thing of held) thing.dispose()
    held = []
    bags = []
  }

  const onCanvas = (point: Vector3): [number, number] | null => {
    const seen = point.clone().project(camera)
    if (seen.z > 1) return null
    return [((seen.x + 1) / 2) * canvas.clientWidth, ((1 - seen.y) / 2) * canvas.clientHeight]
  }

  function drawNow() {
    if (now) {
      // looked along, a bag would hide what it pipes
      const view = camera.position.clone().sub(controls.target).normalize()
      const back = new Vector3(...now.pose.axis)
      if (bench.scale.x < 0) back.x = -back.x
      const angle = (view.angleTo(back) * 180) / Math.PI
      const hidden = Math.min(1, Math.max(0, (ALONG_DEG.from - angle) / (ALONG_DEG.from - ALONG_DEG.to)))
      now.bag.feel(now.pose.squeeze, Math.max(now.pose.faded, hidden))
    }
    renderer.render(scene, camera)
    tell({
      mark: mark && onCanvas(turning.localToWorld(mark.clone())),
      wideEnd: now?.bag.wideEnd ? onCanvas(now.bag.group.localToWorld(now.bag.wideEnd.clone())) : null,
    })
  }
  const draw = () => {
    asked ||= requestAnimationFrame(() => {
      asked = 0
      drawNow()
    })
  }
  controls.addEventListener('change', draw)

  function reframe() {
    const seen = Math.max(radius, tall * 1.15, 14) * ROOM_ROUND
    const away = seen / Math.sin((FIELD_DEG * Math.PI) / 360)
    const azimuth = bench.scale.x < 0 ? Math.PI - eye.azimuth : eye.azimuth
    controls.target.set(0, 0, tall * 0.5)
    camera.position.set(
      Math.cos(eye.elevation) * Math.cos(azimuth) * away,
      Math.cos(eye.elevation) * Math.sin(azimuth) * away,
      tall * 0.5 + Math.sin(eye.elevation) * away,
    )
    controls.minDistance = away * 0.3
    controls.maxDistance = away * 3
    controls.update()
    draw()
  }

  return {
    show(solid, layers) {
      clear()
      flower.geometry.dispose()
      const geometry = flowerGeometry(solid)
      geometry.computeBoundingBox()
      flower.geometry = geometry
      strokes = solid.mesh.strokes
      const { min, max } = geometry.boundingBox!
      radius = Math.max(LEAST_GROUND_MM, Math.max(max.x, -min.x, max.y, -min.y) + BEYOND_MM)
      tall = max.z
      const nail = nailBody(radius, hold)
      turning.add(nail.group)
      mark = nail.mark
      bags = layers.map(({ tip }) => bagBody(tip.opening, hold))
      for (const bag of bags) {
        bag.group.visible = false
        bench.add(bag.group)
      }
      reframe()
    },
    colour(palette, layerHexes) {
      setPalette(material, palette)
      bags.forEach((bag, l) => {
        bag.colour(layerHexes[l] ?? '#b9b9b9')
      })
      draw()
    },
    pose(pose, layer) {
      turning.rotation.z = pose.nail
      bags.forEach((bag, l) => {
        bag.group.visible = l === layer
      })
      const bag = bags[layer]
      const range = strokes[pose.stroke]
      if (!bag || !range) return
      bag.place(pose.tip, pose.axis, pose.slot)
      now = { bag, pose, layer }
      flower.geometry.clearGroups()
      flower.geometry.addGroup(0, range.start, 0)
      for (const run of laidSoFar(range, pose.laid)) flower.geometry.addGroup(run.start, run.count, 0)
      draw()
    },
    shown: () => now,
    hand(left) {
      if (bench.scale.x < 0 === left) return
      bench.scale.x = left ? -1 : 1
      reframe()
    },
    look(azimuth, elevation) {
      eye = { azimuth, elevation }
      reframe()
    },
    resize(width, height) {
      fitTo(renderer, camera, width, height)
      draw()
    },
    onDrawn(listener) {
      tell = listener
    },
    onPaper(white) {
      renderer.setClearAlpha(white ? 1 : 0)
      draw()
    },
    drawNow,
    dispose() {
      cancelAnimationFrame(asked)
      controls.dispose()
      clear()
      flower.geometry.dispose()
      material.dispose()
      renderer.dispose()
      renderer.forceContextLoss()
    },
  }
}
