import type { Flower } from '#core/model/flower'
import type { FlowerScene } from '../../solid/scene.ts'

/** Offers the scene as it is seen now as a PNG. */
export function savePicture(scene: FlowerScene, name: string): void {
  offer(scene.png(), `${fileName(name)}.png`)
}

/** Offers the solid as binary glTF, in millimetres. */
export async function saveGltf(scene: FlowerScene, flower: Flower): Promise<void> {
  const [{ GLTFExporter }, { Mesh, MeshStandardMaterial }] = await Promise.all([
    import('three/examples/jsm/exporters/GLTFExporter.js'),
    import('three'),
  ])
  const geometry = scene.geometry().clone()
  geometry.setDrawRange(0, Number.POSITIVE_INFINITY)
  for (const name of ['bent', 'along', 'thick', 'openness', 'place', 'layer']) geometry.deleteAttribute(name)
  const mesh = new Mesh(geometry, new MeshStandardMaterial({ color: flower.roles[0]!.hex, roughness: 0.8 }))
  mesh.name = flower.name
  const file = (await new GLTFExporter().parseAsync(mesh, { binary: true })) as ArrayBuffer
  const url = URL.createObjectURL(new Blob([file], { type: 'model/gltf-binary' }))
  offer(url, `${fileName(flower.name)}.glb`)
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

function offer(url: string, name: string): void {
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
}

const fileName = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')
