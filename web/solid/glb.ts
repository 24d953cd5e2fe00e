import { Document, type mat4, WebIO } from '@gltf-transform/core'
import { Color } from 'three'
import type { Flower, Layer } from '#core/model/flower'
import { type FlowerMesh, INNER_FACE } from '#core/solids/mesh'
import type { Skin } from '#core/surfaces/chart'
import { flowerPalette, PALETTE_ROWS, type Palette } from './palette.ts'
import type { PlainPart } from './plainParts.ts'

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
  const file = new GlbFile()
  file.put(flower.name, file.flower(flower.name, mesh, layers, colours))
  return file.written()
}

/** A flower as often as it stands on a piece. */
export interface GlbFlower {
  name: string
  mesh: FlowerMesh
  layers: readonly Layer[]
  colours: Readonly<Record<string, string>>
  /** 4 by 4 matrices by columns, in mm, z up. */
  stands: readonly Float32Array[]
}

/**
 * A piece with its flowers as binary glTF, each flower's mesh once and a node for every place where it stands; what it stands on,
 * words and stems beside them.
 * @param coats colour of each tier, from the lowest, #rrggbb.
 */
export function pieceGlb(
  name: string,
  skin: Skin,
  coats: readonly string[],
  flowers: readonly GlbFlower[],
  plain: readonly PlainPart[] = [],
): Promise<Uint8Array<ArrayBuffer>> {
  const file = new GlbFile()
  file.put(name, file.coat(name, skin, coats))
  for (const part of plain) file.put(part.name, file.plain(part))
  for (const flower of flowers) {
    if (flower.stands.length === 0) continue
    const mesh = file.flower(flower.name, flower.mesh, flower.layers, flower.colours)
    flower.stands.forEach((stand, i) => {
      file.put(`${flower.name} ${i + 1}`, mesh, stand)
    })
  }
  return file.written()
}

/** A glTF document under way. */
class GlbFile {
  readonly #document = new Document()
  readonly #buffer = this.#document.createBuffer()
  readonly #scene = this.#document.createScene()
  readonly #icing = this.#document
    .createMaterial('icing')
    .setMetallicFactor(0)
    .setRoughnessFactor(ROUGHNESS)
    .setDoubleSided(true)

  #list(type: 'VEC3' | 'VEC4' | 'SCALAR', array: Float32Array | Uint16Array | Uint32Array) {
    return (
      this.#document
        .createAccessor()
        .setType(type)
        // the library asks for arrays that own their memory
        .setArray(array as Float32Array<ArrayBuffer>)
        .setBuffer(this.#buffer)
    )
  }

  #mesh(
    name: string,
    of: { positions: Float32Array; normals: Float32Array; indices: Uint32Array },
    colours: Uint16Array,
  ) {
    const primitive = this.#document
      .createPrimitive()
      .setMaterial(this.#icing)
      .setIndices(this.#list('SCALAR', of.indices.slice()))
      .setAttribute('POSITION', this.#list('VEC3', upright(of.positions, METRES)))
      .setAttribute('NORMAL', this.#list('VEC3', unit(upright(of.normals, 1))))
      .setAttribute('COLOR_0', this.#list('VEC4', colours).setNormalized(true))
    return this.#document.createMesh(name).addPrimitive(primitive)
  }

  flower(
    name: string,
    mesh: FlowerMesh,
    layers: readonly Layer[],
    colours: Readonly<Record<string, string>>,
  ) {
    return this.#mesh(name, mesh, vertexColours(mesh, flowerPalette(layers, colours)))
  }

  coat(name: string, skin: Skin, coats: readonly string[]) {
    const colours = new Uint16Array(skin.tiers.length * 4)
    skin.tiers.forEach((tier, i) => {
      const { r, g, b } = new Color(coats[tier] ?? coats[0])
      colours.set([r * FULL, g * FULL, b * FULL, FULL].map(Math.round), 4 * i)
    })
    return this.#mesh(name, skin, colours)
  }

  plain(part: PlainPart) {
    const { r, g, b } = new Color(part.hex)
    const one = [r * FULL, g * FULL, b * FULL, FULL].map(Math.round)
    const colours = new Uint16Array((part.positions.length / 3) * 4)
    for (let i = 0; i < colours.length; i += 4) colours.set(one, i)
    return this.#mesh(part.name, part, colours)
  }

  put(name: string, mesh: ReturnType<GlbFile['flower']>, stand?: Float32Array): void {
    const node = this.#document.createNode(name).setMesh(mesh)
    if (stand) node.setMatrix(uprightMatrix(stand))
    this.#scene.addChild(node)
  }

  written(): Promise<Uint8Array<ArrayBuffer>> {
    this.#document.getRoot().setDefaultScene(this.#scene)
    return new WebIO().writeBinary(this.#document) as Promise<Uint8Array<ArrayBuffer>>
  }
}

/** A place in mm with z up as one in metres with y up. */
function uprightMatrix(from: Float32Array): mat4 {
  const to = Array<number>(16).fill(0)
  // x stays, z becomes y, y becomes -z: on both sides of the turning
  const axis = [0, 2, 1]
  const sign = [1, 1, -1]
  for (let column = 0; column < 3; column++)
    for (let row = 0; row < 3; row++)
      to[column * 4 + row] = sign[row]! * sign[column]! * from[axis[column]! * 4 + axis[row]!]!
  for (let row = 0; row < 3; row++) to[12 + row] = METRES * sign[row]! * from[12 + axis[row]!]!
  to[15] = 1
  return to as mat4
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
