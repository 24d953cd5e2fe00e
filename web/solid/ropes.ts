import { CatmullRomCurve3, TubeGeometry, Vector3 } from 'three'

/** A point of the surface with its outward normal, mm. */
export interface RopePoint {
  x: number
  y: number
  z: number
  nx: number
  ny: number
  nz: number
}

/** A line of icing that lies on the surface: words, stems. */
export interface Rope {
  points: readonly RopePoint[]
  radiusMm: number
  hex: string
}

/** A line of icing as a tube, half sunk in, as a bead that has been pressed on; nothing for a single point. */
export function ropeGeometry({ points, radiusMm }: Rope): TubeGeometry | null {
  if (points.length < 2) return null
  const up = radiusMm * 0.5
  const way = points.map((p) => new Vector3(p.x + up * p.nx, p.y + up * p.ny, p.z + up * p.nz))
  return new TubeGeometry(new CatmullRomCurve3(way, false, 'centripetal'), way.length * 2, radiusMm, 6)
}
