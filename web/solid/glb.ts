import { Document, WebIO } from '@gltf-transform/core'
import type { Flower, Layer } from '#core/model/flower'
import { type FlowerMesh, INNER_FACE } from '#core/solids/mesh'
import { flowerPalette, PALETTE_ROWS, type Palette } from './palette.ts'

/** glTF measures in metres; a flower is measured in millimetres. */
const METRES = 0.001
/** Full scale of a colour as it is stored. */
const FULL = 65_535
/** How icing reflects: not at all like metal, and dull. */
const ROUGHNESS = 0.8

/**
 * A flower as binary glTF: in metres, Y up, coloured vertex by vertex in linear light, so that any viewer shows it as large and as coloured
 * as it is.
 * @param colours of each role, #rrggbb.
 */
export function flowerGlb(
  mesh: FlowerMesh,
  flower: Pick<Flower, 'name'>,
  layers: readonly Layer[],
  colours: Readonly<Record<string, string>>,
): Promise<Uint8Array<ArrayBuffer>> {
  const document = new Document()
  const buffer = document.createBuffer()
  const list = (type: 'VEC3' | 'VEC4' | 'SCALAR', array: Float32Array | Uint16Array | Uint32Array) =>
    document
      .createAccessor()
      .setType(type)
      // the library asks for arrays that own their memory
      .setArray(array as Float32Array<ArrayBuffer>)
      .setBuffer(buffer)
  const icing = document
    .createMaterial('icing')
    .setMetallicFactor(0)
    .setRoughnessFactor(ROUGHNESS)
    .setDoubleSided(true)
  const primitive = document
    .createPrimitive()
    .setMaterial(icing)
    .setIndices(list('SCALAR', mesh.indices.slice()))
    .setAttribute('POSITION', list('VEC3', upright(mesh.positions, METRES)))
    .setAttribute('NORMAL', list('VEC3', unit(upright(mesh.normals, 1))))
    .setAttribute(
      'COLOR_0',
      list('VEC4', vertexColours(mesh, flowerPalette(layers, colours))).setNormalized(true),
    )
  const node = document
    .createNode(flower.name)
    .setMesh(document.createMesh(flower.name).addPrimitive(primitive))
  document.getRoot().setDefaultScene(document.createScene().addChild(node))
  return new WebIO().writeBinary(document) as Promise<Uint8Array<ArrayBuffer>>
}

/** Points or directions with z up as points with y up. */
function upright(from: Float32Array, scale: number): Float32Array {
  const to = new Float32Array(from.length)
  for (let o = 0; o < from.length; o += 3) {
    to[o] = from[o]! * scale
    to[o + 1] = from[o + 2]! * scale
    to[o + 2] = -from[o + 1]! * scale
  }
  return to
}

/** Directions of length one; where a corner has none, upwards. In place. */
function unit(of: Float32Array): Float32Array {
  for (let o = 0; o < of.length; o += 3) {
    const length = Math.hypot(of[o]!, of[o + 1]!, of[o + 2]!)
    if (length < 1e-6) of.set([0, 1, 0], o)
    else for (let c = 0; c < 3; c++) of[o + c]! /= length
  }
  return of
}

/** Each vertex in the colour that its load gives it there: across the slot, by face, or mingled along the stroke. */
function vertexColours(mesh: FlowerMesh, { texels, columns }: Palette): Uint16Array {
  const colours = new Uint16Array((mesh.positions.length / 3) * 4)
  const rows = Array.from(
    { length: columns },
    (_, layer) =>
      Array.from({ length: PALETTE_ROWS }, (_, row) =>
        texels.subarray((row * columns + layer) * 4, (row * columns + layer) * 4 + 4),
      ) as [Float32Array, Float32Array, Float32Array],
  )
  mesh.layers.forEach((value, v) => {
    const layer = Math.floor(value + INNER_FACE / 2)
    const [first, second, third] = rows[layer]!
    const [border, blur, pattern] = [first[3]!, second[3]!, third[3]!]
    const inner = value - layer > INNER_FACE / 2
    const share =
      pattern === 0
        ? eased((mesh.places[v]! - border + blur) / (2 * blur))
        : pattern === 1
          ? Number(!inner)
          : 0.5 + 0.5 * Math.sin(mesh.alongs[v]! * STREAKS_PER_MM + mesh.places[v]! * STREAKS_ACROSS)
    for (let c = 0; c < 3; c++)
      colours[v * 4 + c] = Math.round(FULL * (first[c]! + (second[c]! - first[c]!) * share))
    colours[v * 4 + 3] = FULL
  })
  return colours
}

/** How quickly mingled tones follow each other along a stroke, and across it: radians. */
const STREAKS_PER_MM = 0.35
const STREAKS_ACROSS = 5

/** 0 to 1, soft at both ends. */
function eased(t: number): number {
  const within = Math.min(1, Math.max(0, t))
  return within * within * (3 - 2 * within)
}
