import {
  BufferAttribute,
  BufferGeometry,
  Color,
  CylinderGeometry,
  Group,
  Mesh,
  MeshLambertMaterial,
} from 'three'
import type { Skin } from '#core/surfaces/chart'

/** A piece without its flowers: its surface, the colour of each tier, and what is below it. */
export interface PieceBody {
  skin: Skin
  /** By tier, from the lowest. */
  coats: readonly string[]
  reachMm: number
  highMm: number
  /** What it stands in or on: a paper case, itself, or a board so far across. */
  below: { kind: 'case' | 'biscuit' | 'board'; mm: number }
}

const CRUST = new Color('#c89b6a')
const CASE = new Color('#8b6b4e')
const BOARD = new Color('#cfccc6')
const CASE_MM = 30
const BOARD_MM = 6

/** How far down what is below a piece reaches, mm. */
export const underMm = ({ below }: PieceBody): number =>
  below.kind === 'case' ? CASE_MM : below.kind === 'biscuit' ? below.mm : BOARD_MM

/** A piece as a solid, z up, its surface's zero at zero. `hold` is told of everything to let go later. */
export function pieceBody(
  body: PieceBody,
  hold: <T extends { dispose(): void }>(thing: T) => T,
): { group: Group; surface: Mesh } {
  const { skin, coats, reachMm, below } = body
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
  const wide = below.kind === 'board' ? below.mm / 2 : reachMm * 0.98
  const high = underMm(body)
  const foot = new Mesh(
    hold(new CylinderGeometry(wide, below.kind === 'case' ? wide * 0.76 : wide, high, 72)),
    hold(
      new MeshLambertMaterial({
        color: below.kind === 'case' ? CASE : below.kind === 'board' ? BOARD : CRUST,
      }),
    ),
  )
  foot.rotation.x = Math.PI / 2
  foot.position.z = -high / 2 - 0.05
  const group = new Group()
  group.add(surface, foot)
  return { group, surface }
}
