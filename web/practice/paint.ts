import type { Laid } from '#core/practice/deposit'

/** How icing is drawn. */
export interface Look {
  /** Three sides of a colour, as red, green and blue of 0 to 255: in shade, itself, in light. */
  ramp: readonly (readonly [number, number, number])[]
  /** Ridges across a rope, as a star leaves them; 0 for a round one. */
  ridges: number
  /** Height over width: the flatter, the less it is shaded. */
  heightShare: number
  /** Across the opening, mm. */
  acrossMm: number
  /** A slot always lies along the line to here, mm; else across the way it goes. */
  towards: { x: number; y: number } | null
  /** Nothing of it but where it lies, in one grey. */
  flat: string | null
}

/** Draws icing as it is laid, on one canvas: only what is new, so that a frame costs as much at the end as at the beginning. */
export interface Painter {
  /** Draws what has come since, up to a second. */
  go(laid: readonly Laid[], until: number): void
}

const BANDS = 8
const BANDS_OF_RIDGES = 20
const LIGHT = [-0.42, -0.6, 0.68] as const
/** How much of the light is everywhere. */
const AMBIENT = 0.3
/** A rope turns its sides over this share of the opening: a cell alone knows its way badly. */
const TURNS_OVER = 0.8
/** Ripple of a heap: share of the opening to either side, and its length in openings. */
const RIPPLE = 0.16
const RIPPLE_LONG = 2.4
/** Width of the lines that close the seams between bits, px. */
const LINE = 0.9
/** Stops of the shading of a rope's end, and how far it stands out, of half its width. */
const CAP_STOPS = 16
const CAP_LONG = 0.65
/** How strongly ridges bend the light. */
const RIDGED = 0.75

interface Edge {
  x: number
  y: number
  /** To its left, and the way it goes, units. */
  sideX: number
  sideY: number
  aheadX: number
  aheadY: number
  half: number
}

