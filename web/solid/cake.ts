import { Color, CylinderGeometry, Group, LatheGeometry, Mesh, MeshLambertMaterial, Vector2 } from 'three'

/** Measures of a cupcake or cookie body, mm. */
export interface CakeBody {
  radiusMm: number
  /** Height of the body under the coat, and of the dome above it. */
  bodyMm: number
  domeMm: number
  coat: string
  /** Baked in a paper case, or a flat biscuit. */
  cased: boolean
}

const CASE = new Color('#8b6b4e')
const CRUST = new Color('#d9c7a3')

/** A cupcake or cookie with its coat, its foot on the ground. `hold` is told of everything to let go later. */
export function cakeBody(
  { radiusMm: r, bodyMm: h, domeMm, coat, cased }: CakeBody,
  hold: <T extends { dispose(): void }>(thing: T) => T,
): Group {
  const group = new Group()
  const body = new Mesh(
    hold(new CylinderGeometry(r * 0.98, r * (cased ? 0.76 : 0.98), h, 48)),
    hold(new MeshLambertMaterial({ color: cased ? CASE : CRUST })),
  )
  body.rotation.x = Math.PI / 2
  body.position.z = h / 2
  group.add(body, new Mesh(hold(domeShape(r, h, domeMm)), hold(new MeshLambertMaterial({ color: coat }))))
  return group
}

/** The coat: a spherical cap, or a thin plate with a soft edge on something flat. */
function domeShape(r: number, h: number, domeMm: number): LatheGeometry {
  const rise = Math.max(1.2, domeMm)
  const points = Array.from({ length: 15 }, (_, i) => {
    const a = i / 14
    return domeMm > 0
      ? new Vector2(Math.max(0.01, r * 1.01 * (1 - a)), h + rise * (1 - (1 - a) ** 2))
      : new Vector2(
          Math.max(0.01, a < 0.3 ? r * (0.97 - 0.03 * (a / 0.3) ** 2) : r * 0.94 * (1 - (a - 0.3) / 0.7)),
          h + rise * Math.min(1, a / 0.2),
        )
  })
  const shape = new LatheGeometry(points, 48)
  shape.rotateX(Math.PI / 2)
  return shape
}
