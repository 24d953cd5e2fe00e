import {
  BufferAttribute,
  BufferGeometry,
  Color,
  CylinderGeometry,
  DoubleSide,
  Group,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  SphereGeometry,
  Vector3,
} from 'three'
import { BAG, TIP } from '#core/demonstration/bag'
import type { Vec } from '#core/demonstration/vec'
import { type Opening, openingOutlines, openingSize, openingSlot } from '#core/tips/index'

/** A bag with its tip, seen through: it stands at the opening, its back along z, the slot along x from its wide end. */
export interface BagBody {
  group: Group
  /** The wide end of the slot, in the bag's own frame; null where there is none. */
  wideEnd: Vector3 | null
  /** Puts it where it is held. */
  place(tip: Vec, axis: Vec, slot: Vec): void
  /** As hard as it is squeezed, and as faded as it is. */
  feel(squeeze: number, faded: number): void
  colour(hex: string): void
}

/** How plainly bag, tip and the icing in them are seen where nothing is in the way. */
const SEEN = { bag: 0.2, tip: 0.42, icing: 0.62, ring: 0.4 }
/** Of that so much is left when the bag is in the way. */
const FADED_TO = 0.16
/** A squeezed bag is so much narrower. */
const SQUEEZED_BY = 0.12
/** Icing fills a tip to within its wall. */
const WITHIN = 0.88
const AROUND = 40
const COUPLER_MM = { long: 9, wide: 11.5 }

/** The bag of a layer. `hold` keeps what has to be given back. */
export function bagBody(opening: Opening, hold: <T extends { dispose(): void }>(thing: T) => T): BagBody {
  const group = new Group()
  const outline = openingLine(opening)
  const material = (colour: number, opacity: number) =>
    hold(
      new MeshLambertMaterial({
        color: colour,
        transparent: true,
        opacity,
        side: DoubleSide,
        depthWrite: false,
      }),
    )
  const tip = material(0x8a8f94, SEEN.tip)
  const bag = material(0xb9bec4, SEEN.bag)
  const ring = material(0x9aa0a6, SEEN.ring)
  const icing = material(0xd8a0a8, SEEN.icing)
  const add = (geometry: BufferGeometry, of: MeshLambertMaterial, order: number) => {
    const mesh = new Mesh(hold(geometry), of)
    // what is seen through is drawn from the inside out
    mesh.renderOrder = order
    group.add(mesh)
    return mesh
  }
  const squeezable = new Group()
  group.add(squeezable)
  add(loft(outline, TIP.backMm, TIP.lengthMm, WITHIN), icing, 1)
  const inBag = add(cone(TIP.backMm * WITHIN, BAG.backMm * WITHIN, BAG.lengthMm), icing, 1)
  add(loft(outline, TIP.backMm, TIP.lengthMm, 1), tip, 2)
  const body = add(cone(TIP.backMm, BAG.backMm, BAG.lengthMm), bag, 3)
  const coupler = add(
    new CylinderGeometry(COUPLER_MM.wide, COUPLER_MM.wide, COUPLER_MM.long, AROUND, 1, true).rotateX(
      Math.PI / 2,
    ),
    ring,
    2,
  )
  coupler.position.z = TIP.lengthMm
  for (const part of [inBag, body]) {
    part.position.z = TIP.lengthMm
    squeezable.add(part)
  }
  const slot = openingSlot(opening)
  const wideEnd = slot ? new Vector3(-openingSize(opening) / 2, 0, 0) : null
  if (wideEnd) {
    const dot = add(
      new SphereGeometry(0.75, 16, 12),
      hold(new MeshLambertMaterial({ color: 0x111111 })) as MeshLambertMaterial,
      4,
    )
    dot.position.copy(wideEnd)
  }
  const frame = new Matrix4()
  return {
    group,
    wideEnd,
    place(at, axis, along) {
      const x = new Vector3(...along)
      const z = new Vector3(...axis)
      const y = new Vector3().crossVectors(z, x)
      // a bent slot is hollow upwards, as its words say
      if (y.z < 0) y.negate()
      frame.makeBasis(x, y, z).setPosition(...at)
      group.matrix.copy(frame)
      group.matrixAutoUpdate = false
      group.matrixWorldNeedsUpdate = true
    },
    feel(squeeze, faded) {
      const left = 1 - (1 - FADED_TO) * faded
      tip.opacity = SEEN.tip * left
      bag.opacity = SEEN.bag * left
      ring.opacity = SEEN.ring * left
      icing.opacity = SEEN.icing * left
      const narrow = 1 - SQUEEZED_BY * squeeze
      squeezable.scale.set(narrow, narrow, 1)
    },
    colour(hex) {
      icing.color = new Color(hex)
    },
  }
}

