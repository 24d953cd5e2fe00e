import {
  BufferAttribute,
  BufferGeometry,
  DataTexture,
  DoubleSide,
  FloatType,
  NearestFilter,
  RGBAFormat,
  ShaderMaterial,
  Vector3,
} from 'three'
import type { Solid } from '../workers/solid.worker.ts'
import { PALETTE_ROWS, type Palette } from './palette.ts'
import { fragmentShader, vertexShader } from './shader.ts'

/** From over the left shoulder, as at a bench by a window. */
export const KEY_LIGHT = new Vector3(-0.42, -0.38, 0.82).normalize()

/** A solid with its baked light as a geometry for the card. */
export function flowerGeometry({ mesh, bake }: Solid): BufferGeometry {
  const geometry = new BufferGeometry()
  const put = (name: string, data: Float32Array, size: number) =>
    geometry.setAttribute(name, new BufferAttribute(data, size))
  put('position', mesh.positions, 3)
  put('normal', mesh.normals, 3)
  put('bent', bake.bent, 3)
  put('place', mesh.places, 1)
  put('along', mesh.alongs, 1)
  put('thick', mesh.thicks, 1)
  put('layer', mesh.layers, 1)
  put('openness', bake.openness, 1)
  geometry.setIndex(new BufferAttribute(mesh.indices, 1))
  return geometry
}

/** The icing. `lines` is how plainly drag lines show: 1 close up, less from afar, where they are finer than a pixel. */
export function flowerMaterial(lines: number): ShaderMaterial {
  return new ShaderMaterial({
    vertexShader,
    fragmentShader,
    side: DoubleSide,
    uniforms: {
      palette: { value: null },
      layers: { value: 1 },
      keyLight: { value: KEY_LIGHT },
      lines: { value: lines },
      // how much of the baked shadows is seen
      shadows: { value: 1 },
    },
  })
}

/** Gives a material the colours of a flower's layers; the colours before are let go. */
export function setPalette(material: ShaderMaterial, { texels, columns }: Palette): void {
  const texture = new DataTexture(texels, columns, PALETTE_ROWS, RGBAFormat, FloatType)
  texture.minFilter = NearestFilter
  texture.magFilter = NearestFilter
  texture.needsUpdate = true
  material.uniforms.palette!.value?.dispose()
  material.uniforms.palette!.value = texture
  material.uniforms.layers!.value = columns
}
