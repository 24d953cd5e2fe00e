import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  CylinderGeometry,
  ExtrudeGeometry,
  Group,
  Mesh,
  MeshLambertMaterial,
  Path,
  Shape,
  Vector2,
} from 'three'
import type { Skin } from '#core/surfaces/chart'
import { type Dot, type Loop, signedMm2 } from '#core/surfaces/outline'

/** A piece without its flowers: its surface, the colour of each tier, and what is below it. */
export interface PieceBody {
  skin: Skin
  /** By tier, from the lowest. */
  coats: readonly string[]
  reachMm: number
  highMm: number
  /** What is below its surface: paper cases with their rims so high, or a biscuit; nothing under a cake. */
  below:
    | { kind: 'case'; at: readonly Dot[]; rimMm: number; topMm: number; highMm: number }
    | { kind: 'biscuit'; loops: readonly Loop[]; mm: number }
    | null
  /** The board that it stands on; nothing for small things. */
  board: { wideMm: number; deepMm: number; round: boolean } | null
}

const CRUST = new Color('#c89b6a')
const CASE = new Color('#8b6b4e')
const BOARD = new Color('#cfccc6')
const BOARD_MM = 6

/** How far down what is below a piece reaches, mm. */
export function underMm({ below, board }: PieceBody): number {
  if (board) return BOARD_MM
  return below?.kind === 'case' ? below.highMm - below.topMm : (below?.mm ?? 0)
}

/** How far to the side a piece reaches with all that it stands on, mm. */
export const spreadMm = ({ reachMm, board }: PieceBody): number =>
  board ? Math.max(board.wideMm, board.deepMm) / 2 : reachMm

/** A piece as a solid, z up, its surface's zero at zero. `hold` is told of everything to let go later. */
export function pieceBody(body: PieceBody, hold: Hold): { group: Group; surface: Mesh } {
  const { skin, coats } = body
  const geometry = hold(new BufferGeometry())
  geometry.setAttribute('position', new BufferAttribute(skin.positions, 3))
  geometry.setAttribute('normal', new BufferAttribute(skin.normals, 3))
  geometry.setIndex(new BufferAttribute(skin.indices, 1))
  const colours = new Float32Array(skin.tiers.length * 3)
  skin.tiers.forEach((tier, i) => {
    const { r, g, b } = new Color(coats[tier] ?? coats[0] ?? CRUST)
    colours.set([r, g, b], 3 * i)
  })
  geometry.setAttribute('color', new BufferAttribute(colours, 3))
  const surface = new Mesh(geometry, hold(new MeshLambertMaterial({ vertexColors: true })))
  const group = new Group()
  group.add(surface, ...footOf(body, hold))
  return { group, surface }
}

type Hold = <T extends { dispose(): void }>(thing: T) => T

/** Everything below the surface. */
function footOf({ below, board }: PieceBody, hold: Hold): Mesh[] {
  const meshes: Mesh[] = []
  const plain = (color: Color) => hold(new MeshLambertMaterial({ color }))
  if (board) {
    const { wideMm, deepMm, round } = board
    const geometry = round
      ? new CylinderGeometry(wideMm / 2, wideMm / 2, BOARD_MM, 72).rotateX(Math.PI / 2)
      : new BoxGeometry(wideMm, deepMm, BOARD_MM)
    const mesh = new Mesh(hold(geometry), plain(BOARD))
    mesh.position.z = -BOARD_MM / 2 - 0.05
    meshes.push(mesh)
  }
  if (below?.kind === 'case') {
    const { at, rimMm, topMm, highMm } = below
    const wide = rimMm * 0.98
    const geometry = hold(new CylinderGeometry(wide, wide * 0.76, highMm, 48).rotateX(Math.PI / 2))
    const paper = plain(CASE)
    for (const { x, y } of at) {
      const mesh = new Mesh(geometry, paper)
      mesh.position.set(x, y, topMm - highMm / 2 - 0.05)
      meshes.push(mesh)
    }
  }
  if (below?.kind === 'biscuit') {
    const shape = new Shape(below.loops[0]!.map(({ x, y }) => new Vector2(x, y)))
    for (const hole of below.loops.filter((loop) => signedMm2(loop) < 0))
      shape.holes.push(new Path(hole.map(({ x, y }) => new Vector2(x, y))))
    const shapes = [
      shape,
      ...below.loops
        .slice(1)
        .filter((loop) => signedMm2(loop) > 0)
        .map((loop) => new Shape(loop.map(({ x, y }) => new Vector2(x, y)))),
    ]
    const mesh = new Mesh(
      hold(new ExtrudeGeometry(shapes, { depth: below.mm, bevelEnabled: false })),
      plain(CRUST),
    )
    mesh.position.z = -below.mm - 0.05
    meshes.push(mesh)
  }
  return meshes
}
