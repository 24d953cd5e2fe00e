import { AmbientLight, DirectionalLight, Scene } from 'three'
import { KEY_LIGHT } from './flowerParts.ts'

/** An empty scene with the light that bodies of pieces stand in: soft all round, one key light from where flowers have theirs. */
export function litScene(): Scene {
  const scene = new Scene()
  const sun = new DirectionalLight(0xffffff, 1.5)
  sun.position.copy(KEY_LIGHT)
  scene.add(new AmbientLight(0xffffff, 2.2), sun)
  return scene
}
