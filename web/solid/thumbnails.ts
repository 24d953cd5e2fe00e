import { Color, Mesh, PerspectiveCamera, Scene, Vector3, WebGLRenderer } from 'three'
import type { FlowerMesh } from '#core/solids/mesh'
import type { Solid } from '../workers/solid.worker.ts'
import { flowerGeometry, flowerMaterial, setPalette } from './flowerParts.ts'
import type { Palette } from './palette.ts'

/** Side of a thumbnail in pixels. */
const SIZE = 340

/** One renderer for every thumbnail: browsers allow only a handful of WebGL contexts. */
let renderer: WebGLRenderer | null = null

/** A solid as a small picture on clear ground, seen from so many degrees over the table, as a PNG blob. @throws Error when there is no WebGL. */
export async function paintThumbnail(solid: Solid, palette: Palette, fromDeg: number): Promise<Blob> {
  renderer ??= new WebGLRenderer({ antialias: true, alpha: true, preserveDrawingBuffer: true })
  renderer.setPixelRatio(1)
  renderer.setSize(SIZE, SIZE, false)
  renderer.setClearColor(new Color(0xffffff), 0)
  const scene = new Scene()
  const geometry = flowerGeometry(solid)
  const material = flowerMaterial(0.7)
  setPalette(material, palette)
  scene.add(new Mesh(geometry, material))
  renderer.render(scene, aim(solid.mesh, (fromDeg * Math.PI) / 180))
  geometry.dispose()
  material.uniforms.palette!.value.dispose()
  material.dispose()
  const canvas = renderer.domElement
  return new Promise((done, fail) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : fail(new Error('The picture could not be kept.'))),
      'image/png',
    ),
  )
}

/** A camera that just sees the whole solid from a slant. */
function aim({ positions }: FlowerMesh, elevation: number): PerspectiveCamera {
  const low = new Vector3(1e9, 1e9, 1e9)
  const high = new Vector3(-1e9, -1e9, -1e9)
  const point = new Vector3()
  for (let v = 0; v < positions.length; v += 3) {
    point.set(positions[v]!, positions[v + 1]!, positions[v + 2]!)
    low.min(point)
    high.max(point)
  }
  const middle = low.clone().add(high).multiplyScalar(0.5)
  const size = high.sub(low)
  const radius = Math.max(size.x, size.y * Math.sin(elevation) + size.z * Math.cos(elevation)) / 2
  const camera = new PerspectiveCamera(18, 1, 1, 4000)
  camera.up.set(0, 0, 1)
  const away = (radius * 1.06) / Math.tan((camera.fov * Math.PI) / 360)
  camera.position.set(middle.x, middle.y - Math.cos(elevation) * away, middle.z + Math.sin(elevation) * away)
  camera.lookAt(middle)
  camera.updateMatrixWorld()
  return camera
}
