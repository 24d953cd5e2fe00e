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

/** What there is to stand on, about its own middle: a disc, a ring around an upper tier, or a rectangle; mm. */
export type Ground =
  | { kind: 'ring'; outerMm: number; innerMm: number }
  | { kind: 'rectangle'; halfX: number; halfY: number }

/** A flower may lie so far over another one, as a share of the smaller one's radius: petals run into each other. */
const TUCK = 0.1
/** Rounds in which flowers give way to each other, and how much of what is missing they give way by in each. */
const ROUNDS = 160
const GIVES = 0.5
/** Nearer to each other than this they have no way to go but a way of their own, mm. */
const ON_ONE_SPOT_MM = 0.01

/**
 * One way the guests could stand: large ones first and outwards by the golden angle, then each giving way to its neighbours
 * and to the edge until they stand clear, where there is room; leaves at the rims of the largest. For pictures; amounts do
 * not depend on it.
 */
export function arrange(guests: readonly Guest[], ground: Ground): Spot[] {
  const standing = guests.filter((g) => !g.tucked).sort((a, b) => b.diameterMm - a.diameterMm)
  const spots = standing.map((guest, i) => ({
    key: guest.key,
    radius: guest.diameterMm / 2,
    ...startOf(i, standing.length, guest.diameterMm / 2, ground),
  }))
  for (let round = 0; round < ROUNDS; round++) if (!giveWay(spots, ground)) break
  const hosts = spots.slice(0, Math.max(1, Math.ceil(spots.length / 2)))
  const alone = ground.kind === 'ring' ? ground.outerMm * 0.5 : Math.min(ground.halfX, ground.halfY) * 0.5
  const leaves = guests
    .filter((g) => g.tucked)
    .map((leaf, i) => {
      const host = hosts[i % Math.max(1, hosts.length)]
      const angle = i * GOLDEN_ANGLE + 2.2
      const away = host ? host.radius * 0.8 : alone
      return {
        key: leaf.key,
        x: (host?.x ?? 0) + away * Math.cos(angle),
        y: (host?.y ?? 0) + away * Math.sin(angle),
        turn: angle,
      }
    })
  return [...spots.map(({ key, x, y, turn }) => ({ key, x, y, turn })), ...leaves]
}

interface Standing {
  x: number
  y: number
  radius: number
  turn: number
}

function startOf(i: number, of: number, radius: number, ground: Ground): Omit<Standing, 'radius'> {
  const angle = i * GOLDEN_ANGLE + 0.6
  const innerMm = ground.kind === 'ring' ? ground.innerMm : 0
  const share = of === 1 ? 0 : Math.min(1, 0.25 + 0.8 * Math.sqrt((i + 0.35) / of))
  const reach = (half: number) => Math.max(0, half - radius) * share
  if (ground.kind === 'rectangle')
    return { x: reach(ground.halfX) * Math.cos(angle), y: reach(ground.halfY) * Math.sin(angle), turn: angle }
  const r = innerMm > 0 ? (innerMm + ground.outerMm) / 2 : reach(ground.outerMm)
  return { x: r * Math.cos(angle), y: r * Math.sin(angle), turn: angle }
}

/** One round: whoever overlaps moves apart, the smaller one further, and back onto the ground. @returns whether anybody moved. */
function giveWay(spots: Standing[], ground: Ground): boolean {
  let moved = false
  spots.forEach((a, i) => {
    for (const b of spots.slice(i + 1)) {
      const [dx, dy] = [b.x - a.x, b.y - a.y]
      const apart = Math.hypot(dx, dy)
      const missing = a.radius + b.radius - TUCK * Math.min(a.radius, b.radius) - apart
      if (missing <= 0) continue
      moved = true
      const [ux, uy] =
        apart > ON_ONE_SPOT_MM ? [dx / apart, dy / apart] : [Math.cos(b.turn), Math.sin(b.turn)]
      const ofB = a.radius ** 2 / (a.radius ** 2 + b.radius ** 2)
      b.x += GIVES * missing * ofB * ux
      b.y += GIVES * missing * ofB * uy
      a.x -= GIVES * missing * (1 - ofB) * ux
      a.y -= GIVES * missing * (1 - ofB) * uy
    }
  })
  for (const spot of spots) keepOn(spot, ground)
  return moved
}

/** Brings a flower back to where it stands whole, or in the middle of what there is where it is too large for that. */
function keepOn(spot: Standing, ground: Ground): void {
  if (ground.kind === 'rectangle') {
    const within = (v: number, half: number) => {
      const most = Math.max(0, half - spot.radius)
      return Math.min(most, Math.max(-most, v))
    }
    spot.x = within(spot.x, ground.halfX)
    spot.y = within(spot.y, ground.halfY)
    return
  }
  const r = Math.hypot(spot.x, spot.y)
  const [least, most] =
    ground.innerMm > 0
      ? [ground.innerMm + spot.radius, ground.outerMm - spot.radius]
      : [0, Math.max(0, ground.outerMm - spot.radius)]
  const wanted = least > most ? (least + most) / 2 : Math.min(most, Math.max(least, r))
  const turn = r > ON_ONE_SPOT_MM ? Math.atan2(spot.y, spot.x) : spot.turn
  spot.x = wanted * Math.cos(turn)
  spot.y = wanted * Math.sin(turn)
}
