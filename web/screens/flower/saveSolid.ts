import type { Flower, Layer } from '#core/model/flower'
import type { FlowerMesh } from '#core/solids/mesh'
import { offerFile } from '../../parts/offer.ts'
import type { FlowerScene, PictureWish } from '../../solid/scene.ts'

/** Offers the scene from where it is seen now as a PNG. */
export async function savePicture(scene: FlowerScene, name: string, wish: PictureWish): Promise<void> {
  offerFile(await scene.png(wish), `${name}.png`)
}

/** Offers the solid as binary glTF, in metres with Y up and in its colours. */
export async function saveGltf(
  mesh: FlowerMesh,
  flower: Flower,
  layers: readonly Layer[],
  colours: Readonly<Record<string, string>>,
): Promise<void> {
  // the writer comes only where somebody saves
  const { flowerGlb } = await import('../../solid/glb.ts')
  const file = await flowerGlb(mesh, flower, layers, colours)
  offerFile(new Blob([file], { type: 'model/gltf-binary' }), `${flower.name}.glb`)
}