export function newPainter(ctx: CanvasRenderingContext2D, pxPerMm: number, look: Look): Painter {
  let done = 0
  let edge: Edge | null = null
  /** The last bit of rope, and whether its round end is drawn. */
  let ended = true
  let [wayX, wayY] = [0, 0]
  let along = 0
  let stroke = -1
  /** A dome that still grows is drawn again. */
  let growing: { index: number; width: number } | null = null

  const shade = (nx: number, ny: number, nz: number): string => {
    const lit = nx * LIGHT[0] + ny * LIGHT[1] + nz * LIGHT[2]
    const [dark, own, light] = look.ramp as [
      (typeof look.ramp)[0],
      (typeof look.ramp)[0],
      (typeof look.ramp)[0],
    ]
    const t = AMBIENT + (1 - AMBIENT) * Math.max(0, lit)
    const [a, b, s] = t < 0.7 ? [dark, own, t / 0.7] : [own, light, (t - 0.7) / 0.3]
    const of = (i: 0 | 1 | 2) => Math.round(a[i] + (b[i] - a[i]) * s)
    return `rgb(${of(0)} ${of(1)} ${of(2)})`
  }

  const quad = (a: Edge, b: Edge, from: number, to: number, colour: string) => {
    ctx.fillStyle = colour
    ctx.strokeStyle = colour
    ctx.beginPath()
    ctx.moveTo(a.x + a.sideX * a.half * from, a.y + a.sideY * a.half * from)
    ctx.lineTo(a.x + a.sideX * a.half * to, a.y + a.sideY * a.half * to)
    ctx.lineTo(b.x + b.sideX * b.half * to, b.y + b.sideY * b.half * to)
    ctx.lineTo(b.x + b.sideX * b.half * from, b.y + b.sideY * b.half * from)
    ctx.closePath()
    ctx.fill()
    ctx.stroke()
  }

  const sideOf = ({ x, y }: Laid, alongX: number, alongY: number) => {
    if (!look.towards) return { sideX: -alongY, sideY: alongX }
    const [inX, inY] = [look.towards.x - x, look.towards.y - y]
    const far = Math.hypot(inX, inY) || 1
    return { sideX: inX / far, sideY: inY / far }
  }

  /** Colour of a rope so far to its left, −1 to 1. */
  const across = (at: Edge, share: number): string => {
    const ridge = RIDGED * Math.sin(share * Math.PI * look.ridges) * (1 - share * share)
    const bent = (share + (look.ridges > 0 ? ridge : 0)) * Math.min(1, look.heightShare / 0.7)
    const lean = Math.max(-0.98, Math.min(0.98, bent))
    return shade(at.sideX * lean, at.sideY * lean, Math.sqrt(1 - lean * lean))
  }

  /** The round end of a rope, before or behind an edge. */
  const cap = (at: Edge, way: 1 | -1) => {
    const { x, y, sideX, sideY, half } = at
    if (half <= 0) return
    if (look.flat) ctx.fillStyle = look.flat
    else {
      const shades = ctx.createLinearGradient(
        ...([x - sideX * half, y - sideY * half, x + sideX * half, y + sideY * half] as const),
      )
      for (let i = 0; i <= CAP_STOPS; i++)
        shades.addColorStop(i / CAP_STOPS, across(at, (2 * i) / CAP_STOPS - 1))
      ctx.fillStyle = shades
    }
    ctx.beginPath()
    const along = Math.atan2(at.aheadY * way, at.aheadX * way)
    ctx.ellipse(x, y, half * CAP_LONG, half, along, -Math.PI / 2, Math.PI / 2)
    ctx.fill()
  }

  const rope = (bit: Laid) => {
    const [headX, headY] = [Math.cos(bit.heading), Math.sin(bit.heading)]
    const follow = edge ? 1 - Math.exp(-bit.lengthMm / (TURNS_OVER * look.acrossMm)) : 1
    wayX += (headX - wayX) * follow
    wayY += (headY - wayY) * follow
    const size = Math.hypot(wayX, wayY) || 1
    along += bit.lengthMm
    const ripple = bit.heaped
      ? RIPPLE * look.acrossMm * Math.sin((2 * Math.PI * along) / (RIPPLE_LONG * look.acrossMm))
      : 0
    const now: Edge = {
      ...{ x: bit.x * pxPerMm, y: bit.y * pxPerMm, ...sideOf(bit, wayX / size, wayY / size) },
      ...{ aheadX: wayX / size, aheadY: wayY / size },
      half: Math.max(0, (bit.widthMm / 2 + ripple) * pxPerMm),
    }
    if (bit.gap) {
      finish()
      edge = null
      return
    }
    const before = edge ?? {
      ...now,
      x: now.x - (wayX / size) * bit.lengthMm * pxPerMm,
      y: now.y - (wayY / size) * bit.lengthMm * pxPerMm,
    }
    if (!edge) cap(before, -1)
    edge = now
    ended = false
    if (look.flat) {
      quad(before, now, -1, 1, look.flat)
      return
    }
    const bands = look.ridges > 0 ? BANDS_OF_RIDGES : BANDS
    for (let i = 0; i < bands; i++) {
      const [from, to] = [-1 + (2 * i) / bands, -1 + (2 * (i + 1)) / bands]
      quad(before, now, from, to, across(now, (from + to) / 2))
    }
  }

  const finish = () => {
    if (edge && !ended) cap(edge, 1)
    ended = true
  }

  const dome = ({ x, y, widthMm, heading }: Laid) => {
    const [cx, cy, r] = [x * pxPerMm, y * pxPerMm, (widthMm / 2) * pxPerMm]
    if (r <= 0) return
    if (look.flat) ctx.fillStyle = look.flat
    else {
      const gradient = ctx.createRadialGradient(cx - 0.4 * r, cy - 0.5 * r, 0.1 * r, cx, cy, r)
      gradient.addColorStop(0, shade(-0.35, -0.5, 0.79))
      gradient.addColorStop(0.55, shade(0.1, 0.1, 0.99))
      gradient.addColorStop(1, shade(0.6, 0.6, 0.4))
      ctx.fillStyle = gradient
    }
    ctx.beginPath()
    const points = look.ridges > 0 ? 64 : 0
    if (points === 0) ctx.arc(cx, cy, r, 0, 2 * Math.PI)
    for (let i = 0; i < points; i++) {
      const angle = (2 * Math.PI * i) / points
      const out = r * (0.95 + 0.05 * Math.cos(angle * 2 * look.ridges))
      ctx.lineTo(cx + out * Math.cos(angle), cy + out * Math.sin(angle))
    }
    ctx.fill()
    if (look.ridges === 0 || look.flat) return
    // the folds that a star leaves run over the head of what it swells to, from the way back to its foot
    ctx.strokeStyle = shade(0.55, 0.55, 0.6)
    ctx.lineWidth = Math.max(0.7, r * 0.07)
    for (let i = 0; i <= look.ridges; i++) {
      const spread = (i / look.ridges - 0.5) * 2.1
      const back = heading + Math.PI + spread
      ctx.beginPath()
      ctx.moveTo(
        cx + Math.cos(heading) * r * 0.7 - Math.sin(heading) * spread * r * 0.25,
        cy + Math.sin(heading) * r * 0.7 + Math.cos(heading) * spread * r * 0.25,
      )
      ctx.quadraticCurveTo(
        cx - Math.sin(heading + Math.PI) * spread * r * 0.3,
        cy + Math.cos(heading + Math.PI) * spread * r * 0.3,
        cx + Math.cos(back) * r * 0.93,
        cy + Math.sin(back) * r * 0.93,
      )
      ctx.stroke()
    }
    ctx.lineWidth = LINE
  }

  const tail = ({ x, y, heading, lengthMm, widthMm }: Laid) => {
    const [dx, dy] = [Math.cos(heading), Math.sin(heading)]
    const [cx, cy] = [x * pxPerMm, y * pxPerMm]
    const [long, half] = [lengthMm * pxPerMm, (widthMm / 2) * pxPerMm]
    // it falls over to one side as it is drawn off
    const [tipX, tipY] = [cx + dx * long - dy * long * 0.35, cy + dy * long + dx * long * 0.35]
    ctx.fillStyle = look.flat ?? shade(-0.2, -0.3, 0.93)
    ctx.strokeStyle = look.flat ?? shade(0.6, 0.6, 0.5)
    ctx.beginPath()
    ctx.moveTo(cx - dy * half, cy + dx * half)
    ctx.quadraticCurveTo(
      cx + dx * long * 0.6 - dy * half * 0.3,
      cy + dy * long * 0.6 + dx * half * 0.3,
      tipX,
      tipY,
    )
    ctx.quadraticCurveTo(
      cx + dx * long * 0.5 + dy * half,
      cy + dy * long * 0.5 - dx * half,
      cx + dy * half,
      cy - dx * half,
    )
    ctx.closePath()
    ctx.fill()
    ctx.stroke()
  }

  return {
    go(laid, until) {
      ctx.lineWidth = LINE
      ctx.lineJoin = 'round'
      if (growing && laid[growing.index]!.widthMm > growing.width) {
        dome(laid[growing.index]!)
        growing.width = laid[growing.index]!.widthMm
      }
      // a tip that was lifted since the last bit was drawn
      if (edge && !ended && laid[done - 1]?.ends) finish()
      for (; done < laid.length && laid[done]!.seconds <= until; done++) {
        const bit = laid[done]!
        if (bit.stroke !== stroke) [stroke, edge, ended, wayX, wayY] = [bit.stroke, null, true, 0, 0]
        if (bit.kind === 'rope') rope(bit)
        else if (bit.kind === 'tail') tail(bit)
        else {
          dome(bit)
          growing = { index: done, width: bit.widthMm }
          continue
        }
        growing = null
        if (bit.ends) finish()
      }
    },
  }
}

/** The three sides of a colour that icing shows. @param hex `#rrggbb`. */
export function rampOf(hex: string): Look['ramp'] {
  const own = [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16)) as [number, number, number]
  const to = (target: number, share: number) =>
    own.map((c) => c + (target - c) * share) as [number, number, number]
  return [to(60, 0.55), own, to(255, 0.75)]
}