/** The opening as one line round it, mm: a slot from its wide end to its narrow one, bent as it is; a tip of many holes as a round one. */
function openingLine(opening: Opening): [number, number][] {
  const slot = openingSlot(opening)
  const size = openingSize(opening)
  if (slot) {
    const steps = AROUND / 2
    const bend = (slot.bendDeg * Math.PI) / 180
    const middle = Array.from({ length: steps }, (_, i) => {
      const u = i / (steps - 1)
      // an arc of the slot's own length, its middle where the opening's is
      const angle = bend * (u - 0.5)
      const r = bend > 0.01 ? size / bend : 0
      const at: [number, number] =
        bend > 0.01 ? [r * Math.sin(angle), r * (1 - Math.cos(angle))] : [size * (u - 0.5), 0]
      const half = Math.max(0.25, slot.widthAt(Math.min(0.99, Math.max(0.01, u))) / 2)
      return { at, across: [-Math.sin(angle) * half, Math.cos(angle) * half] as const }
    })
    const side = (sign: number) =>
      middle.map(({ at, across }): [number, number] => [at[0] + sign * across[0], at[1] + sign * across[1]])
    return [...side(-1), ...side(1).reverse()]
  }
  const outlines = openingOutlines(opening)
  const [only] = outlines
  return outlines.length === 1 && only
    ? only.map(([x, y]): [number, number] => [x, y])
    : Array.from({ length: AROUND }, (_, i) => {
        const angle = (i / AROUND) * 2 * Math.PI
        return [(Math.cos(angle) * size) / 2, (Math.sin(angle) * size) / 2]
      })
}

/** From an opening to the round back of its tip. */
function loft(
  outline: readonly [number, number][],
  backMm: number,
  longMm: number,
  share: number,
): BufferGeometry {
  const rings = 8
  const around = outline.length
  const positions = new Float32Array((rings + 1) * around * 3)
  const start = Math.atan2(outline[0]![1], outline[0]![0])
  const turn = turnOf(outline)
  for (let r = 0; r <= rings; r++) {
    const along = r / rings
    // the flattened end runs out into the cone
    const round = along ** 0.8
    outline.forEach(([x, y], i) => {
      const angle = start + turn * (i / around) * 2 * Math.PI
      const at = (r * around + i) * 3
      positions[at] = (x * (1 - round) + Math.cos(angle) * backMm * round) * share
      positions[at + 1] = (y * (1 - round) + Math.sin(angle) * backMm * round) * share
      positions[at + 2] = along * longMm
    })
  }
  const indices: number[] = []
  for (let r = 0; r < rings; r++)
    for (let i = 0; i < around; i++) {
      const [a, b] = [r * around + i, r * around + ((i + 1) % around)]
      indices.push(a, b, a + around, b, b + around, a + around)
    }
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(positions, 3))
  geometry.setIndex(indices)
  geometry.computeVertexNormals()
  return geometry
}

/** Which way round an outline runs: 1 anticlockwise. */
function turnOf(outline: readonly [number, number][]): number {
  const twice = outline.reduce((sum, [x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length]!
    return sum + x * ny - nx * y
  }, 0)
  return twice >= 0 ? 1 : -1
}

const cone = (frontMm: number, backMm: number, longMm: number): BufferGeometry =>
  new CylinderGeometry(backMm, frontMm, longMm, AROUND, 1, true)
    .rotateX(Math.PI / 2)
    .translate(0, 0, longMm / 2)
