import { GOLDEN_ANGLE } from '../geometry/golden.ts'

/** Something round to stand on a piece. */
export interface Guest {
  key: string
  diameterMm: number
  /** Leaves tuck under the rim of the flowers; everything else stands clear where it can. */
  tucked: boolean
}

export interface Spot {
  key: string
  x: number
  y: number
  turn: number
}

/**
 * One way the guests could stand in a ring-shaped area: large ones first and outwards by the golden angle, leaves
 * at the rims of the largest. For pictures; amounts do not depend on it.
 * @param innerMm radius that is taken (an upper tier), 0 for none.
 */
export function arrange(guests: readonly Guest[], outerMm: number, innerMm = 0): Spot[] {
  const standing = guests.filter((g) => !g.tucked).sort((a, b) => b.diameterMm - a.diameterMm)
  const spots: (Spot & { radius: number })[] = standing.map((guest, i) => {
    const radius = guest.diameterMm / 2
    const alone = standing.length === 1 && innerMm === 0
    const share = standing.length === 1 ? 0 : Math.sqrt((i + 0.35) / standing.length)
    const reach = Math.max(0, outerMm - radius)
    const r = alone ? 0 : innerMm > 0 ? (innerMm + outerMm) / 2 : reach * Math.min(1, 0.25 + 0.8 * share)
    const angle = i * GOLDEN_ANGLE + 0.6
    return { key: guest.key, x: r * Math.cos(angle), y: r * Math.sin(angle), turn: angle, radius }
  })
  const hosts = spots.slice(0, Math.max(1, Math.ceil(spots.length / 2)))
  const leaves = guests.filter((g) => g.tucked)
  leaves.forEach((leaf, i) => {
    const host = hosts[i % Math.max(1, hosts.length)]
    const angle = i * GOLDEN_ANGLE + 2.2
    const away = host ? host.radius * 0.8 : outerMm * 0.5
    spots.push({
      key: leaf.key,
      x: (host?.x ?? 0) + away * Math.cos(angle),
      y: (host?.y ?? 0) + away * Math.sin(angle),
      turn: angle,
      radius: leaf.diameterMm / 2,
    })
  })
  return spots.map(({ key, x, y, turn }) => ({ key, x, y, turn }))
}
