import type { Surface } from '../../surfaces/index.ts'
import type { Laid } from '../testing.ts'

/** A tenth of a mm is nobody's clash. */
const NOBODYS = 0.1

/**
 * What is wrong with a layout, found without anything that makes one: flowers as solid buns of so many points each, tried for
 * lying in each other; edges, feet and upper tiers by their measures.
 */
export function wrongWith(laid: Laid): string[] {
  const { chart, kinds, sites, shape, schoolId, seed } = laid
  const at = `${shape.kind} ${schoolId} ${seed}`
  const buns = sites.flatMap((site) => {
    const kind = kinds.find((k) => k.placedId === site.placedId)!
    if (kind.lies) return []
    const p = chart.point(chart.read(site.place))
    return [{ ...p, r: kind.r, h: kind.h, mayHang: kind.mayHang, id: site.id }]
  })
  type Bun = (typeof buns)[number]
  const found: string[] = []

  const tuckOf = (a: Bun, b: Bun) => 0.12 * Math.min(a.r, b.r)
  const inBun = (b: Bun, less: number, x: number, y: number, z: number) => {
    const [dx, dy, dz] = [x - b.x - (b.nx * b.h) / 2, y - b.y - (b.ny * b.h) / 2, z - b.z - (b.nz * b.h) / 2]
    const up = dx * b.nx + dy * b.ny + dz * b.nz
    const out2 = dx * dx + dy * dy + dz * dz - up * up
    return out2 / (b.r - less) ** 2 + up ** 2 / (b.h / 2 - NOBODYS) ** 2 < 1
  }
  for (const a of buns)
    for (const b of buns) {
      if (a === b) continue
      // each gives half of the tuck
      const less = tuckOf(a, b) / 2 + NOBODYS
      // a frame on a's axis
      const [ux, uy, uz] =
        Math.abs(a.nz) < 0.9 ? [-a.ny, a.nx, 0] : [1 - a.nx * a.nx, -a.nx * a.ny, -a.nx * a.nz]
      const l = Math.hypot(ux, uy, uz)
      const [vx, vy, vz] = [
        (a.ny * uz - a.nz * uy) / l,
        (a.nz * ux - a.nx * uz) / l,
        (a.nx * uy - a.ny * ux) / l,
      ]
      let hit = false
      for (let i = 0; i < 9 && !hit; i++)
        for (let k = 0; k < 24 && !hit; k++) {
          const up = Math.sin((i / 8 - 0.5) * Math.PI) * (a.h / 2 - NOBODYS)
          const out = Math.cos((i / 8 - 0.5) * Math.PI) * (a.r - less)
          const [c, s] = [Math.cos((k * Math.PI) / 12), Math.sin((k * Math.PI) / 12)]
          hit = inBun(
            b,
            less,
            a.x + (a.nx * a.h) / 2 + up * a.nx + out * ((c * ux) / l + s * vx),
            a.y + (a.ny * a.h) / 2 + up * a.ny + out * ((c * uy) / l + s * vy),
            a.z + (a.nz * a.h) / 2 + up * a.nz + out * ((c * uz) / l + s * vz),
          )
        }
      if (hit) found.push(`${at}: ${a.id} stands in ${b.id}`)
    }
  for (const bun of buns) {
    const over = overEdge(shape, bun)
    if (over > 0.5 * bun.r + 0.2) found.push(`${at}: ${bun.id} hangs over by ${over.toFixed(1)} of ${bun.r}`)
    const into = intoTier(shape, bun)
    if (into > 0.2) found.push(`${at}: ${bun.id} stands ${into.toFixed(1)} into the upper tier`)
    if (!bun.mayHang && bun.nz < 0.55) found.push(`${at}: ${bun.id} is too heavy for the side`)
  }
  return found
}

interface Standing {
  x: number
  y: number
  z: number
  nz: number
  r: number
}

/** How far it reaches over the end of the piece: over the rim of what is flat, below the foot of what has sides. */
function overEdge(shape: Surface, { x, y, z, nz, r }: Standing): number {
  if (shape.kind === 'cupcake' || shape.kind === 'cookie')
    return Math.hypot(x, y) + r * nz - shape.diameterMm / 2
  if (shape.kind === 'bouquet') {
    // all of it about the middle of its box; flowers belong to the nearest
    const [xs, ys] = [shape.at.map((p) => p.x), shape.at.map((p) => p.y)]
    const [cx, cy] = [xs, ys].map((v) => (Math.min(...v) + Math.max(...v)) / 2) as [number, number]
    const off = Math.min(...shape.at.map((p) => Math.hypot(p.x - cx - x, p.y - cy - y)))
    return off + r * nz - shape.diameterMm / 2
  }
  if (shape.kind === 'ring' && nz > 0.9) return shape.holeMm / 2 + r - Math.hypot(x, y)
  if (shape.kind === 'hexagon' && shape.heightMm === 0) {
    const to = [30, 90, 150, 210, 270, 330].map(
      (deg) => x * Math.cos((deg * Math.PI) / 180) + y * Math.sin((deg * Math.PI) / 180),
    )
    return Math.max(...to) + r * nz - shape.diameterMm / 2
  }
  return r * Math.sqrt(1 - Math.min(1, nz) ** 2) - z
}

/** How far it reaches into the corner where a tier stands on another: seven tenths of its radius are to stay clear of it. */
function intoTier(shape: Surface, { x, y, z, r }: Standing): number {
  if (shape.kind !== 'cake' || r <= 8) return 0
  let foot = 0
  let most = 0
  shape.tiers.slice(0, -1).forEach((tier, i) => {
    foot += tier.heightMm
    const wall = shape.tiers[i + 1]!.diameterMm / 2
    // along the ledge, or up the wall: whichever it is on
    const off =
      Math.abs(z - foot) < 0.01
        ? Math.hypot(x, y) - wall
        : Math.abs(Math.hypot(x, y) - wall) < 0.01
          ? z - foot
          : null
    if (off !== null && off >= 0) most = Math.max(most, 0.7 * r - off)
  })
  return most
}
