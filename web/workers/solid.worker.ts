import * as Comlink from 'comlink'
import type { Show } from '#core/demonstration/show'
import type { BorderRun } from '#core/flowers/run'
import { type Bake, bake } from '#core/mesh/bake'
import { flowerMesh } from '#core/mesh/flowerMesh'
import type { Layer } from '#core/model/flower'
import type { Tip } from '#core/model/tip'
import { PILE_DETAIL } from '#core/pile/piled'
import type { FlowerMesh } from '#core/solids/mesh'
import type { FaultId } from '#core/wrong/faults'

/** A flower's solid with its light. */
export interface Solid {
  mesh: FlowerMesh
  bake: Bake
}

/** Share of the finished shadows that icing lies in while it is watched: of a whole flower, and of one layer's sisters. */
const SHADOW_OF_WHAT_COMES = { all: 0.4, sisters: 0.6 }

const fine = { directions: 40, cells: 120 }
const coarse = { directions: 20, cells: 72 }

const modeller = {
  /** Builds and lights a solid; its buffers are handed over, not copied. */
  solid(layers: { layer: Layer; tip: Tip }[], seed: number, detail: number, run: BorderRun | null): Solid {
    return handedOver({ ...lit(flowerMesh(layers, seed, detail, run), detail) })
  },
  /** The same with a fault in it. */
  async wrong(
    layers: { layer: Layer; tip: Tip }[],
    fault: FaultId | null,
    seed: number,
    run: BorderRun | null,
  ): Promise<Solid> {
    // faults and demonstrations come when one is first looked at
    const { wrongMesh } = await import('#core/wrong/index')
    return handedOver(lit(wrongMesh(layers, fault, seed, run), PILE_DETAIL))
  },
  /**
   * The same with how it is piped, and without what is done to it with tools. What is piped first must not lie in the
   * shadow of what is not there yet: `watched` is the layer that is looked at, null for all.
   */
  async demonstration(
    layers: { layer: Layer; tip: Tip }[],
    seed: number,
    detail: number,
    run: BorderRun | null,
    watched: number | null,
  ): Promise<Solid & { show: Show }> {
    const { demonstrate } = await import('#core/demonstration/index')
    const { mesh, show } = demonstrate(
      watched === null ? layers : layers.slice(0, watched + 1),
      seed,
      detail,
      run,
    )
    const solid = lit(mesh, detail)
    const { openness } = solid.bake
    const left = watched === null ? SHADOW_OF_WHAT_COMES.all : SHADOW_OF_WHAT_COMES.sisters
    for (let v = 0; v < openness.length; v++) openness[v] = 1 - (1 - openness[v]!) * left
    return handedOver({ ...solid, show })
  },
}
export type Modeller = typeof modeller

const lit = (mesh: FlowerMesh, detail: number): Solid => ({
  mesh,
  bake: bake(mesh, detail > 0.5 ? fine : coarse),
})

function handedOver<T extends Solid>(solid: T): T {
  const { mesh, bake: light } = solid
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
    solid,
    [...buffers, light.openness, light.bent, light.ground.openness].map((b) => b.buffer as ArrayBuffer),
  )
}

Comlink.expose(modeller)
