import {
  CircleGeometry,
  CylinderGeometry,
  Group,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PlaneGeometry,
  Vector3,
} from 'three'

/** The nail or turntable: a disc with a stroke every thirty degrees and one mark that shows how far it has turned. */
export interface NailBody {
  group: Group
  /** Where the mark's words belong, in the disc's own frame. */
  mark: Vector3
}

const THICK_MM = 1.6
const STROKES = 12
/** The disc is drawn so far under what stands on it, mm: two faces in one place flicker. */
const UNDER_MM = 0.15

export function nailBody(radiusMm: number, hold: <T extends { dispose(): void }>(thing: T) => T): NailBody {
  const group = new Group()
  const disc = new Mesh(
    hold(new CylinderGeometry(radiusMm, radiusMm, THICK_MM, 96).rotateX(Math.PI / 2)),
    hold(new MeshLambertMaterial({ color: 0xd3d3d3 })),
  )
  disc.position.z = -THICK_MM / 2 - UNDER_MM
  group.add(disc)
  const line = hold(new MeshBasicMaterial({ color: 0x8c8c8c }))
  const stroke = hold(new PlaneGeometry(radiusMm * 0.09, radiusMm * 0.02))
  for (let i = 1; i < STROKES; i++) {
    const angle = (i * 2 * Math.PI) / STROKES
    const mesh = new Mesh(stroke, line)
    mesh.position.set(Math.cos(angle) * radiusMm * 0.9, Math.sin(angle) * radiusMm * 0.9, -UNDER_MM / 2)
    mesh.rotation.z = angle
    group.add(mesh)
  }
  // a wedge: it is told from the strokes by its shape
  const wedge = new Mesh(
    hold(new CircleGeometry(radiusMm * 0.1, 3)),
    hold(new MeshBasicMaterial({ color: 0x111111 })),
  )
  wedge.position.set(radiusMm * 0.87, 0, -UNDER_MM / 3)
  wedge.scale.set(1, 0.55, 1)
  group.add(wedge)
  return { group, mark: new Vector3(radiusMm * 1.02, 0, 0) }
}
