import * as Comlink from 'comlink'
import type { BorderRun } from '#core/flowers/run'
import { type Bake, bake } from '#core/mesh/bake'
import { flowerMesh } from '#core/mesh/flowerMesh'
import type { Layer } from '#core/model/flower'
import type { Tip } from '#core/model/tip'
import type { FlowerMesh } from '#core/solids/mesh'

/** A flower's solid with its light. */
export interface Solid {
  mesh: FlowerMesh
  bake: Bake
}

const fine = { directions: 40, cells: 120 }
const coarse = { directions: 20, cells: 72 }

const modeller = {
  /** Builds and lights a solid; its buffers are handed over, not copied. */
  solid(layers: { layer: Layer; tip: Tip }[], seed: number, detail: number, run: BorderRun | null): Solid {
    const mesh = flowerMesh(layers, seed, detail, run)
    const light = bake(mesh, detail > 0.5 ? fine : coarse)
    const buffers = [
      mesh.positions,
      mesh.normals,
      mesh.places,
      mesh.alongs,
      mesh.thicks,
      mesh.layers,
      mesh.indices,
    ]
    return Comlink.transfer(
      { mesh, bake: light },
      [...buffers, light.openness, light.bent, light.ground.openness].map((b) => b.buffer as ArrayBuffer),
    )
  },
}
export type Modeller = typeof modeller

Comlink.expose(modeller)
